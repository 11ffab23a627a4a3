package gradino.core.advance.gate;

/** What a step down answers to. */
public enum DownCause {
    ANGLE_TOO_DEEP,
    RANGE_LOST,
    /** Pain in what holds or lets go: a supported hold, a settle. */
    PAIN_STRETCHED,
    PAIN_CONTRACTING,
    PAIN_LIFTING,
    /** Pain in a circle, a rock, a transition, or a stretch that carries nothing. */
    PAIN_MOVING,
    UNDER_LOAD,
    UNKNOWN,
    AWAY_LONG,
    EFFORT_CAPPED,
    ANGLE_CAPPED,
    CONTRACTION_CAPPED
}
