package gradino.server.prescribe.compose;

import gradino.core.effort.EffortSolver;
import gradino.core.prescribe.program.LineOptions.LineOption;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.Shorten;
import gradino.server.platform.Reads;
import gradino.server.prescribe.compose.ComposeService.CurrentSession;
import gradino.server.prescribe.compose.SuggestService.Suggested;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ComposeController {
    private final ComposeService compose;
    private final SuggestService suggestions;

    ComposeController(ComposeService compose, SuggestService suggestions) {
        this.compose = compose;
        this.suggestions = suggestions;
    }

    /** @param minutes to fit into; null for what the client's file says */
    record Shortening(SessionDraft draft, @Nullable Integer minutes) {}

    record Solving(SessionDraft draft, int station, int line, int block) {}

    record Saving(@Size(max = 120) String name, SessionDraft draft) {}

    @GetMapping("/api/clients/{clientId}/score/suggestion")
    Suggested suggest(@PathVariable String clientId) {
        return suggestions.suggest(clientId);
    }

    @GetMapping("/api/clients/{clientId}/score/line")
    LineDraft line(
            @PathVariable String clientId,
            @RequestParam String motion,
            @RequestParam String position,
            @RequestParam(defaultValue = "") String method,
            @RequestParam String id) {
        return suggestions.line(clientId, motion, position, method, id);
    }

    @Reads
    @PostMapping("/api/clients/{clientId}/score/preview")
    ScorePreview preview(@PathVariable String clientId, @RequestBody SessionDraft draft) {
        return compose.preview(clientId, draft);
    }

    /** What would make a line easier or harder, and what each does. */
    @Reads
    @PostMapping("/api/clients/{clientId}/score/options")
    List<LineOption> options(@PathVariable String clientId, @RequestBody LineDraft line) {
        return compose.options(clientId, line);
    }

    @Reads
    @PostMapping("/api/clients/{clientId}/score/shorten")
    Shorten.Shorter shorten(@PathVariable String clientId, @RequestBody Shortening s) {
        return compose.shorten(clientId, s.draft(), s.minutes());
    }

    @Reads
    @PostMapping("/api/clients/{clientId}/score/solve")
    EffortSolver.WaysOut solve(@PathVariable String clientId, @RequestBody Solving s) {
        return compose.solve(clientId, s.draft(), s.station(), s.line(), s.block());
    }

    @GetMapping("/api/clients/{clientId}/sessions")
    List<CurrentSession> of(@PathVariable String clientId) {
        return compose.of(clientId);
    }

    @GetMapping("/api/clients/{clientId}/sessions/{sessionId}")
    CurrentSession get(@PathVariable String clientId, @PathVariable String sessionId) {
        return compose.get(clientId, sessionId);
    }

    @PutMapping("/api/clients/{clientId}/sessions/{sessionId}")
    CurrentSession save(
            @PathVariable String clientId, @PathVariable String sessionId, @Valid @RequestBody Saving saving) {
        return compose.save(clientId, sessionId, saving.name(), saving.draft());
    }

    @DeleteMapping("/api/clients/{clientId}/sessions/{sessionId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String clientId, @PathVariable String sessionId) {
        compose.remove(clientId, sessionId);
    }
}
