package gradino.core.measure.noise;

/** Before any work that day, or after the working sets. Only cold counts as progress. */
public enum Warmth {
    COLD,
    WARM
}
