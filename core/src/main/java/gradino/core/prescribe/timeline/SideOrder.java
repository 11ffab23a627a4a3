package gradino.core.prescribe.timeline;

/** Which sides a line is done on, and in which order. */
public enum SideOrder {
    LEFT,
    RIGHT,
    /** The first side whole, then the other. */
    ONE_AFTER_OTHER,
    /** The first side whole, the other, and the first once more. */
    FIRST_TWICE,
    /** Block by block, the first side and then the other. */
    ALTERNATING,
    /** Both sides in the same stretch of time: one dose for them. */
    TOGETHER,
    MIDLINE;

    /** Whether each of the two sides has a dose of its own, so that they should be equal. */
    public boolean both() {
        return this == ONE_AFTER_OTHER || this == FIRST_TWICE || this == ALTERNATING;
    }

    /** Whether there is one dose for the whole body, kept on the left. */
    public boolean one() {
        return this == TOGETHER || this == MIDLINE;
    }
}
