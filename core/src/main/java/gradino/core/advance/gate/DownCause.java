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
    /** Pain of which the block does not tell the cause, or that rose over weeks. */
    UNKNOWN,
    /** Some weeks away: the last step up is undone. */
    AWAY,
    /** So long away that it starts again. */
    AWAY_LONG,
    EFFORT_CAPPED,
    ANGLE_CAPPED,
    CONTRACTION_CAPPED;

    public boolean isGap() {
        return this == AWAY || this == AWAY_LONG;
    }
}
