package gradino.bench;

import java.util.Locale;

/**
 * One figure with the target it is held against.
 *
 * @param atLeast true where more is better: a hash that has to be slow
 */
record Measured(String name, double value, String unit, double target, boolean atLeast) {
    Measured(String name, double value, String unit, double target) {
        this(name, value, unit, target, false);
    }

    static Measured atLeast(String name, double value, String unit, double target) {
        return new Measured(name, value, unit, target, true);
    }

    boolean met() {
        return atLeast ? value >= target : value <= target;
    }

    String json() {
        return String.format(
                Locale.ROOT,
                "{\"name\": \"%s\", \"value\": %.4f, \"unit\": \"%s\", \"target\": %s, \"met\": %b}",
                name,
                value,
                unit,
                target,
                met());
    }

    String line() {
        return String.format(
                Locale.ROOT,
                "%-28s %10.3f %-4s target %8.3f   %5.2f of it   %s",
                name,
                value,
                unit,
                target,
                value / target,
                met() ? "met" : "NOT MET");
    }
}
