package gradino.core.effort;

import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Side;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.prescribe.timeline.Timeline.Phase;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What strength is left along a timeline, by the three-compartment model. A planning aid: a model, not a measurement.
 *
 * <p>One pool a side and a group of muscles. Pulling deeper into a motion is done by that motion's muscles, pressing out of it by
 * those of its opposite, so that press and pull rest by turns and lines of opposite motions share a pool.
 *
 * @param pools in the order in which they are first used
 * @param marks where more is asked than the model leaves
 */
public record Forecast(List<Pool> pools, List<Shortfall> marks) {
    /** From here on all that is left is asked for, and nothing is judged. */
    static final double ALL_OUT = 90;
    /** Less than this is rounding, not fatigue. */
    private static final double SLACK = 0.5;

    /**
     * One group of muscles of one side.
     *
     * @param motion what these muscles do
     * @param borrowed names of the sets that a joint without one of its own is reckoned with; empty for its own
     * @param capacity what could be held at the end of each second, % of fresh
     */
    public record Pool(String motion, Side side, String joint, List<String> borrowed, List<Double> capacity) {
        public Pool {
            borrowed = List.copyOf(borrowed);
            capacity = List.copyOf(capacity);
        }
    }

    /**
     * An effort that the model does not leave, or one that asks for all that is left.
     *
     * @param place of the block, as findings name it
     * @param asked %
     * @param left at the end of the phase, %
     * @param allOut 90 % and more: the expected force, not judged
     */
    public record Shortfall(int atSecond, Side side, String place, int asked, double left, boolean allOut) {}

    private record Key(String motion, Side side) {}

    public static Forecast of(SessionDraft draft, Timeline timeline) {
        var motions = new HashMap<String, String>();
        for (StationDraft station : draft.stations()) {
            for (LineDraft line : station.lines()) {
                motions.put(line.id(), line.motion());
            }
        }
        var pools = new LinkedHashMap<Key, PoolRun>();
        for (var phase : timeline.phases()) {
            if (phase.direction() != Direction.NONE) {
                var muscles = muscles(motions.getOrDefault(phase.line(), ""), phase.direction());
                for (var side : working(muscles, phase.side())) {
                    pools.computeIfAbsent(
                                    new Key(muscles, side), k -> new PoolRun(joint(k.motion()), timeline.seconds()))
                            .ask(phase);
                }
            }
        }
        return run(pools);
    }

    /** What both sides do together is work of each. */
    private static List<Side> working(String motion, Side side) {
        boolean together = side == Side.MIDLINE
                && Catalogue.motion(motion).filter(m -> !m.midline()).isPresent();
        return together ? Side.PAIR : List.of(side);
    }

    private static Forecast run(Map<Key, PoolRun> pools) {
        var done = new ArrayList<Pool>();
        var marks = new ArrayList<Shortfall>();
        pools.forEach((key, run) -> {
            double[] capacity = run.capacity();
            done.add(new Pool(
                    key.motion(),
                    key.side(),
                    joint(key.motion()),
                    borrowed(joint(key.motion())),
                    Arrays.stream(capacity).boxed().toList()));
            for (var phase : run.phases()) {
                int worst = run.worst(phase, capacity);
                int asked = run.asked(phase, worst);
                double left = capacity[worst];
                boolean allOut = asked >= ALL_OUT;
                if (allOut || asked > left + SLACK) {
                    marks.add(new Shortfall(
                            phase.startSecond(), key.side(), phase.place(), asked, Math.min(asked, left), allOut));
                }
            }
        });
        marks.sort((a, b) -> Integer.compare(a.atSecond(), b.atSecond()));
        return new Forecast(List.copyOf(done), List.copyOf(marks));
    }

    private static List<String> borrowed(String joint) {
        return Fatigue.isBorrowed(joint)
                ? Fatigue.of(joint).stream().map(Fatigue::name).toList()
                : List.of();
    }

    private static String muscles(String motion, Direction direction) {
        return direction == Direction.PULL
                ? motion
                : Catalogue.motion(motion).map(Motion::opposite).orElse(motion);
    }

    private static String joint(String motion) {
        return Catalogue.motion(motion).map(Motion::joint).orElse("hip");
    }

    /** One pool on its way through the timeline. */
    private static final class PoolRun {
        private final List<Fatigue> sets;
        private final double[] asked;
        private final List<Phase> phases = new ArrayList<>();

        PoolRun(String joint, int seconds) {
            sets = Fatigue.of(joint);
            asked = new double[seconds];
        }

        List<Phase> phases() {
            return phases;
        }

        /** A falling effort is taken at the middle of each second. */
        void ask(Phase phase) {
            phases.add(phase);
            double from = phase.effortFrom().value();
            double slope = (phase.effortTo().value() - from) / phase.seconds();
            for (int t = phase.startSecond(); t < phase.endSecond(); t++) {
                asked[t] = from + slope * (t - phase.startSecond() + 0.5);
            }
        }

        /** The second in which least is left beside what is asked then: a falling effort asks for less as it goes. */
        int worst(Phase phase, double[] capacity) {
            int worst = phase.startSecond();
            for (int t = phase.startSecond(); t < phase.endSecond(); t++) {
                worst = asked[t] - capacity[t] >= asked[worst] - capacity[worst] ? t : worst;
            }
            return worst;
        }

        /** Whole percent at that second; of a steady effort its own. */
        int asked(Phase phase, int second) {
            boolean steady = phase.effortFrom().equals(phase.effortTo());
            return steady ? phase.effortFrom().value() : (int) Math.round(asked[second]);
        }

        /** Of several sets the most cautious at each second. */
        double[] capacity() {
            var least = new double[asked.length];
            Arrays.fill(least, 100);
            for (var set : sets) {
                var step = new SecondStep(set);
                var state = Compartments.FRESH;
                for (int t = 0; t < asked.length; t++) {
                    state = step.next(state, asked[t]);
                    least[t] = Math.min(least[t], state.capacity());
                }
            }
            return least;
        }
    }
}
