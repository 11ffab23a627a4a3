package gradino.core.body;

import java.util.Locale;
import java.util.Optional;

/**
 * A way to make a position easier or harder that can be taken: another position, a number or a set-up.
 *
 * @param words as a coach says it
 * @param position id of the other position; empty for all else
 * @param by what the number changes by, in its own unit; of a set-up the height in cm, 0 for none
 */
public record Hint(String words, Take take, String position, double by) {
    private static final double MOST = 100;

    /** What is taken. The numbers are of every block that has them; more is harder, but for a bench. */
    public enum Take {
        POSITION,
        ANGLE,
        SET_UP,
        /** A set-up that goes further into the range. */
        DEEPER,
        BENCH,
        STRAP,
        BAND,
        EFFORT,
        HOLD,
        TEMPO,
        PAUSE,
        LOAD;

        boolean isNumber() {
            return this != POSITION && !isSetUp();
        }

        public boolean isSetUp() {
            return this == SET_UP || this == DEEPER;
        }
    }

    /** What is wrong with it, as somebody may have typed it; empty where nothing is. */
    public Optional<String> trouble() {
        if (words.isBlank()) {
            return Optional.of("Say how a coach says it.");
        } else if (take == Take.POSITION && position.isBlank()) {
            return Optional.of("Pick the other position.");
        } else if (!(Math.abs(by) <= MOST)) {
            return Optional.of("Between −100 and 100.");
        } else if (take.isNumber() && by == 0) {
            return Optional.of("By how much does the number change?");
        }
        return take.isSetUp() && by < 0 ? Optional.of("A height is no less than 0.") : Optional.empty();
    }

    /** "position seated-edge", "angle -5", "set-up", "set-up 5", "deeper". */
    static Hint of(String words, String takes) {
        var parts = takes.split(" ");
        var take = Take.valueOf(parts[0].toUpperCase(Locale.ROOT).replace('-', '_'));
        return take == Take.POSITION
                ? new Hint(words, take, parts[1], 0)
                : new Hint(words, take, "", parts.length > 1 ? Double.parseDouble(parts[1]) : 0);
    }

    /** Whether it goes the way that it says: deeper or a number up for what is harder. A bench may go either way. */
    boolean goesAsSaid(boolean easier) {
        if (take == Take.DEEPER) {
            return !easier;
        }
        return !take.isNumber() || take == Take.BENCH || by < 0 == easier;
    }

    /** As it is written into a set-up: with its height. */
    public String setUp() {
        return by == 0 ? words : "%s, %s cm".formatted(words, plain(by));
    }

    private static String plain(double cm) {
        return cm == Math.rint(cm) ? String.valueOf((long) cm) : String.valueOf(cm);
    }
}
