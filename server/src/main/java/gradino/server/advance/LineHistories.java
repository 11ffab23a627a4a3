package gradino.server.advance;

import gradino.core.advance.Advance;
import gradino.core.advance.ClientFacts;
import gradino.core.advance.Event;
import gradino.core.advance.Event.Answer;
import gradino.core.advance.Event.DoseDecided;
import gradino.core.advance.Moment;
import gradino.core.advance.Policy;
import gradino.core.advance.Threshold;
import gradino.core.because.Finding;
import gradino.core.because.Verdict;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.effort.Gravity;
import gradino.core.effort.Limb;
import gradino.core.measure.LimiterReason.Wanted;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Method;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.SessionContext.LineFacts;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.server.advance.DecisionRepository.StoredDecision;
import gradino.server.advance.PauseRepository.StoredPause;
import gradino.server.intake.Client;
import gradino.server.intake.ClientRepository;
import gradino.server.intake.IntakeRepository;
import gradino.server.measure.NoiseService;
import gradino.server.measure.Ranges;
import gradino.server.perform.RecordRepository;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.ComposeService;
import gradino.server.prescribe.Line;
import gradino.server.prescribe.LineHistory;
import gradino.server.prescribe.LineRepository;
import gradino.server.prescribe.LineRepository.LineVersion;
import gradino.server.prescribe.LineSets;
import gradino.server.prescribe.Props;
import gradino.server.prescribe.SessionRepository;
import gradino.server.prescribe.SessionRepository.Saving;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Gathers a line's recorded facts and lets core fold them. */
@Component
public class LineHistories implements LineHistory {
    private final LineRepository lines;
    private final ClientRepository clients;
    private final IntakeRepository intakes;
    private final LineReadings readings;
    private final NoiseService noise;
    private final RecordRepository sessions;
    private final DecisionRepository decisions;
    private final PauseRepository pauses;
    private final LineRuns runs;
    private final SessionRepository arrangements;
    private final PolicyService policies;
    private final Clock clock;

    LineHistories(
            LineRepository lines,
            ClientRepository clients,
            IntakeRepository intakes,
            LineReadings readings,
            NoiseService noise,
            RecordRepository sessions,
            DecisionRepository decisions,
            PauseRepository pauses,
            LineRuns runs,
            SessionRepository arrangements,
            PolicyService policies,
            Clock clock) {
        this.lines = lines;
        this.clients = clients;
        this.intakes = intakes;
        this.readings = readings;
        this.noise = noise;
        this.sessions = sessions;
        this.decisions = decisions;
        this.pauses = pauses;
        this.runs = runs;
        this.arrangements = arrangements;
        this.policies = policies;
        this.clock = clock;
    }

    @Override
    public Policy policy() {
        return policies.current();
    }

    /** The facts of a line as they are known now. */
    public Inputs inputs(Line line) {
        return inputs(line, StudioClock.moment(clock));
    }

    /** The same, as they would be judged at another moment. */
    public Inputs inputs(Line line, Moment moment) {
        var client = clients.find(line.clientId()).orElseThrow(() -> Problem.notFound("client"));
        var events = new ArrayList<Event>();
        readings.of(line, events);
        held(line, events);
        sessions.mornings(line.id())
                .forEach(m -> events.add(new Event.MorningAnswered(
                        m.sessionId(), m.settled(), m.soreness(), m.happenedAt(), m.recordedAt())));
        decisions.of(line.id()).stream().filter(d -> d.undoneAt() == null).forEach(d -> events.add(d.decided()));
        pauses.of(line.clientId()).forEach(p -> events.add(paused(p, moment.zone())));
        intakes.clearances(line.clientId()).stream()
                .filter(c -> c.clearance().stopSigns())
                .forEach(c -> events.add(
                        new Event.Cleared(c.clearance().clearsUpTo(c.happenedAt(), moment.zone()), c.recordedAt())));
        elsewhere(line, events);
        var versions = versions(line);
        methods(versions, events);
        var plan = plan(versions);
        return new Inputs(
                plan,
                Props.grid(client, line.position()),
                facts(client, line, minutes(client, line, plan), moment),
                events,
                moment.instant(),
                moment.zone().getId(),
                Method.byId(plan.method()).isPresent() ? null : ownMethod(plan.method()));
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

    /** Days begin at midnight where the studio is. */
    private static Event.Paused paused(StoredPause p, ZoneId zone) {
        var until = p.until() == null ? null : p.until().atStartOfDay(zone).toInstant();
        return new Event.Paused(p.kind(), p.from().atStartOfDay(zone).toInstant(), until, p.recordedAt());
    }

    private void held(Line line, List<Event> events) {
        runs.held(line, events).forEach(h -> events.add(new Event.SessionHeld(h.record(), h.recordedAt())));
    }

    /** A method of the studio. */
    private Method ownMethod(String id) {
        return arrangements.methods().stream()
                .filter(m -> m.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("method"));
    }

    @Override
    public Plan current(Line line) {
        var inputs = inputs(line);
        var state = inputs.state(policies.current());
        return state.plan()
                .withDoses(Sided.of(side -> Advance.effectiveDose(state, side, policies.current(), inputs.moment())));
    }

    @Override
    public LineFacts facts(Line line) {
        var inputs = inputs(line);
        return Advance.facts(inputs.state(policies.current()), policies.current(), inputs.moment());
    }

    /** One stopped side holds the whole line back: sides are never silently unequal. */
    @Override
    public List<Finding> forbids(Line line) {
        var inputs = inputs(line);
        var state = inputs.state(policies.current());
        return state.plan().trained().stream()
                .map(side -> Advance.propose(state, side, policies.current(), inputs.moment()))
                .filter(p -> p.verdict() == Verdict.STOP_AND_REFER)
                .map(p -> Finding.blocking(
                        p.side().word(), "stop-sign", null, "", p.why().text()))
                .distinct()
                .toList();
    }

    @Override
    public void edited(Line line, Side side, Dose before, Dose after, Instant at) {
        var decided = new DoseDecided(
                UUID.randomUUID().toString(), side, Answer.EDITED, Verdict.STAY, null, before, after, at, at);
        decisions.insert(new StoredDecision(
                line.id(), decided, "", null, null, policies.current().version(), Advance.ENGINE_VERSION, null));
    }

    private List<LineVersion> versions(Line line) {
        var versions = lines.versions(line.id());
        if (versions.isEmpty()) {
            throw Problem.notFound("plan");
        }
        return versions;
    }

    /** The newest plan's shared part with the first plan's doses, which are the bases. */
    private static Plan plan(List<LineVersion> versions) {
        return versions.get(versions.size() - 1)
                .plan()
                .withDoses(versions.get(0).plan().doses());
    }

    /** @param minutes that the line has; null when not said */
    ClientFacts facts(Client client, Line line, @Nullable Integer minutes, Moment moment) {
        var day = moment.day(moment.instant());
        var wanted = Ranges.wanted(client, line.motion(), line.position(), day);
        return new ClientFacts(
                client.limits(line.motion(), moment.instant(), moment.zone()),
                client.intake().hypermobile(day),
                minutes,
                wanted.map(Wanted::degrees).orElse(null),
                client.goalFor(line.motion()).orElse(null),
                wanted.map(Wanted::flagAboveDegrees).orElse(null),
                noise.gapLimit(),
                limb(client, line),
                sessions.closedBeside(line.id(), since(moment)));
    }

    private Instant since(Moment moment) {
        int days = policies.current().whole(Threshold.GAP_NEWCOMER_DAYS);
        return moment.instant().minus(Duration.ofDays(days));
    }

    /** What the rest of the sessions that a line stands in leaves of the client's minutes: the least of them. */
    private @Nullable Integer minutes(Client client, Line line, Plan plan) {
        var minutes = client.details().minutes();
        if (minutes == null) {
            return null;
        }
        return arrangements.of(line.clientId()).stream()
                .filter(s -> s.has(line.id()))
                .map(s -> plan.minutesLeft(minutes, seconds(s)))
                .min(Comparator.naturalOrder())
                .orElse(minutes);
    }

    /** As its lines were last prescribed: nothing is folded to tell the time. */
    private int seconds(Saving session) {
        var body = Objects.requireNonNull(session.body());
        return ComposeService.timeline(body.with(this::prescribed)).seconds();
    }

    private LineDraft prescribed(String lineId) {
        var versions = lines.versions(lineId);
        return versions.get(versions.size() - 1).plan().draft(lineId);
    }

    /** What a load hangs on. */
    private static @Nullable Gravity limb(Client client, Line line) {
        return Catalogue.position(line.position()).stream()
                .flatMap(p -> LineSets.heldUp(client, p).stream())
                .map(Limb::gravity)
                .findFirst()
                .orElse(null);
    }

    /** Stop signs of the client's other lines reach this one as far as their scope says. */
    private void elsewhere(Line line, List<Event> events) {
        for (var stop : sessions.stopsBeside(line.clientId(), line.id())) {
            var sign = stop.stopSign();
            if (sign != null) {
                events.add(new Event.StopSignElsewhere(
                        stop.sessionId(), sign, stop.stopSide(), stop.happenedAt(), stop.recordedAt()));
            }
        }
    }
}
