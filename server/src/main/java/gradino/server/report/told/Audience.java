package gradino.server.report.told;

/** Whom a report is for. */
public enum Audience {
    /** Plain sentences, three numbers at most a motion, drawings instead of tables. */
    CLIENT,
    COACH,
    /** Every number with its interval, and how it was measured. */
    PROFESSIONAL;

    boolean plain() {
        return this == CLIENT;
    }
}
