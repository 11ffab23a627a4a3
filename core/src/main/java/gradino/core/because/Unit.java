package gradino.core.because;

/** Units a reason, a finding or a gate may speak in. */
public enum Unit {
    DEGREE("°"),
    CENTIMETRE(" cm"),
    KILOGRAM(" kg"),
    SECOND(" s"),
    MINUTE(" min"),
    HOUR(" h"),
    DAY(" days"),
    PERCENT(" %"),
    OF_TEN("/10"),
    RATIO(""),
    COUNT("");

    private final String suffix;

    Unit(String suffix) {
        this.suffix = suffix;
    }

    public String suffix() {
        return suffix;
    }
}
