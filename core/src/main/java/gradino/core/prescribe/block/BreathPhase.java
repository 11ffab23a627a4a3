package gradino.core.prescribe.block;

/** What the breath does in a second of the timeline. */
public enum BreathPhase {
    IN,
    OUT,
    /** Above 50 % effort: small breaths, never held. */
    SHALLOW,
    /** As it comes. */
    FREE
}
