package gradino.server.prescribe;

import gradino.core.advance.Start;
import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.measure.Instrument;
import gradino.core.prescribe.Compiler;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.PlanCheck;
import gradino.core.prescribe.PlanContext;
import gradino.core.prescribe.Timeline;
import gradino.core.prescribe.Totals;
import gradino.core.quantity.UncertainAngle;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.measure.ColdSeries;
import gradino.server.measure.MeasurementRepository;
import gradino.server.measure.NoiseService;
import gradino.server.measure.Ranges;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.LineRepository.PlanVersion;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Prescribes: suggests, previews, opens and changes lines. */
@Service
public class LineService {
    private final LineRepository lines;
    private final LineHistory history;
    private final EachLine each;
    private final ClientService clients;
    private final MeasurementRepository measurements;
    private final NoiseService noise;
    private final Clock clock;

    LineService(
            LineRepository lines,
            LineHistory history,
            EachLine each,
            ClientService clients,
            MeasurementRepository measurements,
            NoiseService noise,
            Clock clock) {
        this.lines = lines;
        this.history = history;
        this.each = each;
        this.clients = clients;
        this.measurements = measurements;
        this.noise = noise;
        this.clock = clock;
    }

    /** A line with the plan to train with today. */
    public record CurrentLine(Line line, Plan plan, Sided<Props.SetUp> props, int minutes) {}

    /** A plan while it is edited. Timeline and totals are missing while something is nonsense. */
    public record PlanPreview(
            @Nullable Timeline timeline,
            @Nullable Totals totals,
            Sided<Props.@Nullable SetUp> props,
            List<Finding> findings) {}

    /** Where to begin, or what is missing for it. */
    public record Suggestion(@Nullable Plan plan, List<Finding> findings) {}

    @Transactional(readOnly = true)
    public Line get(String id) {
        return lines.find(id).orElseThrow(() -> Problem.notFound("line"));
    }

    @Transactional(readOnly = true)
    public CurrentLine current(String id) {
        return current(get(id));
    }

    /** A client's lines without their plans. */
    @Transactional(readOnly = true)
    public List<Line> known(String clientId) {
        return lines.of(clientId);
    }

    @Transactional(readOnly = true)
    public List<CurrentLine> of(String clientId) {
        clients.get(clientId);
        return lines.of(clientId).stream()
                .flatMap(line -> each.tried(line, () -> worked(line)).found().stream())
                .toList();
    }

    @Transactional(readOnly = true)
    public Suggestion suggest(String clientId, String motion, String position, Instrument instrument) {
        var client = clients.get(clientId);
        var passive = passive(client, motion, position, instrument);
        var missing = missing(passive);
        if (!missing.isEmpty()) {
            return new Suggestion(null, missing);
        }
        var plan = Start.firstPlan(
                motion,
                position,
                passive.map((s, p) -> p.orElseThrow()),
                Props.grid(client, position),
                limits(client, motion),
                history.policy());
        return new Suggestion(plan, List.of());
    }

    private static List<Finding> missing(Sided<Optional<UncertainAngle>> passive) {
        return Side.PAIR.stream()
                .filter(s -> passive.on(s).isEmpty())
                .map(s -> Finding.blocking(
                        s.word(),
                        "measure-first",
                        null,
                        "",
                        "Measure the " + s.word() + " side first: passive and cold, in this position."))
                .toList();
    }

    @Transactional(readOnly = true)
    public PlanPreview preview(String clientId, @Nullable String lineId, Instrument instrument, Plan plan) {
        var client = clients.get(clientId);
        var findings = PlanCheck.check(plan, context(client, lineId, instrument, plan));
        boolean compiles = findings.stream()
                .noneMatch(f -> f.path().equals("position") || f.path().equals("motion"));
        var timeline = compiles ? Compiler.compile(plan) : null;
        var grid = Props.grid(client, plan.position());
        return new PlanPreview(
                timeline,
                timeline == null ? null : Totals.of(timeline),
                plan.doses().map((s, d) -> Props.setUp(grid, d.angle())),
                findings);
    }

    @Transactional
    public CurrentLine open(String clientId, String lineId, Instrument instrument, Plan plan) {
        var client = clients.get(clientId);
        var known = lines.find(lineId);
        if (known.filter(line -> !line.clientId().equals(clientId)).isPresent()) {
            throw Problem.nothingHere();
        }
        if (known.isEmpty()) {
            Problem.throwIfBlocking(PlanCheck.check(plan, context(client, null, instrument, plan)));
            var now = StudioClock.now(clock);
            lines.insert(new Line(lineId, clientId, plan.motion(), plan.position(), instrument, now, now));
            lines.addPlan(new PlanVersion(lineId, onProps(client, plan), now, now));
        }
        return current(lineId);
    }

    @Transactional
    public CurrentLine change(String lineId, Plan plan) {
        var line = get(lineId);
        if (line.composed() != null) {
            throw Problem.conflict("composed", "This line is part of a composed session: change it there.");
        }
        var client = clients.get(line.clientId());
        if (!plan.motion().equals(line.motion()) || !plan.position().equals(line.position())) {
            throw Problem.invalid(
                    "position", "another-line", "Another motion or position is another line: prescribe a new one.");
        }
        Problem.throwIfBlocking(PlanCheck.check(plan, context(client, lineId, line.instrument(), plan)));
        var before = history.current(line);
        var wanted = onProps(client, plan);
        var now = StudioClock.now(clock);
        lines.addPlan(new PlanVersion(lineId, wanted, now, now));
        for (var side : Side.PAIR) {
            if (!before.dose(side).equals(wanted.dose(side))) {
                history.edited(line, side, before.dose(side), wanted.dose(side), now);
            }
        }
        return current(lineId);
    }

    /** The angle that the props reach is what is stored. */
    private static Plan onProps(Client client, Plan plan) {
        var grid = Props.grid(client, plan.position());
        return plan.withDoses(plan.doses().map((s, d) -> d.withAngle(grid.roundDown(d.angle()))));
    }

    private CurrentLine current(Line line) {
        return each.required(line, () -> worked(line));
    }

    private CurrentLine worked(Line line) {
        var plan = history.current(line);
        var grid = Props.grid(clients.get(line.clientId()), line.position());
        int seconds = Compiler.compile(plan).seconds();
        return new CurrentLine(
                line, plan, plan.doses().map((s, d) -> Props.setUp(grid, d.angle())), (seconds + 59) / 60);
    }

    private PlanContext context(Client client, @Nullable String lineId, Instrument instrument, Plan plan) {
        if (lineId != null) {
            return history.context(get(lineId));
        }
        return new PlanContext(
                limits(client, plan.motion()),
                true,
                client.details().minutes(),
                Sided.both(Optional.empty()),
                passive(client, plan.motion(), plan.position(), instrument));
    }

    private Sided<Optional<UncertainAngle>> passive(
            Client client, String motion, String position, Instrument instrument) {
        var ranges = new Ranges(client, noise.book(), noise.gapLimit(), StudioClock.now(clock), clock.getZone());
        var row = ranges.of(ColdSeries.of(measurements.of(client.id())), motion, position, instrument);
        return Sided.of(side -> row.flatMap(r -> r.passive(side)));
    }

    private Limits limits(Client client, String motion) {
        return client.limits(motion, StudioClock.now(clock), clock.getZone());
    }
}
