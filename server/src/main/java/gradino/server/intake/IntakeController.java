package gradino.server.intake;

import gradino.core.intake.BeightonItem;
import gradino.core.intake.Clearance;
import gradino.core.intake.Question;
import gradino.core.intake.RestrictionKind;
import gradino.core.intake.Scope;
import gradino.core.intake.Screening;
import gradino.server.intake.IntakeRepository.StoredClearance;
import gradino.server.intake.IntakeService.Added;
import gradino.server.intake.IntakeService.ScreeningPreview;
import gradino.server.platform.Reads;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class IntakeController {
    private final IntakeService intake;

    IntakeController(IntakeService intake) {
        this.intake = intake;
    }

    /** What is asked. */
    record Questions(List<Question> questions, List<BeightonItem> beighton) {}

    record NewScreening(
            @NotBlank @Size(max = 64) String id, @Valid Answers answers) {}

    record NewRestriction(
            @NotBlank @Size(max = 64) String id,
            RestrictionKind kind,
            Scope scope,
            @Nullable Double limit,
            String reason) {}

    record NewClearance(
            @NotBlank @Size(max = 64) String id,
            String clearedBy,
            LocalDate writtenOn,
            @Nullable LocalDate until,
            String note,
            boolean stopSigns,
            List<String> names,
            List<Clearance.Loosening> loosens) {}

    /** The newest answers, to begin the next time with; empty when never asked. */
    record LastScreening(@Nullable Screening screening) {}

    @GetMapping("/api/screening")
    Questions questions() {
        return new Questions(Question.all(), BeightonItem.all());
    }

    @GetMapping("/api/clients/{clientId}/screening")
    LastScreening last(@PathVariable String clientId) {
        return new LastScreening(intake.newest(clientId));
    }

    @Reads
    @PostMapping("/api/clients/{clientId}/screening/preview")
    ScreeningPreview preview(@PathVariable String clientId, @Valid @RequestBody Answers answers) {
        return intake.preview(clientId, answers);
    }

    @PostMapping("/api/clients/{clientId}/screening")
    ClientFile screen(@PathVariable String clientId, @Valid @RequestBody NewScreening screening) {
        return intake.screen(clientId, screening.id(), screening.answers());
    }

    @PostMapping("/api/clients/{clientId}/restrictions")
    ClientFile restrict(@PathVariable String clientId, @Valid @RequestBody NewRestriction r) {
        return intake.add(clientId, new Added(r.id(), r.kind(), r.scope(), r.limit(), r.reason()));
    }

    @GetMapping("/api/clients/{clientId}/clearances")
    List<StoredClearance> clearances(@PathVariable String clientId) {
        return intake.clearances(clientId);
    }

    @PostMapping("/api/clients/{clientId}/clearances")
    ClientFile clear(@PathVariable String clientId, @Valid @RequestBody NewClearance c) {
        return intake.clear(
                clientId,
                c.id(),
                new Clearance(
                        c.clearedBy(), c.writtenOn(), c.until(), c.note(), c.stopSigns(), c.names(), c.loosens()));
    }
}
