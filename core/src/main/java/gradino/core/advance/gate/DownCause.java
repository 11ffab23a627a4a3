package gradino.core.advance.gate;

/** What a step down answers to. */
public enum DownCause {
    ANGLE_TOO_DEEP,
    RANGE_LOST,
    PAIN_WHILE_CONTRACTING,
    UNDER_LOAD,
    UNKNOWN,
    AWAY_LONG,
    EFFORT_CAPPED,
    ANGLE_CAPPED,
    CONTRACTION_CAPPED
}
