package gradino.core.perform;

/** Who watched. Unobserved faults are unknown, not zero. */
public enum Observer {
    COACH,
    VIDEO_CALL,
    CLIENT,
    NOBODY;

    public boolean isCoach() {
        return this == COACH || this == VIDEO_CALL;
    }

    public boolean seesFaults() {
        return this != NOBODY;
    }
}
