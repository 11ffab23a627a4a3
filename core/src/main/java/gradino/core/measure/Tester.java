package gradino.core.measure;

/** Who measured. */
public enum Tester {
    COACH,
    ASSISTANT,
    CLIENT
}
