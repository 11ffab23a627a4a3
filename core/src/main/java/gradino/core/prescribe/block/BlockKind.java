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
    PROP,
    RE_MEASURE,
    MOVEMENT_RETEST,
    SIDE_CHANGE;

    /** What one unit of work is. */
    public enum Work {
        /** A second of contraction. */
        CONTRACTION,
        REPETITIONS,
        /** A second of being held, or let go. */
        HOLD,
        NONE
    }

    public Work work() {
        return switch (this) {
            case PRESS, PULL, CONTRACT_RELAX, HANDS_OFF -> Work.CONTRACTION;
            case LIFT_OFF, ECCENTRIC, LOADED_STRETCH, PULSES, SIDESTEP, TRANSITION, ROTATION -> Work.REPETITIONS;
            case SUPPORTED_HOLD, RELEASE -> Work.HOLD;
            case SET_UP, SETTLE, REST, PROP, RE_MEASURE, MOVEMENT_RETEST, SIDE_CHANGE -> Work.NONE;
        };
    }

    /** Whether nobody gets warm by it: a measurement after nothing but such blocks is a cold one. */
    public boolean leavesCold() {
        return work() == Work.NONE && this != SETTLE;
    }

    /** Whether own strength works against something in it, so that it is time under tension. */
    public boolean isContraction() {
        return switch (this) {
            case PRESS, PULL, CONTRACT_RELAX, HANDS_OFF, LIFT_OFF, ECCENTRIC, LOADED_STRETCH, PULSES, SIDESTEP -> true;
            default -> false;
        };
    }
}
