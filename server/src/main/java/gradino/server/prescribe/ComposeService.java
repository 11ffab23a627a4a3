package gradino.server.prescribe;

import gradino.core.advance.SessionStart;
import gradino.core.because.Because;
import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.effort.EffortSolver;
import gradino.core.effort.Forecast;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.measure.Limiter;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Method;
import gradino.core.prescribe.SessionCheck;
import gradino.core.prescribe.SessionContext;
import gradino.core.prescribe.SessionContext.LineFacts;
import gradino.core.prescribe.SessionDraft;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.core.prescribe.Shorten;
import gradino.core.prescribe.Timeline;
import gradino.core.prescribe.Totals;
import gradino.core.quantity.UncertainAngle;
import gradino.server.account.Account;
import gradino.server.account.SignedIn;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.measure.MeasureService;
import gradino.server.measure.Ranges.RangeRow;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.CompositionRepository.Composition;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Composes whole sessions: suggests, previews, shortens, solves and keeps them. */
@Service
class ComposeService {
    private static final int SECONDS_PER_MINUTE = 60;

    private final CompositionRepository compositions;
    private final MethodService methods;
    private final LineRepository lines;
    private final LineHistory history;
    private final ClientService clients;
    private final MeasureService measures;
    private final SignedIn signedIn;
    private final Clock clock;

    ComposeService(
            CompositionRepository compositions,
            MethodService methods,
            LineRepository lines,
            LineHistory history,
            ClientService clients,
            MeasureService measures,
            SignedIn signedIn,
            Clock clock) {
        this.compositions = compositions;
        this.methods = methods;
        this.lines = lines;
        this.history = history;
        this.clients = clients;
        this.measures = measures;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /** What a line amounts to. */
    record LineTotals(String line, Totals totals) {}

    /**
     * A session while it is composed. Timeline, totals and forecast are missing while nothing of it can be.
     *
     * @param set how each line is set up on each side
     */
    record ScorePreview(
            @Nullable Timeline timeline,
            @Nullable Totals totals,
            List<LineTotals> lines,
            @Nullable ForecastView forecast,
            List<LineSet> set,
            List<Finding> findings) {}

    /**
     * The forecast, thinned for drawing.
     *
     * @param everySeconds from one value of a pool to the next
     */
    record ForecastView(int everySeconds, List<PoolView> pools, List<Forecast.Shortfall> marks) {}

    /** @param capacity what could be held, % of fresh */
    record PoolView(
            String motion, String name, Side side, String joint, List<String> borrowed, List<Double> capacity) {}

    record Suggested(SessionDraft draft, List<Because> reasons) {}

    @Transactional(readOnly = true)
    ScorePreview preview(String clientId, SessionDraft draft) {
        var client = clients.get(clientId);
        var rows = measures.ranges(client, motions(draft));
        var checked = SessionCheck.check(draft, context(client, rows), methods.methods());
        var timeline = checked.timeline().orElse(null);
        return new ScorePreview(
                timeline,
                timeline == null ? null : Totals.of(timeline),
                timeline == null ? List.of() : lineTotals(draft, timeline),
                timeline == null ? null : forecast(draft, timeline),
                LineSets.of(client, draft),
                checked.findings());
    }

    private static List<LineTotals> lineTotals(SessionDraft draft, Timeline timeline) {
        return lines(draft).stream()
                .map(l -> new LineTotals(l.id(), Totals.of(timeline.ofLine(l.id()))))
                .toList();
    }

    private static ForecastView forecast(SessionDraft draft, Timeline timeline) {
        var forecast = Forecast.of(draft, timeline);
        int every = Math.max(1, timeline.seconds() / 400);
        var pools = forecast.pools().stream()
                .map(p -> new PoolView(
                        p.motion(),
                        Catalogue.motion(p.motion()).map(m -> m.name()).orElse(p.motion()),
                        p.side(),
                        p.joint(),
                        p.borrowed(),
                        thinned(p.capacity(), every)))
                .toList();
        return new ForecastView(every, pools, forecast.marks());
    }

    private static List<Double> thinned(List<Double> values, int every) {
        var some = new ArrayList<Double>();
        for (int i = every - 1; i < values.size(); i += every) {
            some.add(Math.rint(values.get(i) * 10) / 10);
        }
        return some;
    }

    private static List<LineDraft> lines(SessionDraft draft) {
        return draft.stations().stream().flatMap(s -> s.lines().stream()).toList();
    }

    private static List<String> motions(SessionDraft draft) {
        return lines(draft).stream().map(LineDraft::motion).toList();
    }

    private SessionContext context(Client client, List<RangeRow> rows) {
        var known = lines.of(client.id());
        return new SessionContext(
                client.details().minutes(),
                client.details().equipment(),
                stoppedJoints(client),
                line -> known.stream()
                        .filter(k ->
                                k.motion().equals(line.motion()) && k.position().equals(line.position()))
                        .findFirst()
                        .map(k -> facts(k, rows, line))
                        .orElseGet(() -> newLine(client, rows, line)));
    }

    private Set<String> stoppedJoints(Client client) {
        var standing = client.restrictions(StudioClock.now(clock), clock.getZone()).stream()
                .filter(r -> r.kind() == RestrictionKind.STOPPED)
                .toList();
        return Catalogue.motions().stream()
                .filter(m -> standing.stream().anyMatch(r -> r.scope().covers(m.id())))
                .map(Motion::joint)
                .collect(Collectors.toSet());
    }

    private LineFacts facts(Line known, List<RangeRow> rows, LineDraft line) {
        var context = history.context(known);
        return new LineFacts(
                context.limits(),
                context.newcomer(),
                context.held().map((side, dose) -> dose.map(Dose::angle)),
                passive(rows, line),
                !context.newcomer(),
                !context.newcomer());
    }

    private LineFacts newLine(Client client, List<RangeRow> rows, LineDraft line) {
        return new LineFacts(
                limits(client, line.motion()), true, Sided.both(Optional.empty()), passive(rows, line), false, false);
    }

    private Limits limits(Client client, String motion) {
        return client.limits(motion, StudioClock.now(clock), clock.getZone());
    }

    private static Sided<Optional<UncertainAngle>> passive(List<RangeRow> rows, LineDraft line) {
        var row = rows.stream()
                .filter(r -> r.motion().equals(line.motion()) && r.position().equals(line.position()))
                .findFirst();
        return Sided.of(side -> row.flatMap(r -> r.passive(side)));
    }

    @Transactional(readOnly = true)
    Suggested suggest(String clientId) {
        var client = clients.get(clientId);
        var wishes = measures.ranges(clientId).stream()
                .flatMap(row -> wish(client, row).stream())
                .toList();
        var suggested = SessionStart.suggest(asked(client, wishes));
        return new Suggested(suggested.draft(), suggested.reasons());
    }

    private static SessionStart.Asked asked(Client client, List<SessionStart.Wish> wishes) {
        return new SessionStart.Asked(
                wishes,
                client.details().equipment(),
                client.details().minutes(),
                (position, angle) -> Props.grid(client, position.id()).roundDown(angle));
    }

    /** A line as the client may begin with it, at the own angle where the position was measured. */
    @Transactional(readOnly = true)
    LineDraft line(String clientId, String motionId, String positionId, String methodId, String lineId) {
        var client = clients.get(clientId);
        var motion = Catalogue.motion(motionId)
                .orElseThrow(() -> Problem.invalid("motion", "unknown-motion", "Pick a motion of the list."));
        var position = Catalogue.position(positionId)
                .filter(p -> p.trains() && p.allows(motionId))
                .orElseThrow(() -> Problem.invalid(
                        "position", "position-for-motion", "This position does not train this motion."));
        var rows = measures.ranges(clientId);
        var measured = rows.stream()
                .filter(r -> r.motion().equals(motionId) && r.position().equals(positionId))
                .findFirst();
        var any = measured.or(
                () -> rows.stream().filter(r -> r.motion().equals(motionId)).findFirst());
        var known = any.flatMap(row -> wish(client, row));
        var wish = new SessionStart.Wish(
                motion,
                position,
                known.map(SessionStart.Wish::limiters).orElse(Sided.both(Limiter.UNKNOWN)),
                measured.isPresent() ? known.orElseThrow().passive() : Sided.both(Optional.empty()),
                limits(client, motionId),
                client.intake().hypermobile(LocalDate.now(clock)),
                known.map(SessionStart.Wish::newcomer).orElse(true));
        return SessionStart.line(wish, asked(client, List.of()), chosen(methodId), lineId);
    }

    /** Empty where the coach leaves it open. */
    private Optional<Method> chosen(String methodId) {
        if (methodId.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(methods.methods().stream()
                .filter(m -> m.id().equals(methodId))
                .findFirst()
                .orElseThrow(() -> Problem.invalid("method", "unknown-method", "Pick a method of the list.")));
    }

    private Optional<SessionStart.Wish> wish(Client client, RangeRow row) {
        var motion = Catalogue.motion(row.motion());
        var position = Catalogue.position(row.position());
        if (motion.isEmpty() || position.isEmpty()) {
            return Optional.empty();
        }
        boolean midline = motion.get().midline();
        var limiters = Sided.of(side ->
                row.on(midline ? Side.MIDLINE : side).map(s -> s.limiter()).orElse(Limiter.UNKNOWN));
        var passive = Sided.of(side -> row.passive(midline ? Side.MIDLINE : side));
        var day = LocalDate.now(clock);
        boolean newcomer = lines.of(client.id()).stream()
                .filter(l -> l.motion().equals(row.motion()))
                .findFirst()
                .map(l -> history.context(l).newcomer())
                .orElse(true);
        return Optional.of(new SessionStart.Wish(
                motion.get(),
                position.get(),
                limiters,
                passive,
                limits(client, row.motion()),
                client.intake().hypermobile(day),
                newcomer));
    }

    @Transactional(readOnly = true)
    Shorten.Shorter shorten(String clientId, SessionDraft draft, @Nullable Integer minutes) {
        var client = clients.get(clientId);
        var limit = minutes == null ? client.details().minutes() : minutes;
        if (limit == null || limit < 1 || limit > 240) {
            throw Problem.invalid("minutes", "required", "How many minutes are there? Between 1 and 240.");
        }
        return Shorten.toFit(draft, limit * SECONDS_PER_MINUTE);
    }

    @Transactional(readOnly = true)
    EffortSolver.WaysOut solve(String clientId, SessionDraft draft, int station, int line, int block) {
        clients.get(clientId);
        boolean there = station >= 0
                && station < draft.stations().size()
                && line >= 0
                && line < draft.stations().get(station).lines().size()
                && block >= 0;
        if (!there) {
            throw Problem.invalid("block", "unknown", "There is no such block in this session.");
        }
        return EffortSolver.solve(draft, station, line, block);
    }

    @Transactional(readOnly = true)
    List<Composition> of(String clientId) {
        clients.get(clientId);
        return compositions.of(clientId);
    }

    @Transactional(readOnly = true)
    Composition get(String clientId, String id) {
        clients.get(clientId);
        return compositions.find(clientId, id).orElseThrow(Problem::nothingHere);
    }

    /** Keeps a session; what breaks a restriction or cannot be is refused with its reasons. */
    @Transactional
    Composition save(String clientId, String id, String name, SessionDraft draft) {
        var client = clients.get(clientId);
        var checked =
                SessionCheck.check(draft, context(client, measures.ranges(client, motions(draft))), methods.methods());
        Problem.throwIfBlocking(checked.findings());
        if (checked.timeline().isEmpty()) {
            throw Problem.invalid("stations", "empty", "Nothing is in this session yet: add a line.");
        }
        if (name.isBlank() || name.length() > 120) {
            throw Problem.invalid("name", "required", "A name of up to 120 letters.");
        }
        var me = signedIn.account().map(Account::id).orElse(null);
        compositions.insert(new Composition(id, clientId, me, name.strip(), draft, StudioClock.now(clock)));
        return get(clientId, id);
    }
}
