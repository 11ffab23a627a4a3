package gradino.server.prescribe.library;

import gradino.core.figure.Figure;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockParameter;
import gradino.core.prescribe.method.BlockWord;
import gradino.server.prescribe.library.LibraryService.LibraryEntry;
import gradino.server.prescribe.library.MethodService.KnownMethod;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class LibraryController {
    private final LibraryService library;
    private final MethodService methods;

    LibraryController(LibraryService library, MethodService methods) {
        this.library = library;
        this.methods = methods;
    }

    /**
     * A kind of block with its numbers and words.
     *
     * @param usual as it begins when it is added
     */
    record Form(
            BlockForm form,
            String id,
            String words,
            List<BlockParameter> parameters,
            List<BlockWord> said,
            BlockDraft usual) {}

    /** @param text the file's */
    record MethodText(@Size(max = 400_000) String text) {}

    @GetMapping("/api/block-forms")
    List<Form> forms() {
        return Arrays.stream(BlockForm.values())
                .map(f -> new Form(f, f.id(), f.words(), BlockParameter.of(f), BlockWord.of(f), BlockDraft.usual(f)))
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
    /** Every position as it is usually drawn, by its id. */
    @GetMapping("/api/figures")
    Map<String, Figure> figures() {
        return LibraryService.figures();
    }

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
}
