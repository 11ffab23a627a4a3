package gradino.core.because;

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

    public static Finding advice(String path, String code, @Nullable Double bound, String unit, String message) {
        return new Finding(path, code, bound, unit, message, Severity.ADVICE);
    }

    public boolean blocks() {
        return severity == Severity.BLOCKING;
    }
}
