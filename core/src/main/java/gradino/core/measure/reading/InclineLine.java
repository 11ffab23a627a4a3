package gradino.core.measure.reading;

import gradino.core.measure.noise.Agreement;
import gradino.core.measure.noise.Repeatability;
import gradino.core.quantity.OutOfBoundsException;
import java.util.List;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * A client's own line from a bench's incline to the angle measured on it: least squares, angle = a + b·incline. A higher
 * bench is easier, so the line usually falls. There is no formula: only what was measured on this bench counts.
 *
 * @param residualSd standard deviation about the line, degrees; n − 2 degrees of freedom
 */
public record InclineLine(
        int points, double intercept, double slope, double residualSd, double meanIncline, double spread) {

    /** @param inclineDegrees of the bench, 0 to 90 */
    public record Point(double inclineDegrees, double angleDegrees) {
        public Point {
            OutOfBoundsException.require("incline of the bench", inclineDegrees, 0, 90, "°");
            OutOfBoundsException.require("angle", angleDegrees, -180, 360, "°");
        }
    }

    /** @throws Repeatability.UnusableException for fewer than three points, or all at one incline */
    public static InclineLine fit(List<Point> points) {
        if (points.size() < 3) {
            throw new Repeatability.UnusableException(
                    -1, -1, "at least three readings on this bench are needed, there are " + points.size());
        }
        double meanX =
                points.stream().mapToDouble(Point::inclineDegrees).average().orElseThrow();
        double meanY =
                points.stream().mapToDouble(Point::angleDegrees).average().orElseThrow();
        double sxx = points.stream()
                .mapToDouble(p -> (p.inclineDegrees() - meanX) * (p.inclineDegrees() - meanX))
                .sum();
        if (!(sxx > 0)) {
            throw new Repeatability.UnusableException(
                    -1, -1, "the bench stood at one incline only: measure at another");
        }
        double sxy = points.stream()
                .mapToDouble(p -> (p.inclineDegrees() - meanX) * (p.angleDegrees() - meanY))
                .sum();
        double slope = sxy / sxx;
        double intercept = meanY - slope * meanX;
        double squares = points.stream()
                .mapToDouble(p -> p.angleDegrees() - intercept - slope * p.inclineDegrees())
                .map(r -> r * r)
                .sum();
        return new InclineLine(points.size(), intercept, slope, Math.sqrt(squares / (points.size() - 2)), meanX, sxx);
    }

    /** The angle to expect at an incline with the 95 % interval of a single new reading. */
    public Agreement.Interval at(double inclineDegrees) {
        double value = intercept + slope * inclineDegrees;
        double away = inclineDegrees - meanIncline;
        double error = residualSd * Math.sqrt(1 + 1.0 / points + away * away / spread);
        double t = TDistribution.of(points - 2.0).inverseCumulativeProbability(0.975);
        return new Agreement.Interval(value, value - t * error, value + t * error);
    }
}
