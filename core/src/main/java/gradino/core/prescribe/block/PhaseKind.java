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
    PROP,
    RE_MEASURE,
    /** A movement is graded 0 to 10. */
    MOVEMENT_GRADE,
    /** A movement is told by a length. */
    MOVEMENT_LENGTH,
    SIDE_CHANGE;

    /** Whether it is part of a repetition that counts whole once it was done, at whatever pace. */
    public boolean isRepetition() {
        return switch (this) {
            case PULSE_IN, PULSE_OUT, STEP_AWAY, STEP_INTO, MOVE, CIRCLE_ONE_WAY, CIRCLE_OTHER_WAY -> true;
            default -> false;
        };
    }

    /** Whether it is the part of a repetition that is timed: it counts by what was kept of it. */
    public boolean isTimed() {
        return this == LIFT || this == LOWERING || this == BOTTOM || this == END_PAUSE;
    }

    /** Whether a new repetition begins with it. */
    public boolean beginsRepetition() {
        return switch (this) {
            case LIFT, LOWERING, PULSE_IN, STEP_AWAY, MOVE, CIRCLE_ONE_WAY, CIRCLE_OTHER_WAY -> true;
            default -> false;
        };
    }

    /** Whether own strength works against something in it, so that its seconds are time under tension. */
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
