package gradino.core.advance.look;

/** What an invented client is like. */
public enum Trait {
    /** Range comes slowly and goes quickly. */
    STIFF("Stiff"),
    /** More range than own strength can use. */
    LOOSE("Loose without control"),
    /** Does more than asked. */
    OVER_EAGER("Over-eager"),
    /** Misses sessions and answers. */
    IRREGULAR("Irregular"),
    /** Sore after little. */
    SORE("Easily sore");

    private final String words;

    Trait(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
