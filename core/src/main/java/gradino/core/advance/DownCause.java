package gradino.core.advance;

/** What a step down answers to. */
enum DownCause {
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
