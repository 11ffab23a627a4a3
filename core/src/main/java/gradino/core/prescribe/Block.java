package gradino.core.prescribe;

import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.List;

/** One block of a protocol for one side. Each kind knows the phases it unfolds into. */
public sealed interface Block {
    BlockKind kind();

    /** The block's phases in order, in whole seconds. */
    List<Draft> phases();

    /** The block's length, which {@link #phases()} sum up to. */
    int seconds();

    /** Seconds of the block's breath; the usual six where it names none. */
    default Breathing breathing() {
        return Breathing.USUAL;
    }

    /**
     * A phase before it has a place in time.
     *
     * @param contact what is pressed against or lifted off; empty when nothing is
     * @param count what is counted in it, 1-based; 0 when nothing is
     */
    record Draft(
            PhaseKind kind,
            int seconds,
            EffortPercent from,
            EffortPercent to,
            String cue,
            String contact,
            int count,
            int counts) {
        static Draft still(PhaseKind kind, int seconds, String cue) {
            return new Draft(kind, seconds, EffortPercent.of(0), EffortPercent.of(0), cue, "", 0, 0);
        }

        static Draft level(PhaseKind kind, EffortStep step, String cue, int count, int counts) {
            return new Draft(kind, step.seconds(), step.effort(), step.effort(), cue, "", count, counts);
        }

        Draft counted(int n, int of) {
            return new Draft(kind, seconds, from, to, cue, contact, n, of);
        }

        Draft against(String where) {
            return new Draft(kind, seconds, from, to, cue, where, count, counts);
        }
    }

    record SetUp(int seconds, String cue) implements Block {
        @Override
        public BlockKind kind() {
            return BlockKind.SET_UP;
        }

        @Override
        public List<Draft> phases() {
            return List.of(Draft.still(PhaseKind.SET_UP, seconds, cue));
        }
    }

    record SideChange(int seconds, String cue) implements Block {
        @Override
        public BlockKind kind() {
            return BlockKind.SIDE_CHANGE;
        }

        @Override
        public List<Draft> phases() {
            return List.of(Draft.still(PhaseKind.SIDE_CHANGE, seconds, cue));
        }
    }

    /** Slow active circles through the largest pain-free range, {@code eachWay} in each direction. */
    record ControlledRotation(String joint, int eachWay, int secondsPerCircle) implements Block {
        @Override
        public BlockKind kind() {
            return BlockKind.ROTATION;
        }

        @Override
        public int seconds() {
            return 2 * eachWay * secondsPerCircle;
        }

        @Override
        public List<Draft> phases() {
            var circles = new ArrayList<Draft>();
            circles(circles, PhaseKind.CIRCLE_ONE_WAY, "Slow " + joint + " circle, everything else still");
            circles(circles, PhaseKind.CIRCLE_OTHER_WAY, "Slow " + joint + " circle, the other way");
            return circles;
        }

        private void circles(List<Draft> into, PhaseKind way, String cue) {
            for (int n = 1; n <= eachWay; n++) {
                into.add(Draft.still(way, secondsPerCircle, cue).counted(n, eachWay));
            }
        }
    }

    /** Staying at end range while a prop, the hand or the floor carries the limb. */
    record SupportedHold(int seconds) implements Block {
        @Override
        public BlockKind kind() {
            return BlockKind.SUPPORTED_HOLD;
        }

        @Override
        public List<Draft> phases() {
            return List.of(Draft.still(PhaseKind.HOLD, seconds, "Rest at the end of the range, let the prop carry it"));
        }
    }

    /**
     * A staircase of effort against a contact, then a hold on its top tread.
     *
     * @param press true pushes out of the range, false pulls deeper into it
     * @param topHoldSeconds at the effort of the last step; 0 for none
     */
    record Ramp(boolean press, String contact, List<EffortStep> steps, int topHoldSeconds) implements Block {
        @Override
        public BlockKind kind() {
            return press ? BlockKind.PRESS : BlockKind.PULL;
        }

        @Override
        public int seconds() {
            int seconds = topHoldSeconds;
            for (var step : steps) {
                seconds += step.seconds();
            }
            return seconds;
        }

        @Override
        public List<Draft> phases() {
            var verb = press ? "Press " : "Pull ";
            var drafts = new ArrayList<Draft>();
            for (int i = 0; i < steps.size(); i++) {
                var step = steps.get(i);
                var cue = i == 0 ? verb + step.effort() + ": " + contact : verb + step.effort();
                drafts.add(Draft.level(PhaseKind.STEP, step, cue, i + 1, steps.size())
                        .against(contact));
            }
            if (topHoldSeconds > 0) {
                var top = steps.get(steps.size() - 1).effort();
                drafts.add(Draft.level(PhaseKind.TOP_HOLD, new EffortStep(top, topHoldSeconds), "Hold " + top, 0, 0)
                        .against(contact));
            }
            return drafts;
        }
    }

    /** Stretch again, let go, own muscle keeps the limb there. */
    record HandsOffHold(int repetitions, int reStretchSeconds, int holdSeconds, EffortPercent effort) implements Block {
        @Override
        public BlockKind kind() {
            return BlockKind.HANDS_OFF;
        }

        @Override
        public int seconds() {
            return repetitions * (reStretchSeconds + holdSeconds);
        }

        @Override
        public List<Draft> phases() {
            var drafts = new ArrayList<Draft>();
            var hold = new EffortStep(effort, holdSeconds);
            for (int n = 1; n <= repetitions; n++) {
                drafts.add(Draft.still(PhaseKind.RE_STRETCH, reStretchSeconds, "Hands help it to the end of the range")
                        .counted(n, repetitions));
                drafts.add(Draft.level(PhaseKind.HANDS_OFF_HOLD, hold, "Hands off, keep it there", n, repetitions));
            }
            return drafts;
        }
    }

    /** Quiet breathing at the new end range, rounded to whole breaths. */
    record Settle(int wantedSeconds, Breathing breathing) implements Block {
        @Override
        public BlockKind kind() {
            return BlockKind.SETTLE;
        }

        @Override
        public int seconds() {
            return breathing.wholeBreaths(wantedSeconds);
        }

        @Override
        public List<Draft> phases() {
            return List.of(Draft.still(
                    PhaseKind.SETTLE,
                    breathing.wholeBreaths(wantedSeconds),
                    "Settle: breathe out twice as long as in"));
        }
    }
}
