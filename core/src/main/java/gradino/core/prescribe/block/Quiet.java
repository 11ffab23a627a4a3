package gradino.core.prescribe.block;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Blocks in which nothing is contracted. */
public sealed interface Quiet extends Leaf {

    /** Time to place block and strap; the cue says how. */
    record SetUp(int seconds, String cue) implements Quiet {
        @Override
        public String inWords() {
            return cue;
        }

        @Override
        public BlockKind kind() {
            return BlockKind.SET_UP;
        }

        @Override
        public List<Draft> phases() {
            return List.of(Draft.still(PhaseKind.SET_UP, seconds, cue));
        }
    }

    record SideChange(int seconds, String cue) implements Quiet {
        @Override
        public String inWords() {
            return cue;
        }

        @Override
        public BlockKind kind() {
            return BlockKind.SIDE_CHANGE;
        }

        @Override
        public List<Draft> phases() {
            return List.of(Draft.still(PhaseKind.SIDE_CHANGE, seconds, cue));
        }
    }

    record Rest(int seconds, String cue) implements Quiet {
        public Rest(int seconds) {
            this(seconds, "Rest");
        }

        @Override
        public String inWords() {
            return "%s, %d s.".formatted(cue, seconds);
        }

        @Override
        public BlockKind kind() {
            return BlockKind.REST;
        }

        @Override
        public List<Draft> phases() {
            return List.of(Draft.still(PhaseKind.REST, seconds, cue));
        }
    }

    /** Steady pressure with a tool, so that an area lets go. Must be followed by an activating block. */
    record Release(String area, String tool, int seconds) implements Quiet {
        @Override
        public String inWords() {
            return "Release %s with %s for %d s. Odd or pulsing: move off.".formatted(area, tool, seconds);
        }

        @Override
        public BlockKind kind() {
            return BlockKind.RELEASE;
        }

        @Override
        public List<Draft> phases() {
            var cue = "Release %s with %s; odd or pulsing: move off".formatted(area, tool);
            return List.of(Draft.still(PhaseKind.RELEASE, seconds, cue));
        }
    }

    /**
     * Staying at end range while a prop, the hand or the floor carries the limb.
     *
     * @param sensationCeiling strongest stretch that is still right, 0 to 10
     * @param cue empty for the usual one
     */
    record SupportedHold(int seconds, int sensationCeiling, String cue) implements Quiet {
        private static final String USUAL_CUE = "Rest at the end of the range, let the prop carry it";

        static SupportedHold of(int seconds) {
            return new SupportedHold(seconds, 5, "");
        }

        @Override
        public String inWords() {
            var extra = cue.isEmpty() ? "" : " " + cue + ".";
            return "Stay at the end of the range for %d s, the stretch no stronger than %d of 10.%s"
                    .formatted(seconds, sensationCeiling, extra);
        }

        @Override
        public BlockKind kind() {
            return BlockKind.SUPPORTED_HOLD;
        }

        @Override
        public List<Draft> phases() {
            return List.of(Draft.still(PhaseKind.HOLD, seconds, cue.isEmpty() ? USUAL_CUE : cue));
        }
    }

    /** Quiet breathing at the new end range, rounded to whole breaths. */
    record Settle(int wantedSeconds, Breathing breathing) implements Quiet {
        @Override
        public String inWords() {
            return "Breathe quietly for %d s, in %d, out %d."
                    .formatted(seconds(), breathing.inSeconds(), breathing.outSeconds());
        }

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
            boolean twice = breathing.outSeconds() == 2 * breathing.inSeconds();
            var how = twice ? "breathe out twice as long as in" : "breathe " + breathing;
            return List.of(Draft.still(PhaseKind.SETTLE, seconds(), "Settle: " + how));
        }
    }

    /** Measuring the range again. */
    record ReMeasure(String what, int seconds) implements Quiet {
        @Override
        public String inWords() {
            return "Measure %s.".formatted(what);
        }

        @Override
        public BlockKind kind() {
            return BlockKind.RE_MEASURE;
        }

        @Override
        public List<Draft> phases() {
            return List.of(Draft.still(PhaseKind.RE_MEASURE, seconds, "Measure: " + what));
        }
    }

    /** The movement that is looked at before and after: graded 0 to 10, or told by a length. */
    record MovementRetest(String movement, boolean graded, int seconds) implements Quiet {
        @Override
        public String inWords() {
            return "Test the %s: %s.".formatted(movement, graded ? "a grade from 0 to 10" : "its length in cm");
        }

        @Override
        public BlockKind kind() {
            return BlockKind.MOVEMENT_RETEST;
        }

        @Override
        public List<Draft> phases() {
            var how = graded ? PhaseKind.MOVEMENT_GRADE : PhaseKind.MOVEMENT_LENGTH;
            return List.of(Draft.still(how, seconds, "Test: " + movement).against(movement));
        }
    }

    /**
     * Bench, incline, strap and band set as prescribed.
     *
     * @param with what else is set up, in words; empty for nothing
     */
    record Prop(Apparatus apparatus, String with, int seconds) implements Quiet {
        @Override
        public String inWords() {
            return "Set up: %s.".formatted(all());
        }

        private String all() {
            return Stream.of(apparatus.words(), with).filter(w -> !w.isEmpty()).collect(Collectors.joining(", "));
        }

        @Override
        public BlockKind kind() {
            return BlockKind.PROP;
        }

        @Override
        public List<Draft> phases() {
            return List.of(Draft.still(PhaseKind.PROP, seconds, "Set up: " + all()));
        }
    }
}
