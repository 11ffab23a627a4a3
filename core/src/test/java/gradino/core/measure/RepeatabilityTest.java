package gradino.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.measure.noise.Agreement;
import gradino.core.measure.noise.NoiseStudy;
import gradino.core.measure.noise.Repeatability;
import gradino.core.measure.noise.Trials;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.hipparchus.stat.inference.OneWayAnova;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Against published results; every published number here is a value from memory. */
public class RepeatabilityTest {
    /** Shrout & Fleiss 1979, Psychol Bull 86:420–428, table 2: six targets, four judges. */
    private static final double[][] SF79 = {
        {9, 2, 5, 8}, {6, 1, 3, 2}, {8, 4, 6, 8}, {7, 1, 2, 6}, {10, 5, 6, 9}, {6, 2, 4, 7}
    };

    /** Bland & Altman 1986, Lancet i:307–310: peak flow by two meters, twice each, 17 people. */
    private static final double[] WRIGHT_1 = {
        494, 395, 516, 434, 476, 557, 413, 442, 650, 433, 417, 656, 267, 478, 178, 423, 427
    };

    private static final double[] WRIGHT_2 = {
        490, 397, 512, 401, 470, 611, 415, 431, 638, 429, 420, 633, 275, 492, 165, 372, 421
    };
    private static final double[] MINI_1 = {
        512, 430, 520, 428, 500, 600, 364, 380, 658, 445, 432, 626, 260, 477, 259, 350, 451
    };
    private static final double[] MINI_2 = {
        525, 415, 508, 444, 500, 625, 460, 390, 642, 432, 420, 605, 227, 467, 268, 370, 443
    };

    @Test
    public void meanSquaresAndAllSixCorrelationsAreThoseOfShroutAndFleiss() {
        var r = Repeatability.of(SF79);
        assertThat(r.betweenMs()).isCloseTo(11.24, within(0.005));
        assertThat(r.withinMs()).isCloseTo(6.26, within(0.005));
        assertThat(r.judgeMs()).isCloseTo(32.49, within(0.005));
        assertThat(r.errorMs()).isCloseTo(1.02, within(0.005));
        assertThat(r.icc11()).isCloseTo(0.16574, within(5e-6));
        assertThat(r.icc21()).isCloseTo(0.28976, within(5e-6));
        assertThat(r.icc31()).isCloseTo(0.71484, within(5e-6));
        assertThat(r.icc1k()).isCloseTo(0.44280, within(5e-6));
        assertThat(r.icc2k()).isCloseTo(0.62005, within(5e-6));
        assertThat(r.icc3k()).isCloseTo(0.90932, within(5e-6));
    }

    @DataProvider
    public Object[][] weir() {
        return new Object[][] {{8, 0.90, 2.52982, 7.0123}, {10, 0.84, 4.0, 11.0874}, {7, 0.95, 1.56525, 4.33864}};
    }

    /** Weir 2005, J Strength Cond Res 19:231–240, formulas; the rows are computed from them. */
    @Test(dataProvider = "weir")
    public void standardErrorAndSmallestChangeFollowWeir(double sd, double icc, double sem, double mdc) {
        assertThat(Repeatability.sem(sd, icc)).isCloseTo(sem, within(5e-5));
        assertThat(Repeatability.mdc95(sem)).isCloseTo(mdc, within(5e-4));
        assertThat(Repeatability.mdc95(1)).isCloseTo(2.77186, within(1e-5));
        assertThat(Repeatability.mdc90(1)).isCloseTo(2.3264, within(3e-4));
    }

    @Test
    public void limitsOfAgreementAreThoseOfBlandAndAltman() {
        var a = Agreement.of(WRIGHT_1, MINI_1);
        assertThat(a.bias()).isCloseTo(-2.1176, within(5e-5));
        assertThat(a.sd()).isCloseTo(38.7651, within(5e-5));
        assertThat(a.lowerLimit().value()).isCloseTo(-79.648, within(5e-4));
        assertThat(a.upperLimit().value()).isCloseTo(75.413, within(5e-4));
        assertThat(a.limitError()).isCloseTo(16.2846, within(5e-5));
        assertThat(a.biasInterval().lower95()).isCloseTo(-22.0, within(0.1));
        assertThat(a.biasInterval().upper95()).isCloseTo(17.8, within(0.1));
        // Published from rounded numbers, so half a unit.
        assertThat(a.lowerLimit().lower95()).isCloseTo(-114.3, within(0.5));
        assertThat(a.lowerLimit().upper95()).isCloseTo(-45.1, within(0.5));
        assertThat(a.upperLimit().lower95()).isCloseTo(40.9, within(0.5));
        assertThat(a.upperLimit().upper95()).isCloseTo(110.1, within(0.5));
    }

    /** Repeatability coefficient of repeated readings by one method, the mean difference taken as 0: 2·√(Σd²/n). */
    private static double coefficient(Agreement a) {
        return 2 * Math.sqrt((a.sd() * a.sd() * (a.pairs() - 1) + a.bias() * a.bias() * a.pairs()) / a.pairs());
    }

    @Test
    public void repeatedReadingsByOneMeterTakeTheMeanDifferenceAsZero() {
        assertThat(coefficient(Agreement.of(WRIGHT_1, WRIGHT_2))).isCloseTo(43.294, within(5e-4));
        assertThat(coefficient(Agreement.of(MINI_1, MINI_2))).isCloseTo(56.316, within(5e-4));
        assertThat(Agreement.of(WRIGHT_1, WRIGHT_2).sd()).isCloseTo(21.724, within(5e-4));
    }

    @Test
    public void typicalErrorOfTwoVisitsIsTheErrorOfTheirTable() {
        double[][] table = IntStream.range(0, WRIGHT_1.length)
                .mapToObj(i -> new double[] {WRIGHT_1[i], WRIGHT_2[i]})
                .toArray(double[][]::new);
        // Algebra: with two judges MS_error is half the variance of the differences.
        assertThat(Agreement.of(WRIGHT_1, WRIGHT_2).typicalError())
                .isCloseTo(Repeatability.of(table).sem(), within(1e-9));
    }

    @DataProvider
    public Object[][] seeds() {
        return IntStream.range(0, 40).mapToObj(n -> new Object[] {n}).toArray(Object[][]::new);
    }

    /** A second opinion: another library's one-way analysis of variance and standard deviation. */
    @Test(dataProvider = "seeds")
    public void agreesWithAnIndependentAnalysisOfVariance(int seed) {
        var random = new Random(seed);
        var table = new double[2 + random.nextInt(8)][2 + random.nextInt(4)];
        for (double[] row : table) {
            double person = 30 + 10 * random.nextGaussian();
            Arrays.setAll(row, j -> person + 2 * random.nextGaussian());
        }
        var r = Repeatability.of(table);
        assertThat(r.betweenMs() / r.withinMs())
                .isCloseTo(new OneWayAnova().anovaFValue(List.of(table)), within(1e-6 * r.betweenMs() / r.withinMs()));
        assertThat(Agreement.sd(table[0])).isCloseTo(new StandardDeviation().evaluate(table[0]), within(1e-9));
    }

    @Test
    public void quantilesAreThoseOfTheTablesAndOfASecondLibrary() {
        double[][] t = {{1, 12.706}, {2, 4.303}, {5, 2.571}, {10, 2.228}, {16, 2.120}, {30, 2.042}, {120, 1.980}};
        for (double[] row : t) {
            double ours = org.apache.commons.statistics.distribution.TDistribution.of(row[0])
                    .inverseCumulativeProbability(0.975);
            assertThat(ours).isCloseTo(row[1], within(6e-4));
            assertThat(ours)
                    .isCloseTo(
                            new org.hipparchus.distribution.continuous.TDistribution(row[0])
                                    .inverseCumulativeProbability(0.975),
                            within(1e-6));
        }
        assertThat(NormalDistribution.of(0, 1).inverseCumulativeProbability(0.975))
                .isCloseTo(1.959964, within(1e-6));
    }

    @Test
    public void theSpreadOfTheGuidesTemperaturesComesOutAsPrinted() {
        // JCGM 100:2008 (GUM), 4.4.3 (value from memory): mean 100.145, s 1.489, s/√20 0.333 °C.
        double[] celsius = {
            96.90, 98.18, 98.25, 98.61, 99.03, 99.49, 99.56, 99.74, 99.89, 100.07, 100.33, 100.42, 100.68, 100.95,
            101.11, 101.20, 101.57, 101.84, 102.36, 102.72
        };
        assertThat(Agreement.mean(celsius)).isCloseTo(100.145, within(5e-4));
        assertThat(Agreement.sd(celsius)).isCloseTo(1.48884, within(5e-6));
        assertThat(Agreement.sd(celsius) / Math.sqrt(20)).isCloseTo(0.33292, within(5e-6));
    }

    @Test
    public void withoutAnyVarianceNoCorrelationIsMadeUp() {
        var flat = Repeatability.of(new double[][] {{30, 30, 30}, {30, 30, 30}});
        assertThat(flat.icc21()).isNaN();
        assertThat(flat.sem()).isZero();
    }

    @DataProvider
    public Object[][] unusable() {
        return new Object[][] {
            {new double[][] {{1, 2}}, -1, -1},
            {new double[][] {{1}, {2}}, -1, -1},
            {new double[][] {{1, 2}, {3}}, 1, 1},
            {new double[][] {{1, 2}, {3, Double.NaN}}, 1, 1},
        };
    }

    @Test(dataProvider = "unusable")
    public void aGapIsNamedByItsPlace(double[][] table, int row, int column) {
        assertThatThrownBy(() -> Repeatability.of(table))
                .isInstanceOfSatisfying(Repeatability.UnusableException.class, e -> {
                    assertThat(e.row()).isEqualTo(row);
                    assertThat(e.column()).isEqualTo(column);
                });
    }

    private static NoiseStudy.Person person(double... medians) {
        return new NoiseStudy.Person(
                Arrays.stream(medians).mapToObj(m -> Trials.of(m - 1, m, m + 1)).toList());
    }

    @Test
    public void aStudySplitsTheNoiseIntoDaysAndTrials() {
        var study =
                NoiseStudy.of(List.of(person(30, 32), person(40, 42), person(35, 37), person(28, 30), person(44, 46)));
        // Trials m−1, m, m+1 have variance 1; visits 2° apart have a within mean square of 2 (by hand).
        assertThat(study.trialVariance()).isCloseTo(1, within(1e-9));
        assertThat(study.sem()).isCloseTo(Math.sqrt(2), within(1e-9));
        assertThat(study.dayVariance()).isCloseTo(2 - 0.449, within(1e-9));
        assertThat(study.readingVariance(3)).isCloseTo(2, within(1e-9));
        assertThat(study.readingVariance(1)).isCloseTo(2 - 0.449 + 1, within(1e-9));
    }

    @Test
    public void aStudyOfTooFewOrUnequalIsRefused() {
        assertThatThrownBy(() -> NoiseStudy.of(List.of(person(30, 32), person(40, 42))))
                .hasMessageContaining("at least five people");
        var odd = new NoiseStudy.Person(List.of(Trials.of(30), Trials.of(31)));
        assertThatThrownBy(() ->
                        NoiseStudy.of(List.of(person(30, 32), person(40, 42), person(35, 37), person(28, 30), odd)))
                .hasMessageContaining("same number of trials");
    }
}
