package gradino.bench;

import java.util.Locale;

/** One figure with the target it is held against; smaller is better. */
record Measured(String name, double value, String unit, double target) {
    boolean met() {
        return value <= target;
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
