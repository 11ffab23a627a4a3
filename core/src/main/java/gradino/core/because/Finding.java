package gradino.core.because;

import gradino.core.quantity.OutOfBoundsException;
import org.jspecify.annotations.Nullable;

/**
 * What is wrong with people's data, where, and the way out.
 *
 * @param path place in the input, dots between names ({@code left.ceiling})
 * @param code stable name of the rule
 * @param bound the limit, in {@code unit}; null where there is no number
 * @param unit as in {@link Unit}, or empty
 */
public record Finding(
        String path, String code, @Nullable Double bound, String unit, String message, Severity severity) {

    public enum Severity {
        BLOCKING,
        ADVICE
    }

    public static Finding blocking(String path, String code, @Nullable Double bound, String unit, String message) {
        return new Finding(path, code, bound, unit, message, Severity.BLOCKING);
    }

    /** A number that cannot be, said as a sentence beside its field. */
    public static Finding outOfBounds(String path, OutOfBoundsException e) {
        return blocking(path, "out-of-bounds", e.upper(), e.unit(), sentence(String.valueOf(e.getMessage())));
    }

    /** What an exception says, as a reader expects it: with a capital and a full stop. */
    public static String sentence(String message) {
        var whole = message.endsWith(".") ? message : message + ".";
        return Wording.capital(whole);
    }

    public static Finding advice(String path, String code, @Nullable Double bound, String unit, String message) {
        return new Finding(path, code, bound, unit, message, Severity.ADVICE);
    }

    /** The same, said of another place. */
    public Finding at(String otherPath) {
        return new Finding(otherPath, code, bound, unit, message, severity);
    }

    public boolean blocks() {
        return severity == Severity.BLOCKING;
    }
}
