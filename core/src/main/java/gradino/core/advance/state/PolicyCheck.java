package gradino.core.advance.state;

import gradino.core.because.Finding;
import gradino.core.because.Unit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Holds the numbers of a policy against their ranges, and against each other. */
public final class PolicyCheck {
    /** The first must not lie above the second. */
    private record Order(Threshold lower, Threshold upper, String message) {}

    private static final List<Order> ORDERS = List.of(
            new Order(
                    Threshold.GAP_STAY_DAYS,
                    Threshold.GAP_DOWN_DAYS,
                    "Repeating comes before stepping down: set fewer days than for the step down."),
            new Order(
                    Threshold.GAP_DOWN_DAYS,
                    Threshold.GAP_NEWCOMER_DAYS,
                    "Stepping down comes before starting again: set fewer days than for a newcomer."),
            new Order(
                    Threshold.PAIN_CLEAN,
                    Threshold.PAIN_UNSETTLED,
                    "Pain of a clean session lies below the pain that must settle."),
            new Order(
                    Threshold.PAIN_UNSETTLED,
                    Threshold.PAIN_TOO_MUCH,
                    "Pain that must settle lies below the pain that is too much."),
            new Order(Threshold.PHASE_RATIO, Threshold.DONE_RATIO, "A single phase is asked no more than the whole."),
            new Order(
                    Threshold.ANGLE_LEAST,
                    Threshold.ANGLE_STEP,
                    "The smallest step must not be larger than the largest."),
            new Order(
                    Threshold.ANGLE_STEP,
                    Threshold.ANGLE_WEEK,
                    "A single step must not be larger than a week allows."));

    private PolicyCheck() {}

    /**
     * @param values those that differ from {@code base}
     * @return findings with the path {@code values.NAME}
     */
    public static List<Finding> check(Policy base, Map<Threshold, Double> values) {
        var findings = new ArrayList<Finding>();
        var all = new EnumMap<Threshold, Double>(Threshold.class);
        for (var threshold : Threshold.values()) {
            double value = values.getOrDefault(threshold, base.value(threshold));
            all.put(threshold, value);
            single(base.entry(threshold), threshold, value, findings);
        }
        for (var order : ORDERS) {
            double upper = all.getOrDefault(order.upper(), 0.0);
            if (findings.isEmpty() && all.getOrDefault(order.lower(), 0.0) > upper) {
                findings.add(Finding.blocking(
                        path(order.lower()),
                        "out-of-order",
                        upper,
                        base.unit(order.upper()).suffix().strip(),
                        order.message()));
            }
        }
        return List.copyOf(findings);
    }

    private static void single(Policy.Entry entry, Threshold threshold, double value, List<Finding> findings) {
        boolean nearest = value < entry.min();
        if (!(value >= entry.min() && value <= entry.max())) {
            findings.add(Finding.blocking(
                    path(threshold),
                    "out-of-bounds",
                    nearest ? entry.min() : entry.max(),
                    entry.unit().suffix().strip(),
                    "Between %s and %s%s."
                            .formatted(
                                    plain(entry.min()),
                                    plain(entry.max()),
                                    entry.unit().suffix())));
        } else if (isWhole(entry.unit(), threshold) && value != Math.rint(value)) {
            findings.add(Finding.blocking(path(threshold), "whole", null, "", "A whole number."));
        }
    }

    /** Counts, scores and doses are whole; ratios and degrees need not be. */
    private static boolean isWhole(Unit unit, Threshold threshold) {
        return switch (unit) {
            case COUNT, DAY, SECOND, OF_TEN -> true;
            case PERCENT -> threshold != Threshold.NEAR_MAX_PEAK;
            default -> false;
        };
    }

    private static String path(Threshold threshold) {
        return "values." + threshold;
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }
}
