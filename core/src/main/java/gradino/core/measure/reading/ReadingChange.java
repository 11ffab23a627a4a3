package gradino.core.measure.reading;

import gradino.core.quantity.UncertainAngle;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * What changed between two days of one series: the difference of their readings, real beyond k·√(var₁ + var₂). Two filtered values
 * share readings and are never subtracted.
 *
 * <p>Source: the smallest detectable difference of two readings (Weir 2005, J Strength Cond Res 19:231-240; value from memory); k is
 * 1.96 with house values, with a study the quantile of Student's t at the fewer of its degrees of freedom.
 */
public record ReadingChange(RangeReading from, RangeReading to) {
    private static final double UPPER = 0.975;

    public double degrees() {
        return to.degrees() - from.degrees();
    }

    /** Half the 95 % interval: beyond it the change is real. */
    public double bound() {
        return k() * Math.sqrt(from.variance() + to.variance());
    }

    private double k() {
        if (from.freedom() == 0 && to.freedom() == 0) {
            return UncertainAngle.Z_95_TWO_SIDED;
        }
        int fewer = from.freedom() == 0 || to.freedom() == 0
                ? Math.max(from.freedom(), to.freedom())
                : Math.min(from.freedom(), to.freedom());
        return TDistribution.of(fewer).inverseCumulativeProbability(UPPER);
    }

    public boolean isReal() {
        return Math.abs(degrees()) > bound();
    }
}
