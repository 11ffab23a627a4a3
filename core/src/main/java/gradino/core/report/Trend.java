package gradino.core.report;

import gradino.core.measure.reading.ReadingChange;
import java.util.List;
import java.util.Optional;

/**
 * The straight line of least squares through one number a week, with the 95 % interval of its slope (Student's t with n − 2 degrees
 * of freedom). Weeks of one person follow from each other, so it tells a tendency, not a cause.
 *
 * @param perWeek slope
 */
public record Trend(double perWeek, double lower, double upper, Judged judged) {
    private static final int WEEKS_LEAST = 4;

    /** @return empty for fewer than four weeks */
    static Optional<Trend> of(List<Double> weeks) {
        int n = weeks.size();
        if (n < WEEKS_LEAST) {
            return Optional.empty();
        }
        double middle = (n - 1) / 2.0;
        double mean = weeks.stream().mapToDouble(w -> w).average().orElse(0);
        double across = 0;
        double together = 0;
        for (int i = 0; i < n; i++) {
            across += (i - middle) * (i - middle);
            together += (i - middle) * (weeks.get(i) - mean);
        }
        double slope = together / across;
        double left = 0;
        for (int i = 0; i < n; i++) {
            double off = weeks.get(i) - mean - slope * (i - middle);
            left += off * off;
        }
        double bound = ReadingChange.k(n - 2) * Math.sqrt(left / (n - 2) / across);
        return Optional.of(new Trend(slope, slope - bound, slope + bound, Judged.of(slope, bound)));
    }
}
