package gradino.core.measure;

/** Before any work that day, or after the working sets. Only cold counts as progress. */
public enum Warmth {
    COLD,
    WARM
}
