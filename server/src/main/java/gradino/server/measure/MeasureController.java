package gradino.server.measure;

import gradino.core.body.Motion;
import gradino.core.body.Position;
import jakarta.validation.Valid;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class MeasureController {
    private final MeasureService measure;

    MeasureController(MeasureService measure) {
        this.measure = measure;
    }

    /** Motions and positions that there are. */
    record Body(List<Motion> motions, List<Position> positions) {}

    @GetMapping("/api/catalogue")
    Body catalogue() {
        return new Body(gradino.core.body.Catalogue.motions(), gradino.core.body.Catalogue.positions());
    }

    @PostMapping("/api/clients/{clientId}/measurements/preview")
    MeasureService.MeasurePreview preview(@PathVariable String clientId, @Valid @RequestBody MeasurementDraft draft) {
        return measure.preview(clientId, draft);
    }

    @PostMapping("/api/clients/{clientId}/measurements")
    Measurement record(@PathVariable String clientId, @Valid @RequestBody MeasurementDraft draft) {
        return measure.record(clientId, draft);
    }

    @GetMapping("/api/clients/{clientId}/measurements")
    List<Measurement> measurements(@PathVariable String clientId) {
        return measure.of(clientId);
    }

    @GetMapping("/api/clients/{clientId}/ranges")
    List<Ranges.RangeRow> ranges(@PathVariable String clientId) {
        return measure.ranges(clientId);
    }
}
