package gradino.server.demo;

import gradino.core.advance.Moment;
import gradino.server.prescribe.ComposedLines;
import gradino.server.prescribe.CompositionRepository;
import gradino.server.prescribe.CompositionRepository.Composition;
import gradino.server.prescribe.SuggestService;
import org.springframework.stereotype.Component;

/** The invented waller has a composed session, as it was suggested for him. */
@Component
class DemoSessions {
    private static final String CLIENT = "demo-waller";

    private final SuggestService suggestions;
    private final CompositionRepository compositions;
    private final ComposedLines lines;

    DemoSessions(SuggestService suggestions, CompositionRepository compositions, ComposedLines lines) {
        this.lines = lines;
        this.suggestions = suggestions;
        this.compositions = compositions;
    }

    void tell(Moment now) {
        var draft = suggestions.suggest(CLIENT).draft();
        compositions.insert(
                new Composition(CLIENT + "-session", CLIENT, null, "Before the wall", draft, now.instant()));
        lines.adopt();
    }
}
