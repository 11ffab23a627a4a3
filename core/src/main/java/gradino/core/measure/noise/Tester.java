package gradino.core.measure.noise;

/** Who measured. */
public enum Tester {
    COACH,
    ASSISTANT,
    CLIENT
}
