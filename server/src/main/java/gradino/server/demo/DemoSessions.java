package gradino.server.demo;

import gradino.core.advance.Moment;
import gradino.core.perform.Observer;
import gradino.core.quantity.Tenths;
import gradino.server.perform.SessionRepository;
import gradino.server.perform.SessionRepository.Closed;
import gradino.server.perform.SessionRepository.Morning;
import gradino.server.perform.VisitRepository;
import gradino.server.perform.VisitRepository.Visit;
import gradino.server.prescribe.ComposeService;
import gradino.server.prescribe.ComposedLines;
import gradino.server.prescribe.CompositionRepository;
import gradino.server.prescribe.CompositionRepository.Composition;
import gradino.server.prescribe.LineRepository;
import gradino.server.prescribe.SuggestService;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import org.springframework.stereotype.Component;

/** The invented waller has a composed session, as it was suggested for him, and has run it for some weeks. */
@Component
class DemoSessions {
    private static final String CLIENT = "demo-waller";
    private static final String SESSION = CLIENT + "-session";
    private static final int COMPOSED_DAYS_AGO = 22;
    private static final List<Integer> RUN_DAYS_AGO = List.of(20, 17, 13, 10, 6, 3);

    private static final long SEED = 12;

    private final SuggestService suggestions;
    private final CompositionRepository compositions;
    private final ComposedLines composed;
    private final LineRepository lines;
    private final VisitRepository visits;
    private final SessionRepository sessions;
    private final DemoTeller teller;

    DemoSessions(
            SuggestService suggestions,
            CompositionRepository compositions,
            ComposedLines composed,
            LineRepository lines,
            VisitRepository visits,
            SessionRepository sessions,
            DemoTeller teller) {
        this.suggestions = suggestions;
        this.compositions = compositions;
        this.composed = composed;
        this.lines = lines;
        this.visits = visits;
        this.sessions = sessions;
        this.teller = teller;
    }

    void tell(Moment now) {
        var composition = new Composition(
                SESSION,
                CLIENT,
                null,
                "Before the wall",
                suggestions.suggest(CLIENT).draft(),
                DemoTeller.at(now, COMPOSED_DAYS_AGO, 12));
        compositions.insert(composition);
        composed.adopt();
        var random = new Random(SEED);
        for (int ago : RUN_DAYS_AGO) {
            run(composition, DemoTeller.at(now, ago, 7), random);
            lines.ofComposition(CLIENT, SESSION)
                    .forEach(line -> teller.decide(line, now.at(DemoTeller.at(now, ago - 1, 11))));
        }
    }

    private void run(Composition composition, Instant at, Random random) {
        var draft = composed.inForce(composition);
        var timeline = ComposeService.timeline(draft);
        var id = SESSION + "-" + at.toEpochMilli();
        visits.open(new Visit(id, CLIENT, SESSION, composition.name(), draft, at, at), timeline);
        sessions.addBlocks(DemoTeller.done(id, timeline, at, 0, true, random));
        var end = at.plusSeconds(timeline.seconds());
        sessions.close(new Closed(
                id, Observer.COACH, Tenths.of(4 + random.nextInt(2)), null, null, "", end, end.plusSeconds(30)));
        var morning = end.plusSeconds(20 * 3600);
        sessions.addMorning(new Morning(id + "-morning", id, true, Tenths.of(random.nextInt(3)), morning, morning));
    }
}
