package gradino.core.perform;

import gradino.core.quantity.OutOfBoundsException;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Seven days of session loads: their sum, monotony (mean daily load ÷ sample standard deviation, days of rest counted as 0) and
 * strain (sum × monotony).
 *
 * <p>Source: Foster C 1998, Med Sci Sports Exerc 30:1164–1168; Foster et al. 2001, J Strength Cond Res 15:109–115. Which standard
 * deviation is meant is not stated there; the sample's is the house rule.
 *
 * @param points a day, oldest first
 * @param monotony null when every day was the same: nothing to divide by
 * @param strain null with it
 */
public record WeekLoad(
        List<Double> points,
        double total,
        @Nullable Double monotony,
        @Nullable Double strain) {
    private static final int DAYS = 7;
    private static final double MOST_A_DAY = 10 * SessionLoad.MOST_MINUTES;

    public WeekLoad {
        points = List.copyOf(points);
    }

    /** @param points seven days, each 0 to 6,000 */
    public static WeekLoad of(List<Double> points) {
        OutOfBoundsException.require("days", points.size(), DAYS, DAYS, "");
        double total = 0;
        for (double day : points) {
            total += OutOfBoundsException.require("points", day, 0, MOST_A_DAY, "");
        }
        double mean = total / DAYS;
        double squares = 0;
        for (double day : points) {
            squares += (day - mean) * (day - mean);
        }
        double deviation = Math.sqrt(squares / (DAYS - 1));
        return deviation == 0
                ? new WeekLoad(points, total, null, null)
                : new WeekLoad(points, total, mean / deviation, total * mean / deviation);
    }
}
