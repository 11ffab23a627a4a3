package gradino.server.perform;

import gradino.core.advance.Policy;
import gradino.core.advance.Threshold;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.DoneRatio;
import gradino.core.perform.Observer;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.SessionRecord;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.BlockKind;
import gradino.core.prescribe.Compiler;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.PlanCheck;
import gradino.core.prescribe.Timeline;
import gradino.core.quantity.Tenths;
import gradino.server.intake.ClientService;
import gradino.server.perform.SessionRepository.Closed;
import gradino.server.perform.SessionRepository.Morning;
import gradino.server.perform.SessionRepository.Opened;
import gradino.server.perform.SessionRepository.StoredBlock;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.LineHistory;
import gradino.server.prescribe.LineService;
import gradino.server.prescribe.Props;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Runs sessions: opens them with their compiled plan, keeps each finished block at once, closes them whole. */
@Service
public class SessionService {
    private static final Duration STALE = Duration.ofHours(12);
    private static final String NOT_DONE = "not done";

    private final SessionRepository sessions;
    private final LineService lines;
    private final LineHistory history;
    private final ClientService clients;
    private final Clock clock;

    SessionService(
            SessionRepository sessions, LineService lines, LineHistory history, ClientService clients, Clock clock) {
        this.sessions = sessions;
        this.lines = lines;
        this.history = history;
        this.clients = clients;
        this.clock = clock;
    }

    /** All that a floor needs to run or resume, so that it needs no rule of its own. */
    public record Floor(
            String id,
            String lineId,
            String clientId,
            String clientName,
            Plan plan,
            Timeline timeline,
            Sided<Props.SetUp> props,
            int painEndsBlockAbove,
            List<String> doneBlocks,
            boolean closed,
            Instant openedAt) {}

    /** One side, planned against done. */
    public record SideSummary(
            double ratio,
            double lowestPhase,
            double holdRatio,
            double plannedSeconds,
            double doneSeconds,
            int worstPain,
            int faults,
            int cramps,
            List<String> left) {}

    /** What the closing sheet shows. */
    public record Summary(
            Sided<SideSummary> sides,
            List<WorkRow> rows,
            @Nullable Closed closed) {}

    /** One kind of work, planned against done, for both sides. */
    public record WorkRow(BlockKind kind, Sided<Double> planned, Sided<Double> done) {}

    @Transactional
    public Floor open(String lineId, String sessionId) {
        var line = lines.get(lineId);
        var known = sessions.find(sessionId);
        if (known.isPresent()) {
            if (!known.get().lineId().equals(lineId)) {
                throw Problem.nothingHere();
            }
            return floor(sessionId);
        }
        var now = StudioClock.now(clock);
        var running = sessions.unclosed(lineId)
                .filter(s -> s.happenedAt().isAfter(now.minus(STALE)))
                .filter(s -> sessions.timeline(s.id()).isPresent());
        if (running.isPresent()) {
            return floor(running.get().id());
        }
        var plan = history.current(line);
        Problem.throwIfBlocking(history.forbids(line));
        Problem.throwIfBlocking(PlanCheck.check(plan, history.context(line)).stream()
                .filter(f -> !f.code().equals("above-range"))
                .toList());
        sessions.open(new Opened(sessionId, lineId, line.clientId(), plan, now, now), Compiler.compile(plan));
        return floor(sessionId);
    }

    @Transactional(readOnly = true)
    public Floor floor(String sessionId) {
        var session = session(sessionId);
        var client = clients.get(session.clientId());
        var grid = Props.grid(client, session.plan().position());
        return new Floor(
                session.id(),
                session.lineId(),
                session.clientId(),
                client.details().name(),
                session.plan(),
                sessions.timeline(sessionId).orElseGet(() -> Compiler.compile(session.plan())),
                session.plan().doses().map((s, d) -> Props.setUp(grid, d.angle())),
                Policy.house().whole(Threshold.PAIN_TOO_MUCH),
                sessions.blocks(sessionId).stream()
                        .map(b -> b.block().blockId())
                        .distinct()
                        .toList(),
                sessions.closed(sessionId).isPresent(),
                session.happenedAt());
    }

    /** Stores a finished block; the same id again is the same block, stored once. */
    @Transactional
    public void block(String sessionId, String id, BlockRecord block) {
        session(sessionId);
        var timeline = sessions.timeline(sessionId);
        if (timeline.isPresent()
                && timeline.get().phases().stream().noneMatch(p -> p.blockId().equals(block.blockId()))) {
            throw Problem.invalid(
                    "block.blockId", "unknown-block", "This session has no block " + block.blockId() + ".");
        }
        var now = StudioClock.now(clock);
        sessions.addBlocks(List.of(new StoredBlock(id, sessionId, block, now, now)));
    }

    @Transactional
    public Summary close(String sessionId, CloseDraft draft) {
        var session = session(sessionId);
        if (sessions.closed(sessionId).isEmpty()) {
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
    private List<StoredBlock> missing(Opened session, Instant now) {
        var done = sessions.blocks(session.id()).stream()
                .map(b -> b.block().blockId())
                .collect(Collectors.toSet());
        Map<String, List<Timeline.Phase>> planned =
                sessions.timeline(session.id()).orElseGet(() -> Compiler.compile(session.plan())).phases().stream()
                        .filter(p -> p.block() != BlockKind.SET_UP && p.block() != BlockKind.SIDE_CHANGE)
                        .filter(p -> !done.contains(p.blockId()))
                        .collect(Collectors.groupingBy(
                                Timeline.Phase::blockId, LinkedHashMap::new, Collectors.toList()));
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
                "");
    }

    @Transactional(readOnly = true)
    public Summary summary(String sessionId) {
        var session = session(sessionId);
        var now = StudioClock.now(clock);
        var blocks = new java.util.ArrayList<>(sessions.blocks(sessionId));
        var closed = sessions.closed(sessionId);
        if (closed.isEmpty()) {
            blocks.addAll(missing(session, now));
        }
        var shown = closed.orElseGet(() -> new Closed(sessionId, Observer.COACH, null, null, null, "", now, now));
        var record = SessionRepository.held(session, shown, blocks).record();
        return new Summary(Sided.of(side -> side(record, side)), rows(record), closed.orElse(null));
    }

    private static SideSummary side(SessionRecord record, Side side) {
        var ratio = DoneRatio.of(record, side);
        var blocks = record.blocks(side);
        var contractions =
                blocks.stream().flatMap(b -> b.contractions().stream()).toList();
        return new SideSummary(
                ratio.ratio(),
                ratio.lowestPhase(),
                ratio.holdRatio(),
                contractions.stream().mapToDouble(PhaseDone::plannedSeconds).sum(),
                contractions.stream().mapToDouble(PhaseDone::doneSeconds).sum(),
                blocks.stream()
                        .flatMap(b -> b.pains().stream())
                        .mapToInt(p -> p.score().value())
                        .max()
                        .orElse(0),
                blocks.stream().mapToInt(b -> b.faults().size()).sum(),
                blocks.stream().mapToInt(BlockRecord::cramps).sum(),
                blocks.stream()
                        .filter(b -> b.skippedBecause() != null)
                        .map(b -> b.blockId() + ": " + b.skippedBecause())
                        .toList());
    }

    private static List<WorkRow> rows(SessionRecord record) {
        return record.blocks().stream()
                .map(BlockRecord::kind)
                .distinct()
                .filter(k -> k != BlockKind.SET_UP && k != BlockKind.SIDE_CHANGE)
                .sorted()
                .map(kind -> new WorkRow(
                        kind,
                        Sided.of(s -> seconds(record, s, kind, true)),
                        Sided.of(s -> seconds(record, s, kind, false))))
                .toList();
    }

    private static double seconds(SessionRecord record, Side side, BlockKind kind, boolean planned) {
        return record.blocks(side).stream()
                .filter(b -> b.kind() == kind)
                .flatMap(b -> b.phases().stream())
                .mapToDouble(p -> planned ? p.plannedSeconds() : p.doneSeconds())
                .sum();
    }

    @Transactional
    public void morning(String sessionId, String id, boolean settled, @Nullable Tenths soreness) {
        session(sessionId);
        if (sessions.closed(sessionId).isEmpty()) {
            throw Problem.conflict("still-open", "This session is still open: close it first.");
        }
        var now = StudioClock.now(clock);
        sessions.addMorning(new Morning(id, sessionId, settled, soreness, now, now));
    }

    private Opened session(String id) {
        return sessions.find(id).orElseThrow(() -> Problem.notFound("session"));
    }
}
