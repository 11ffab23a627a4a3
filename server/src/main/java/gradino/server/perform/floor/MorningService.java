package gradino.server.perform.floor;

import gradino.core.perform.MorningAnswers;
import gradino.core.perform.MorningQuestion;
import gradino.core.quantity.Tenths;
import gradino.server.intake.ClientService;
import gradino.server.perform.record.RecordRepository;
import gradino.server.perform.record.RecordRepository.Morning;
import gradino.server.perform.record.RunRepository;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what is answered after a session. Which answer counts is core's {@link MorningAnswers}. */
@Service
public class MorningService {
    private final RecordRepository records;
    private final RunRepository runs;
    private final ClientService clients;
    private final Clock clock;

    MorningService(RecordRepository records, RunRepository runs, ClientService clients, Clock clock) {
        this.records = records;
        this.runs = runs;
        this.clients = clients;
        this.clock = clock;
    }

    @Transactional
    public void answer(
            String runId,
            String id,
            MorningQuestion question,
            boolean settled,
            @Nullable Tenths soreness,
            @Nullable String correction) {
        var run = runs.find(runId).orElseThrow(Problem::nothingHere);
        clients.get(run.clientId());
        var closed = records.closed(runId)
                .orElseThrow(() -> Problem.conflict("still-open", "This session is still open: close it first."));
        var all = records.mornings(runId);
        if (all.stream().anyMatch(m -> m.id().equals(id))) {
            return;
        }
        var now = StudioClock.now(clock);
        var answer = new Morning(id, runId, question, correction, settled, soreness, now, now);
        var known = new MorningAnswers(
                closed.happenedAt(), all.stream().map(Morning::given).toList());
        Problem.throwIfBlocking(known.refuses(answer.given()).map(List::of).orElse(List.of()));
        records.addMorning(answer);
    }
}
