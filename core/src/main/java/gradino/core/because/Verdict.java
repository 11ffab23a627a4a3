package gradino.core.because;

/** What a proposal says, from the most cautious to the boldest. */
public enum Verdict {
    STOP_AND_REFER,
    STEP_DOWN,
    STAY,
    STEP_UP;

    public boolean isMoreCautiousThan(Verdict other) {
        return compareTo(other) < 0;
    }
}
