package gradino.core.body;

import gradino.core.quantity.OutOfBoundsException;
import java.util.Locale;

/**
 * A way to make a position easier or harder that can be taken: another position, a number or a set-up.
 *
 * @param words as a coach says it
 * @param position id of the other position; empty for all else
 * @param by what the number changes by, in its own unit; of a set-up the height in cm, 0 for none
 */
public record Hint(String words, Take take, String position, double by) {
    /** What is taken. The numbers are of every block that has them; more is harder, but for a bench. */
    public enum Take {
        POSITION,
        ANGLE,
        SET_UP,
        BENCH,
        STRAP,
        BAND,
        EFFORT,
        HOLD,
        TEMPO,
        PAUSE,
        LOAD;

        boolean isNumber() {
            return this != POSITION && this != SET_UP;
        }
    }

    public Hint {
        OutOfBoundsException.require("by", by, -100, 100, "");
        if (words.isBlank()) {
            throw new IllegalArgumentException("an easier or harder option needs words");
        }
        if (position.isEmpty() == (take == Take.POSITION)) {
            throw new IllegalArgumentException(words + ": another position has an id, and nothing else has");
        }
        if (take.isNumber() && by == 0) {
            throw new IllegalArgumentException(words + ": by how much does the number change?");
        }
        if (take == Take.SET_UP && by < 0) {
            throw new IllegalArgumentException(words + ": a height is no less than 0");
        }
    }

    /** "position seated-edge", "angle -5", "set-up", "set-up 5". */
    static Hint of(String words, String takes) {
        var parts = takes.split(" ");
        var take = Take.valueOf(parts[0].toUpperCase(Locale.ROOT).replace('-', '_'));
        return take == Take.POSITION
                ? new Hint(words, take, parts[1], 0)
                : new Hint(words, take, "", parts.length > 1 ? Double.parseDouble(parts[1]) : 0);
    }

    /** Whether its number goes the way that it says: up for what is harder. A bench may go either way. */
    boolean goesAsSaid(boolean easier) {
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
