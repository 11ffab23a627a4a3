package gradino.core.measure.limit;

/** What the end of the range feels like. */
public enum EndFeel {
    STRETCH,
    MUSCULAR_EFFORT,
    PINCH,
    HARD_BLOCK,
    NOTHING;

    /** A block or a pinch: the angle is never pushed there. */
    public boolean isStructure() {
        return this == PINCH || this == HARD_BLOCK;
    }
}
