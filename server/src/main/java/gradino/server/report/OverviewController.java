package gradino.server.report;

import gradino.server.intake.ClientNoteRepository;
import gradino.server.report.OverviewService.NoteView;
import gradino.server.report.OverviewService.Overview;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class OverviewController {
    private final OverviewService overviews;

    OverviewController(OverviewService overviews) {
        this.overviews = overviews;
    }

    record NewClientNote(
            @NotBlank @Size(max = ClientNoteRepository.LONGEST)
            String text) {}

    @GetMapping("/api/clients/{clientId}/overview")
    Overview overview(@PathVariable String clientId) {
        return overviews.overview(clientId);
    }

    @PostMapping("/api/clients/{clientId}/notes")
    List<NoteView> note(@PathVariable String clientId, @Valid @RequestBody NewClientNote note) {
        return overviews.note(clientId, note.text());
    }
}
