package gradino.core.prescribe.block;

import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.List;

/** Blocks of isometric work at end range. */
public sealed interface Contraction extends Leaf {

    /**
     * A staircase of effort against a contact, a hold on its top tread, and the way down.
     *
     * @param press true pushes out of the range, false pulls deeper into it
     * @param topHoldSeconds at the effort of the last step; 0 for none
     * @param downSeconds easing off from the top to nothing; 0 for letting go at once
     */
    record Ramp(boolean press, String contact, List<EffortStep> steps, int topHoldSeconds, int downSeconds)
            implements Contraction {
        public Ramp {
            steps = List.copyOf(steps);
            if (steps.isEmpty()) {
                throw new IllegalArgumentException("a ramp needs a step");
            }
        }

        public Ramp(boolean press, String contact, List<EffortStep> steps, int topHoldSeconds) {
            this(press, contact, steps, topHoldSeconds, 0);
        }

        @Override
        public String inWords() {
            var hold = topHoldSeconds > 0 ? ", then hold " + topHoldSeconds + " s" : "";
            var down = downSeconds > 0 ? ", ease off over " + downSeconds + " s" : "";
            var where = contact.isEmpty() ? "" : ": " + contact;
            return "%s %s%s%s%s.".formatted(press ? "Press" : "Pull", Efforts.inWords(steps), hold, down, where);
        }

        @Override
        public BlockKind kind() {
            return press ? BlockKind.PRESS : BlockKind.PULL;
        }

        @Override
        public int seconds() {
            int seconds = topHoldSeconds + downSeconds;
            for (var step : steps) {
                seconds += step.seconds();
            }
            return seconds;
        }

        @Override
        public List<Draft> phases() {
            var verb = press ? "Press " : "Pull ";
            var direction = press ? Direction.PRESS : Direction.PULL;
            var drafts = new ArrayList<Draft>();
            for (int i = 0; i < steps.size(); i++) {
                var step = steps.get(i);
                var cue = i == 0 ? verb + step.effort() + ": " + contact : verb + step.effort();
                drafts.add(Draft.level(PhaseKind.STEP, direction, step, cue)
                        .counted(i + 1, steps.size())
                        .against(contact));
            }
            var top = steps.get(steps.size() - 1).effort();
            if (topHoldSeconds > 0) {
                var hold = new EffortStep(top, topHoldSeconds);
                drafts.add(Draft.level(PhaseKind.TOP_HOLD, direction, hold, "Hold " + top)
                        .against(contact));
            }
            if (downSeconds > 0) {
                var down = new EffortStep(top, downSeconds);
                drafts.add(Draft.level(PhaseKind.RAMP_DOWN, direction, down, "Ease off slowly")
                        .falling()
                        .against(contact));
            }
            return drafts;
        }
    }

    /** Contract against the stretch on the inhale, release and deepen on the exhale, again and again. */
    record ContractRelax(int contractSeconds, EffortPercent effort, int relaxSeconds, int cycles, String contact)
            implements Contraction {
        private static final int LONGEST_INHALE = 10;
        private static final int LONGEST_EXHALE = 30;
        private static final int BREATHES_UP_TO = 50;

        @Override
        public String inWords() {
            var words = isWithTheBreath()
                    ? "%d times: breathe in and press %s for %d s, breathe out, let go and go deeper for %d s."
                    : "%d times: press %s for %d s, let go and go deeper for %d s.";
            return words.formatted(cycles, effort, contractSeconds, relaxSeconds);
        }

        @Override
        public BlockKind kind() {
            return BlockKind.CONTRACT_RELAX;
        }

        @Override
        public Breathing breathing() {
            return isWithTheBreath() ? new Breathing(contractSeconds, relaxSeconds) : Breathing.USUAL;
        }

        /** Nobody breathes in for half a minute, and hard work goes with small breaths. */
        private boolean isWithTheBreath() {
            return contractSeconds <= LONGEST_INHALE
                    && relaxSeconds <= LONGEST_EXHALE
                    && effort.value() <= BREATHES_UP_TO;
        }

        @Override
        public List<Draft> phases() {
            var drafts = new ArrayList<Draft>();
            var step = new EffortStep(effort, contractSeconds);
            boolean with = isWithTheBreath();
            for (int n = 1; n <= cycles; n++) {
                drafts.add(Draft.level(
                                PhaseKind.CONTRACT,
                                Direction.PRESS,
                                step,
                                (with ? "Breathe in, press " : "Press ") + effort)
                        .counted(n, cycles)
                        .against(contact));
                drafts.add(Draft.still(
                                PhaseKind.RELAX,
                                relaxSeconds,
                                with ? "Breathe out, let go and go deeper" : "Let go and go deeper")
                        .counted(n, cycles));
            }
            return drafts;
        }
    }

    /** Stretch again, let go, own muscle keeps the limb there. */
    record HandsOffHold(
            int repetitions, int reStretchSeconds, int holdSeconds, int sets, int restSeconds, EffortPercent effort)
            implements Contraction {
        public HandsOffHold(int repetitions, int reStretchSeconds, int holdSeconds, EffortPercent effort) {
            this(repetitions, reStretchSeconds, holdSeconds, 1, 0, effort);
        }

        @Override
        public String inWords() {
            var rounds = sets > 1 ? "%d sets of ".formatted(sets) : "";
            return "%s%d times: hands help it to the end for %d s, then let go and keep it there for %d s."
                    .formatted(rounds, repetitions, reStretchSeconds, holdSeconds);
        }

        @Override
        public BlockKind kind() {
            return BlockKind.HANDS_OFF;
        }

        @Override
        public int seconds() {
            return sets * repetitions * (reStretchSeconds + holdSeconds) + (sets - 1) * restSeconds;
        }

        @Override
        public List<Draft> phases() {
            var drafts = new ArrayList<Draft>();
            var hold = new EffortStep(effort, holdSeconds);
            for (int set = 1; set <= sets; set++) {
                for (int n = 1; n <= repetitions; n++) {
                    drafts.add(
                            Draft.still(PhaseKind.RE_STRETCH, reStretchSeconds, "Hands help it to the end of the range")
                                    .counted(n, repetitions));
                    drafts.add(Draft.level(PhaseKind.HANDS_OFF_HOLD, Direction.PULL, hold, "Hands off, keep it there")
                            .counted(n, repetitions));
                }
                if (set < sets) {
                    drafts.add(Draft.still(PhaseKind.REST, restSeconds, "Rest"));
                }
            }
            return drafts;
        }
    }
}
