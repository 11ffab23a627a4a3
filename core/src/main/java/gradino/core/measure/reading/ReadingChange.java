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
        return k(freedom());
    }

    /** Of the studies behind them the fewer degrees of freedom; 0 where both are house values. */
    public int freedom() {
        return fewer(from.freedom(), to.freedom());
    }

    /** Of two degrees of freedom the fewer; 0 stands for a house value, which counts as known. */
    public static int fewer(int one, int other) {
        return one == 0 || other == 0 ? Math.max(one, other) : Math.min(one, other);
    }

    /** Standard errors to either side of a 95 % interval: Student's t, or the normal quantile where the variance counts as known. */
    public static double k(int freedom) {
        return freedom == 0
                ? UncertainAngle.Z_95_TWO_SIDED
                : TDistribution.of(freedom).inverseCumulativeProbability(UPPER);
    }

    public boolean isReal() {
        return Math.abs(degrees()) > bound();
    }
}
