package gradino.core.report;

import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.ReadingChange;
import java.util.List;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * A weighted sum of readings of different days with its 95 % interval: the change of a range is +1 of the newer and −1 of the older
 * one, that of a control gap has four. A reading that stands in it twice counts with the sum of its weights.
 *
 * <p>Source: the law of propagation of uncertainty (JCGM 100:2008, 5.1.2) and the difference rule of {@link ReadingChange}.
 *
 * @param bound half the 95 % interval, degrees
 * @param p two-sided probability of a difference as large by noise alone, 0 to 1
 */
public record Difference(double degrees, double bound, double p, Judged judged) {

    /** One reading and how it counts. */
    record Weighted(double weight, RangeReading reading) {}

    public double lower() {
        return degrees - bound;
    }

    public double upper() {
        return degrees + bound;
    }

    static Difference between(RangeReading from, RangeReading to) {
        return of(List.of(new Weighted(1, to), new Weighted(-1, from)));
    }

    /** @param parts each of another reading */
    static Difference of(List<Weighted> parts) {
        double degrees = 0;
        double variance = 0;
        int freedom = 0;
        for (var part : parts) {
            degrees += part.weight() * part.reading().degrees();
            variance += part.weight() * part.weight() * part.reading().variance();
            freedom = ReadingChange.fewer(freedom, part.reading().freedom());
        }
        double error = Math.sqrt(variance);
        double bound = ReadingChange.k(freedom) * error;
        return new Difference(degrees, bound, p(Math.abs(degrees) / error, freedom), Judged.of(degrees, bound));
    }

    private static double p(double errors, int freedom) {
        double above = freedom == 0
                ? NormalDistribution.of(0, 1).survivalProbability(errors)
                : TDistribution.of(freedom).survivalProbability(errors);
        return Math.min(1, 2 * above);
    }
}
