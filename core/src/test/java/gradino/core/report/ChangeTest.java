package gradino.core.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.noise.NoiseStudy;
import gradino.core.measure.noise.Repeatability;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.noise.Trials;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.ReadingChange;
import gradino.core.report.Difference.Weighted;
import gradino.core.report.GoalReach.Reached;
import gradino.core.report.Missing.Why;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

/** Is it better? Changes, several at once, and what cannot be told. */
public class ChangeTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final LocalDate START = LocalDate.of(2026, 3, 2);
    private static final Period PERIOD = new Period(START, START.plusDays(84));

    private static RangeReading on(int day, double degrees, double variance, int freedom) {
        return new RangeReading(at(day), degrees, variance, 1, freedom);
    }

    private static RangeReading on(int day, double degrees) {
        return on(day, degrees, 9, 0);
    }

    private static Instant at(int day) {
        return START.plusDays(day).atTime(9, 0).atZone(ZONE).toInstant();
    }

    private static Series series(String motion, Mode mode, Instrument by, RangeReading... cold) {
        return series(motion, mode, "prone", by, cold);
    }

    private static Series series(String motion, Mode mode, String position, Instrument by, RangeReading... cold) {
        return new Series(new SeriesKey(motion, Side.LEFT, mode, position, by), List.of(cold), List.of(), 0);
    }

    private static Better better(Series... series) {
        return better(Map.of(), series);
    }

    private static Better better(Map<String, Double> goals, Series... series) {
        return new BetterRule(List.of(series), goals, NoiseRules.HOUSE, PERIOD, ZONE).of(Set.of(), List.of());
    }

    /** Benjamini and Hochberg 1995, their own fifteen p-values (from memory): the first four hold at 5 %. */
    @Test
    public void theFirstFourOfFifteenHold() {
        double[] p = {
            0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.3240, 0.4262, 0.5719, 0.6528,
            0.7590, 1.000
        };
        double threshold = FalseDiscovery.threshold(p, 0.05);

        assertThat(Arrays.stream(p).filter(one -> one <= threshold).count()).isEqualTo(4);
        assertThat(FalseDiscovery.threshold(new double[] {0.2, 0.9}, 0.05)).isNegative();
        assertThat(FalseDiscovery.threshold(new double[0], 0.05)).isNegative();
        assertThatThrownBy(() -> FalseDiscovery.threshold(new double[] {Double.NaN}, 0.05))
                .hasMessageContaining("NaN");
    }

    /** Weir 2005 (from memory): SEM 4 gives 11.0874 and SEM 2.52982 gives 7.0123 as the smallest detectable difference; the 1.96 there is rounded. */
    @Test
    public void theBoundOfTwoReadingsIsTheSmallestDetectableDifference() {
        assertThat(Difference.between(on(0, 0, 16, 0), on(1, 0, 16, 0)).bound()).isCloseTo(11.0874, within(3e-4));
        assertThat(Difference.between(on(0, 0, 6.4, 0), on(1, 0, 6.4, 0)).bound())
                .isCloseTo(7.0123, within(3e-4));
    }

    /** Bland and Altman 1986 (from memory): twice the standard deviation of differences of one meter, read twice, is 43.2 l/min. */
    @Test
    public void theirRepeatabilityIsTheBoundOfOurDifference() {
        double[] first = {494, 395, 516, 434, 476, 557, 413, 442, 650, 433, 417, 656, 267, 478, 178, 423, 427};
        double[] second = {490, 397, 512, 401, 470, 611, 415, 431, 638, 429, 420, 633, 275, 492, 165, 372, 421};
        var agreement = Repeatability.of(IntStream.range(0, first.length)
                .mapToObj(i -> new double[] {first[i], second[i]})
                .toArray(double[][]::new));
        double variance = agreement.withinMs();
        var difference = Difference.between(on(0, 0, variance, 17), on(1, 0, variance, 17));

        assertThat(difference.bound() / ReadingChange.k(17) * 2).isCloseTo(43.294, within(1e-3));
    }

    /** JCGM 100:2008, 5.1.2: variances add with the squares of the weights. */
    @Test
    public void varianceOfASumOfFourReadings() {
        var gap = Difference.of(List.of(
                new Weighted(1, on(0, 40, 4, 0)),
                new Weighted(-1, on(0, 30, 9, 0)),
                new Weighted(-1, on(9, 35, 16, 0)),
                new Weighted(1, on(9, 20, 25, 0))));

        assertThat(gap.degrees()).isEqualTo(-5);
        assertThat(gap.bound()).isCloseTo(1.959964 * Math.sqrt(54), within(1e-9));
    }

    /** Standard tables: t .975 with 10 degrees of freedom is 2.228, z .975 is 1.959964; on the bound p is 0.05. */
    @Test
    public void onTheBoundPIsFivePercent() {
        assertThat(Difference.between(on(0, 0, 1, 0), on(1, 1.959964 * Math.sqrt(2), 1, 0))
                        .p())
                .isCloseTo(0.05, within(1e-6));
        var studied = Difference.between(on(0, 0, 1, 10), on(1, 2.228139 * Math.sqrt(2), 1, 10));
        assertThat(studied.p()).isCloseTo(0.05, within(1e-6));
        assertThat(studied.bound()).isCloseTo(2.228139 * Math.sqrt(2), within(1e-5));
    }

    @Test
    public void saysMoreLessAndWithinNoise() {
        var more = better(series("hip-flexion", Mode.PASSIVE, Instrument.GONIOMETER, on(0, 100), on(40, 109)));
        var less = better(series("hip-flexion", Mode.PASSIVE, Instrument.GONIOMETER, on(0, 100), on(40, 91)));
        var same = better(series("hip-flexion", Mode.PASSIVE, Instrument.GONIOMETER, on(0, 100), on(40, 108)));

        assertThat(judged(more)).isEqualTo(Judged.MORE);
        assertThat(judged(less)).isEqualTo(Judged.LESS);
        assertThat(judged(same)).isEqualTo(Judged.WITHIN_NOISE);
        assertThat(more.family().tested()).isEqualTo(1);
        assertThat(more.family().byChance()).isEqualTo(0.05);
        assertThat(more.motions().get(0).holds()).isTrue();
    }

    private static Judged judged(Better better) {
        var pair = better.motions().get(0).passive();
        return pair == null ? Judged.WITHIN_NOISE : pair.change().judged();
    }

    /** Of twenty motions one at p = 0.04 is what noise gives; with all looked at together it does not hold. */
    @Test
    public void oneOfManyBeyondItsOwnNoiseDoesNotHold() {
        var all = new ArrayList<Series>();
        for (int i = 0; i < 20; i++) {
            double to = i == 0 ? 100 + 2.06 * Math.sqrt(18) : 101;
            all.add(series("motion-" + i, Mode.PASSIVE, Instrument.GONIOMETER, on(0, 100), on(40, to)));
        }
        var family = better(all.toArray(Series[]::new)).family();

        assertThat(family).isEqualTo(new Better.Family(20, 1.0, 1, 0, null));
    }

    @Test
    public void fourHundredMotionsAreAFamilyLikeAnyOther() {
        var all = IntStream.range(0, 400)
                .mapToObj(i -> series("motion-" + i, Mode.PASSIVE, Instrument.TAPE, on(0, 50), on(40, i < 8 ? 90 : 52)))
                .toArray(Series[]::new);

        var family = better(all).family();
        assertThat(family.tested()).isEqualTo(400);
        assertThat(family.hold()).isEqualTo(8);
    }

    @Test
    public void passiveStandsForAMotionAndActiveWhereThereIsNoPassive() {
        var better = better(
                series("hip-flexion", Mode.PASSIVE, Instrument.GONIOMETER, on(0, 100), on(40, 101)),
                series("hip-flexion", Mode.ACTIVE, Instrument.GONIOMETER, on(0, 60), on(40, 90)),
                series("hip-flexion", Mode.PASSIVE, "supine", Instrument.GONIOMETER, on(0, 100), on(50, 101)),
                series("neck-turn", Mode.ACTIVE, Instrument.TAPE, on(0, 60), on(40, 61)));

        assertThat(better.motions().stream().map(MotionChange::tested))
                .containsExactly(null, Mode.PASSIVE, Mode.ACTIVE);
        assertThat(better.family().tested()).isEqualTo(2);
    }

    @Test
    public void twoInstrumentsAndTwoPositionsAreNeverPaired() {
        var better = better(
                series("hip-flexion", Mode.PASSIVE, Instrument.GONIOMETER, on(0, 100)),
                series("hip-flexion", Mode.PASSIVE, Instrument.TAPE, on(40, 130)),
                series("knee-flexion", Mode.PASSIVE, "prone", Instrument.TAPE, on(0, 100)),
                series("knee-flexion", Mode.PASSIVE, "kneeling", Instrument.TAPE, on(40, 130)),
                series("ankle", Mode.PASSIVE, Instrument.TAPE, on(10, 30), on(10, 50)));

        assertThat(better.family().tested()).isZero();
        assertThat(better.motions()).allSatisfy(m -> assertThat(m.passive()).isNull());
        assertThat(better.motions().stream().flatMap(m -> m.missing().stream()))
                .containsExactly(
                        new Missing(Mode.PASSIVE, Why.ONE_DAY),
                        new Missing(Mode.PASSIVE, Why.OTHER_INSTRUMENT),
                        new Missing(Mode.PASSIVE, Why.OTHER_INSTRUMENT),
                        new Missing(Mode.PASSIVE, Why.OTHER_POSITION),
                        new Missing(Mode.PASSIVE, Why.OTHER_POSITION));
    }

    @Test
    public void whatTheBatteryAsksForAndNobodyMeasuredIsMissing() {
        var key = new SeriesKey("hip-flexion", Side.RIGHT, Mode.ACTIVE, "prone", Instrument.TAPE);
        var better = new BetterRule(List.of(), Map.of(), NoiseRules.HOUSE, PERIOD, ZONE).of(Set.of(key), List.of());

        assertThat(better.motions()).hasSize(1);
        assertThat(better.motions().get(0).missing()).containsExactly(new Missing(Mode.ACTIVE, Why.NEVER_MEASURED));
        assertThat(better.family()).isEqualTo(new Better.Family(0, 0, 0, 0, null));
    }

    @Test
    public void beginsWithTheReadingJustBeforeThePeriodAndForgetsOldOnes() {
        var near =
                better(series("hip", Mode.PASSIVE, Instrument.TAPE, on(-10, 90), on(5, 95), on(90, 150), on(80, 120)));
        var far = better(series("hip", Mode.PASSIVE, Instrument.TAPE, on(-40, 90), on(5, 95), on(80, 120)));

        assertThat(degrees(near)).isEqualTo(30);
        assertThat(degrees(far)).isEqualTo(25);
        assertThat(better(series("hip", Mode.PASSIVE, Instrument.TAPE, on(-90, 90)))
                        .motions())
                .isEmpty();
    }

    private static double degrees(Better better) {
        var pair = better.motions().get(0).passive();
        return pair == null ? Double.NaN : pair.change().degrees();
    }

    @Test
    public void aGoalIsReachedOnlyBeyondTheEstimatesOwnBand() {
        var readings = IntStream.range(0, 30).mapToObj(d -> on(d, 100)).toArray(RangeReading[]::new);
        var series = series("hip", Mode.PASSIVE, Instrument.TAPE, readings);

        assertThat(reached(95, series)).isEqualTo(Reached.YES);
        assertThat(reached(101, series)).isEqualTo(Reached.NOT_TOLD_APART);
        assertThat(reached(110, series)).isEqualTo(Reached.NO);
    }

    private static Reached reached(double goal, Series series) {
        var reach = better(Map.of("hip", goal), series).motions().get(0).goal();
        assertThat(reach).isNotNull();
        return reach.reached();
    }

    @Test
    public void aGapOfTwoDaysIsNone() {
        var passive = series("hip", Mode.PASSIVE, Instrument.TAPE, on(0, 100), on(40, 110));
        var sameDays = series("hip", Mode.ACTIVE, Instrument.TAPE, on(0, 70), on(40, 95));
        var otherDay = series("hip", Mode.ACTIVE, Instrument.TAPE, on(0, 70), on(41, 95));

        assertThat(better(passive, otherDay).motions().get(0).gap()).isNull();
        assertThat(better(passive, sameDays).motions().get(0).gap())
                .satisfies(gap -> assertThat(gap == null ? null : List.of(gap.from(), gap.to()))
                        .isEqualTo(List.of(30.0, 15.0)));
    }

    /** The reading in the middle is in both changes: its variance counts four times. */
    @Test
    public void comparesTwoBlocksWithTheSharedReadingCountedTwice() {
        var one = series("hip", Mode.PASSIVE, Instrument.TAPE, on(0, 90), on(28, 100), on(56, 104));
        var both = Comparison.of(
                        List.of(one),
                        new Period(START, START.plusDays(28)),
                        new Period(START.plusDays(28), START.plusDays(56)),
                        ZONE)
                .both();

        assertThat(both).hasSize(1);
        assertThat(both.get(0).difference().degrees()).isEqualTo(-6);
        assertThat(both.get(0).difference().bound()).isCloseTo(1.959964 * Math.sqrt(9 + 4 * 9 + 9), within(1e-9));
    }

    /**
     * With limits from a fresh study of ten people for each client, "more" or "less" is said of 5 ± 1.5 % of motions that did not
     * change. The seed is fixed.
     */
    @Test
    public void saysChangedOfOneInTwentyThatDidNot() {
        var random = new Random(21);
        int said = 0;
        int of = 0;
        for (int client = 0; client < 2_000; client++) {
            var study = study(random);
            for (int motion = 0; motion < 2; motion++) {
                double truth = 40 + 60 * random.nextDouble();
                var pair = Difference.between(measured(random, truth, study, 0), measured(random, truth, study, 60));
                said += pair.judged() == Judged.WITHIN_NOISE ? 0 : 1;
                of++;
            }
        }
        assertThat((double) said / of).isBetween(0.035, 0.065);
    }

    private static NoiseStudy study(Random random) {
        return NoiseStudy.of(IntStream.range(0, 10)
                .mapToObj(person -> {
                    double truth = 40 + 60 * random.nextDouble();
                    return new NoiseStudy.Person(List.of(visit(random, truth), visit(random, truth)));
                })
                .toList());
    }

    private static Trials visit(Random random, double truth) {
        double day = truth + 2 * random.nextGaussian();
        return Trials.of(
                day + 1.5 * random.nextGaussian(),
                day + 1.5 * random.nextGaussian(),
                day + 1.5 * random.nextGaussian());
    }

    private static RangeReading measured(Random random, double truth, NoiseStudy study, int day) {
        var trials = visit(random, truth);
        return new RangeReading(at(day), trials.median().value(), study.readingVariance(3), 3, study.freedom());
    }
}
