package gradino.server.perform.force;

import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.effort.Asked;
import gradino.core.effort.ForceTrace;
import gradino.core.effort.TraceAnalysis;
import gradino.core.effort.TraceCode.Samples;
import gradino.core.perform.ReferenceContraction;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.Timeline.Phase;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.perform.force.TraceRepository.StoredReference;
import gradino.server.perform.force.TraceRepository.StoredTrace;
import gradino.server.perform.record.RunRepository;
import gradino.server.perform.record.Running;
import gradino.server.perform.record.Running.Place;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.program.SessionContexts;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What gauges gave: what 100 % is, and each block's trace held against its staircase. */
@Service
public class ForceService {
    private static final int AT_A_TIME = 50;
    private final TraceRepository traces;
    private final RunRepository runs;
    private final SessionContexts contexts;
    private final ClientService clients;
    private final Clock clock;

    ForceService(
            TraceRepository traces, RunRepository runs, SessionContexts contexts, ClientService clients, Clock clock) {
        this.traces = traces;
        this.runs = runs;
        this.contexts = contexts;
        this.clients = clients;
        this.clock = clock;
    }

    /**
     * What a gauge gave over a block.
     *
     * @param samples milliseconds from the block's start, tenths of a newton
     * @param phaseSeconds how long each phase of the block lasted
     */
    record NewTrace(String id, BlockId blockId, Side side, List<Double> phaseSeconds, Samples samples) {}

    /** Three all-out tries, milliseconds of one clock. */
    record NewReference(String id, String line, Side side, Direction direction, List<Samples> tries) {}

    /**
     * A trace as it is drawn.
     *
     * @param analysis null without a reference
     * @param points thinned, seconds from the block's start and newtons
     */
    record TraceView(
            String id,
            BlockId blockId,
            Side side,
            @Nullable Double referenceNewtons,
            List<Double> phaseSeconds,
            @Nullable TraceAnalysis analysis,
            List<TracePoint> points,
            List<Finding> findings) {}

    record TracePoint(double second, double newtons) {}

    /** What 100 % is for every contraction of a session, or why it is not known. */
    public List<FloorReference> references(Running session, Client client) {
        return session.places().stream()
                .flatMap(place -> references(session, client, place).stream())
                .toList();
    }

    /** What forbids it is asked once a place: it is the dear part. */
    private List<FloorReference> references(Running session, Client client, Place place) {
        var pulls = pulls(session, place).toList();
        if (pulls.isEmpty()) {
            return List.of();
        }
        var forbidden = forbidden(client, place);
        return pulls.stream().map(p -> reference(client, place, p, forbidden)).toList();
    }

    private List<Finding> forbidden(Client client, Place place) {
        var facts = contexts.facts(client, place.motion(), place.position());
        return ReferenceContraction.allowed(facts.limits(), facts.newcomer());
    }

    private record Pull(Side side, Direction direction) {}

    /** Which sides press or pull in a line. What both do at once is measured on each. */
    private static Stream<Pull> pulls(Running session, Place place) {
        return session.timeline().phases().stream()
                .filter(p -> p.isContraction() && p.line().equals(place.line()))
                .flatMap(p -> (p.side() == Side.MIDLINE ? Side.PAIR : List.of(p.side()))
                        .stream().map(side -> new Pull(side, p.direction())))
                .distinct();
    }

    private FloorReference reference(Client client, Place place, Pull pull, List<Finding> forbidden) {
        var side = pull.side();
        var found = traces.newest(client.id(), place.motion(), place.position(), side, pull.direction());
        var why = forbidden.isEmpty()
                ? found.map(r -> voidBecause(r, place, side)).orElse("not measured yet")
                : forbidden.get(0).message();
        var standing = why.isEmpty() ? found : Optional.<StoredReference>empty();
        return new FloorReference(
                place.line(),
                side,
                pull.direction(),
                place.angle(side).value(),
                standing.map(StoredReference::id).orElse(null),
                standing.map(StoredReference::newtons).orElse(null),
                why,
                forbidden.isEmpty());
    }

    private String voidBecause(StoredReference r, Place place, Side side) {
        var why = new ReferenceContraction(r.newtons(), r.angle(), r.happenedAt())
                .voidBecause(place.angle(side), day(r.happenedAt()), day(clock.instant()));
        return why == null ? "" : why;
    }

    private LocalDate day(Instant instant) {
        return instant.atZone(clock.getZone()).toLocalDate();
    }

    /** Keeps three tries and what they come to. */
    @Transactional
    public FloorReference measured(String runId, NewReference tries) {
        var session = Running.find(runs, runId);
        var client = clients.get(session.clientId());
        var place = place(session, tries.line())
                .orElseThrow(() -> Problem.invalid("line", "unknown", "This session has no such line."));
        var forbidden = forbidden(client, place);
        Problem.throwIfBlocking(forbidden);
        var read = ReferenceContraction.read(traces(tries.tries()));
        Problem.throwIfBlocking(read.findings());
        var now = StudioClock.now(clock);
        traces.add(new StoredReference(
                tries.id(),
                client.id(),
                runId,
                place.motion(),
                place.position(),
                tries.side(),
                tries.direction(),
                place.angle(tries.side()),
                read.newtons().orElseThrow(),
                joined(tries.tries()),
                now,
                now));
        return reference(client, place, new Pull(tries.side(), tries.direction()), forbidden);
    }

    /** From the first try of each to its last: the rests belong to it. */
    @Transactional(readOnly = true)
    public Map<String, Double> referenceSeconds(Collection<String> runIds) {
        return traces.references(runIds).stream()
                .filter(r -> r.runId() != null)
                .collect(Collectors.groupingBy(
                        r -> Objects.requireNonNull(r.runId()), Collectors.summingDouble(ForceService::seconds)));
    }

    private static double seconds(StoredReference reference) {
        var millis = reference.tries().millis();
        return (millis.get(millis.size() - 1) - millis.get(0)) / 1000.0;
    }

    private static List<ForceTrace> traces(List<Samples> tries) {
        var read = new ArrayList<ForceTrace>();
        for (int i = 0; i < tries.size(); i++) {
            var one = tries.get(i).read();
            var at = "tries[" + i + "]";
            Problem.throwIfBlocking(one.findings().stream()
                    .filter(Finding::blocks)
                    .map(f -> Finding.blocking(at, f.code(), null, "", f.message()))
                    .toList());
            read.add(one.trace().orElseThrow());
        }
        return read;
    }

    private static Samples joined(List<Samples> tries) {
        return new Samples(
                tries.stream().flatMap(t -> t.millis().stream()).toList(),
                tries.stream().flatMap(t -> t.tenths().stream()).toList());
    }

    /** Keeps a trace with what core computes of it; the same id again is the same trace, stored once. */
    @Transactional
    public void trace(String runId, NewTrace trace) {
        var session = Running.find(runs, runId);
        var phases = session.phases(trace.blockId());
        if (phases.isEmpty()) {
            throw Problem.invalid("blockId", "unknown-block", "This session has no block " + trace.blockId() + ".");
        }
        if (phases.size() != trace.phaseSeconds().size()) {
            throw Problem.invalid("phaseSeconds", "each-phase", "The block has %d phases.".formatted(phases.size()));
        }
        var read = trace.samples().read();
        Problem.throwIfBlocking(read.findings());
        var reference = standing(session, phases, trace.side());
        var now = StudioClock.now(clock);
        traces.add(new StoredTrace(
                trace.id(),
                runId,
                trace.blockId(),
                trace.side(),
                reference,
                trace.phaseSeconds(),
                trace.samples(),
                reference == null
                        ? null
                        : TraceAnalysis.of(
                                read.trace().orElseThrow(), reference, Asked.done(phases, trace.phaseSeconds())),
                now,
                now));
    }

    private @Nullable Double standing(Running session, List<Phase> block, Side side) {
        var client = clients.get(session.clientId());
        return block.stream()
                .filter(Phase::isContraction)
                .findFirst()
                .flatMap(p -> place(session, p.line())
                        .map(place ->
                                reference(client, place, new Pull(side, p.direction()), forbidden(client, place))))
                .map(FloorReference::newtons)
                .orElse(null);
    }

    private static Optional<Place> place(Running session, String line) {
        return session.places().stream().filter(p -> p.line().equals(line)).findFirst();
    }

    @Transactional(readOnly = true)
    List<TraceView> traces(String runId) {
        Running.find(runs, runId);
        return traces.of(runId).stream().map(ForceService::view).toList();
    }

    /** Holds what came in by a file against its staircase, as what is measured here is on arrival. */
    @Transactional
    public void judgeImported() {
        long last = 0;
        for (var some = traces.unjudgedAfter(last, AT_A_TIME);
                !some.isEmpty();
                some = traces.unjudgedAfter(last, AT_A_TIME)) {
            for (var trace : some) {
                var analysis = analysis(Running.find(runs, trace.runId()), trace);
                if (analysis != null) {
                    traces.judge(trace, analysis);
                }
            }
            last = traces.seq(some.get(some.size() - 1).id());
        }
    }

    private static TraceView view(StoredTrace t) {
        return new TraceView(
                t.id(),
                t.blockId(),
                t.side(),
                t.referenceNewtons(),
                t.phaseSeconds(),
                t.analysis(),
                Thinned.of(t.samples()),
                t.samples().read().findings());
    }

    /** Null when its block is not in the session as it was compiled. */
    private static @Nullable TraceAnalysis analysis(Running session, StoredTrace t) {
        var phases = session.phases(t.blockId());
        if (t.analysis() != null
                || t.referenceNewtons() == null
                || phases.size() != t.phaseSeconds().size()) {
            return t.analysis();
        }
        double full = t.referenceNewtons();
        var asked = Asked.done(phases, t.phaseSeconds());
        return t.samples()
                .read()
                .trace()
                .map(trace -> TraceAnalysis.of(trace, full, asked))
                .orElse(null);
    }
}
