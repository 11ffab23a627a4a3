package gradino.server.perform;

import gradino.core.advance.Threshold;
import gradino.core.body.Side;
import gradino.core.measure.Instrument;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.BlockKind;
import gradino.core.prescribe.Compiler;
import gradino.core.prescribe.PlanCheck;
import gradino.core.prescribe.Timeline;
import gradino.core.prescribe.Variants;
import gradino.core.quantity.Tenths;
import gradino.server.account.SignedIn;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.perform.Floor.FloorLine;
import gradino.server.perform.SessionRepository.Closed;
import gradino.server.perform.SessionRepository.Morning;
import gradino.server.perform.SessionRepository.Opened;
import gradino.server.perform.SessionRepository.StoredBlock;
import gradino.server.perform.VisitRepository.Visit;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.ComposeService;
import gradino.server.prescribe.EachLine;
import gradino.server.prescribe.Line;
import gradino.server.prescribe.LineHistory;
import gradino.server.prescribe.LineService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Runs sessions: opens them with their compiled plan, keeps each finished block at once, closes them whole. */
@Service
public class SessionService {
    private static final Duration STALE = Duration.ofHours(12);
    /** Counted as seen by a coach: nobody says that of themselves. */
    private static final Set<Observer> COACHES = Set.of(Observer.COACH, Observer.VIDEO_CALL);

    private static final String NOT_DONE = "not done";

    private final SessionRepository sessions;
    private final VisitRepository visits;
    private final RunningSessions running;
    private final ForceService forces;
    private final ComposeService compose;
    private final LineService lines;
    private final LineHistory history;
    private final EachLine each;
    private final ClientService clients;
    private final SignedIn signedIn;
    private final Clock clock;

    SessionService(
            SessionRepository sessions,
            VisitRepository visits,
            RunningSessions running,
            ForceService forces,
            ComposeService compose,
            LineService lines,
            LineHistory history,
            EachLine each,
            ClientService clients,
            SignedIn signedIn,
            Clock clock) {
        this.sessions = sessions;
        this.visits = visits;
        this.running = running;
        this.forces = forces;
        this.compose = compose;
        this.lines = lines;
        this.history = history;
        this.each = each;
        this.clients = clients;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    @Transactional
    public Floor open(String lineId, String sessionId) {
        var line = lines.get(lineId);
        var known = sessions.find(sessionId);
        if (known.isPresent() || visits.find(sessionId).isPresent()) {
            if (known.filter(k -> k.lineId().equals(lineId)).isEmpty()) {
                throw Problem.nothingHere();
            }
            return floor(sessionId);
        }
        if (line.composed() != null) {
            throw Problem.conflict("composed", "This line is part of a composed session: start that.");
        }
        var now = StudioClock.now(clock);
        var unclosed = sessions.unclosed(lineId)
                .filter(s -> s.happenedAt().isAfter(now.minus(STALE)))
                .filter(s -> sessions.timeline(s.id()).isPresent());
        if (unclosed.isPresent()) {
            return floor(unclosed.get().id());
        }
        var plan = each.required(line, () -> history.current(line));
        Problem.throwIfBlocking(each.required(line, () -> history.forbids(line)));
        var context = each.required(line, () -> history.context(line));
        Problem.throwIfBlocking(PlanCheck.check(plan, context).stream()
                .filter(f -> !f.code().equals("above-range"))
                .toList());
        sessions.open(new Opened(sessionId, lineId, line.clientId(), plan, now, now), Compiler.compile(plan));
        sessions.addVariants(sessionId, Variants.of(plan, context));
        return floor(sessionId);
    }

    /** Runs what was composed; it must still be allowed today. One that is open already is gone on with. */
    @Transactional
    public Floor openComposed(String clientId, String compositionId, String sessionId) {
        var client = clients.get(clientId);
        var known = visits.find(sessionId);
        if (known.isPresent() || sessions.find(sessionId).isPresent()) {
            if (known.filter(v ->
                            v.clientId().equals(clientId) && v.compositionId().equals(compositionId))
                    .isEmpty()) {
                throw Problem.nothingHere();
            }
            return floor(sessionId);
        }
        var now = StudioClock.now(clock);
        var unclosed = visits.unclosed(clientId, compositionId)
                .filter(v -> v.happenedAt().isAfter(now.minus(STALE)));
        if (unclosed.isPresent()) {
            return floor(unclosed.get().id());
        }
        Problem.throwIfBlocking(history.forbids(clientId));
        var ready = compose.ready(client, compositionId);
        var composed = ready.composition();
        visits.open(
                new Visit(sessionId, clientId, compositionId, composed.name(), composed.draft(), now, now),
                ready.timeline());
        sessions.addVariants(sessionId, ready.variants());
        return floor(sessionId);
    }

    @Transactional(readOnly = true)
    public Floor floor(String sessionId) {
        var running = this.running.find(sessionId);
        var client = clients.get(running.clientId());
        return new Floor(
                sessionId,
                running.line().map(Opened::lineId).orElse(null),
                running.clientId(),
                client.details().name(),
                running.visit().map(Visit::name).orElse(""),
                running.line().map(Opened::plan).orElse(null),
                running.timeline(),
                floorLines(running, client),
                forces.references(running, client),
                running.variants(),
                history.policy().whole(Threshold.PAIN_TOO_MUCH),
                sessions.blocks(sessionId).stream()
                        .map(b -> b.block().blockId())
                        .distinct()
                        .toList(),
                sessions.closed(sessionId).isPresent(),
                running.openedAt());
    }

    private List<FloorLine> floorLines(Running running, Client client) {
        var known = lines.known(client.id());
        return running.places().stream()
                .map(place -> FloorLine.of(
                        client,
                        place,
                        place.first(),
                        (motion, position) -> known.stream()
                                .filter(l -> l.motion().equals(motion)
                                        && l.position().equals(position))
                                .map(Line::instrument)
                                .findFirst()
                                .orElse(Instrument.GONIOMETER)))
                .toList();
    }

    /** Stores a finished block; the same id again is the same block, stored once. */
    @Transactional
    public void block(String sessionId, String id, BlockRecord block) {
        if (running.find(sessionId).phases(block.blockId()).isEmpty()) {
            throw Problem.invalid(
                    "block.blockId", "unknown-block", "This session has no block " + block.blockId() + ".");
        }
        var now = StudioClock.now(clock);
        sessions.addBlocks(List.of(new StoredBlock(id, sessionId, block, now, now)));
    }

    /** The last record of each block, in the order in which they came first. */
    @Transactional(readOnly = true)
    public List<BlockRecord> blocks(String sessionId) {
        running.find(sessionId);
        return SessionRepository.latest(sessions.blocks(sessionId));
    }

    @Transactional
    public Summary close(String sessionId, CloseDraft draft) {
        var session = running.find(sessionId);
        if (sessions.closed(sessionId).isEmpty()) {
            if (signedIn.guest().isPresent() && COACHES.contains(draft.observer())) {
                throw Problem.invalid("observer", "at-home", "At home no coach watched.");
            }
            var now = StudioClock.now(clock);
            sessions.addBlocks(missing(session, now));
            sessions.close(new Closed(
                    sessionId,
                    draft.observer(),
                    draft.rating(),
                    draft.stopSign(),
                    draft.stopSide(),
                    draft.note(),
                    now,
                    now));
        }
        return summary(sessionId);
    }

    /** How a session ends. A stop sign closes it as stopped. */
    public record CloseDraft(
            Observer observer,
            @Nullable Tenths rating,
            @Nullable StopSign stopSign,
            @Nullable Side stopSide,
            String note) {}

    /** Planned blocks without a record were not done: that is said, never silently left out. */
    private List<StoredBlock> missing(Running session, Instant now) {
        var done = sessions.blocks(session.id()).stream()
                .map(b -> b.block().blockId())
                .collect(Collectors.toSet());
        Map<String, List<Timeline.Phase>> planned = session.timeline().phases().stream()
                .filter(p -> p.block() != BlockKind.SET_UP && p.block() != BlockKind.SIDE_CHANGE)
                .filter(p -> !done.contains(p.blockId()))
                .collect(Collectors.groupingBy(Timeline.Phase::blockId, LinkedHashMap::new, Collectors.toList()));
        return planned.values().stream()
                .map(phases -> new StoredBlock(
                        session.id() + "/" + phases.get(0).blockId(), session.id(), notDone(phases), now, now))
                .toList();
    }

    private static BlockRecord notDone(List<Timeline.Phase> phases) {
        var first = phases.get(0);
        return new BlockRecord(
                first.blockId(),
                first.side(),
                first.block(),
                phases.stream()
                        .map(p -> new PhaseDone(p.kind(), p.seconds(), 0))
                        .toList(),
                null,
                List.of(),
                List.of(),
                0,
                false,
                NOT_DONE,
                "",
                null);
    }

    @Transactional(readOnly = true)
    public Summary summary(String sessionId) {
        var session = running.find(sessionId);
        var blocks = new ArrayList<>(sessions.blocks(sessionId));
        var closed = sessions.closed(sessionId);
        if (closed.isEmpty()) {
            blocks.addAll(missing(session, StudioClock.now(clock)));
        }
        return Summary.of(
                SessionRepository.latest(blocks),
                closed.orElse(null),
                sessions.lastMorning(sessionId).orElse(null),
                forces.referenceSeconds(sessionId));
    }

    /** A client's runs of what was composed, newest first. */
    @Transactional(readOnly = true)
    public List<Run> runs(String clientId) {
        clients.get(clientId);
        return visits.of(clientId).stream()
                .map(v -> new Run(
                        v.id(),
                        v.compositionId(),
                        v.name(),
                        v.happenedAt(),
                        sessions.closed(v.id()).orElse(null)))
                .toList();
    }

    /** One run. */
    public record Run(
            String id,
            String compositionId,
            String name,
            Instant openedAt,
            @Nullable Closed closed) {}

    @Transactional
    public void morning(String sessionId, String id, boolean settled, @Nullable Tenths soreness) {
        running.find(sessionId);
        if (sessions.closed(sessionId).isEmpty()) {
            throw Problem.conflict("still-open", "This session is still open: close it first.");
        }
        var now = StudioClock.now(clock);
        sessions.addMorning(new Morning(id, sessionId, settled, soreness, now, now));
    }
}
