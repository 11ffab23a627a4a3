package gradino.core.because;

/** Where a rule or a value comes from. The same text reaches the screen. */
public record Source(Kind kind, String text) {

    public enum Kind {
        PUBLISHED,
        COMMON_PRACTICE,
        HOUSE_RULE
    }

    /** Reads the {@code source} column of a data file: "common practice…" and "house rule…" are told by their first words. */
    public static Source parse(String text) {
        if (text.isBlank()) {
            throw new IllegalArgumentException("a source must say something");
        }
        if (text.startsWith("common practice")) {
            return new Source(Kind.COMMON_PRACTICE, text);
        }
        return new Source(text.startsWith("house rule") ? Kind.HOUSE_RULE : Kind.PUBLISHED, text);
    }
}
