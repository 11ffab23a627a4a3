package gradino.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.RangeSeries;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * The recursion against the closed form: level and readings are jointly normal, so the estimate is the conditional mean of
 * the level given all readings at once, Σ_xz Σ_zz⁻¹ z (Anderson &amp; Moore 1979, ch. 3; computed here, not published).
 */
public class FilterAgainstBatchTest {
    private static final Instant DAY_0 = Instant.parse("2026-01-01T08:00:00Z");
    private static final NoiseRules RULES = NoiseRules.HOUSE;

    @DataProvider
    public Object[][] seeds() {
        return IntStream.range(0, 25).mapToObj(n -> new Object[] {n}).toArray(Object[][]::new);
    }

    private static double day(RangeReading reading) {
        return (reading.at().getEpochSecond() - DAY_0.getEpochSecond()) / 86_400.0;
    }

    private static List<RangeReading> readings(Random random) {
        var readings = new ArrayList<RangeReading>();
        int day = 0;
        for (int n = 0; n < 3 + random.nextInt(6); n++) {
            double variance = random.nextBoolean() ? 9 : 16;
            readings.add(new RangeReading(DAY_0.plusSeconds(day * 86_400L), 30 + random.nextGaussian() * 4, variance));
            day += 1 + random.nextInt(12);
        }
        return readings;
    }

    /** Covariance of the level at two times: the first variance, grown by the drift up to the earlier of them. */
    private static double covariance(double one, double other) {
        return RULES.firstVariance() + RULES.driftPerDay() * Math.min(one, other);
    }

    /** Conditional mean and variance of the level, with the first reading as the prior mean. */
    private static double[] level(List<RangeReading> readings, double to) {
        int n = readings.size();
        var matrix = new double[n][n];
        var right = new double[n][2];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                matrix[i][j] = covariance(day(readings.get(i)), day(readings.get(j)));
            }
            matrix[i][i] += readings.get(i).variance();
            right[i][0] = readings.get(i).degrees() - readings.get(0).degrees();
            right[i][1] = covariance(day(readings.get(i)), to);
        }
        var cross = new double[n];
        for (int i = 0; i < n; i++) {
            cross[i] = right[i][1];
        }
        solve(matrix, right);
        double mean = readings.get(0).degrees();
        double variance = covariance(to, to);
        for (int i = 0; i < n; i++) {
            mean += cross[i] * right[i][0];
            variance -= cross[i] * right[i][1];
        }
        return new double[] {mean, variance};
    }

    /** Gauss elimination in place; the matrix is positive definite, so no pivoting. */
    private static void solve(double[][] a, double[][] b) {
        for (int k = 0; k < a.length; k++) {
            for (int i = 0; i < a.length; i++) {
                if (i != k) {
                    double factor = a[i][k] / a[k][k];
                    for (int j = k; j < a.length; j++) {
                        a[i][j] -= factor * a[k][j];
                    }
                    for (int j = 0; j < b[k].length; j++) {
                        b[i][j] -= factor * b[k][j];
                    }
                }
            }
        }
        for (int k = 0; k < a.length; k++) {
            for (int j = 0; j < b[k].length; j++) {
                b[k][j] /= a[k][k];
            }
        }
    }

    @Test(dataProvider = "seeds")
    public void theEstimateIsTheConditionalMeanOfTheLevel(int seed) {
        var readings = readings(new Random(seed));
        double last = day(readings.get(readings.size() - 1));
        var state = RangeSeries.fold(readings, RULES).orElseThrow();
        var batch = level(readings, last);
        assertThat(state.level()).isCloseTo(batch[0], within(1e-6));
        assertThat(state.variance()).isCloseTo(batch[1], within(1e-6));
    }

    @Test(dataProvider = "seeds")
    public void theOrderInWhichReadingsAreGivenDoesNotMatter(int seed) {
        var random = new Random(seed);
        var readings = readings(random);
        var shuffled = new ArrayList<>(readings);
        java.util.Collections.shuffle(shuffled, random);
        assertThat(RangeSeries.fold(shuffled, RULES)).isEqualTo(RangeSeries.fold(readings, RULES));
    }

    @Test
    public void aDateAfterTheLastReadingHasNoChangeYet() {
        var readings = readings(new Random(3));
        var later = DAY_0.plusSeconds(400 * 86_400L);
        var state = RangeSeries.fold(readings, RULES, later).orElseThrow();
        assertThat(state.change().degrees()).isZero();
        assertThat(state.change().isReal()).isFalse();
        assertThat(RangeSeries.fold(List.of(), RULES)).isEmpty();
    }
}
