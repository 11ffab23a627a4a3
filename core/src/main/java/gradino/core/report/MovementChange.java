package gradino.core.report;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A movement before and after, cold with cold.
 *
 * @param bound half the 95 % interval for lengths, from reading a tape to 0.5 cm; null for grades, whose noise nobody measured
 * @param from null when it was not tested at the beginning
 * @param to null when it was not tested again
 */
public record MovementChange(
        String name,
        Unit unit,
        boolean higherIsBetter,
        @Nullable Tested from,
        @Nullable Tested to,
        @Nullable Double bound) {
    /** Standard uncertainty of a length, cm (handbook rule for tapes). */
    private static final double TAPE_CM = 0.5;

    private static final double Z = 1.959964;

    /** How it is told. */
    public enum Unit {
        GRADE,
        CENTIMETRE
    }

    /** One test. */
    public record Tested(Instant at, double value) {}

    static MovementChange of(
            String name, Unit unit, boolean higherIsBetter, @Nullable Tested from, @Nullable Tested to) {
        Double bound = unit == Unit.CENTIMETRE ? Double.valueOf(Z * Math.sqrt(2) * TAPE_CM) : null;
        return new MovementChange(name, unit, higherIsBetter, from, to, bound);
    }
}
