package gradino.server.report;

import gradino.server.intake.ClientNoteRepository.NoteNow;
import gradino.server.report.OverviewService.ClientNoteDraft;
import gradino.server.report.OverviewService.Overview;
import jakarta.validation.Valid;
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

    @GetMapping("/api/clients/{clientId}/overview")
    Overview overview(@PathVariable String clientId) {
        return overviews.overview(clientId);
    }

    @PostMapping("/api/clients/{clientId}/notes")
    List<NoteNow> note(@PathVariable String clientId, @Valid @RequestBody ClientNoteDraft note) {
        return overviews.note(clientId, note);
    }
}
