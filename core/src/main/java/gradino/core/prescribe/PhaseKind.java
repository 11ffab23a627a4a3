package gradino.core.prescribe;

/** A part of a block with one cue. */
public enum PhaseKind {
    SET_UP,
    CIRCLE_ONE_WAY,
    CIRCLE_OTHER_WAY,
    HOLD,
    STEP,
    TOP_HOLD,
    RE_STRETCH,
    HANDS_OFF_HOLD,
    SETTLE,
    SIDE_CHANGE
}
