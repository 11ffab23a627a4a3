package gradino.core.prescribe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.UncertainAngle;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

public class PrescribeTest {
    private static final Plan PLAN =
            Plan.first("hip-internal-rotation", "seated-90-90-rear", Sided.both(Degrees.of(12)), Side.RIGHT);

    private static Plan both(Dose dose) {
        return PLAN.withDoses(Sided.both(dose));
    }

    private static List<Integer> efforts(List<EffortStep> steps) {
        return steps.stream().map(s -> s.effort().value()).toList();
    }

    @Test
    public void theRestOfASessionLeavesWholeMinutes() {
        var plan = PLAN;
        int own = Compiler.secondsOf(plan);
        assertThat(plan.minutesLeft(20, own)).isEqualTo(20);
        assertThat(plan.minutesLeft(20, own + 59)).isEqualTo(20);
        assertThat(plan.minutesLeft(20, own + 60)).isEqualTo(19);
        assertThat(plan.minutesLeft(1, own + 600)).isZero();
    }

    @Test
    public void cutsTheStaircaseAtTheCeiling() {
        var pattern = Method.rampBothWays().pattern();
        assertThat(efforts(pattern.cappedAt(EffortPercent.of(50)))).containsExactly(20, 40, 50);
        assertThat(efforts(pattern.cappedAt(EffortPercent.of(40)))).containsExactly(20, 40);
        assertThat(efforts(pattern.cappedAt(EffortPercent.of(100)))).containsExactly(20, 40, 60, 80, 100);
        assertThat(efforts(pattern.cappedAt(EffortPercent.of(10)))).containsExactly(10);
    }

    @Test
    public void compilesTheTradesOwnSeconds() {
        // Facts of the trade (common practice, no source): 10·30·50·70·max at 5 s is 25 s; with a 15 s pull 40 s.
        var steps = List.of(10, 30, 50, 70, 100).stream()
                .map(e -> new EffortStep(EffortPercent.of(e), 5))
                .toList();
        var press = new Contraction.Ramp(true, "floor", steps, 0);
        var pull = new Contraction.Ramp(false, "air", List.of(new EffortStep(EffortPercent.of(100), 15)), 0);
        assertThat(seconds(press)).isEqualTo(25);
        assertThat(seconds(press) + seconds(pull)).isEqualTo(40);
        assertThat(seconds(new Quiet.Settle(40, new Breathing(4, 8)))).isEqualTo(36);
    }

    private static int seconds(Leaf block) {
        return block.phases().stream().mapToInt(Block.Draft::seconds).sum();
    }

    @Test
    public void everySecondHasASideABlockACueAnEffortAndABreath() {
        var timeline = Compiler.compile(
                both(PLAN.dose(Side.LEFT).withCeiling(EffortPercent.of(80)).withHandsOff(3, 10)));
        var previous = timeline.second(0);
        for (int t = 0; t < timeline.seconds(); t++) {
            var second = timeline.second(t);
            assertThat(second.phase().cue()).isNotBlank();
            assertThat(second.effort()).isBetween(0.0, 80.0);
            assertThat(second.breath() == BreathPhase.SHALLOW)
                    .isEqualTo(second.phase().effortTo().value() > 50);
            assertThat(second.phase().startSecond()).isLessThanOrEqualTo(t);
            assertThat(second.phase().startSecond())
                    .isGreaterThanOrEqualTo(previous.phase().startSecond());
            previous = second;
        }
        assertThatThrownBy(() -> timeline.second(timeline.seconds())).isInstanceOf(IndexOutOfBoundsException.class);
    }

    @Test
    public void goesThroughRotationsHoldPressPullSettleOnTheWorseSideFirst() {
        var blocks = Compiler.compile(PLAN).phases().stream()
                .map(Timeline.Phase::blockId)
                .distinct()
                .toList();
        assertThat(blocks)
                .containsExactly(
                        "right-set-up",
                        "right-rotation",
                        "right-supported-hold",
                        "right-1-press",
                        "right-1-pull",
                        "right-1-settle",
                        "right-2-press",
                        "right-2-pull",
                        "right-2-settle",
                        "left-side-change",
                        "left-rotation",
                        "left-supported-hold",
                        "left-1-press",
                        "left-1-pull",
                        "left-1-settle",
                        "left-2-press",
                        "left-2-pull",
                        "left-2-settle");
    }

    @Test
    public void totalsAreWhatAPencilGets() {
        var totals = Totals.of(Compiler.compile(PLAN));
        var left = totals.sides().left();
        // One set: press 20·40·50 at 5 s and 10 s on top = 25 s, 5·(20+40+50)+10·50 = 1050 %·s; pull 10 s at 50 = 500.
        assertThat(left.pressSeconds()).isEqualTo(50);
        assertThat(left.pullSeconds()).isEqualTo(20);
        assertThat(left.impulse()).isCloseTo(2 * 1550, within(1e-9));
        assertThat(left.holdSeconds()).isEqualTo(60);
        // A side: 6 circles of 6 s, 60 s hold, 2 × (25 + 10 + 36) = 238 s; with 20 s set-up and 20 s change 516 s.
        assertThat(totals.seconds()).isEqualTo(516);
        assertThat(Compiler.secondsOf(PLAN)).isEqualTo(516);
        assertThat(totals.peak()).isEqualTo(EffortPercent.of(50));
        assertThat(totals.effortClass()).isEqualTo(EffortClass.MODERATE);
    }

    @Test
    public void equalDosesMakeEqualSides() {
        var totals = Totals.of(Compiler.compile(PLAN));
        assertThat(totals.sides().left().impulse())
                .isEqualTo(totals.sides().right().impulse());
        assertThat(totals.sides().left().seconds())
                .isEqualTo(totals.sides().right().seconds());
    }

    @Test
    public void breathesOutTwiceAsLongInASettle() {
        var settle = Compiler.compile(PLAN).phases().stream()
                .filter(p -> p.block() == BlockKind.SETTLE)
                .findFirst()
                .orElseThrow();
        assertThat(settle.breaths()).hasSize(6);
        assertThat(settle.breaths().get(1).atSecond() - settle.startSecond()).isEqualTo(4);
        assertThat(settle.breaths().get(2).atSecond() - settle.startSecond()).isEqualTo(12);
    }

    private static List<Finding> check(Plan plan, PlanContext context) {
        return PlanCheck.check(plan, context);
    }

    private static PlanContext context(Limits limits, boolean newcomer, Integer minutes) {
        return new PlanContext(
                limits,
                newcomer,
                minutes,
                Sided.both(Optional.of(PLAN.dose(Side.LEFT))),
                Sided.both(Optional.of(UncertainAngle.of(15, 1))));
    }

    @Test
    public void theFirstDoseHasNoFinding() {
        assertThat(check(PLAN, context(Limits.NONE, true, 20))).isEmpty();
    }

    @Test
    public void findsWhatIsUnsafeOrSenseless() {
        var dose = PLAN.dose(Side.LEFT);
        var open = context(Limits.NONE, false, null);
        assertThat(check(both(dose.withSets(0)), open))
                .extracting(Finding::code)
                .contains("no-sets");
        assertThat(check(both(dose.withCeiling(EffortPercent.of(0))), open))
                .extracting(Finding::code)
                .contains("no-effort");
        assertThat(check(both(dose.withSupportedHold(121)), open))
                .extracting(Finding::path, Finding::code)
                .contains(org.assertj.core.groups.Tuple.tuple("doses.left.supportedHoldSeconds", "hold-too-long"));
        assertThat(check(both(dose.withAngle(Degrees.of(16))), open))
                .extracting(Finding::code)
                .contains("above-range");
        assertThat(check(PLAN.withDose(Side.LEFT, dose.withSets(3)), open))
                .singleElement()
                .matches(f -> f.code().equals("unequal-sides") && !f.blocks());
    }

    @Test
    public void findsARampThatFallsOrRepeats() {
        for (int second : List.of(20, 10)) {
            var fall = new RampPattern(
                    List.of(new EffortStep(EffortPercent.of(20), 5), new EffortStep(EffortPercent.of(second), 5)));
            var plan = new Plan(
                    PLAN.motion(),
                    PLAN.position(),
                    PLAN.method(),
                    3,
                    6,
                    fall,
                    10,
                    40,
                    new Breathing(4, 8),
                    20,
                    20,
                    3,
                    Side.LEFT,
                    "",
                    PLAN.doses());
            assertThat(check(plan, PlanContext.unrestricted()))
                    .extracting(Finding::path, Finding::code)
                    .containsExactly(org.assertj.core.groups.Tuple.tuple("press.steps[1].effort", "ramp-not-rising"));
        }
    }

    @Test
    public void newcomersStayUnderSixtySecondsAndFiftyPercent() {
        var dose = PLAN.dose(Side.LEFT);
        var newcomer = context(Limits.NONE, true, null);
        assertThat(check(both(dose.withCeiling(EffortPercent.of(60))), newcomer))
                .extracting(Finding::code)
                .contains("newcomer-ceiling");
        assertThat(check(both(dose.withSupportedHold(75)), newcomer))
                .extracting(Finding::code)
                .contains("newcomer-hold");
    }

    @Test
    public void restrictionsBlockWhoeverAsks() {
        var capped = AnyLimits.of(40, true, false);
        assertThat(check(PLAN, context(capped, false, null)))
                .extracting(Finding::code, Finding::blocks)
                .containsOnly(org.assertj.core.groups.Tuple.tuple("effort-cap", true));
        var deeper = both(PLAN.dose(Side.LEFT).withCeiling(EffortPercent.of(40)).withAngle(Degrees.of(13)));
        assertThat(check(deeper, context(capped, false, null)))
                .extracting(Finding::code)
                .containsOnly("no-deepening");
        for (var kind : RestrictionKind.values()) {
            if (kind.forbids()) {
                assertThat(check(PLAN, context(AnyLimits.of(kind, null), false, null)))
                        .extracting(Finding::code)
                        .containsOnly("stopped");
            }
        }
        assertThat(check(PLAN, context(AnyLimits.of(RestrictionKind.CONTRACTION_CAP, 10.0), false, null)))
                .extracting(Finding::code)
                .containsOnly("contraction-cap");
        assertThat(check(PLAN, context(AnyLimits.of(RestrictionKind.ANGLE_CAP, 5.0), false, null)))
                .extracting(Finding::code)
                .containsOnly("angle-cap");
    }

    @Test
    public void saysWhenTheMinutesDoNotSuffice() {
        assertThat(check(PLAN, context(Limits.NONE, false, 8)))
                .singleElement()
                .matches(f -> f.code().equals("too-long") && f.message().startsWith("8.6 min in 8 min"));
    }

    @Test
    public void refusesImpossibleNumbersQuotingThem() {
        assertThatThrownBy(() -> EffortPercent.of(101)).hasMessageContaining("101");
        assertThatThrownBy(() -> PLAN.dose(Side.LEFT).withSets(-1)).hasMessageContaining("-1");
        assertThatThrownBy(() -> Degrees.of(Double.NaN)).hasMessageContaining("NaN");
        assertThatThrownBy(() -> new RampPattern(List.of())).hasMessageContaining("ramp steps");
    }

    @Test
    public void unknownPlacesAreFindings() {
        var plan = new Plan(
                "elbow-wiggle",
                "ceiling",
                "none",
                3,
                6,
                PLAN.press(),
                10,
                40,
                new Breathing(4, 8),
                20,
                20,
                3,
                Side.LEFT,
                "",
                PLAN.doses());
        assertThat(check(plan, PlanContext.unrestricted()))
                .extracting(Finding::code)
                .containsExactly("unknown-motion", "unknown-position", "unknown-method");
    }
}
