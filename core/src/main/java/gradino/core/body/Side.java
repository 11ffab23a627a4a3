package gradino.core.body;

import java.util.List;

/** Where a reading, a dose or a phase belongs. Doses and phases have a left and a right; a midline motion has neither. */
public enum Side {
    LEFT,
    RIGHT,
    /** Of neck and trunk bending forward and back: one value for the whole body. */
    MIDLINE;

    /** The two sides that a dose and a session are kept for. */
    public static final List<Side> PAIR = List.of(LEFT, RIGHT);

    private static final List<Side> MIDDLE = List.of(MIDLINE);

    /** Sides on which a motion is measured. */
    public static List<Side> of(Motion motion) {
        return motion.midline() ? MIDDLE : PAIR;
    }

    public boolean isPaired() {
        return this != MIDLINE;
    }

    /** @throws IllegalArgumentException for the midline, where a left or a right is needed */
    public Side paired() {
        if (this == MIDLINE) {
            throw new IllegalArgumentException("a left or a right side is needed here");
        }
        return this;
    }

    public Side other() {
        return this == LEFT ? RIGHT : this == RIGHT ? LEFT : MIDLINE;
    }

    public String word() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }
}
