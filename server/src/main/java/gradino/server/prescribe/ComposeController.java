package gradino.server.prescribe;

import gradino.core.effort.EffortSolver;
import gradino.core.prescribe.BlockDraft;
import gradino.core.prescribe.BlockForm;
import gradino.core.prescribe.BlockParameter;
import gradino.core.prescribe.SessionDraft;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.core.prescribe.Shorten;
import gradino.server.platform.Reads;
import gradino.server.prescribe.ComposeService.CurrentSession;
import gradino.server.prescribe.LibraryService.LibraryEntry;
import gradino.server.prescribe.MethodService.KnownMethod;
import gradino.server.prescribe.SuggestService.Suggested;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
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
    private final MethodService methods;
    private final LibraryService library;
    private final HandoutService handouts;

    ComposeController(
            ComposeService compose,
            SuggestService suggestions,
            MethodService methods,
            LibraryService library,
            HandoutService handouts) {
        this.compose = compose;
        this.suggestions = suggestions;
        this.methods = methods;
        this.library = library;
        this.handouts = handouts;
    }

    /** @param minutes to fit into; null for what the client's file says */
    record Shortening(SessionDraft draft, @Nullable Integer minutes) {}

    record Solving(SessionDraft draft, int station, int line, int block) {}

    record Saving(@Size(max = 120) String name, SessionDraft draft) {}

    /**
     * A kind of block with its numbers.
     *
     * @param usual as it begins when it is added
     */
    record Form(BlockForm form, String id, String words, List<BlockParameter> parameters, BlockDraft usual) {}

    /** @param text the file's */
    record MethodText(@Size(max = 400_000) String text) {}

    @GetMapping("/api/block-forms")
    List<Form> forms() {
        return Arrays.stream(BlockForm.values())
                .map(f -> new Form(f, f.id(), f.words(), BlockParameter.of(f), BlockDraft.usual(f)))
                .toList();
    }

    @GetMapping("/api/methods")
    List<KnownMethod> methods() {
        return methods.all();
    }

    @PostMapping("/api/methods")
    List<KnownMethod> take(@Valid @RequestBody MethodText file) {
        return methods.take(file.text());
    }

    @GetMapping(path = "/api/methods/{methodId}.csv", produces = "text/csv")
    String file(@PathVariable String methodId) {
        return methods.file(methodId);
    }

    /** Positions that train, best first for this client where one is named. */
    @GetMapping("/api/library")
    List<LibraryEntry> library(
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String motion,
            @RequestParam(defaultValue = "") String method) {
        return library.find(words, motion, method, null, false);
    }

    @GetMapping("/api/clients/{clientId}/library")
    List<LibraryEntry> libraryFor(
            @PathVariable String clientId,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String motion,
            @RequestParam(defaultValue = "") String method,
            @RequestParam(defaultValue = "false") boolean owned) {
        return library.find(words, motion, method, clientId, owned);
    }

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

    @GetMapping(
            path = "/api/clients/{clientId}/sessions/{sessionId}/handout.pdf",
            produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] handout(@PathVariable String clientId, @PathVariable String sessionId) {
        return handouts.pdf(clientId, sessionId);
    }

    @GetMapping("/api/clients/{clientId}/sessions/{sessionId}/handout")
    Handout handoutPage(@PathVariable String clientId, @PathVariable String sessionId) {
        return handouts.of(clientId, sessionId);
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
