package gradino.core.prescribe.timeline;

/** Which sides a line is done on, and in which order. */
public enum SideOrder {
    LEFT,
    RIGHT,
    /** The first side whole, then the other. */
    ONE_AFTER_OTHER,
    /** Block by block, the first side and then the other. */
    ALTERNATING,
    MIDLINE;

    /** Whether both sides are done, so that they should be equal. */
    public boolean both() {
        return this == ONE_AFTER_OTHER || this == ALTERNATING;
    }
}
