package gradino.core.prescribe.block;

import gradino.core.quantity.EffortPercent;
import java.util.List;

/**
 * One block of a protocol for one side, its numbers already inside what they can be at all. A leaf knows the phases it
 * unfolds into; a graded set and a group unfold into leaves.
 */
public sealed interface Block permits Leaf, GradedSet, Group, Breathed {

    /** The leaves in the order they are done, each with the set or round it belongs to. */
    List<Part> parts();

    /** What to do, for whoever does it alone at home: one plain sentence. */
    String inWords();

    /** The block's length, which the phases of its parts sum up to. */
    default int seconds() {
        int seconds = 0;
        for (var part : parts()) {
            seconds += part.leaf().seconds();
        }
        return seconds;
    }

    /**
     * A leaf in its place.
     *
     * @param set 1-based; 0 outside of sets and rounds
     */
    record Part(Leaf leaf, int set, int sets, Breathing breathing) {
        Part(Leaf leaf, int set, int sets) {
            this(leaf, set, sets, leaf.breathing());
        }
    }

    /** Which muscles work: those that push out of the range, those that pull deeper into it, or none. */
    enum Direction {
        PRESS,
        PULL,
        NONE
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
            Direction direction,
            EffortPercent from,
            EffortPercent to,
            String cue,
            String contact,
            int count,
            int counts) {
        private static final EffortPercent NONE = EffortPercent.of(0);

        static Draft still(PhaseKind kind, int seconds, String cue) {
            return new Draft(kind, seconds, Direction.NONE, NONE, NONE, cue, "", 0, 0);
        }

        static Draft level(PhaseKind kind, Direction direction, EffortStep step, String cue) {
            return new Draft(kind, step.seconds(), direction, step.effort(), step.effort(), cue, "", 0, 0);
        }

        Draft falling() {
            return new Draft(kind, seconds, direction, from, NONE, cue, contact, count, counts);
        }

        Draft counted(int n, int of) {
            return new Draft(kind, seconds, direction, from, to, cue, contact, n, of);
        }

        Draft against(String where) {
            return new Draft(kind, seconds, direction, from, to, cue, where, count, counts);
        }
    }
}
