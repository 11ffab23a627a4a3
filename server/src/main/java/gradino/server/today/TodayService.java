package gradino.server.today;

import gradino.core.advance.Advance;
import gradino.core.advance.Moment;
import gradino.core.advance.Standing;
import gradino.core.because.Finding;
import gradino.core.because.Verdict;
import gradino.core.intake.Intake;
import gradino.core.intake.Restriction;
import gradino.core.intake.Scope;
import gradino.server.advance.DecisionService;
import gradino.server.advance.DecisionService.Proposals;
import gradino.server.advance.LineRuns;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.measure.MeasurementRepository;
import gradino.server.perform.RecordRepository.Held;
import gradino.server.perform.RunRepository;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.EachLine;
import gradino.server.prescribe.Line;
import gradino.server.prescribe.LineRepository;
import gradino.server.prescribe.Program;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What waits today: who is due, what waits for a decision, which mornings are still to be asked for. */
@Service
public class TodayService {
    private static final int MORNING_DAYS = 7;

    private final ClientService clients;
    private final LineRepository lines;
    private final MeasurementRepository measurements;
    private final RunRepository runs;
    private final LineRuns lineRuns;
    private final Program program;
    private final DecisionService decisions;
    private final EachLine each;
    private final Clock clock;

    TodayService(
            ClientService clients,
            LineRepository lines,
            MeasurementRepository measurements,
            RunRepository runs,
            LineRuns lineRuns,
            Program program,
            DecisionService decisions,
            EachLine each,
            Clock clock) {
        this.clients = clients;
        this.lines = lines;
        this.measurements = measurements;
        this.runs = runs;
        this.lineRuns = lineRuns;
        this.program = program;
        this.decisions = decisions;
        this.each = each;
        this.clock = clock;
    }

    /** The day. */
    public record Today(List<ClientDay> clients, List<MorningAsked> mornings, Instant now) {}

    /**
     * A client's day.
     *
     * @param lastMeasured null when never
     * @param state in one word: new, stop, down, decide, up, due or quiet
     */
    public record ClientDay(
            String id,
            String name,
            String goal,
            List<Restriction> restrictions,
            Intake.Due screeningDue,
            @Nullable Instant lastMeasured,
            State state,
            List<LineDay> lines) {}

    /** What a client waits for, the most urgent first. */
    public enum State {
        STOP,
        DECIDE,
        DUE,
        NEW,
        QUIET
    }

    /**
     * A line's day.
     *
     * @param session names of those that it stands in; null where it stands in none
     * @param trouble why it cannot be judged; null when it can
     */
    public record LineDay(
            String lineId,
            String motion,
            String position,
            @Nullable String session,
            @Nullable Instant lastSession,
            @Nullable String openSession,
            int sessionsDone,
            boolean due,
            int minutes,
            int waiting,
            @Nullable Verdict verdict,
            @Nullable String why,
            @Nullable Integer recentPain,
            @Nullable Finding trouble) {}

    /** A session whose next-morning questions were not answered. */
    public record MorningAsked(String sessionId, String clientId, String clientName, String title, Instant endedAt) {}

    @Transactional(readOnly = true)
    public Today today() {
        var now = StudioClock.moment(clock);
        var days = new ArrayList<ClientDay>();
        var mornings = new ArrayList<MorningAsked>();
        for (var client : clients.mine()) {
            days.add(day(client, now, mornings));
        }
        days.sort(Comparator.comparing(ClientDay::state).thenComparing(ClientDay::name));
        return new Today(days, mornings, now.instant());
    }

    @Transactional(readOnly = true)
    public ClientDay day(String clientId) {
        return dayAsked(clientId).day();
    }

    /** A client's day with what is still to be asked of them. */
    public record DayAsked(ClientDay day, List<MorningAsked> mornings) {}

    @Transactional(readOnly = true)
    public DayAsked dayAsked(String clientId) {
        var mornings = new ArrayList<MorningAsked>();
        return new DayAsked(day(clients.get(clientId), StudioClock.moment(clock), mornings), mornings);
    }

    private ClientDay day(Client client, Moment now, List<MorningAsked> mornings) {
        var lineDays = new ArrayList<LineDay>();
        for (var line : lines.of(client.id())) {
            var tried = each.tried(line, () -> looked(line, now));
            lineDays.add(tried.found().orElseGet(() -> unjudged(line, tried.trouble())));
        }
        // What waits for the coach stands first.
        lineDays.sort(Comparator.comparing((LineDay l) -> l.waiting() == 0 && l.trouble() == null));
        mornings.addAll(asked(client, now));
        var file = clients.file(client);
        return new ClientDay(
                client.id(),
                client.details().name(),
                client.details().goal(),
                file.restrictions(),
                file.screeningDue(),
                measurements.last(client.id()).orElse(null),
                state(file.restrictions(), lineDays),
                lineDays);
    }

    private static State state(List<Restriction> restrictions, List<LineDay> lines) {
        boolean stop = restrictions.stream()
                        .anyMatch(r -> r.kind().forbids() && r.scope().equals(Scope.WHOLE_BODY))
                || lines.stream().anyMatch(l -> l.verdict() == Verdict.STOP_AND_REFER);
        if (stop) {
            return State.STOP;
        } else if (lines.stream().anyMatch(l -> l.waiting() > 0 || l.trouble() != null)) {
            return State.DECIDE;
        } else if (lines.isEmpty()) {
            return State.NEW;
        }
        return lines.stream().anyMatch(LineDay::due) ? State.DUE : State.QUIET;
    }

    private LineDay looked(Line line, Moment now) {
        var tried = decisions.tried(line);
        var proposals = tried.value();
        return proposals == null ? unjudged(line, tried.trouble()) : lineDay(line, proposals, lineRuns.held(line), now);
    }

    private static LineDay unjudged(Line line, @Nullable Finding trouble) {
        return new LineDay(
                line.id(), line.motion(), line.position(), null, null, null, 0, false, 0, 0, null, null, null, trouble);
    }

    private LineDay lineDay(Line line, Proposals proposals, List<Held> held, Moment now) {
        var last = held.isEmpty() ? null : held.get(held.size() - 1).record().endedAt();
        var most = Standing.mostUrgent(proposals.trained().stream()
                .map(side -> proposals.sides().on(side).proposal())
                .toList());
        return new LineDay(
                line.id(),
                line.motion(),
                line.position(),
                program.names(line),
                last,
                runs.unclosedWith(line.id()).orElse(null),
                held.size(),
                Advance.isDue(proposals.plan(), last, now),
                proposals.minutes(),
                waiting(proposals),
                most.verdict(),
                most.why().text(),
                recentPain(held, now),
                null);
    }

    private static int waiting(Proposals proposals) {
        int waiting = 0;
        for (var side : proposals.trained()) {
            waiting += proposals.sides().on(side).waits() ? 1 : 0;
        }
        return waiting;
    }

    private static @Nullable Integer recentPain(List<Held> held, Moment now) {
        return held.stream()
                .filter(h -> now.daysSince(h.record().endedAt()) <= MORNING_DAYS)
                .flatMap(h -> h.record().blocks().stream())
                .flatMap(b -> b.pains().stream())
                .map(p -> p.score().value())
                .max(Integer::compare)
                .orElse(null);
    }

    /** From the next day on, for a week. */
    private List<MorningAsked> asked(Client client, Moment now) {
        var since = now.instant().minus(Duration.ofDays(MORNING_DAYS + 1));
        return runs.unanswered(client.id(), since).stream()
                .filter(r -> isAsked(r.endedAt(), now))
                .map(r -> new MorningAsked(r.id(), client.id(), client.details().name(), r.name(), r.endedAt()))
                .toList();
    }

    private static boolean isAsked(Instant endedAt, Moment now) {
        return now.daysSince(endedAt) >= 1 && now.daysSince(endedAt) <= MORNING_DAYS;
    }
}
