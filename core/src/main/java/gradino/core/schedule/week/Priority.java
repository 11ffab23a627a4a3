package gradino.core.schedule.week;

/** How much a missing day of a line counts: any of a higher one outweighs three of the next. House rule. */
public enum Priority {
    FIRST(16),
    SECOND(4),
    THIRD(1);

    private final int weight;

    Priority(int weight) {
        this.weight = weight;
    }

    public int weight() {
        return weight;
    }
}
