package gradino.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.Timeline.Phase;
import gradino.core.quantity.EffortPercent;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Traces made by formula, so that what comes out is known on paper. */
public class TraceTest {
    private static final double REFERENCE = 200;
    private static final List<Phase> PHASES = List.of(
            phase(0, 5, PhaseKind.STEP, 20), phase(5, 10, PhaseKind.STEP, 40), phase(10, 20, PhaseKind.TOP_HOLD, 60));

    private static final List<Asked> RAMP = Asked.planned(PHASES);

    private static Phase phase(int start, int end, PhaseKind kind, int effort) {
        var percent = EffortPercent.of(effort);
        return new Phase(
                start,
                end,
                Side.LEFT,
                "",
                "",
                BlockId.parse("l1-left-1-press"),
                BlockKind.PRESS,
                kind,
                Direction.PRESS,
                percent,
                percent,
                "",
                "",
                1,
                1,
                0,
                0,
                List.of());
    }

    private static Phase rise(int start, int end, int from, int to) {
        var p = phase(start, end, PhaseKind.STEP, to);
        return new Phase(
                start,
                end,
                p.side(),
                "",
                "",
                p.blockId(),
                p.block(),
                p.kind(),
                p.direction(),
                EffortPercent.of(from),
                p.effortTo(),
                "",
                "",
                1,
                1,
                0,
                0,
                List.of());
    }

    private static double asked(double second) {
        return second < 5 ? 20 : second < 10 ? 40 : 60;
    }

    private static ForceTrace trace(double hertz, DoubleUnaryOperator percent) {
        int samples = (int) Math.round(20 * hertz);
        double[] seconds =
                IntStream.range(0, samples).mapToDouble(i -> i / hertz).toArray();
        double[] newtons = IntStream.range(0, samples)
                .mapToDouble(i -> percent.applyAsDouble(seconds[i]) * REFERENCE / 100)
                .toArray();
        return ForceTrace.read(seconds, newtons).trace().orElseThrow();
    }

    private static TraceAnalysis analysis(DoubleUnaryOperator percent) {
        return TraceAnalysis.of(trace(50, percent), REFERENCE, RAMP);
    }

    @Test
    public void aPerfectTraceIsWithinAllTheTimeAndReachesEveryStepAtOnce() {
        var a = analysis(TraceTest::asked);
        assertThat(a.rmse()).isCloseTo(0, within(1e-9));
        assertThat(a.within()).isEqualTo(1);
        assertThat(a.fade()).isCloseTo(0, within(1e-9));
        assertThat(a.unsteadiness()).isCloseTo(0, within(1e-6));
        assertThat(a.measured()).isCloseTo(1, within(1e-9));
        assertThat(a.steps()).extracting(s -> Math.rint(s.mean() * 1e9) / 1e9).containsExactly(20.0, 40.0, 60.0);
        assertThat(a.steps())
                .allSatisfy(s -> assertThat(s.reachedAfterSeconds()).isCloseTo(0, within(1e-9)));
    }

    @Test
    public void aConstantOffsetIsTheErrorAndBeyondTheBandNothingIsWithin() {
        var a = analysis(t -> asked(t) + 12);
        assertThat(a.rmse()).isCloseTo(12, within(1e-9));
        assertThat(a.within()).isZero();
        assertThat(a.steps())
                .allSatisfy(s -> assertThat(s.reachedAfterSeconds()).isNull());
        assertThat(analysis(t -> asked(t) - 9).within()).isEqualTo(1);
    }

    @Test
    public void aLateStepIsReachedWhenItsForceStays() {
        var a = analysis(t -> t >= 5 && t < 6.5 ? 20 : asked(t));
        assertThat(a.steps().get(1).reachedAfterSeconds()).isCloseTo(1.5, within(0.03));
        // 1.5 s of 5 at 20 and the rest at 40: 34 on the mean, and 70 % of the time within.
        assertThat(a.steps().get(1).mean()).isCloseTo(34, within(0.1));
        assertThat(a.steps().get(1).within()).isCloseTo(0.7, within(0.005));
    }

    @Test
    public void aFadeIsItsSlopeAndTremorAboutItIsUnsteadiness() {
        var fading = analysis(t -> t < 10 ? asked(t) : 60 - 0.8 * (t - 10));
        assertThat(fading.fade()).isCloseTo(-0.8, within(1e-6));
        assertThat(fading.unsteadiness()).isCloseTo(0, within(1e-3));
        // A sine of 3 points has a standard deviation of 3/√2; over 60 that is 3.54 %.
        var shaking = analysis(t -> t < 10 ? asked(t) : 60 + 3 * Math.sin(2 * Math.PI * 5 * t));
        assertThat(shaking.unsteadiness()).isCloseTo(100 * 3 / Math.sqrt(2) / 60, within(0.02));
        assertThat(shaking.fade()).isCloseTo(0, within(0.02));
    }

    @Test
    public void theRateOfTheGaugeChangesNothing() {
        var noise = new Random(3);
        double[] waves = noise.doubles(5, -4, 4).toArray();
        DoubleUnaryOperator percent = t -> asked(t)
                + IntStream.range(0, 5)
                        .mapToDouble(i -> waves[i] * Math.sin((i + 1) * t))
                        .sum();
        var slow = TraceAnalysis.of(trace(50, percent), REFERENCE, RAMP);
        var fast = TraceAnalysis.of(trace(200, percent), REFERENCE, RAMP);
        assertThat(slow.rmse()).isCloseTo(fast.rmse(), within(0.05));
        assertThat(slow.within()).isCloseTo(fast.within(), within(0.01));
        assertThat(slow.fade()).isCloseTo(fast.fade(), within(0.02));
    }

    @Test
    public void aSilenceIsSaidAndLeftOutOfWhatWasMeasured() {
        double[] seconds = IntStream.range(0, 1000)
                .filter(i -> i < 300 || i >= 500)
                .mapToDouble(i -> i / 50.0)
                .toArray();
        double[] newtons = java.util.Arrays.stream(seconds)
                .map(t -> asked(t) * REFERENCE / 100)
                .toArray();
        var read = ForceTrace.read(seconds, newtons);
        assertThat(read.findings()).extracting(Finding::code).containsExactly("silence");
        assertThat(read.findings()).noneMatch(Finding::blocks);
        var a = TraceAnalysis.of(read.trace().orElseThrow(), REFERENCE, RAMP);
        assertThat(a.measured()).isCloseTo((20 - 4 + 0.25) / 20, within(0.01));
        assertThat(a.rmse()).isCloseTo(0, within(1e-9));
    }

    @DataProvider
    public Object[][] whatIsNoTrace() {
        return new Object[][] {
            {new double[] {0, 0.02, 0.01}, new double[] {1, 2, 3}, "time-backwards"},
            {new double[] {0, 0.02, 0.02}, new double[] {1, 2, 3}, "time-backwards"},
            {new double[] {0, Double.NaN, 0.04}, new double[] {1, 2, 3}, "not-a-number"},
            {new double[] {0, 0.02, 0.04}, new double[] {1, Double.NaN, 3}, "not-a-number"},
            {new double[] {0, 0.02, 0.04}, new double[] {1, Double.POSITIVE_INFINITY, 3}, "not-a-number"},
            {new double[] {0, 0.0001, 0.0002}, new double[] {1, 2, 3}, "too-fast"},
            {new double[] {0}, new double[] {1}, "too-few"},
            {new double[] {0, 1}, new double[] {1}, "too-few"},
        };
    }

    @Test(dataProvider = "whatIsNoTrace")
    public void whatIsNoTraceIsSaidAtItsSample(double[] seconds, double[] newtons, String code) {
        var read = ForceTrace.read(seconds, newtons);
        assertThat(read.trace()).isEmpty();
        assertThat(read.findings()).extracting(Finding::code).containsExactly(code);
    }

    @Test
    public void theReferenceIsTheBestWholeSecond() {
        // Two seconds at 150 N with a spike of a tenth, then one at 180 N.
        double[] seconds = IntStream.range(0, 200).mapToDouble(i -> i / 50.0).toArray();
        double[] newtons = java.util.Arrays.stream(seconds)
                .map(t -> t >= 0.5 && t < 0.6 ? 300 : t < 2 ? 150 : t < 3 ? 180 : 20)
                .toArray();
        assertThat(ForceTrace.read(seconds, newtons).trace().orElseThrow().bestSecond())
                .hasValueSatisfying(n -> assertThat(n).isCloseTo(180, within(0.5)));
        assertThat(ForceTrace.read(new double[] {0, 0.1, 0.2}, new double[] {9, 9, 9})
                        .trace()
                        .orElseThrow()
                        .bestSecond())
                .isEmpty();
        assertThatThrownBy(() -> TraceAnalysis.of(trace(50, TraceTest::asked), Double.NaN, RAMP))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static TraceAnalysis pressed(SimulatedPerson.Manner manner) {
        return TraceAnalysis.of(new SimulatedPerson(manner, REFERENCE, 7).press(PHASES), REFERENCE, RAMP);
    }

    @Test
    public void theInventedPersonPressesAsTheirMannerSays() {
        var good = pressed(SimulatedPerson.Manner.GOOD);
        assertThat(good.within()).isGreaterThan(0.85);
        assertThat(good.steps())
                .allSatisfy(s -> assertThat(s.reachedAfterSeconds()).isBetween(0.0, 1.0));
        assertThat(Math.abs(good.fade())).isLessThan(0.5);
        var eager = pressed(SimulatedPerson.Manner.OVER_EAGER);
        assertThat(eager.steps().get(2).mean()).isCloseTo(75, within(3.0));
        assertThat(eager.rmse()).isGreaterThan(good.rmse());
        assertThat(pressed(SimulatedPerson.Manner.FADING).fade()).isLessThan(-1);
        var stopped = pressed(SimulatedPerson.Manner.STOPS_EARLY);
        assertThat(stopped.within()).isLessThan(0.6);
        assertThat(stopped.steps().get(2).mean()).isLessThan(20);
    }

    @Test
    public void theSameSeedPressesTheSameWay() {
        var one = pressed(SimulatedPerson.Manner.GOOD);
        assertThat(pressed(SimulatedPerson.Manner.GOOD)).isEqualTo(one);
        var other = new SimulatedPerson(SimulatedPerson.Manner.GOOD, REFERENCE, 8).press(PHASES);
        assertThat(TraceAnalysis.of(other, REFERENCE, RAMP)).isNotEqualTo(one);
    }

    @Test
    public void toldOnlyWhatIsAskedNowThePersonPressesAlike() {
        var pressing = new SimulatedPerson.Pressing(new SimulatedPerson(SimulatedPerson.Manner.GOOD, REFERENCE, 7));
        double[] seconds = IntStream.range(0, 1000).mapToDouble(i -> i / 50.0).toArray();
        double[] newtons = java.util.Arrays.stream(seconds)
                .map(t -> pressing.follow(asked(t), 1 - t / 20))
                .toArray();
        var a = TraceAnalysis.of(ForceTrace.read(seconds, newtons).trace().orElseThrow(), REFERENCE, RAMP);
        assertThat(a).isEqualTo(pressed(SimulatedPerson.Manner.GOOD));
    }

    @Test
    public void whatWasCutShortOrMadeLongerIsJudgedAsItWasRun() {
        var run = Asked.done(PHASES, List.of(5.0, 2.5, 20.0));
        assertThat(run).extracting(Asked::startSecond).containsExactly(0.0, 5.0, 7.5);
        assertThat(run.get(2).endSecond()).isEqualTo(27.5);
        var rising = Asked.done(List.of(rise(0, 10, 20, 60)), List.of(5.0)).get(0);
        assertThat(rising.toPercent()).isEqualTo(40);
        assertThat(Asked.done(List.of(rise(0, 10, 20, 60)), List.of(20.0))
                        .get(0)
                        .percentAt(10))
                .isEqualTo(40);
    }

    @Test
    public void throughLessThanTwoSecondsOfTopHoldNoSlopeIsTold() {
        var cut = Asked.done(PHASES, List.of(5.0, 5.0, 1.5));
        var trace = new SimulatedPerson(SimulatedPerson.Manner.FADING, REFERENCE, 7).press(PHASES);
        assertThat(TraceAnalysis.of(trace, REFERENCE, cut).fade()).isNull();
        assertThat(TraceAnalysis.of(trace, REFERENCE, RAMP).fade()).isNegative();
    }

    @Test
    public void nearTheTopTheBestSecondOfTheFirstThreeIsTold() {
        // Reached at 2.4 s: no whole second of it ends within 3 s; reached at 1.5 s one does.
        var late = analysis(t -> t < 10 ? asked(t) : t < 12.4 ? 10 : 60);
        assertThat(late.steps().get(2).peakSecond()).isCloseTo(0.4 * 10 + 0.6 * 60, within(1.5));
        var soon = analysis(t -> t < 10 ? asked(t) : t < 11.5 ? 10 : 60);
        assertThat(soon.steps().get(2).peakSecond()).isCloseTo(60, within(1e-6));
    }
}
