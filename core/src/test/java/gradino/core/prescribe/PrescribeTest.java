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
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.BreathPhase;
import gradino.core.prescribe.block.EffortStep;
import gradino.core.prescribe.block.RampPattern;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.LineCheck;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionCheck;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Totals;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.UncertainAngle;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

public class PrescribeTest {
    private static final Plan PLAN =
            House.line("seated-90-90-rear", Method.RAMP_BOTH_WAYS, Side.RIGHT, Sided.both(House.newcomers(12)));
    private static final RampPattern FIVE = new RampPattern(List.of(20, 40, 60, 80, 100).stream()
            .map(e -> new EffortStep(EffortPercent.of(e), 5))
            .toList());

    private static Plan both(Dose dose) {
        return PLAN.withDoses(Sided.both(dose));
    }

    private static List<Integer> efforts(List<EffortStep> steps) {
        return steps.stream().map(s -> s.effort().value()).toList();
    }

    @Test
    public void theRestOfASessionLeavesWholeMinutes() {
        var plan = PLAN;
        int own = plan.seconds();
        assertThat(plan.minutesLeft(20, own)).isEqualTo(20);
        assertThat(plan.minutesLeft(20, own + 59)).isEqualTo(20);
        assertThat(plan.minutesLeft(20, own + 60)).isEqualTo(19);
        assertThat(plan.minutesLeft(1, own + 600)).isZero();
    }

    @Test
    public void cutsTheStaircaseAtTheCeiling() {
        var pattern = FIVE;
        assertThat(efforts(pattern.cappedAt(EffortPercent.of(50)))).containsExactly(20, 40, 50);
        assertThat(efforts(pattern.cappedAt(EffortPercent.of(40)))).containsExactly(20, 40);
        assertThat(efforts(pattern.cappedAt(EffortPercent.of(100)))).containsExactly(20, 40, 60, 80, 100);
        assertThat(efforts(pattern.cappedAt(EffortPercent.of(10)))).containsExactly(10);
    }

    @Test
    public void everySecondHasASideABlockACueAnEffortAndABreath() {
        var timeline = both(PLAN.dose(Side.LEFT)
                        .withCeiling(EffortPercent.of(80))
                        .plusHandsOff(3, 10))
                .timeline();
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
        var blocks = PLAN.timeline().phases().stream()
                .map(p -> p.blockId().toString())
                .distinct()
                .toList();
        assertThat(blocks)
                .containsExactly(
                        "l1-right-set-up",
                        "l1-right-rotation",
                        "l1-right-supported-hold",
                        "l1-right-1-press",
                        "l1-right-1-pull",
                        "l1-right-1-settle",
                        "l1-right-2-press",
                        "l1-right-2-pull",
                        "l1-right-2-settle",
                        "l1-left-side-change",
                        "l1-left-rotation",
                        "l1-left-supported-hold",
                        "l1-left-1-press",
                        "l1-left-1-pull",
                        "l1-left-1-settle",
                        "l1-left-2-press",
                        "l1-left-2-pull",
                        "l1-left-2-settle");
    }

    @Test
    public void totalsAreWhatAPencilGets() {
        var totals = Totals.of(PLAN.timeline(), false);
        var left = totals.sides().left();
        // One set: press 20·40·50 at 5 s and 10 s on top = 25 s, 5·(20+40+50)+10·50 = 1050 %·s; pull 10 s at 50 = 500.
        assertThat(left.pressSeconds()).isEqualTo(50);
        assertThat(left.pullSeconds()).isEqualTo(20);
        assertThat(left.impulse()).isCloseTo(2 * 1550, within(1e-9));
        assertThat(left.holdSeconds()).isEqualTo(60);
        // A side: 6 circles of 6 s, 60 s hold, 2 × (25 + 10 + 36) = 238 s; with 20 s set-up and 20 s change 516 s.
        assertThat(totals.seconds()).isEqualTo(516);
        assertThat(PLAN.seconds()).isEqualTo(516);
        assertThat(totals.peak()).isEqualTo(EffortPercent.of(50));
        assertThat(totals.effortClass()).isEqualTo(EffortClass.MODERATE);
    }

    @Test
    public void equalDosesMakeEqualSides() {
        var totals = Totals.of(PLAN.timeline(), false);
        assertThat(totals.sides().left().impulse())
                .isEqualTo(totals.sides().right().impulse());
        assertThat(totals.sides().left().seconds())
                .isEqualTo(totals.sides().right().seconds());
    }

    @Test
    public void breathesOutTwiceAsLongInASettle() {
        var settle = PLAN.timeline().phases().stream()
                .filter(p -> p.block() == BlockKind.SETTLE)
                .findFirst()
                .orElseThrow();
        assertThat(settle.breaths()).hasSize(6);
        assertThat(settle.breaths().get(1).atSecond() - settle.startSecond()).isEqualTo(4);
        assertThat(settle.breaths().get(2).atSecond() - settle.startSecond()).isEqualTo(12);
    }

    private static List<Finding> check(Plan plan, LineFacts facts) {
        return LineCheck.check(plan, facts, Method.rampBothWays());
    }

    private static LineFacts facts(Limits limits, boolean newcomer) {
        return new LineFacts(
                limits,
                newcomer,
                Sided.both(Optional.of(PLAN.dose(Side.LEFT).angle())),
                Sided.both(Optional.of(UncertainAngle.of(15, 1))),
                !newcomer,
                !newcomer);
    }

    @Test
    public void theFirstDoseHasNoFinding() {
        assertThat(check(PLAN, facts(Limits.NONE, true))).isEmpty();
    }

    @Test
    public void findsWhatIsUnsafeOrSenseless() {
        var dose = PLAN.dose(Side.LEFT);
        var open = facts(Limits.NONE, false);
        assertThat(check(both(dose.withSets(0)), open))
                .extracting(Finding::code)
                .contains("out-of-bounds");
        assertThat(check(both(dose.withCeiling(EffortPercent.of(0))), open))
                .extracting(Finding::code)
                .contains("out-of-bounds");
        assertThat(check(both(dose.withSupportedHold(121)), open))
                .extracting(Finding::path, Finding::code)
                .contains(org.assertj.core.groups.Tuple.tuple("left[1].numbers.seconds", "hold-too-long"));
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
            var graded = PLAN.dose(Side.LEFT).blocks().get(2);
            var fall = graded.withSteps(List.of(new BlockDraft.Tread(20, 5), new BlockDraft.Tread(second, 5)));
            var dose = PLAN.dose(Side.LEFT).withBlocks(List.of(fall));
            assertThat(check(both(dose), LineFacts.UNKNOWN))
                    .extracting(Finding::path, Finding::code)
                    .contains(org.assertj.core.groups.Tuple.tuple("left[0].steps[1].effort", "ramp-not-rising"));
        }
    }

    @Test
    public void newcomersStayUnderSixtySecondsAndFiftyPercent() {
        var dose = PLAN.dose(Side.LEFT);
        var newcomer = facts(Limits.NONE, true);
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
        assertThat(check(PLAN, facts(capped, false)))
                .extracting(Finding::code, Finding::blocks)
                .containsOnly(org.assertj.core.groups.Tuple.tuple("effort-cap", true));
        var deeper = both(PLAN.dose(Side.LEFT).withCeiling(EffortPercent.of(40)).withAngle(Degrees.of(13)));
        assertThat(check(deeper, facts(capped, false)))
                .extracting(Finding::code)
                .containsOnly("no-deepening");
        for (var kind : RestrictionKind.values()) {
            if (kind.forbids()) {
                assertThat(check(PLAN, facts(AnyLimits.of(kind, null), false)))
                        .extracting(Finding::code)
                        .containsOnly("stopped");
            }
        }
        assertThat(check(PLAN, facts(AnyLimits.of(RestrictionKind.CONTRACTION_CAP, 10.0), false)))
                .extracting(Finding::code)
                .containsOnly("contraction-cap");
        assertThat(check(PLAN, facts(AnyLimits.of(RestrictionKind.ANGLE_CAP, 5.0), false)))
                .extracting(Finding::code)
                .containsOnly("angle-cap");
    }

    @Test
    public void saysWhenTheMinutesDoNotSuffice() {
        assertThat(SessionCheck.tooLong(PLAN.seconds(), 8))
                .get()
                .matches(f -> f.code().equals("too-long") && f.message().startsWith("8.6 min in 8 min"));
        assertThat(SessionCheck.tooLong(480, 8)).isEmpty();
        assertThat(SessionCheck.tooLong(3600, null)).isEmpty();
    }

    @Test
    public void refusesImpossibleNumbersQuotingThem() {
        assertThatThrownBy(() -> EffortPercent.of(101)).hasMessageContaining("101");
        assertThatThrownBy(() -> PLAN.withSessionsPerWeek(15)).hasMessageContaining("15");
        assertThatThrownBy(() -> Degrees.of(Double.NaN)).hasMessageContaining("NaN");
        assertThatThrownBy(() -> new RampPattern(List.of())).hasMessageContaining("ramp steps");
    }

    @Test
    public void unknownPlacesAreFindings() {
        var plan = new Plan(
                "elbow-wiggle",
                "ceiling",
                "none",
                SideOrder.ONE_AFTER_OTHER,
                Side.LEFT,
                20,
                20,
                3,
                "",
                null,
                PLAN.doses());
        assertThat(check(plan, LineFacts.UNKNOWN))
                .extracting(Finding::code)
                .containsExactly("unknown-motion", "unknown-position", "unknown-method");
    }

    @Test
    public void aBlocksIdIsReadAsItIsWritten() {
        for (var kind : BlockKind.values()) {
            for (var way : BlockId.Way.values()) {
                for (int n : List.of(1, 12)) {
                    for (int set : List.of(0, 3)) {
                        var id = new BlockId(n, Side.MIDLINE, set, kind, n, way);
                        assertThat(id.toString()).matches("[A-Za-z0-9-]{1,64}");
                        assertThat(BlockId.parse(id.toString())).isEqualTo(id);
                    }
                }
            }
        }
        assertThat(BlockId.parse("l2-left-3-press-2-easier").label()).isEqualTo("set 3 press 2, easier");
        for (var wrong :
                List.of("", "left-1-press", "l1-left-1-sneeze", "l1-up-press", "l1-left-press-", "l1:left-press")) {
            assertThatThrownBy(() -> BlockId.parse(wrong)).hasMessageContaining("'" + wrong + "'");
        }
    }
}
