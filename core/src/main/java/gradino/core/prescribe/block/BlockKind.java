package gradino.core.prescribe.block;

/** What a block of the timeline is. */
public enum BlockKind {
    SET_UP,
    ROTATION,
    RELEASE,
    SUPPORTED_HOLD,
    PRESS,
    PULL,
    CONTRACT_RELAX,
    HANDS_OFF,
    LIFT_OFF,
    ECCENTRIC,
    LOADED_STRETCH,
    PULSES,
    SIDESTEP,
    TRANSITION,
    SETTLE,
    REST,
    RE_MEASURE,
    SIDE_CHANGE;

    /** Whether a weight can hang on it. */
    public boolean mayCarry() {
        return this == LIFT_OFF || this == ECCENTRIC || this == LOADED_STRETCH;
    }

    /** Whether its work counts for the done-ratio and the time under tension. */
    public boolean isContraction() {
        return switch (this) {
            case PRESS, PULL, CONTRACT_RELAX, HANDS_OFF, LIFT_OFF, ECCENTRIC, LOADED_STRETCH, PULSES, SIDESTEP -> true;
            default -> false;
        };
    }
}
