package gradino.core.prescribe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockDraft.Tread;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.prescribe.timeline.Totals;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What must hold for any plan that a coach may type, over invented ones. */
public class AnyPlanTest {

    @DataProvider
    public Object[][] plans() {
        return IntStream.range(0, 60)
                .mapToObj(n -> new Object[] {plan(new Random(n))})
                .toArray(Object[][]::new);
    }

    private static Plan plan(Random random) {
        var position =
                Catalogue.positions().get(random.nextInt(Catalogue.positions().size()));
        var motion = position.motions().get(random.nextInt(position.motions().size()));
        var steps = new ArrayList<Tread>();
        int effort = 0;
        for (int n = 0; n < 1 + random.nextInt(7); n++) {
            effort += 1 + random.nextInt(14);
            steps.add(new Tread(effort, 1 + random.nextInt(10)));
        }
        var sides = new Sided<>(dose(random, steps), dose(random, steps));
        return new Plan(
                motion,
                position.id(),
                Method.RAMP_BOTH_WAYS,
                SideOrder.ONE_AFTER_OTHER,
                random.nextBoolean() ? Side.LEFT : Side.RIGHT,
                random.nextInt(60),
                random.nextInt(60),
                1 + random.nextInt(7),
                "",
                null,
                sides);
    }

    private static Dose dose(Random random, List<Tread> steps) {
        var graded = BlockDraft.usual(BlockForm.GRADED_SET)
                .withSteps(steps)
                .with("ceiling", 1 + random.nextInt(100))
                .with("sets", 1 + random.nextInt(5))
                .with("top-hold", random.nextInt(25))
                .with("pull", random.nextInt(30))
                .with("settle", random.nextInt(90))
                .with("in", 1 + random.nextInt(5))
                .with("out", 1 + random.nextInt(9));
        var dose = new Dose(
                Degrees.of(random.nextInt(60)),
                List.of(
                        BlockDraft.usual(BlockForm.CONTROLLED_ROTATION)
                                .with("repetitions", random.nextInt(6))
                                .with("seconds", 1 + random.nextInt(15)),
                        BlockDraft.usual(BlockForm.SUPPORTED_HOLD).with("seconds", random.nextInt(121)),
                        graded));
        return random.nextInt(3) == 0 ? dose : dose.plusHandsOff(1 + random.nextInt(4), 1 + random.nextInt(15));
    }

    @Test(dataProvider = "plans")
    public void theTimelineHasNoGapNoOverlapAndNoEmptyPhase(Plan plan) {
        int at = 0;
        for (var phase : plan.timeline().phases()) {
            assertThat(phase.startSecond()).isEqualTo(at);
            assertThat(phase.seconds()).isPositive();
            assertThat(phase.breaths().get(0).atSecond()).isEqualTo(phase.startSecond());
            at = phase.endSecond();
        }
        assertThat(plan.seconds()).isEqualTo(at);
    }

    @Test(dataProvider = "plans")
    public void totalsAreTheSumOfTheSeconds(Plan plan) {
        var timeline = plan.timeline();
        var totals = Totals.of(timeline, false);
        double impulse = 0;
        int underTension = 0;
        for (int t = 0; t < timeline.seconds(); t++) {
            var second = timeline.second(t);
            if (second.phase().isContraction()) {
                impulse += second.effort();
                underTension++;
            }
        }
        var left = totals.sides().left();
        var right = totals.sides().right();
        assertThat(left.impulse() + right.impulse()).isCloseTo(impulse, within(1e-6));
        assertThat(left.pressSeconds() + left.pullSeconds() + right.pressSeconds() + right.pullSeconds())
                .isEqualTo(underTension);
        assertThat(left.seconds() + right.seconds()).isEqualTo(totals.seconds());
    }

    @Test(dataProvider = "plans")
    public void noSecondAsksMoreThanTheSidesCeiling(Plan plan) {
        for (var phase : plan.timeline().phases()) {
            assertThat(phase.effortTo())
                    .isLessThanOrEqualTo(plan.dose(phase.side()).ceiling());
        }
    }

    @Test(dataProvider = "plans")
    public void blocksAreNamedOnceAndStayTogether(Plan plan) {
        var seen = new HashSet<BlockId>();
        BlockId last = null;
        for (var phase : plan.timeline().phases()) {
            if (!phase.blockId().equals(last)) {
                assertThat(seen.add(phase.blockId()))
                        .as(phase.blockId().toString())
                        .isTrue();
                assertThat(phase.blockId().side()).isEqualTo(phase.side());
                last = phase.blockId();
            }
        }
    }

    @Test(dataProvider = "plans")
    public void oneSideIsFinishedBeforeTheOtherBegins(Plan plan) {
        var sides = plan.timeline().phases().stream().map(Timeline.Phase::side).toList();
        int change = sides.indexOf(plan.firstSide().other());
        assertThat(sides.subList(0, change)).containsOnly(plan.firstSide());
        assertThat(sides.subList(change, sides.size()))
                .containsOnly(plan.firstSide().other());
    }

    @Test(dataProvider = "plans")
    public void swappingTheSidesSwapsTheTotals(Plan plan) {
        var swapped = plan.withDoses(new Sided<>(plan.dose(Side.RIGHT), plan.dose(Side.LEFT)));
        var totals = Totals.of(plan.timeline(), false).sides();
        var other = Totals.of(swapped.timeline(), false).sides();
        assertThat(other.left().impulse()).isEqualTo(totals.right().impulse());
        assertThat(other.right().pullSeconds()).isEqualTo(totals.left().pullSeconds());
    }

    @Test
    public void theClassesCoverEveryEffort() {
        assertThat(List.of(30, 31, 60, 61, 85, 86, 100).stream()
                        .map(e -> EffortClass.of(EffortPercent.of(e)))
                        .toList())
                .containsExactly(
                        EffortClass.LIGHT,
                        EffortClass.MODERATE,
                        EffortClass.MODERATE,
                        EffortClass.HARD,
                        EffortClass.HARD,
                        EffortClass.MAXIMAL,
                        EffortClass.MAXIMAL);
        assertThat(EffortClass.HARD.spacingHours()).isEqualTo(42);
    }
}
