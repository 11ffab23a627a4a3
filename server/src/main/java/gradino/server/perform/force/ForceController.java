package gradino.server.perform.force;

import gradino.server.perform.force.ForceService.NewReference;
import gradino.server.perform.force.ForceService.NewTrace;
import gradino.server.perform.force.ForceService.TraceView;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/runs/{runId}")
class ForceController {
    private final ForceService forces;

    ForceController(ForceService forces) {
        this.forces = forces;
    }

    @PostMapping("/references")
    FloorReference measured(@PathVariable String runId, @RequestBody NewReference tries) {
        return forces.measured(runId, tries);
    }

    @PostMapping("/traces")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void trace(@PathVariable String runId, @RequestBody NewTrace trace) {
        forces.trace(runId, trace);
    }

    @GetMapping("/traces")
    List<TraceView> traces(@PathVariable String runId) {
        return forces.traces(runId);
    }
}
