package gradino.core.report;

/** What a difference comes to. */
public enum Judged {
    MORE,
    LESS,
    /** Within measurement noise: the 95 % interval holds zero. */
    WITHIN_NOISE;

    /** @param bound half the 95 % interval */
    public static Judged of(double degrees, double bound) {
        return Math.abs(degrees) <= bound ? WITHIN_NOISE : degrees > 0 ? MORE : LESS;
    }
}
