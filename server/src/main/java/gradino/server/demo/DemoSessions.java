package gradino.server.demo;

import gradino.core.advance.state.Moment;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.Observer;
import gradino.core.prescribe.program.Arrangement;
import gradino.core.prescribe.program.Plan;
import gradino.core.quantity.Tenths;
import gradino.server.intake.ClientService;
import gradino.server.perform.record.BlockRepository;
import gradino.server.perform.record.RecordRepository;
import gradino.server.perform.record.RecordRepository.Closed;
import gradino.server.perform.record.RecordRepository.Morning;
import gradino.server.perform.record.RunRepository;
import gradino.server.perform.record.RunRepository.Run;
import gradino.server.prescribe.compose.ComposeService;
import gradino.server.prescribe.compose.SuggestService;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.Program;
import gradino.server.prescribe.program.SessionRepository.Saving;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import org.springframework.stereotype.Component;

/** The invented waller has a session, as it was suggested for him, and has run it for some weeks. */
@Component
class DemoSessions {
    private static final String CLIENT = "demo-waller";
    private static final String SESSION = CLIENT + "-session";
    private static final int SAVED_DAYS_AGO = 22;
    private static final List<Integer> RUN_DAYS_AGO = List.of(20, 17, 13, 10, 6, 3);

    private static final long SEED = 12;

    private final SuggestService suggestions;
    private final Program program;
    private final ClientService clients;
    private final LineRepository lines;
    private final RunRepository runs;
    private final RecordRepository records;
    private final BlockRepository blockRows;
    private final DemoTeller teller;

    DemoSessions(
            SuggestService suggestions,
            Program program,
            ClientService clients,
            LineRepository lines,
            RunRepository runs,
            RecordRepository records,
            BlockRepository blockRows,
            DemoTeller teller) {
        this.suggestions = suggestions;
        this.program = program;
        this.clients = clients;
        this.lines = lines;
        this.runs = runs;
        this.records = records;
        this.blockRows = blockRows;
        this.teller = teller;
    }

    void tell(Moment now) {
        var draft = suggestions.suggest(CLIENT).draft();
        var at = DemoTeller.at(now, SAVED_DAYS_AGO, 12);
        for (var line : draft.lines()) {
            program.open(CLIENT, line.id(), Plan.of(line), null, at);
        }
        var opened = draft.lines().stream()
                .map(line -> lines.find(line.id()).orElseThrow())
                .toList();
        var session = new Saving(SESSION, CLIENT, null, "Before the wall", Arrangement.of(draft), at);
        program.keep(session);
        var random = new Random(SEED);
        for (int ago : RUN_DAYS_AGO) {
            run(session, DemoTeller.at(now, ago, 7), random);
            teller.decide(CLIENT, opened, now.at(DemoTeller.at(now, ago - 1, 11)));
        }
    }

    private void run(Saving session, Instant at, Random random) {
        var draft = program.of(clients.get(CLIENT)).inForce(session);
        var timeline = ComposeService.timeline(draft);
        var id = SESSION + "-" + at.toEpochMilli();
        runs.open(new Run(id, CLIENT, SESSION, session.name(), draft, at, at), timeline);
        blockRows.addBlocks(DemoTeller.done(id, timeline, at, 0, true, random));
        var end = at.plusSeconds(timeline.seconds());
        records.close(new Closed(
                id, Observer.COACH, Tenths.of(4 + random.nextInt(2)), null, null, "", end, end.plusSeconds(30)));
        var morning = end.plusSeconds(20 * 3600);
        records.addMorning(new Morning(
                id + "-morning",
                id,
                MorningQuestion.NEXT_MORNING,
                null,
                true,
                Tenths.of(random.nextInt(3)),
                morning,
                morning));
    }
}
