package gradino.core.advance.state;

/** The one thing that a step changes. */
public enum LeverId {
    ANGLE,
    TOP_HOLD,
    CEILING,
    SETS,
    CEILING_TO_TOP,
    SUPPORTED_HOLD,
    HANDS_OFF_HOLD,
    HOLD,
    REPETITIONS,
    ROUNDS,
    HEIGHT,
    LOAD,
    OPTION,
    STAGE
}
