package gradino.core.prescribe.block;

/** A part of a block with one cue. */
public enum PhaseKind {
    SET_UP,
    CIRCLE_ONE_WAY,
    CIRCLE_OTHER_WAY,
    RELEASE,
    HOLD,
    STEP,
    TOP_HOLD,
    RAMP_DOWN,
    CONTRACT,
    RELAX,
    RE_STRETCH,
    HANDS_OFF_HOLD,
    LIFT,
    LOWER,
    LOWERING,
    RETURN,
    BOTTOM,
    UP,
    PULSE_IN,
    PULSE_OUT,
    STEP_AWAY,
    STEP_INTO,
    MOVE,
    END_PAUSE,
    SETTLE,
    REST,
    RE_MEASURE,
    SIDE_CHANGE;

    /** Whether it is one of so many repetitions: done at whatever pace, it counts whole. */
    public boolean isRepetition() {
        return switch (this) {
            case LIFT, PULSE_IN, PULSE_OUT, STEP_AWAY, STEP_INTO -> true;
            default -> false;
        };
    }

    /** Whether own strength works against something in it, so that the done-ratio counts it. */
    public boolean works() {
        return switch (this) {
            case STEP,
                    TOP_HOLD,
                    RAMP_DOWN,
                    CONTRACT,
                    HANDS_OFF_HOLD,
                    LIFT,
                    LOWERING,
                    BOTTOM,
                    UP,
                    PULSE_IN,
                    PULSE_OUT,
                    STEP_AWAY,
                    STEP_INTO -> true;
            default -> false;
        };
    }
}
