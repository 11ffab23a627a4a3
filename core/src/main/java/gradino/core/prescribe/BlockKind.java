package gradino.core.prescribe;

/** What a block of the timeline is. */
public enum BlockKind {
    SET_UP,
    ROTATION,
    SUPPORTED_HOLD,
    PRESS,
    PULL,
    HANDS_OFF,
    SETTLE,
    SIDE_CHANGE;

    /** Whether its work counts for the done-ratio and the time under tension. */
    public boolean isContraction() {
        return this == PRESS || this == PULL || this == HANDS_OFF;
    }
}
