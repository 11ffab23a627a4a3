package gradino.core.prescribe.block;

import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.List;

/** Blocks in which the limb moves and repetitions are counted. */
public sealed interface Movement extends Leaf {

    /** Weight carried, kg; 0 for none. */
    default double loadKg() {
        return 0;
    }

    /** Slow active circles through the largest pain-free range, {@code eachWay} in each direction. */
    record ControlledRotation(String joint, int eachWay, int secondsPerCircle, int tensionPercent, String waypoints)
            implements Movement {
        public ControlledRotation(String joint, int eachWay, int secondsPerCircle) {
            this(joint, eachWay, secondsPerCircle, 30, "");
        }

        @Override
        public String inWords() {
            return "%d slow %s circles each way, %d s a circle, everything else still."
                    .formatted(eachWay, joint, secondsPerCircle);
        }

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
            var by = waypoints.isEmpty() ? "" : ": " + waypoints;
            var circles = new ArrayList<Draft>();
            circles(circles, PhaseKind.CIRCLE_ONE_WAY, "Slow " + joint + " circle, everything else still" + by);
            circles(circles, PhaseKind.CIRCLE_OTHER_WAY, "Slow " + joint + " circle, the other way");
            return circles;
        }

        private void circles(List<Draft> into, PhaseKind way, String cue) {
            for (int n = 1; n <= eachWay; n++) {
                into.add(Draft.still(way, secondsPerCircle, cue)
                        .counted(n, eachWay)
                        .against(joint));
            }
        }
    }

    /**
     * Short active lifts of the limb at end range.
     *
     * @param heightCm of the prop that it is lifted off or over
     */
    record LiftOff(
            String part,
            int repetitions,
            int holdSeconds,
            int restSeconds,
            double heightCm,
            double loadKg,
            EffortPercent effort)
            implements Movement {
        public LiftOff {
            OutOfBoundsException.require("height", heightCm, 0, 200, "cm");
            OutOfBoundsException.require("load", loadKg, 0, 300, "kg");
        }

        @Override
        public String inWords() {
            return "Lift %s %d times, hold %d s each%s."
                    .formatted(part + over(), repetitions, holdSeconds, Efforts.load(loadKg));
        }

        private String over() {
            return heightCm > 0 ? " over %s cm".formatted(Efforts.plain(heightCm)) : "";
        }

        LiftOff lower(double byCm) {
            double height = Math.max(0, heightCm - byCm);
            return new LiftOff(part, repetitions, holdSeconds, restSeconds, height, loadKg, effort);
        }

        @Override
        public BlockKind kind() {
            return BlockKind.LIFT_OFF;
        }

        @Override
        public List<Draft> phases() {
            var lift = new EffortStep(effort, holdSeconds);
            var drafts = new ArrayList<Draft>();
            for (int n = 1; n <= repetitions; n++) {
                drafts.add(Draft.level(PhaseKind.LIFT, Direction.PULL, lift, "Lift " + part + over() + ", hold")
                        .counted(n, repetitions)
                        .against(part));
                drafts.add(
                        Draft.still(PhaseKind.LOWER, restSeconds, "Down, rest").counted(n, repetitions));
            }
            return drafts;
        }
    }

    /** Who moves the limb in an eccentric. */
    enum Mover {
        SELF,
        /** A partner moves it into the range, the client resists. */
        PARTNER_IN,
        /** The client lowers, a partner brings it back. */
        PARTNER_BACK
    }

    /** Slow controlled lowering under resistance, and the way back. */
    record Eccentric(
            int repetitions,
            int loweringSeconds,
            int returnSeconds,
            double loadKg,
            Mover mover,
            String contact,
            EffortPercent effort)
            implements Movement {
        public Eccentric {
            OutOfBoundsException.require("load", loadKg, 0, 300, "kg");
        }

        @Override
        public String inWords() {
            var how = mover == Mover.PARTNER_IN ? "a partner moves it in, resist" : "lower slowly";
            var back = mover == Mover.PARTNER_BACK ? ", a partner brings it back" : "";
            return "%d times: %s over %d s%s%s."
                    .formatted(repetitions, how, loweringSeconds, Efforts.load(loadKg), back);
        }

        @Override
        public BlockKind kind() {
            return BlockKind.ECCENTRIC;
        }

        @Override
        public List<Draft> phases() {
            var lowering = new EffortStep(effort, loweringSeconds);
            var back = mover == Mover.PARTNER_BACK ? "Partner brings it back" : "Back the easy way";
            var out = mover == Mover.PARTNER_IN
                    ? "Partner moves it in, resist all the way"
                    : "Lower slowly, resist all the way";
            var drafts = new ArrayList<Draft>();
            for (int n = 1; n <= repetitions; n++) {
                drafts.add(Draft.level(PhaseKind.LOWERING, Direction.PRESS, lowering, out)
                        .counted(n, repetitions)
                        .against(contact));
                drafts.add(Draft.still(PhaseKind.RETURN, returnSeconds, back).counted(n, repetitions));
            }
            return drafts;
        }
    }

    /**
     * Lengthening under a weight, a pause at the bottom, and up.
     *
     * @param deep to the working angle, not through the middle of the range alone
     */
    record LoadedStretch(
            double loadKg,
            int repetitions,
            int downSeconds,
            int pauseSeconds,
            int upSeconds,
            boolean deep,
            EffortPercent effort)
            implements Movement {
        public LoadedStretch {
            OutOfBoundsException.require("load", loadKg, 0, 300, "kg");
        }

        @Override
        public String inWords() {
            return "%d times, %s: down over %d s, stay %d s, up over %d s%s."
                    .formatted(
                            repetitions,
                            deep ? "deep" : "in the middle of the range",
                            downSeconds,
                            pauseSeconds,
                            upSeconds,
                            Efforts.load(loadKg));
        }

        @Override
        public BlockKind kind() {
            return BlockKind.LOADED_STRETCH;
        }

        @Override
        public List<Draft> phases() {
            var how = loadKg > 0 ? "Down under the weight, " : "Down slowly, ";
            var down = how + (deep ? "all the way" : "only through the middle");
            var drafts = new ArrayList<Draft>();
            for (int n = 1; n <= repetitions; n++) {
                drafts.add(working(PhaseKind.LOWERING, downSeconds, down, n));
                if (pauseSeconds > 0) {
                    drafts.add(working(PhaseKind.BOTTOM, pauseSeconds, "Stay at the bottom", n));
                }
                drafts.add(working(PhaseKind.UP, upSeconds, "Up", n));
            }
            return drafts;
        }

        private Draft working(PhaseKind kind, int seconds, String cue, int n) {
            return Draft.level(kind, Direction.PRESS, new EffortStep(effort, seconds), cue)
                    .counted(n, repetitions);
        }
    }

    /** Pull in, push out, without leaving the end of the range. */
    record Pulses(int repetitions, int inSeconds, int outSeconds, String contact, EffortPercent effort)
            implements Movement {
        @Override
        public String inWords() {
            return "%d times: pull in %d s, push out %d s.".formatted(repetitions, inSeconds, outSeconds);
        }

        @Override
        public BlockKind kind() {
            return BlockKind.PULSES;
        }

        /** One breath a pulse: the movement paces it. */
        @Override
        public Breathing breathing() {
            return new Breathing(inSeconds, outSeconds);
        }

        @Override
        public List<Draft> phases() {
            return InOut.phases(
                    repetitions,
                    new InOut.Way(
                            PhaseKind.PULSE_IN, Direction.PULL, new EffortStep(effort, inSeconds), "Pull in", contact),
                    new InOut.Way(
                            PhaseKind.PULSE_OUT,
                            Direction.PRESS,
                            new EffortStep(effort, outSeconds),
                            "Push out",
                            contact));
        }
    }

    /** Away from the range, then into it; what was gained is not given back. */
    record SidestepRounds(
            int rounds,
            int awaySeconds,
            int intoSeconds,
            int attempts,
            int restSeconds,
            String contact,
            EffortPercent effort)
            implements Movement {
        @Override
        public String inWords() {
            return "%d attempts of %d times: away %d s, then into it %d s, keeping the ground gained."
                    .formatted(attempts, rounds, awaySeconds, intoSeconds);
        }

        @Override
        public BlockKind kind() {
            return BlockKind.SIDESTEP;
        }

        @Override
        public List<Draft> phases() {
            var away = new InOut.Way(
                    PhaseKind.STEP_AWAY,
                    Direction.PRESS,
                    new EffortStep(effort, awaySeconds),
                    "Away from the range",
                    contact);
            var into = new InOut.Way(
                    PhaseKind.STEP_INTO,
                    Direction.PULL,
                    new EffortStep(effort, intoSeconds),
                    "Into it, a little further",
                    contact);
            var drafts = new ArrayList<Draft>();
            for (int attempt = 1; attempt <= attempts; attempt++) {
                drafts.addAll(InOut.phases(rounds, away, into));
                if (attempt < attempts) {
                    drafts.add(Draft.still(PhaseKind.REST, restSeconds, "Rest, keep the ground gained"));
                }
            }
            return drafts;
        }
    }

    /**
     * Moving from one end-range position to another under control; rocks are the same with both ends near.
     *
     * @param whole from end to end, not through the middle alone
     */
    record Transition(String cue, int repetitions, int secondsEach, int endPauseSeconds, boolean whole)
            implements Movement {
        @Override
        public String inWords() {
            return "%d times: %s, %d s each.".formatted(repetitions, said(), secondsEach);
        }

        private String said() {
            return whole ? cue : cue + ", only through the middle";
        }

        @Override
        public BlockKind kind() {
            return BlockKind.TRANSITION;
        }

        @Override
        public List<Draft> phases() {
            var drafts = new ArrayList<Draft>();
            for (int n = 1; n <= repetitions; n++) {
                drafts.add(Draft.still(PhaseKind.MOVE, secondsEach, said()).counted(n, repetitions));
                drafts.add(Draft.still(PhaseKind.END_PAUSE, endPauseSeconds, "Pause at the end")
                        .counted(n, repetitions));
            }
            return drafts;
        }
    }
}
