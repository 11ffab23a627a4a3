package gradino.core.report;

import gradino.core.measure.reading.Tape;
import gradino.core.quantity.UncertainAngle;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
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
    /** How it is told. */
    public enum Unit {
        GRADE,
        CENTIMETRE
    }

    /** One test. */
    public record Tested(Instant at, double value) {}

    /**
     * @param cold tests of this movement, in the order of time
     */
    public static MovementChange of(
            String name, Unit unit, boolean higherIsBetter, List<Tested> cold, Period period, ZoneId zone) {
        var all = period.restsOn(cold, Tested::at, zone);
        Double bound = unit == Unit.CENTIMETRE
                ? Double.valueOf(UncertainAngle.Z_95_TWO_SIDED * Math.sqrt(2) * Tape.READING_U_CM)
                : null;
        return new MovementChange(
                name,
                unit,
                higherIsBetter,
                all.isEmpty() ? null : all.get(0),
                all.size() < 2 ? null : all.get(all.size() - 1),
                bound);
    }

    /** What it comes to: better is more, whichever way the numbers run; null where it was not tested twice. */
    public @Nullable Judged judged() {
        if (from == null || to == null) {
            return null;
        }
        double better = higherIsBetter ? to.value() - from.value() : from.value() - to.value();
        return Judged.of(better, bound == null ? 0 : bound);
    }
}
