package gradino.core.measure;

import static gradino.core.body.Position.TapeFormulaId.FOOT_RISE;
import static gradino.core.body.Position.TapeFormulaId.FOOT_SIDEWAYS;
import static gradino.core.body.Position.TapeFormulaId.HEEL_RISE;
import static gradino.core.body.Position.TapeFormulaId.KNEE_FOLD;
import static gradino.core.body.Position.TapeFormulaId.LEG_OUT;
import static gradino.core.body.Position.TapeFormulaId.STRADDLE_EACH;
import static gradino.core.body.Position.TapeFormulaId.STRADDLE_TOTAL;
import static gradino.core.body.Position.TapeFormulaId.TOE_WALL;
import static gradino.core.body.Segment.HIP_CENTRES;
import static gradino.core.body.Segment.LEG;
import static gradino.core.body.Segment.SHANK;
import static gradino.core.body.Segment.THIGH;
import static gradino.core.body.Segment.TOE_TO_ANKLE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.limit.GapLimit;
import gradino.core.measure.limit.Limiter;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.noise.Trials;
import gradino.core.measure.reading.PropGrid;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.RangeSeries;
import gradino.core.measure.reading.RangeState;
import gradino.core.measure.reading.ReadingChange;
import gradino.core.measure.reading.Tape;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class MeasureTest {
    private static final Instant DAY_0 = Instant.parse("2026-01-01T08:00:00Z");

    private static Instant day(double days) {
        return DAY_0.plusSeconds(Math.round(days * 86_400));
    }

    @DataProvider
    public Object[][] tapeRows() {
        // Trigonometry and JCGM 100:2008 propagation, computed rows (no publication).
        return new Object[][] {
            {AnyTape.of(FOOT_SIDEWAYS, 21, 0, SHANK, 42, 0.5), 0.5, 30.0000, 0.8806},
            {AnyTape.of(FOOT_SIDEWAYS, 10, 0, SHANK, 40, 0.5), 0.5, 14.4775, 0.7625},
            {AnyTape.of(FOOT_RISE, 12, 4, SHANK, 40, 0.5), 0.3, 11.5370, 0.6372},
            {AnyTape.of(STRADDLE_TOTAL, 120, 0, LEG, 85, 1), 1.0, 89.8017, 1.6464},
            {AnyTape.of(STRADDLE_EACH, 120, 0, LEG, 85, 1, HIP_CENTRES, 18, 1), 1.0, 36.8699, 0.7814},
            {AnyTape.of(KNEE_FOLD, 25, 0, THIGH, 42, 0.5, SHANK, 40, 0.5), 0.5, 144.6050, 0.8043},
            {AnyTape.of(KNEE_FOLD, 40, 0, THIGH, 40, 0.5, SHANK, 40, 0.5), 0.5, 120.0000, 1.0129},
            {AnyTape.of(KNEE_FOLD, 5, 0, THIGH, 3, 0.05, SHANK, 4, 0.05), 0.05, 90.0000, 1.6881},
            {AnyTape.of(TOE_WALL, 10, 0, SHANK, 40, 0.5, TOE_TO_ANKLE, 15, 0.5), 0.2, 38.6822, 1.1425},
            {AnyTape.of(HEEL_RISE, 70, 0, LEG, 85, 1), 1.0, 55.4397, 1.5393},
        };
    }

    @Test(dataProvider = "tapeRows")
    public void turnsTapeIntoDegreesWithItsUncertainty(Tape tape, double readingU, double degrees, double u) {
        var angle = tape.angle(readingU);
        assertThat(angle.value().value()).isCloseTo(degrees, within(5e-5));
        assertThat(angle.standardUncertainty()).isCloseTo(u, within(5e-5));
        assertThat(angle.expanded()).isCloseTo(2 * u, within(1e-4));
    }

    /** Slope of the lunge, computed: 1.545 °/cm at 0, 1.835 at 10 cm with L 40 and f 15; no constant factor exists. */
    @Test
    public void degreesACentimetreOfALungeGrowWithTheDistance() {
        assertThat(lungeSlope(0)).isCloseTo(1.545, within(5e-4));
        assertThat(lungeSlope(5)).isCloseTo(1.654, within(5e-4));
        assertThat(lungeSlope(10)).isCloseTo(1.835, within(5e-4));
    }

    private static double lungeSlope(double cm) {
        return AnyTape.of(TOE_WALL, cm, 0, SHANK, 40, 0.5, TOE_TO_ANKLE, 15, 0.5)
                .readingUncertainty(1);
    }

    @Test
    public void refusesAFootThatIsHigherThanTheShankIsLong() {
        assertThatThrownBy(() -> AnyTape.of(FOOT_RISE, 46, 3, SHANK, 42, 0.5))
                .isInstanceOf(Tape.DoesNotFitException.class)
                .hasMessageContaining("43.0 cm")
                .hasMessageContaining("42.0 cm");
        assertThatThrownBy(() -> AnyTape.of(KNEE_FOLD, 90, 0, THIGH, 42, 0.5, SHANK, 40, 0.5))
                .isInstanceOf(Tape.DoesNotFitException.class)
                .hasMessageContaining("90.0 cm")
                .hasMessageContaining("42.0 cm");
        assertThatThrownBy(() -> Centimetres.of(-1)).hasMessageContaining("was -1");
        assertThatThrownBy(() -> AnyTape.of(FOOT_SIDEWAYS, Double.NaN, 0, SHANK, 42, 0.5))
                .hasMessageContaining("NaN");
        assertThatThrownBy(() -> new Tape(LEG_OUT, 20, 0, Map.of())).hasMessageContaining("LEG");
    }

    @Test
    public void staysFiniteAndSaysSoAtTheLimit() {
        var tape = AnyTape.of(FOOT_SIDEWAYS, 42, 0, SHANK, 42, 0.5);
        assertThat(tape.angle().value().value()).isCloseTo(90, within(1e-9));
        assertThat(tape.angle().standardUncertainty()).isFinite().isGreaterThan(20);
        assertThat(tape.nearLimit()).isTrue();
        assertThat(AnyTape.of(FOOT_SIDEWAYS, 21, 0, SHANK, 42, 0.5).nearLimit()).isFalse();
    }

    @Test
    public void aLengthFromStatureIsFivePercentUnsure() {
        // Drillis & Contini 1966 (value from memory): shank 0.246 H, trochanter 0.530 H, ankle 0.039 H.
        var length = SHANK.fromStature(Centimetres.of(175)).orElseThrow();
        assertThat(length.value()).isCloseTo(43.05, within(1e-9));
        assertThat(LEG.fromStature(Centimetres.of(175)).orElseThrow().value()).isCloseTo(85.925, within(1e-9));
        assertThat(HIP_CENTRES.fromStature(Centimetres.of(175))).isEmpty();
        assertThat(BodyLength.fromStature(length).standardUncertainty()).isCloseTo(2.1525, within(1e-9));
    }

    @Test
    public void roundsDownToWhatBlocksAndStrapsGive() {
        var blocks = new PropGrid.Blocks(Centimetres.of(40), Centimetres.of(1));
        // 40·sin 22° = 14.98 cm: a stack of 14, which reaches 20.49°.
        assertThat(blocks.height(Degrees.of(22)).value()).isEqualTo(14);
        assertThat(blocks.roundDown(Degrees.of(22)).value()).isCloseTo(20.487, within(1e-3));
        var reached = blocks.roundDown(Degrees.of(22));
        assertThat(blocks.roundDown(reached).value()).isCloseTo(reached.value(), within(1e-9));
        assertThat(new PropGrid.AngleStep(0.5).roundDown(Degrees.of(34.03)).value())
                .isEqualTo(34.0);
        assertThat(new PropGrid.AngleStep(0.5).roundDown(Degrees.of(-0.2)).value())
                .isEqualTo(-0.5);
    }

    @Test
    public void judgesTrialsByFiveDegreesOrTenPercent() {
        // AMA Guides, 5th ed. 2001, ch. 15 (value from memory).
        assertThat(Trials.of(30, 31, 33).median()).isEqualTo(Degrees.of(31));
        assertThat(Trials.of(30, 31, 33, 34).median()).isEqualTo(Degrees.of(32));
        assertThat(Trials.of(30, 33).spread()).isEqualTo(3);
        assertThat(Trials.of(30, 30, 45).asksForMore()).isTrue();
        assertThat(Trials.of(30, 35, 40).asksForMore()).isFalse();
        assertThat(Trials.of(90, 100, 110).asksForMore()).isFalse();
        assertThat(Trials.of(30, 30, 45, 30, 30, 30).asksForMore()).isFalse();
        assertThat(Trials.of(30, 30, 30).medianVarianceFactor()).isEqualTo(0.449);
        assertThatThrownBy(() -> new Trials(List.of())).hasMessageContaining("trials");
    }

    @Test
    public void withoutDriftTheFilterIsTheWeightedMean() {
        // Identity P_n = 1/(1/P0 + n/R): P0 225, R 25, n 10 → 2.47253 (algebra).
        var still = new NoiseRules(5, 5, 0, 225);
        var state = RangeState.first(new RangeReading(day(0), 30, 25), still);
        for (int n = 1; n < 10; n++) {
            state = state.next(new RangeReading(day(n), 30, 25), still);
        }
        assertThat(state.variance()).isCloseTo(2.47253, within(5e-6));
        assertThat(state.level()).isCloseTo(30, within(1e-12));
    }

    @Test
    public void followsThePublishedLiquidTemperature() {
        // Becker, Kalman filter tutorial, liquid-temperature example, old data (value from memory): 49.988.
        double[] z = {49.95, 49.967, 50.1, 50.106, 49.992, 49.819, 49.933, 50.007, 50.023, 49.99};
        var rules = new NoiseRules(0.1, 0.1, 1e-4, 1e4);
        var state = RangeState.known(day(0), 10, 1e4);
        for (int n = 0; n < z.length; n++) {
            state = state.next(new RangeReading(day(n + 1), z[n], 1e-2), rules);
        }
        assertThat(state.level()).isCloseTo(49.98797, within(5e-6));
        assertThat(state.variance()).isCloseTo(0.0012650, within(5e-7));
    }

    /**
     * The difference rule: 1.96·√(9 + 9) = 8.3° by house values; by a study of few people, t(0.975, 5) = 2.571 (standard tables).
     */
    @DataProvider
    public Object[][] differences() {
        return new Object[][] {{8.31, 0, false}, {8.32, 0, true}, {10.9, 5, false}, {10.91, 5, true}};
    }

    @Test(dataProvider = "differences")
    public void aChangeIsRealBeyondTheDifferenceOfTwoReadings(double by, int freedom, boolean real) {
        var first = new RangeReading(day(0), 30, 9, 3, freedom);
        var last = new RangeReading(day(10), 30 + by, 9, 3, freedom);
        var middle = new RangeReading(day(5), 20, 9, 3, freedom);
        var change = RangeSeries.fold(List.of(last, first, middle), NoiseRules.HOUSE)
                .orElseThrow()
                .change();
        assertThat(change.degrees()).isCloseTo(by, within(1e-9));
        assertThat(change.isReal()).isEqualTo(real);
        assertThat(new ReadingChange(last, first).isReal()).isEqualTo(real);
        var since = RangeSeries.fold(List.of(first, middle, last), NoiseRules.HOUSE, day(6))
                .orElseThrow();
        assertThat(since.change().from()).isEqualTo(middle);
    }

    @Test
    public void flagsAnOutlierWithoutDroppingIt() {
        var state = RangeState.known(day(0), 30, 2);
        var far = new RangeReading(day(1), 45, 9);
        assertThat(state.isOutlier(far, NoiseRules.HOUSE)).isTrue();
        assertThat(state.next(far, NoiseRules.HOUSE).level()).isGreaterThan(30);
        assertThat(state.isOutlier(new RangeReading(day(1), 36, 9), NoiseRules.HOUSE))
                .isFalse();
    }

    @Test
    public void growsUnsureWithTime() {
        var later = RangeState.known(day(0), 30, 4).predict(day(0).plus(Duration.ofDays(10)), NoiseRules.HOUSE);
        assertThat(later.variance()).isCloseTo(7, within(1e-9));
        assertThat(later.estimate().upper95()).isCloseTo(30 + 1.959964 * Math.sqrt(7), within(1e-6));
    }

    @DataProvider
    public Object[][] limiters() {
        return new Object[][] {
            {UncertainAngle.of(30, 1.5), UncertainAngle.of(27, 1.5), 45.0, null, Limiter.RANGE},
            {UncertainAngle.of(50, 1.5), UncertainAngle.of(28, 1.5), 45.0, null, Limiter.CONTROL},
            {UncertainAngle.of(36.5, 1.5), UncertainAngle.of(14.5, 1.5), 45.0, null, Limiter.BOTH},
            {UncertainAngle.of(50, 1.5), UncertainAngle.of(45, 1.5), 45.0, null, Limiter.NEITHER},
            {UncertainAngle.of(30, 1.5), null, 45.0, EndFeel.PINCH, Limiter.STRUCTURE},
            {UncertainAngle.of(30, 1.5), null, null, null, Limiter.UNKNOWN},
            {null, null, 45.0, null, Limiter.UNKNOWN},
        };
    }

    @Test(dataProvider = "limiters")
    public void saysWhatLimits(
            UncertainAngle passive, UncertainAngle active, Double wanted, EndFeel feel, Limiter expected) {
        assertThat(Limiter.judge(passive, active, wanted, feel, GapLimit.HOUSE)).isEqualTo(expected);
    }

    @Test
    public void theGapLimitIsAThirdButAtLeastEightAndAtMostFifteen() {
        assertThat(GapLimit.HOUSE.degrees(60)).isEqualTo(15);
        assertThat(GapLimit.HOUSE.degrees(36)).isEqualTo(12);
        assertThat(GapLimit.HOUSE.degrees(12)).isEqualTo(8);
    }

    @Test
    public void aStudiosOwnGapLimitDecidesBetweenControlAndNeither() {
        var passive = UncertainAngle.of(60, 1);
        var active = UncertainAngle.of(42, 1);
        assertThat(Limiter.judge(passive, active, 45.0, null, GapLimit.HOUSE)).isEqualTo(Limiter.CONTROL);
        assertThat(Limiter.judge(passive, active, 45.0, null, new GapLimit(18, 0.5, 8)))
                .isEqualTo(Limiter.NEITHER);
        assertThatThrownBy(() -> new GapLimit(10, 0.3, 11))
                .hasMessageContaining("least degrees must lie between 1 and 10");
    }
}
