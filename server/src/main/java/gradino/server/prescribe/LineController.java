package gradino.server.prescribe;

import gradino.core.measure.Instrument;
import gradino.core.prescribe.Plan;
import gradino.server.platform.Reads;
import gradino.server.prescribe.LineService.CurrentLine;
import gradino.server.prescribe.LineService.PlanPreview;
import gradino.server.prescribe.LineService.Suggestion;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class LineController {
    private final LineService lines;

    LineController(LineService lines) {
        this.lines = lines;
    }

    record NewLine(@NotBlank @Size(max = 64) String id, Instrument instrument, Plan plan) {}

    /** A plan being edited; without a line it is a new one. */
    record PlanDraft(@Nullable String lineId, Instrument instrument, Plan plan) {}

    @GetMapping("/api/clients/{clientId}/lines")
    List<CurrentLine> of(@PathVariable String clientId) {
        return lines.of(clientId);
    }

    @GetMapping("/api/clients/{clientId}/suggestion")
    Suggestion suggest(
            @PathVariable String clientId,
            @RequestParam String motion,
            @RequestParam String position,
            @RequestParam Instrument instrument) {
        return lines.suggest(clientId, motion, position, instrument);
    }

    @Reads
    @PostMapping("/api/clients/{clientId}/plans/preview")
    PlanPreview preview(@PathVariable String clientId, @RequestBody PlanDraft draft) {
        return lines.preview(clientId, draft.lineId(), draft.instrument(), draft.plan());
    }

    @PostMapping("/api/clients/{clientId}/lines")
    CurrentLine open(@PathVariable String clientId, @Valid @RequestBody NewLine line) {
        return lines.open(clientId, line.id(), line.instrument(), line.plan());
    }

    @GetMapping("/api/lines/{lineId}")
    CurrentLine get(@PathVariable String lineId) {
        return lines.current(lineId);
    }

    @PutMapping("/api/lines/{lineId}/plan")
    CurrentLine change(@PathVariable String lineId, @RequestBody Plan plan) {
        return lines.change(lineId, plan);
    }
}
