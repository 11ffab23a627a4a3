package gradino.bench;

import gradino.core.advance.Advance;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.effort.Asked;
import gradino.core.effort.SimulatedPerson;
import gradino.core.effort.TraceAnalysis;
import gradino.core.effort.TraceCode;
import gradino.core.intake.Limits;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.reading.PropGrid;
import gradino.core.measure.reading.RangeReading;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.prescribe.timeline.Totals;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.LongStream;

/** The core's own speed. */
final class CoreBench {
    private static final int RUNS = 400;
    private static final Random RANDOM = new Random();
    static final Instant NOW = Instant.parse("2026-06-01T12:00:00Z");
    private static final int LINES = 10_000;
    private static final int SESSIONS = 20;

    private CoreBench() {}

    /** A whole hour of one gauge, 50 samples a second, against its phases. */
    static List<Measured> trace() {
        var phases = new ArrayList<Timeline.Phase>();
        for (int second = 0; second < 3600; second += 10) {
            phases.add(step(second, 20 * (1 + second / 10 % 4)));
        }
        var trace = new SimulatedPerson(SimulatedPerson.Manner.GOOD, 200, RANDOM.nextLong()).press(phases);
        var times = new ArrayList<Double>();
        for (int run = 0; run < 40; run++) {
            long before = System.nanoTime();
            int steps =
                    TraceAnalysis.of(trace, 200, Asked.planned(phases)).steps().size();
            times.add((System.nanoTime() - before) / 1e6);
            if (steps != phases.size()) {
                throw new IllegalStateException("steps are missing");
            }
        }
        return List.of(
                new Measured("trace-analysis-60-min", Bench.median(times), "ms", 20),
                new Measured("trace-60-min-two-gauges", (packed() + packed()) / 1e3, "kB", 600));
    }

    /** Bytes of an hour of one gauge with noise of 1 N, resolved to a tenth. */
    private static int packed() {
        int samples = 3600 * 50;
        return TraceCode.pack(new TraceCode.Samples(
                        LongStream.range(0, samples).map(i -> 20 * i).boxed().toList(),
                        IntStream.range(0, samples)
                                .map(i ->
                                        (int) Math.rint(1200 + 400 * Math.sin(i / 900.0) + 10 * RANDOM.nextGaussian()))
                                .boxed()
                                .toList()))
                .length;
    }

    private static Timeline.Phase step(int start, int effort) {
        var percent = EffortPercent.of(effort);
        return new Timeline.Phase(
                start,
                start + 10,
                Side.LEFT,
                "",
                "",
                BlockId.parse("l1-left-1-press"),
                BlockKind.PRESS,
                PhaseKind.STEP,
                Direction.PRESS,
                percent,
                percent,
                "",
                "",
                1,
                1,
                0,
                0,
                List.of());
    }

    static List<Measured> compile() {
        var times = new ArrayList<Double>();
        int sum = 0;
        for (int run = 0; run < RUNS; run++) {
            var plan = hour();
            long before = System.nanoTime();
            var timeline = plan.timeline();
            var totals = Totals.of(timeline, false);
            times.add((System.nanoTime() - before) / 1e6);
            sum += totals.seconds();
        }
        int seconds = sum / RUNS;
        if (seconds < 3500 || seconds > 3800) {
            throw new IllegalStateException("not an hour: " + seconds + " s");
        }
        return List.of(new Measured("compile", Bench.median(times), "ms", 2));
    }

    /** About sixty minutes, never the same twice. */
    private static Plan hour() {
        var dose = newcomers(20 + RANDOM.nextInt(20))
                .withSets(15)
                .withCeiling(EffortPercent.of(60 + RANDOM.nextInt(40)))
                .withTopHold(18 + RANDOM.nextInt(3))
                .withSupportedHold(120);
        var longer = dose.withBlocks(dose.blocks().stream()
                .map(b -> b.form() == BlockForm.GRADED_SET ? b.with("pull", 20).with("settle", 50) : b)
                .toList());
        return line(longer);
    }

    static Dose newcomers(double degrees) {
        return new Dose(Degrees.of(degrees), Method.rampBothWays().firstBlocks(true));
    }

    /** By the house method, on both sides alike. */
    static Plan line(Dose dose) {
        return new Plan(
                "hip-internal-rotation",
                "prone-knee-bent",
                Method.RAMP_BOTH_WAYS,
                SideOrder.ONE_AFTER_OTHER,
                Side.LEFT,
                20,
                20,
                3,
                "",
                null,
                Sided.both(dose));
    }

    /** Ten thousand lines, each folded from twenty sessions and judged on both sides. */
    static List<Measured> proposals() {
        var times = new ArrayList<Double>();
        for (int run = 0; run < 3; run++) {
            long nanos = 0;
            int steps = 0;
            for (int line = 0; line < LINES; line++) {
                // Made one at a time: all of them at once would not fit into what a studio's machine gives.
                var history = history();
                long before = System.nanoTime();
                steps += judge(history);
                nanos += System.nanoTime() - before;
            }
            times.add(nanos / 1e9);
            if (steps == 0) {
                throw new IllegalStateException("nobody stepped");
            }
        }
        return List.of(new Measured("proposals", Bench.median(times), "s", 2));
    }

    private static final Plan PLAN = line(newcomers(28));
    private static final ClientFacts CLIENT = new ClientFacts(Limits.NONE, false, 25, 45.0, null, null, null);

    private static int judge(List<Event> history) {
        var policy = Policy.house();
        var state = LineState.fold(open(), history, policy.noise());
        int steps = 0;
        for (var side : Side.PAIR) {
            var proposal = Advance.propose(state, side, policy, new Moment(NOW, ZoneOffset.UTC));
            steps += proposal.changesDose() ? 1 : 0;
        }
        return steps;
    }

    static LineState open() {
        return LineState.open(PLAN, new PropGrid.AngleStep(0.5), CLIENT);
    }

    private static List<Event> history() {
        return history(SESSIONS, SESSIONS / 2);
    }

    /** A session every third day up to now, and cold readings of both sides spread over the same time. */
    static List<Event> history(int sessions, int readings) {
        var events = new ArrayList<Event>();
        for (int n = 0; n < sessions; n++) {
            var at = NOW.minusSeconds((sessions - n) * 3L * 86_400);
            var session = session("s" + n, at);
            events.add(new Event.SessionHeld(session, session.endedAt()));
            var morning = at.plusSeconds(60_000);
            events.add(Event.MorningAnswered.first("s" + n, RANDOM.nextInt(20) > 0, Tenths.of(1), morning, morning));
        }
        long every = sessions * 3L * 86_400 / readings;
        for (int n = 0; n < readings; n++) {
            var at = NOW.minusSeconds((readings - n) * every + 600);
            var reading = new RangeReading(at, 32 + RANDOM.nextGaussian(), 9);
            events.add(new Event.MeasuredCold(
                    n % 2 == 0 ? Side.LEFT : Side.RIGHT, Mode.PASSIVE, reading, EndFeel.STRETCH, reading.at()));
        }
        return events;
    }

    /** One of all sessions: runs that did the same are read as the same. */
    private static final Dose TRAINED = newcomers(28);

    private static SessionRecord session(String id, Instant at) {
        var doses = new Sided<Dose>(TRAINED, TRAINED);
        var blocks = PLAN.timeline().phases().stream()
                .collect(Collectors.groupingBy(Timeline.Phase::blockId, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(CoreBench::block)
                .toList();
        return new SessionRecord(
                id, at, at.plusSeconds(600), Observer.COACH, doses, blocks, Tenths.of(5), null, null, "", List.of());
    }

    private static BlockRecord block(List<Timeline.Phase> phases) {
        var first = phases.get(0);
        return new BlockRecord(
                first.blockId(),
                first.side(),
                first.block(),
                phases.stream()
                        .map(p ->
                                new PhaseDone(p.kind(), p.seconds(), p.seconds() * (0.97 + RANDOM.nextDouble() * 0.06)))
                        .toList(),
                first.block() == BlockKind.PRESS ? Tenths.of(5) : null,
                List.of(),
                List.of(),
                0,
                false,
                null,
                "",
                null);
    }
}
