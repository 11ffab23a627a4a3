package gradino.server.today;

import gradino.core.advance.Advance;
import gradino.core.advance.Urgency;
import gradino.core.advance.state.Moment;
import gradino.core.because.Finding;
import gradino.core.because.Verdict;
import gradino.core.intake.Intake;
import gradino.core.intake.Restriction;
import gradino.core.intake.Scope;
import gradino.core.perform.MorningQuestion;
import gradino.server.account.people.Account;
import gradino.server.account.people.SignedIn;
import gradino.server.advance.line.Known;
import gradino.server.advance.line.LineDoor;
import gradino.server.backup.BackupService;
import gradino.server.intake.Client;
import gradino.server.intake.ClientFile;
import gradino.server.intake.ClientRepository;
import gradino.server.intake.ClientService;
import gradino.server.measure.MeasurementRepository;
import gradino.server.measure.Retests;
import gradino.server.perform.record.RunRepository;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.program.ClientProgram;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.Program;
import gradino.server.schedule.plan.DayPlans;
import gradino.server.schedule.plan.DayPlans.ClientPlan;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What waits today: who is due, what waits for a decision, which mornings are still to be asked for. */
@Service
public class TodayService {
    private static final int MORNING_DAYS = 7;
    /** Days beyond the plan after which a client has gone quiet (common practice, no source). */
    private static final int QUIET_DAYS = 7;
    /** A re-test of that long ago is news no more (house rule). */
    private static final Duration REPORT_NEWS = Duration.ofDays(7);

    private final ClientService clients;
    private final ClientRepository rows;
    private final LineRepository lines;
    private final MeasurementRepository measurements;
    private final RunRepository runs;
    private final Program program;
    private final LineDoor door;
    private final DayPlans days;
    private final Retests retests;
    private final BackupService backups;
    private final SignedIn signedIn;
    private final Clock clock;

    TodayService(
            ClientService clients,
            ClientRepository rows,
            LineRepository lines,
            MeasurementRepository measurements,
            RunRepository runs,
            Program program,
            LineDoor door,
            DayPlans days,
            Retests retests,
            BackupService backups,
            SignedIn signedIn,
            Clock clock) {
        this.clients = clients;
        this.rows = rows;
        this.lines = lines;
        this.measurements = measurements;
        this.runs = runs;
        this.program = program;
        this.door = door;
        this.days = days;
        this.retests = retests;
        this.backups = backups;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /**
     * The day.
     *
     * @param backupWarning for an owner: there is no fresh backup; null otherwise
     */
    public record Today(
            List<ClientDay> clients,
            List<MorningAsked> mornings,
            Instant now,
            @Nullable String backupWarning) {}

    /**
     * A client's day.
     *
     * @param lastMeasured null when never
     * @param state in one word
     * @param plan what is planned for today and when they come
     * @param retestedAt when their battery was measured again, whole, in the last week, so that the report is ready; null otherwise
     */
    public record ClientDay(
            String id,
            String name,
            String goal,
            List<Restriction> restrictions,
            Intake.Due screeningDue,
            @Nullable Instant lastMeasured,
            State state,
            List<LineDay> lines,
            ClientPlan plan,
            @Nullable Instant retestedAt) {}

    /** What a client waits for, the most urgent first. */
    public enum State {
        STOP,
        DECIDE,
        DUE,
        AWAY,
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
            @Nullable String openRun,
            int sessionsDone,
            boolean due,
            int minutes,
            int waiting,
            @Nullable Verdict verdict,
            @Nullable String why,
            @Nullable Integer recentPain,
            @Nullable Finding trouble) {}

    /** A session with a question that was not answered yet. */
    public record MorningAsked(
            String runId,
            String clientId,
            String clientName,
            String title,
            Instant endedAt,
            MorningQuestion question) {}

    @Transactional(readOnly = true)
    public Today today() {
        var days = daysOf(clients.present());
        return new Today(
                days.stream()
                        .map(DayAsked::day)
                        .sorted(Comparator.comparing(ClientDay::state).thenComparing(ClientDay::name))
                        .toList(),
                days.stream().flatMap(d -> d.mornings().stream()).toList(),
                StudioClock.now(clock),
                signedIn.account()
                        .filter(Account::isOwner)
                        .flatMap(me -> backups.warning())
                        .orElse(null));
    }

    /** Whoever asks next need not wait until every line was folded. */
    @Transactional(readOnly = true)
    public void lookAtAll() {
        daysOf(rows.all().stream().filter(c -> c.archivedAt() == null).toList());
    }

    @Transactional(readOnly = true)
    public ClientDay day(String clientId) {
        return dayAsked(clientId).day();
    }

    /** A client's day with what is still to be asked of them. */
    public record DayAsked(ClientDay day, List<MorningAsked> mornings) {}

    @Transactional(readOnly = true)
    public DayAsked dayAsked(String clientId) {
        return daysOf(List.of(clients.get(clientId))).get(0);
    }

    /** Of however many clients, what their days are made of is read in the same number of statements. */
    private List<DayAsked> daysOf(List<Client> of) {
        var ids = of.stream().map(Client::id).toList();
        var all = lines.of(ids);
        var known = door.of(of, all);
        var open = runs.unclosedWith(all.stream().map(Line::id).toList());
        var measured = measurements.last(ids);
        var mornings = asked(of, known.moment());
        var files = clients.files(of);
        var programs = program.of(of, all, known);
        var plans = days.of(of);
        var retested = retests.since(ids, known.moment().instant().minus(REPORT_NEWS));
        // Nothing is read from here on, so that all processors may judge.
        return IntStream.range(0, of.size())
                .parallel()
                .mapToObj(i -> new DayAsked(
                        day(
                                files.get(i),
                                measured.get(ids.get(i)),
                                plans.getOrDefault(ids.get(i), ClientPlan.NONE),
                                lineDays(programs.get(i), known, open, plans.getOrDefault(ids.get(i), ClientPlan.NONE)),
                                retested.get(ids.get(i))),
                        mornings.getOrDefault(ids.get(i), List.of())))
                .toList();
    }

    private static ClientDay day(
            ClientFile file,
            @Nullable Instant measured,
            ClientPlan plan,
            List<LineDay> lines,
            @Nullable Instant retested) {
        return new ClientDay(
                file.id(),
                file.details().name(),
                file.details().goal(),
                file.restrictions(),
                file.screeningDue(),
                measured,
                state(file.restrictions(), plan, lines),
                lines,
                plan,
                retested);
    }

    /** What waits for the coach stands first. */
    private static List<LineDay> lineDays(
            ClientProgram program, Known known, Map<String, String> open, ClientPlan plan) {
        return program.lines().stream()
                .map(line -> {
                    var tried = program.tried(
                            line, look -> lineDay(line, program.names(line), known, open.get(line.id()), plan));
                    return tried.found().orElseGet(() -> unjudged(line, tried.trouble()));
                })
                .sorted(Comparator.comparing((LineDay l) -> l.waiting() == 0 && l.trouble() == null))
                .toList();
    }

    private static State state(List<Restriction> restrictions, ClientPlan plan, List<LineDay> lines) {
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
        var today = plan.today();
        boolean retest = today != null && !today.over() && today.battery() != null;
        boolean due = retest || lines.stream().anyMatch(LineDay::due) || plan.appointment() != null;
        return due ? State.DUE : plan.beyondPlan() >= QUIET_DAYS ? State.AWAY : State.QUIET;
    }

    private static LineDay unjudged(Line line, @Nullable Finding trouble) {
        return new LineDay(
                line.id(), line.motion(), line.position(), null, null, null, 0, false, 0, 0, null, null, null, trouble);
    }

    private static LineDay lineDay(
            Line line, @Nullable String session, Known known, @Nullable String openRun, ClientPlan plan) {
        var state = known.state(line);
        var proposals = known.proposed(line);
        var most = Urgency.mostUrgent(proposals);
        var last = state.lastSessionAt().orElse(null);
        return new LineDay(
                line.id(),
                line.motion(),
                line.position(),
                session,
                last,
                openRun,
                state.sessionCount(),
                isDue(line, plan, Advance.isDue(state.plan(), last, known.moment())),
                (known.secondsAfter(line, proposals) + 59) / 60,
                (int) proposals.stream().filter(p -> Advance.waits(state, p)).count(),
                most.verdict(),
                most.why().text(),
                state.worstPain(MORNING_DAYS, known.moment()).orElse(null),
                null);
    }

    /** By the plan, where there is one. */
    private static boolean isDue(Line line, ClientPlan plan, boolean byInterval) {
        var today = plan.today();
        return plan.hasPlan() ? today != null && !today.over() && today.lines().contains(line.id()) : byInterval;
    }

    /** For a week, whatever of it is open. */
    private Map<String, List<MorningAsked>> asked(List<Client> of, Moment now) {
        var names = of.stream()
                .collect(Collectors.toMap(Client::id, c -> c.details().name()));
        var since = now.instant().minus(Duration.ofDays(MORNING_DAYS + 1));
        return runs.answered(names.keySet(), since).stream()
                .filter(r -> now.daysSince(r.answers().end()) <= MORNING_DAYS)
                .flatMap(r -> r.answers().open(now.instant(), now.zone()).stream()
                        .map(question -> new MorningAsked(
                                r.id(),
                                r.clientId(),
                                Objects.requireNonNull(names.get(r.clientId())),
                                r.name(),
                                r.answers().end(),
                                question)))
                .collect(Collectors.groupingBy(MorningAsked::clientId));
    }
}
