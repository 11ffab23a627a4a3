package gradino.core.perform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.effort.TraceAnalysis;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import java.util.List;
import org.testng.annotations.Test;

public class PerformTest {
    private static TraceAnalysis analysis(double heard, TraceAnalysis.Step... steps) {
        return new TraceAnalysis(List.of(steps), 5, 0.8, null, null, heard);
    }

    private static TraceAnalysis.Step step(double asked, double within, Double peakSecond) {
        return step(asked, 5, within, peakSecond);
    }

    private static TraceAnalysis.Step step(double asked, double seconds, double within, Double peakSecond) {
        return new TraceAnalysis.Step(PhaseKind.STEP, asked, seconds, asked, asked, 3, within, 0.5, peakSecond);
    }

    /** Handbook chapter 5, house rule: 10 s at 0.95 and 30 s at 0.50 beside a near-maximal step are (9.5 + 15) / 40. */
    @Test
    public void theShareOnTargetIsWeightedByTime() {
        var effort = MeasuredEffort.of(
                        PRESS,
                        Side.LEFT,
                        analysis(1, step(50, 10, 0.95, 51.0), step(60, 30, 0.50, 61.0), step(95, 5, 0.1, 96.0)))
                .orElseThrow();
        assertThat(effort.within()).isCloseTo(0.6125, within(1e-9));
    }

    @Test
    public void nearMaximalStepsAreJudgedByTheirPeakAndTheOthersByTheirTime() {
        var low = MeasuredEffort.of(PRESS, Side.LEFT, analysis(1, step(20, 0.7, 21.0), step(40, 0.9, 41.0)))
                .orElseThrow();
        assertThat(low.within()).isCloseTo(0.8, within(1e-9));
        assertThat(low.nearMaxPeak()).isNull();
        var both = MeasuredEffort.of(
                        PRESS, Side.LEFT, analysis(1, step(40, 0.6, 41.0), step(90, 0.1, 92.0), step(100, 0.1, 88.0)))
                .orElseThrow();
        assertThat(both.within()).isCloseTo(0.6, within(1e-9));
        assertThat(both.nearMaxPeak()).isEqualTo(88);
        assertThat(MeasuredEffort.of(PRESS, Side.LEFT, analysis(1, step(95, 0.1, null)))
                        .orElseThrow()
                        .nearMaxPeak())
                .isZero();
        assertThat(MeasuredEffort.of(PRESS, Side.LEFT, analysis(0.89, step(20, 1, 20.0))))
                .isEmpty();
    }

    /** What was tapped counts whole at whatever pace, what was timed by what was kept of it (house rule). */
    @Test
    public void aRepetitionIsTappedOrKept() {
        var rocks = DoneRatio.of(
                List.of(block(
                        "l1-left-transition",
                        Side.LEFT,
                        BlockKind.TRANSITION,
                        phase(PhaseKind.MOVE, 4, 1),
                        phase(PhaseKind.MOVE, 4, 9),
                        phase(PhaseKind.MOVE, 4, 0.2),
                        phase(PhaseKind.MOVE, 4, 4))),
                Side.LEFT);
        assertThat(rocks.ratio()).isCloseTo(3.0 / 4, within(1e-9));
        assertThat(rocks.least()).isEqualTo(BlockKind.Work.REPETITIONS);
        var ratio = DoneRatio.of(
                List.of(block(
                        "l1-left-lift-off",
                        Side.LEFT,
                        BlockKind.LIFT_OFF,
                        phase(PhaseKind.LIFT, 3, 1.2),
                        phase(PhaseKind.LIFT, 3, 4),
                        phase(PhaseKind.LIFT, 3, 0.2),
                        phase(PhaseKind.LIFT, 3, 0))),
                Side.LEFT);
        assertThat(ratio.ratio()).isCloseTo((0.4 + 1 + 0.2 / 3) / 4, within(1e-9));
        assertThat(ratio.lowestPhase()).isZero();
    }

    /** Foster et al. 2001: a session rated 5 for 60 minutes is 300. */
    @Test
    public void aSessionsLoadIsItsRatingTimesItsMinutes() {
        assertThat(new SessionLoad(new Tenths(5), 60).points()).isEqualTo(300);
        assertThatThrownBy(() -> new SessionLoad(new Tenths(5), 601)).hasMessageContaining("minutes");
    }

    private static final Instant START = Instant.parse("2026-03-02T09:00:00Z");
    private static final BlockId PRESS = BlockId.parse("l1-left-1-press");
    private static final Dose DOSE = new Dose(Degrees.of(30), List.of());

    private static BlockRecord block(String id, Side side, BlockKind kind, PhaseDone... phases) {
        return new BlockRecord(
                BlockId.parse(id), side, kind, List.of(phases), null, List.of(), List.of(), 0, false, null, "", null);
    }

    private static PhaseDone phase(PhaseKind kind, double planned, double done) {
        return new PhaseDone(kind, planned, done);
    }

    private static SessionRecord session(BlockRecord... blocks) {
        return new SessionRecord(
                "s",
                START,
                START.plusSeconds(600),
                Observer.COACH,
                Sided.both(DOSE),
                List.of(blocks),
                null,
                null,
                null,
                "",
                List.of());
    }

    /** The worked row of check-values section 5 (own computation after Foster 1998, 2001); sample SD. */
    @Test
    public void aWeeksMonotonyAndStrainAreFosters() {
        var week = WeekLoad.of(List.of(300.0, 0.0, 360.0, 240.0, 0.0, 480.0, 120.0));
        assertThat(week.total()).isEqualTo(1500);
        assertThat(week.monotony()).isCloseTo(1.17202, within(5e-6));
        assertThat(week.strain()).isCloseTo(1758.03, within(5e-3));
        var same = WeekLoad.of(List.of(100.0, 100.0, 100.0, 100.0, 100.0, 100.0, 100.0));
        assertThat(same.monotony()).isNull();
        assertThatThrownBy(() -> WeekLoad.of(List.of(1.0))).hasMessageContaining("days");
    }

    @Test
    public void aSecondTooLongNeverMakesUpForOneMissing() {
        var ratio = DoneRatio.of(
                session(block(
                        "l1-left-1-press",
                        Side.LEFT,
                        BlockKind.PRESS,
                        phase(PhaseKind.STEP, 5, 4),
                        phase(PhaseKind.TOP_HOLD, 15, 20))),
                Side.LEFT);
        assertThat(ratio.ratio()).isCloseTo(19.0 / 20, within(1e-12));
        assertThat(ratio.lowestPhase()).isCloseTo(0.8, within(1e-12));
    }

    /** The lower of contraction and repetitions counts; a stretch in the middle does not hide a lift that was left out. */
    @Test
    public void eachKindOfWorkIsHeldAgainstItsOwnPlan() {
        var press = block("l1-left-1-press", Side.LEFT, BlockKind.PRESS, phase(PhaseKind.STEP, 100, 100));
        var lifts = block(
                "l1-left-lift-off",
                Side.LEFT,
                BlockKind.LIFT_OFF,
                phase(PhaseKind.LIFT, 2, 2),
                phase(PhaseKind.LIFT, 2, 0));
        var both = DoneRatio.of(session(press, lifts), Side.LEFT);
        assertThat(both.ratio()).isCloseTo(0.5, within(1e-12));
        assertThat(both.least()).isEqualTo(BlockKind.Work.REPETITIONS);
        var deep = block(
                "l1-left-loaded-stretch",
                Side.LEFT,
                BlockKind.LOADED_STRETCH,
                phase(PhaseKind.LOWERING, 3, 3),
                phase(PhaseKind.BOTTOM, 2, 1),
                phase(PhaseKind.UP, 2, 2));
        assertThat(DoneRatio.of(session(deep), Side.LEFT).ratio()).isCloseTo(4.0 / 5, within(1e-12));
        var pulses = block(
                "l1-left-pulses",
                Side.LEFT,
                BlockKind.PULSES,
                phase(PhaseKind.PULSE_IN, 2, 1),
                phase(PhaseKind.PULSE_OUT, 2, 0),
                phase(PhaseKind.PULSE_IN, 2, 1),
                phase(PhaseKind.PULSE_OUT, 2, 1));
        assertThat(DoneRatio.of(session(pulses), Side.LEFT).ratio()).isCloseTo(0.5, within(1e-12));
    }

    /** Circles and holds count where there is no other work. */
    @Test
    public void aLineOfCirclesOrOfAHoldAloneIsHeldAgainstThose() {
        var circles = block(
                "l1-left-rotation",
                Side.LEFT,
                BlockKind.ROTATION,
                phase(PhaseKind.CIRCLE_ONE_WAY, 6, 6),
                phase(PhaseKind.CIRCLE_OTHER_WAY, 6, 0));
        assertThat(DoneRatio.of(session(circles), Side.LEFT).ratio()).isCloseTo(0.5, within(1e-12));
        var hold = block("l1-left-supported-hold", Side.LEFT, BlockKind.SUPPORTED_HOLD, phase(PhaseKind.HOLD, 60, 45));
        assertThat(DoneRatio.of(session(hold), Side.LEFT).ratio()).isCloseTo(0.75, within(1e-12));
        var release = block("l1-left-release", Side.LEFT, BlockKind.RELEASE, phase(PhaseKind.RELEASE, 60, 60));
        assertThat(DoneRatio.of(session(release), Side.LEFT).ratio()).isEqualTo(1);
    }

    @Test
    public void supportedHoldsAreReportedApart() {
        var ratio = DoneRatio.of(
                session(
                        block(
                                "l1-left-supported-hold",
                                Side.LEFT,
                                BlockKind.SUPPORTED_HOLD,
                                phase(PhaseKind.HOLD, 60, 30)),
                        block("l1-left-1-pull", Side.LEFT, BlockKind.PULL, phase(PhaseKind.STEP, 10, 10))),
                Side.LEFT);
        assertThat(ratio.ratio()).isEqualTo(1);
        assertThat(ratio.holdRatio()).isEqualTo(0.5);
    }

    @Test
    public void rotationsAndSettlesDoNotCountAndTheStretchBetweenHandsOffHoldsNeither() {
        var ratio = DoneRatio.of(
                session(
                        block("l1-left-rotation", Side.LEFT, BlockKind.ROTATION, phase(PhaseKind.CIRCLE_ONE_WAY, 6, 0)),
                        block("l1-left-1-settle", Side.LEFT, BlockKind.SETTLE, phase(PhaseKind.SETTLE, 36, 0)),
                        block(
                                "l1-left-hands-off",
                                Side.LEFT,
                                BlockKind.HANDS_OFF,
                                phase(PhaseKind.RE_STRETCH, 5, 0),
                                phase(PhaseKind.HANDS_OFF_HOLD, 10, 9))),
                Side.LEFT);
        assertThat(ratio.ratio()).isCloseTo(0.9, within(1e-12));
    }

    @Test
    public void aSideWithNothingDoneHasRatioZeroAndTheOtherIsUntouched() {
        var record = session(
                block("l1-left-1-press", Side.LEFT, BlockKind.PRESS, phase(PhaseKind.STEP, 5, 5)),
                block("l1-right-1-press", Side.RIGHT, BlockKind.PRESS, phase(PhaseKind.STEP, 5, 0)));
        assertThat(DoneRatio.of(record, Side.LEFT).ratio()).isEqualTo(1);
        assertThat(DoneRatio.of(record, Side.RIGHT).ratio()).isZero();
        assertThat(DoneRatio.of(session(), Side.LEFT).ratio()).isZero();
    }

    @Test
    public void refusesWhatCannotHaveHappened() {
        assertThatThrownBy(() -> phase(PhaseKind.STEP, 5, -1)).hasMessageContaining("done seconds");
        assertThatThrownBy(() -> phase(PhaseKind.STEP, Double.NaN, 1)).hasMessageContaining("NaN");
        assertThatThrownBy(() -> new SessionRecord(
                        "s",
                        START,
                        START.minusSeconds(1),
                        Observer.COACH,
                        Sided.both(DOSE),
                        List.of(),
                        null,
                        null,
                        null,
                        "",
                        List.of()))
                .hasMessageContaining("before it starts");
    }

    @Test
    public void everyStopSignHasWordsAdviceAndASource() {
        for (var sign : StopSign.values()) {
            var text = StopSignText.of(sign);
            assertThat(text.words()).isNotBlank();
            assertThat(text.advice()).isNotBlank();
            assertThat(text.source().text()).isNotBlank();
        }
        assertThat(StopSign.NUMBNESS_TINGLING_WEAKNESS.scope()).isEqualTo(StopSign.Scope.WHOLE_CLIENT);
        assertThat(StopSign.SWELLING.scope()).isEqualTo(StopSign.Scope.JOINT);
        assertThat(StopSign.PINCH_THAT_STAYS.scope()).isEqualTo(StopSign.Scope.JOINT_SIDE);
    }

    @Test
    public void nobodySeesNoFaultsAndOnlyACoachCountsForTheAngle() {
        assertThat(Observer.NOBODY.seesFaults()).isFalse();
        assertThat(Observer.CLIENT.seesFaults()).isTrue();
        assertThat(Observer.CLIENT.isCoach()).isFalse();
        assertThat(Observer.VIDEO_CALL.isCoach()).isTrue();
    }
}
