package gradino.server.advance.line;

import gradino.core.advance.state.Event;
import gradino.core.advance.state.Event.DoseDecided;
import gradino.core.advance.state.Moment;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.server.advance.line.PauseRepository.StoredPause;
import gradino.server.intake.Client;
import gradino.server.intake.IntakeRepository;
import gradino.server.intake.IntakeRepository.StoredClearance;
import gradino.server.measure.Measurement;
import gradino.server.measure.MeasurementRepository;
import gradino.server.measure.NoiseService;
import gradino.server.perform.record.RecordRepository.Closed;
import gradino.server.perform.record.StopRepository;
import gradino.server.perform.record.StopRepository.Stop;
import gradino.server.platform.Problem;
import gradino.server.platform.StorageException;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.LineRepository.LineVersion;
import gradino.server.prescribe.program.Props;
import gradino.server.prescribe.program.SessionRepository;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads what was recorded of lines: of however many, in the same number of statements. */
@Component
class Gathering {
    private final LineRepository lines;
    private final IntakeRepository intakes;
    private final MeasurementRepository measurements;
    private final NoiseService noise;
    private final StopRepository stops;
    private final DecisionRepository decisions;
    private final PauseRepository pauses;
    private final LineRuns runs;
    private final SessionRepository sessions;

    Gathering(
            LineRepository lines,
            IntakeRepository intakes,
            MeasurementRepository measurements,
            NoiseService noise,
            StopRepository stops,
            DecisionRepository decisions,
            PauseRepository pauses,
            LineRuns runs,
            SessionRepository sessions) {
        this.lines = lines;
        this.intakes = intakes;
        this.measurements = measurements;
        this.noise = noise;
        this.stops = stops;
        this.decisions = decisions;
        this.pauses = pauses;
        this.runs = runs;
        this.sessions = sessions;
    }

    /** Everything that was read together; by line, by client. */
    private record Rows(
            Versions versions,
            LineRuns.Read runs,
            Map<String, List<DoseDecided>> decisions,
            Map<String, List<Measurement>> measurements,
            Map<String, List<StoredPause>> pauses,
            Map<String, List<StoredClearance>> clearances,
            Map<String, List<Stop>> stops,
            NoiseBook book) {}

    /**
     * What each line is judged by, for {@code facts} of its client. Asking for one that cannot be read throws; those beside it
     * are none the worse.
     */
    Map<String, Supplier<Inputs>> of(Collection<Line> wanted, ClientSide.Facts facts, Moment moment) {
        var found = new HashMap<String, Supplier<Inputs>>();
        try {
            var rows = read(wanted);
            wanted.forEach(line -> found.put(line.id(), told(() -> inputs(line, rows, facts, moment))));
        } catch (StorageException theDatabaseItself) {
            throw theDatabaseItself;
        } catch (RuntimeException oneOfThem) {
            wanted.forEach(line -> found.put(line.id(), told(() -> inputs(line, read(List.of(line)), facts, moment))));
        }
        return found;
    }

    /** Worked out at once, in the transaction; what went wrong is thrown when somebody asks. */
    private static Supplier<Inputs> told(Supplier<Inputs> work) {
        try {
            var inputs = work.get();
            return () -> inputs;
        } catch (StorageException theDatabaseItself) {
            throw theDatabaseItself;
        } catch (RuntimeException e) {
            return () -> {
                throw e;
            };
        }
    }

    private Rows read(Collection<Line> wanted) {
        var lineIds = wanted.stream().map(Line::id).toList();
        var clientIds = wanted.stream().map(Line::clientId).distinct().toList();
        return new Rows(
                Versions.of(lines.versionsOf(clientIds), sessions.of(clientIds)),
                runs.read(lineIds),
                decisions.inForce(lineIds),
                by(Measurement::clientId, measurements.of(clientIds)),
                by(StoredPause::clientId, pauses.of(clientIds)),
                by(StoredClearance::clientId, intakes.clearances(clientIds)),
                stops.of(clientIds),
                noise.book());
    }

    private static <T> Map<String, List<T>> by(Function<T, String> key, List<T> rows) {
        return rows.stream().collect(Collectors.groupingBy(key));
    }

    private Inputs inputs(Line line, Rows rows, ClientSide.Facts facts, Moment moment) {
        var client = facts.client(line);
        var versions = rows.versions().of(line.id());
        var plan = plan(versions);
        return new Inputs(
                line.id(),
                plan,
                Props.grid(client, line.position()),
                facts.of(line, rows.versions().minutes(client, line, plan)),
                events(line, plan, client, rows, moment.zone()),
                moment.instant(),
                moment.zone().getId(),
                Method.byId(plan.method()).isPresent() ? null : ownMethod(plan.method()),
                List.of());
    }

    /** The newest plan's shared part with the first plan's doses, which are the bases. */
    private static Plan plan(List<LineVersion> versions) {
        return versions.get(versions.size() - 1)
                .plan()
                .withDoses(Sided.of(versions.get(0).plan()::done));
    }

    /** What was decided while both sides had one dose holds for each, should they be parted since. */
    private static void decided(List<DoseDecided> decisions, List<LineVersion> versions, List<Event> events) {
        boolean ever = versions.stream().anyMatch(v -> v.plan().sides() == SideOrder.TOGETHER);
        for (var decision : decisions) {
            events.add(decision);
            if (ever && decision.side() == Side.LEFT && wasTogether(versions, decision.recordedAt())) {
                events.add(decision.on(Side.RIGHT));
            }
        }
    }

    private static boolean wasTogether(List<LineVersion> versions, Instant at) {
        var then = versions.get(0);
        for (var version : versions) {
            then = version.recordedAt().isAfter(at) ? then : version;
        }
        return then.plan().sides() == SideOrder.TOGETHER;
    }

    /** A method of the studio. */
    private Method ownMethod(String id) {
        return sessions.methods().stream()
                .filter(m -> m.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("method"));
    }

    private static List<Event> events(Line line, Plan plan, Client client, Rows rows, ZoneId zone) {
        var events = new ArrayList<Event>();
        LineReadings.of(
                line,
                plan.instrument(),
                rows.measurements().getOrDefault(client.id(), List.of()),
                rows.book(),
                zone,
                events);
        rows.runs().held(line, events).forEach(h -> events.add(new Event.SessionHeld(h.record(), h.recordedAt())));
        rows.runs()
                .mornings(line)
                .forEach(m -> events.add(new Event.MorningAnswered(
                        m.runId(),
                        m.question(),
                        m.settled(),
                        m.soreness(),
                        m.correction(),
                        m.happenedAt(),
                        m.recordedAt())));
        decided(
                rows.decisions().getOrDefault(line.id(), List.of()),
                rows.versions().of(line.id()),
                events);
        rows.pauses().getOrDefault(client.id(), List.of()).forEach(p -> events.add(paused(p, zone)));
        events.addAll(ClearedSigns.of(rows.clearances().getOrDefault(client.id(), List.of()), zone));
        var joint = Catalogue.motion(line.motion()).map(Motion::joint).orElse("");
        rows.stops().getOrDefault(client.id(), List.of()).stream()
                .filter(stop -> stop.reaches(joint) && !rows.runs().has(line, stop.runId()))
                .forEach(stop -> events.add(new Event.StopSignElsewhere(
                        stop.runId(), stop.sign(), stop.side(), stop.happenedAt(), stop.recordedAt())));
        methods(rows.versions().of(line.id()), events);
        return events;
    }

    /** Days begin at midnight where the studio is. */
    private static Event.Paused paused(StoredPause p, ZoneId zone) {
        var until = p.until() == null ? null : p.until().atStartOfDay(zone).toInstant();
        return new Event.Paused(p.kind(), p.from().atStartOfDay(zone).toInstant(), until, p.recordedAt());
    }

    /** Stop signs of the client's other lines reach this one as far as their scope says. */
    static void elsewhere(Closed stop, List<Event> events) {
        var sign = stop.stopSign();
        if (sign != null) {
            events.add(new Event.StopSignElsewhere(
                    stop.runId(), sign, stop.stopSide(), stop.happenedAt(), stop.recordedAt()));
        }
    }

    private static void methods(List<LineVersion> versions, List<Event> events) {
        for (int i = 1; i < versions.size(); i++) {
            var before = versions.get(i - 1).plan().method();
            var version = versions.get(i);
            if (!before.equals(version.plan().method())) {
                events.add(new Event.MethodChanged(
                        before, version.plan().method(), version.happenedAt(), version.recordedAt()));
            }
        }
    }
}
