package gradino.server.perform.floor;

import gradino.core.advance.state.Threshold;
import gradino.core.body.Side;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.SchoolRules;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.quantity.Tenths;
import gradino.server.account.people.SignedIn;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.measure.MeasurementRepository;
import gradino.server.perform.floor.Floor.FloorLine;
import gradino.server.perform.force.ForceService;
import gradino.server.perform.record.BlockRepository;
import gradino.server.perform.record.BlockRepository.StoredBlock;
import gradino.server.perform.record.RecordRepository;
import gradino.server.perform.record.RecordRepository.Closed;
import gradino.server.perform.record.RunRepository;
import gradino.server.perform.record.RunRepository.Run;
import gradino.server.perform.record.Running;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.compose.ComposeService;
import gradino.server.prescribe.compose.ComposeService.Ready;
import gradino.server.prescribe.library.MethodService;
import gradino.server.prescribe.program.ClientProgram;
import gradino.server.prescribe.program.LineHistory;
import gradino.server.prescribe.program.LineRepository;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Runs sessions: opens them with their compiled plan, keeps each finished block at once, closes them whole. */
@Service
public class RunService {
    private static final Duration LATE = Duration.ofDays(3);
    private static final Duration STALE = Duration.ofHours(12);
    /** Counted as seen by a coach: nobody says that of themselves. */
    private static final Set<Observer> COACHES = Set.of(Observer.COACH, Observer.VIDEO_CALL);

    private static final String NOT_DONE = "not done";

    private final RecordRepository records;
    private final BlockRepository blockRows;
    private final RunRepository runs;
    private final ForceService forces;
    private final ComposeService compose;
    private final LineRepository lines;
    private final MeasurementRepository measurements;
    private final LineHistory history;
    private final MethodService methods;
    private final ClientService clients;
    private final SignedIn signedIn;
    private final Clock clock;

    RunService(
            RecordRepository records,
            BlockRepository blockRows,
            RunRepository runs,
            ForceService forces,
            ComposeService compose,
            LineRepository lines,
            MeasurementRepository measurements,
            LineHistory history,
            MethodService methods,
            ClientService clients,
            SignedIn signedIn,
            Clock clock) {
        this.records = records;
        this.blockRows = blockRows;
        this.runs = runs;
        this.forces = forces;
        this.compose = compose;
        this.lines = lines;
        this.measurements = measurements;
        this.history = history;
        this.methods = methods;
        this.clients = clients;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /** Runs a line alone; one that is open already is gone on with. */
    @Transactional
    public Floor open(String lineId, String runId) {
        var line = lines.find(lineId).orElseThrow(() -> Problem.notFound("line"));
        if (line.endedAt() != null) {
            throw Problem.conflict("ended", "This line has ended: it is in no session any more.");
        }
        var client = clients.get(line.clientId());
        return goneOnWith(runId, r -> r.sessionId() == null && r.number(lineId) > 0)
                .or(() -> runs.unclosedAlone(lineId).filter(this::isFresh).map(r -> floor(r.id())))
                .orElseGet(() -> begin(client, null, runId, compose.ready(client, line)));
    }

    /** Runs a session; it must still be allowed today. One that is open already is gone on with. */
    @Transactional
    public Floor openSession(String clientId, String sessionId, String runId) {
        var client = clients.get(clientId);
        return goneOnWith(runId, r -> r.clientId().equals(clientId) && sessionId.equals(r.sessionId()))
                .or(() ->
                        runs.unclosed(clientId, sessionId).filter(this::isFresh).map(r -> floor(r.id())))
                .orElseGet(() -> begin(client, sessionId, runId, compose.ready(client, sessionId)));
    }

    /**
     * Runs what is planned for a day; one that is open already is gone on with.
     *
     * @param dayId told from every session of the program
     */
    @Transactional
    public Floor openPlanned(
            Client client, String dayId, String runId, String name, Function<ClientProgram, SessionDraft> draft) {
        return goneOnWith(runId, r -> r.clientId().equals(client.id()) && dayId.equals(r.sessionId()))
                .or(() ->
                        runs.unclosed(client.id(), dayId).filter(this::isFresh).map(r -> floor(r.id())))
                .orElseGet(() -> begin(client, dayId, runId, compose.ready(client, name, draft)));
    }

    private Optional<Floor> goneOnWith(String runId, Predicate<Run> isThis) {
        var known = runs.find(runId);
        if (known.isPresent() && known.filter(isThis).isEmpty()) {
            throw Problem.nothingHere();
        }
        return known.map(r -> floor(r.id()));
    }

    private boolean isFresh(Run run) {
        return run.happenedAt().isAfter(StudioClock.now(clock).minus(STALE));
    }

    private Floor begin(Client client, @Nullable String sessionId, String runId, Ready ready) {
        var now = StudioClock.now(clock);
        runs.open(new Run(runId, client.id(), sessionId, ready.name(), ready.draft(), now, now), ready.timeline());
        runs.addVariants(runId, ready.variants());
        return floor(runId);
    }

    @Transactional(readOnly = true)
    public Floor floor(String runId) {
        var running = running(runId);
        var client = clients.get(running.clientId());
        return new Floor(
                runId,
                running.clientId(),
                client.details().name(),
                running.run().name(),
                running.timeline(),
                lines(client, running),
                forces.references(running, client),
                running.variants(),
                running.labels(),
                history.policy().whole(Threshold.PAIN_TOO_MUCH),
                running.timeline().coldBlocks(),
                blockRows.blocks(runId).stream()
                        .map(b -> b.block().blockId())
                        .distinct()
                        .toList(),
                records.closed(runId).isPresent(),
                running.run().happenedAt());
    }

    private Running running(String runId) {
        return Running.find(runs, runId);
    }

    private List<FloorLine> lines(Client client, Running running) {
        var known = methods.methods();
        return running.places().stream()
                .map(place -> FloorLine.of(
                        client,
                        place,
                        rules(known, place.method()),
                        measurements.instrument(place.instrument(), client.id(), place.motion(), place.position())))
                .toList();
    }

    /** A method of the studio's that is gone is followed as the house's. */
    private static SchoolRules rules(List<Method> known, String method) {
        return known.stream()
                .filter(m -> m.id().equals(method))
                .findFirst()
                .orElseGet(Method::rampBothWays)
                .rules();
    }

    /** Stores a finished block; the same id again is the same block, stored once. */
    @Transactional
    public void block(String runId, String id, BlockRecord block) {
        if (running(runId).phases(block.blockId()).isEmpty()) {
            throw Problem.invalid(
                    "block.blockId", "unknown-block", "This session has no block " + block.blockId() + ".");
        }
        var now = StudioClock.now(clock);
        requireOpenAtHome(runId, id, block.blockId(), now);
        blockRows.addBlocks(List.of(new StoredBlock(id, runId, block, now, now)));
    }

    /**
     * At home a closed session is as it is: what a phone kept while it had no network still comes in for three days, in the place of
     * what was taken for left out, and nothing that was recorded is written anew.
     */
    private void requireOpenAtHome(String runId, String id, BlockId blockId, Instant now) {
        var closed = records.closed(runId);
        if (signedIn.guest().isEmpty() || closed.isEmpty()) {
            return;
        }
        var stored = blockRows.blocks(runId);
        boolean again = stored.stream().anyMatch(b -> b.id().equals(id));
        boolean recorded = stored.stream()
                .anyMatch(b -> b.block().blockId().equals(blockId)
                        && !NOT_DONE.equals(b.block().skippedBecause()));
        if (!again && (recorded || closed.get().recordedAt().plus(LATE).isBefore(now))) {
            throw Problem.conflict("closed", "This session is closed: tell your coach what was different.");
        }
    }

    /** The last record of each block, in the order in which they came first. */
    @Transactional(readOnly = true)
    public List<BlockRecord> blocks(String runId) {
        running(runId);
        return BlockRepository.latest(blockRows.blocks(runId));
    }

    @Transactional
    public Summary close(String runId, CloseDraft draft) {
        var session = running(runId);
        if (records.closed(runId).isEmpty()) {
            if (signedIn.guest().isPresent() && COACHES.contains(draft.observer())) {
                throw Problem.invalid("observer", "at-home", "At home no coach watched.");
            }
            var now = StudioClock.now(clock);
            blockRows.addBlocks(missing(session, now));
            records.close(new Closed(
                    runId,
                    draft.observer(),
                    draft.rating(),
                    draft.stopSign(),
                    draft.stopSide(),
                    draft.note(),
                    now,
                    now));
        }
        return summary(runId);
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
        var done = blockRows.blocks(session.run().id()).stream()
                .map(b -> b.block().blockId())
                .collect(Collectors.toSet());
        Map<BlockId, List<Timeline.Phase>> planned = session.timeline().phases().stream()
                .filter(p -> p.block() != BlockKind.SET_UP && p.block() != BlockKind.SIDE_CHANGE)
                .filter(p -> !done.contains(p.blockId()))
                .collect(Collectors.groupingBy(Timeline.Phase::blockId, LinkedHashMap::new, Collectors.toList()));
        return planned.values().stream()
                .map(phases -> new StoredBlock(
                        missingId(session, phases.get(0).blockId()),
                        session.run().id(),
                        notDone(phases),
                        now,
                        now))
                .toList();
    }

    private static String missingId(Running session, BlockId block) {
        var named = session.run().id() + " " + block;
        return UUID.nameUUIDFromBytes(named.getBytes(StandardCharsets.UTF_8)).toString();
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
    public Summary summary(String runId) {
        var session = running(runId);
        var blocks = new ArrayList<>(blockRows.blocks(runId));
        var closed = records.closed(runId);
        if (closed.isEmpty()) {
            blocks.addAll(missing(session, StudioClock.now(clock)));
        }
        return Summary.of(
                BlockRepository.latest(blocks),
                closed.orElse(null),
                records.mornings(runId),
                forces.referenceSeconds(List.of(runId)).getOrDefault(runId, 0.0));
    }

    /** A client's runs, newest first. */
    @Transactional(readOnly = true)
    public List<RunHead> runs(String clientId) {
        clients.get(clientId);
        var closes = records.closes(clientId);
        return runs.of(clientId).stream()
                .map(r -> new RunHead(r.id(), r.sessionId(), r.name(), r.happenedAt(), closes.get(r.id())))
                .toList();
    }

    /**
     * One run.
     *
     * @param sessionId null for a line alone
     */
    public record RunHead(
            String id,
            @Nullable String sessionId,
            String name,
            Instant openedAt,
            @Nullable Closed closed) {}
}
