package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.RestrictionKind;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.House;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionCheck;
import gradino.core.prescribe.program.SessionContext;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline.Phase;
import gradino.core.prescribe.timeline.Totals;
import gradino.core.quantity.Degrees;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.testng.annotations.Test;

/** Both sides in one stretch of time, at one dose, judged by the more cautious side; and the other orders of the sides. */
public class TogetherTest {
    private static final Dose NONE = new Dose(Degrees.of(30), List.of());

    private static Plan plan(SideOrder order) {
        return House.line(
                "prone-knee-bent",
                Method.RAMP_BOTH_WAYS,
                order,
                Side.RIGHT,
                order.one() ? new Sided<>(Story.BASE, NONE) : Sided.both(Story.BASE));
    }

    private static Story clean() {
        return Story.of(Story.BASE).together().clean(6, 3);
    }

    @Test
    public void oneStretchOfTimeCountsForBothSides() {
        int each = plan(SideOrder.LEFT).seconds();
        var together = plan(SideOrder.TOGETHER);
        // The warm-up circles are done side after side: three of 6 s each way.
        assertThat(together.seconds())
                .isEqualTo(each + 36)
                .isEqualTo(together.timeline().seconds());
        var sides = Totals.of(together.timeline(), false).sides();
        assertThat(sides.right().tensionSeconds())
                .isEqualTo(sides.left().tensionSeconds())
                .isEqualTo(Totals.of(plan(SideOrder.LEFT).timeline(), false)
                        .sides()
                        .left()
                        .tensionSeconds());
    }

    @Test
    public void aRotationOfAPairedJointIsDoneSideAfterSide() {
        var circles = new BlockDraft(
                BlockForm.CONTROLLED_ROTATION,
                Map.of("repetitions", 3.0, "seconds", 6.0),
                Map.of(),
                List.of(),
                List.of());
        var line = House.line(
                "prone-knee-bent",
                Method.RAMP_BOTH_WAYS,
                SideOrder.TOGETHER,
                Side.LEFT,
                new Sided<>(new Dose(Degrees.of(30), List.of(circles)), NONE));
        // Three circles of 6 s each way, on each side, after 20 s of set-up.
        assertThat(line.seconds())
                .isEqualTo(20 + 2 * 2 * 3 * 6)
                .isEqualTo(line.timeline().seconds());
        assertThat(line.timeline().phases().stream().map(Phase::side).distinct())
                .containsExactly(Side.MIDLINE, Side.LEFT, Side.RIGHT);
        var neck = new SessionDraft(List.of(joint(circles, "neck"), joint(circles, "hip")), List.of());
        var both = new SessionDraft(neck.warmUp(), List.of(StationDraft.of(line.draft("l"))));
        var warmUp =
                SessionCheck.check(both, SessionContext.unrestricted(), Method.shipped())
                        .timeline()
                        .orElseThrow()
                        .phases()
                        .stream()
                        .filter(p -> p.line().isEmpty())
                        .collect(Collectors.summingInt(Phase::seconds));
        assertThat(warmUp).isEqualTo(36 + 72);
    }

    private static BlockDraft joint(BlockDraft block, String joint) {
        return new BlockDraft(block.form(), block.numbers(), Map.of("joint", joint), List.of(), List.of());
    }

    @Test
    public void theFirstSideMayBeDoneOnceMoreAtTheEnd() {
        var plan = plan(SideOrder.FIRST_TWICE);
        assertThat(plan.seconds()).isEqualTo(plan.timeline().seconds());
        var order = plan.timeline().phases().stream()
                .filter(p -> p.block() == BlockKind.SUPPORTED_HOLD)
                .map(Phase::side);
        assertThat(order).containsExactly(Side.RIGHT, Side.LEFT, Side.RIGHT);
        var findings = SessionCheck.check(
                        new SessionDraft(List.of(), List.of(StationDraft.of(plan.draft("l")))),
                        SessionContext.unrestricted(),
                        Method.shipped())
                .findings();
        assertThat(findings).extracting(f -> f.message()).contains("The right side is done twice: say why.");
    }

    @Test
    public void aPositionThatCannotDoItSaysSo() {
        var line = House.line(
                "seated-90-90-rear",
                Method.RAMP_BOTH_WAYS,
                SideOrder.TOGETHER,
                Side.LEFT,
                new Sided<>(Story.BASE, NONE));
        var findings = SessionCheck.check(
                        new SessionDraft(List.of(), List.of(StationDraft.of(line.draft("l")))),
                        SessionContext.unrestricted(),
                        Method.shipped())
                .findings();
        assertThat(findings)
                .filteredOn(f -> f.code().equals("together-in-position"))
                .extracting(f -> f.path())
                .containsExactly("stations[0].lines[0].sides");
    }

    @Test
    public void theShorterSideGivesTheRoom() {
        var p = clean().passive(Side.LEFT, 40, 1, 0)
                .passive(Side.RIGHT, 36.5, 1.5, 0)
                .left();
        // 36.5 − 1.645·1.5 = 34.03, on props of half a degree.
        assertThat(p.lever()).isEqualTo(LeverId.ANGLE);
        assertThat(p.to().angle()).isEqualTo(Degrees.of(34));
    }

    @Test
    public void aSideThatWasNeverMeasuredOrLongAgoKeepsTheAngle() {
        var one = clean().passive(Side.LEFT, 40, 1, 1).left();
        assertThat(one.alternatives().get(0).why().reason()).isEqualTo(Reason.NEVER_MEASURED);
        var old = Story.of(Story.BASE)
                .together()
                .clean(24, 21, 18, 15, 12, 9, 6, 3)
                .passive(Side.LEFT, 40, 1, 1)
                .passive(Side.RIGHT, 40, 1, 27)
                .left();
        assertThat(old.alternatives().get(0).why().reason()).isEqualTo(Reason.COLD_READING_OLD);
    }

    @Test
    public void rangeLostOnOneSideLowersTheOneDose() {
        var p = clean().passive(Side.LEFT, 40, 1, 1)
                .passive(Side.RIGHT, 29, 1, 0)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().angle()).isEqualTo(Degrees.of(27));
    }

    @Test
    public void eitherSidesRestrictionsAndStopSignsCount() {
        var capped = AnyLimits.of(RestrictionKind.ANGLE_CAP, 32.0, Side.RIGHT);
        var p = clean().passive(40, 1)
                .client(new ClientFacts(capped, false, null, 45.0, null, null, null))
                .left();
        assertThat(p.to().angle()).isEqualTo(Degrees.of(32));
        var stopped = Story.of(Story.BASE)
                .together()
                .clean(6)
                .stopped(3, StopSign.SHARP_PAIN, Side.RIGHT)
                .left();
        assertThat(stopped.verdict()).isEqualTo(Verdict.STOP_AND_REFER);
    }
}
