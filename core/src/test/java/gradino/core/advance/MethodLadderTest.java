package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.effort.Gravity;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** The ladders of lines that are composed of blocks. Orders: the handbook's table of the methods' own ladders (house rule). */
public final class MethodLadderTest {
    private static final Degrees ANGLE = Degrees.of(30);

    /** 70 kg, a load at the ankle, 43 cm. */
    private static final Gravity LIMB = Gravity.of("foot-and-shank", 70, 43);

    private static final ClientFacts PLAIN = new ClientFacts(Limits.NONE, false, null, 45.0, null, null, null);

    private static Dose first(String method) {
        return new Dose(ANGLE, Method.byId(method).orElseThrow().firstBlocks(false));
    }

    /** Five clean sessions on five days, far enough apart for any class: nobody is a newcomer any more. */
    private static Story lived(String method, Dose dose) {
        return Story.of(dose)
                .startingFrom(dose)
                .by(method)
                .client(PLAIN.withLimb(LIMB))
                .clean(15, 12, 9, 6, 3);
    }

    @Test
    public void aStepOfThePolicyIsTheStepOfABlock() {
        var state = lived("hands-off", first("hands-off")).passive(31, 1).state();
        var small = Policy.house().with("small", Map.of(Threshold.HANDS_OFF_STEP, 1.0));
        var now = new Moment(Story.NOW, ZoneOffset.UTC);
        assertThat(Advance.propose(state, Side.LEFT, small, now).to().handsOffSeconds())
                .isEqualTo(11);
        assertThat(Advance.propose(state, Side.LEFT, Policy.house(), now).to().handsOffSeconds())
                .isEqualTo(12);
    }

    /** Worked case 14, now of a line: 3 × 12 lifts twice, limb torque 11.7 N·m, lever 0.43 m; 0.5 kg adds 2.1 N·m, 18 %. */
    @Test
    public void theFirstLoadOfALineIsHalfAKilogramAndTheLowRepetitions() {
        var limb = new Gravity("leg", 70, 43, 11.7);
        var p = lifted(12, 0, limb).left();
        assertThat(p.lever()).as("%s %s", p.alternatives(), p.failed()).isEqualTo(LeverId.LOAD);
        assertThat(p.to().loadKg()).isEqualTo(0.5);
        assertThat(p.why().text()).contains("18 %").contains("12").contains("6");
        assertThat(lifts(p.to()).number("repetitions")).isEqualTo(6);
        assertThat(p.sessionsPerWeek()).isEqualTo(EffortClass.LOADED.weeklyCap());
    }

    @Test
    public void aLoadNeedsACoachsEyeAndABodyMass() {
        assertThat(lifted(12, 0, LIMB).observedBy(Observer.COACH).left().lever())
                .isEqualTo(LeverId.LOAD);
        var alone = Story.of(lifting(12, 0))
                .startingFrom(lifting(12, 0, 25))
                .by("stage-ladder")
                .client(PLAIN.withLimb(LIMB))
                .observedBy(Observer.CLIENT)
                .clean(15, 12, 9, 6, 3)
                .passive(31, 1)
                .active(10, 1);
        assertThat(alone.left().lever()).isNotEqualTo(LeverId.LOAD);
        var unknown = lifted(12, 0, LIMB).client(PLAIN).left();
        assertThat(unknown.requests()).extracting(b -> b.reason()).contains(Reason.ASK_MASS);
    }

    /** By the control ladder, which has the load of lifts: the range is there, the strength in it is not. */
    private static Story lifted(int repetitions, double load, Gravity limb) {
        return Story.of(lifting(repetitions, load))
                .startingFrom(lifting(repetitions, load, 25))
                .by("contract-relax-linger")
                .client(PLAIN.withLimb(limb))
                .clean(15, 12, 9, 6, 3)
                .passive(31, 1)
                .active(10, 1);
    }

    private static Dose lifting(int repetitions, double load) {
        return lifting(repetitions, load, 30);
    }

    private static Dose lifting(int repetitions, double load, double height) {
        var lifts = BlockDraft.usual(BlockForm.LIFT_OFF)
                .with("repetitions", repetitions)
                .with("load", load)
                .with("height", height)
                .with("effort", 50);
        var alone = BlockDraft.usual(BlockForm.HANDS_OFF_HOLD).with("hold", 15).with("sets", 5);
        return new Dose(ANGLE, List.of(lifts, alone));
    }

    private static BlockDraft lifts(Dose dose) {
        return BlockNumbers.of(dose.blocks(), BlockForm.LIFT_OFF).get(0).block();
    }

    @Test
    public void painUnderALoadTakesTheNextLighterWeight() {
        var loaded = lived("loaded-lengthening", stretched(2.5)).passive(31, 1);
        var hurt = loaded.session(1, b -> b.kind() == BlockKind.LOADED_STRETCH ? hurting(b) : b)
                .morning(1, true, 0)
                .left();
        assertThat(hurt.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(hurt.to().loadKg()).isEqualTo(2.25);
        var lightest = lived("loaded-lengthening", stretched(0.5))
                .passive(31, 1)
                .session(1, b -> b.kind() == BlockKind.LOADED_STRETCH ? hurting(b) : b)
                .morning(1, true, 0)
                .left();
        assertThat(lightest.to().loadKg()).isZero();
    }

    private static Dose stretched(double load) {
        return first("loaded-lengthening")
                .withBlocks(BlockNumbers.with(
                        first("loaded-lengthening").blocks(), List.of(0, 0), b -> b.with("load", load)));
    }

    private static BlockRecord hurting(BlockRecord b) {
        return Story.with(b, List.of(new Pain(PainScore.of(6), PainKind.WHILE_CONTRACTING, "hip")));
    }

    @Test
    public void painWhileContractingLowersEveryEffortAboveTheNewCeiling() {
        var p = lived("contract-relax-linger", first("contract-relax-linger"))
                .passive(31, 1)
                .session(1, b -> b.kind() == BlockKind.CONTRACT_RELAX ? hurting(b) : b)
                .morning(1, true, 0)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(30));
        assertThat(p.to().blocks().get(0).number("effort")).isEqualTo(30);
    }

    @Test
    public void awayForWeeksIsBackToTheFirstBlocksUnderANewcomersLimits() {
        var dose = first("contract-relax-linger").withSupportedHold(90).withCeiling(EffortPercent.of(50));
        var p = Story.of(dose)
                .by("contract-relax-linger")
                .client(PLAIN)
                .clean(80, 77, 74, 71, 60)
                .passive(31, 1)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().supportedHoldSeconds()).isLessThanOrEqualTo(60);
        assertThat(p.to().ceiling().value()).isLessThanOrEqualTo(50);
    }

    /** A light ramp before a hard one: each is held against what it asked for itself. */
    @Test
    public void everyRampIsRatedAgainstWhatItAskedFor() {
        var dose = first("ramp-ten-scale");
        var clean = lived("ramp-ten-scale", dose).passive(40, 1).left();
        assertThat(clean.verdict()).as("%s", clean.failed()).isEqualTo(Verdict.STEP_UP);
        var off = lived("ramp-ten-scale", dose)
                .passive(31, 1)
                .session(
                        1,
                        b -> b.side() == Side.LEFT && b.kind() == BlockKind.PRESS ? Story.rated(b, Tenths.of(10)) : b)
                .morning(1, true, 0)
                .left();
        assertThat(off.verdict()).isEqualTo(Verdict.STAY);
        assertThat(off.failed()).extracting(x -> x.reason()).contains(Reason.EFFORT_OFF);
    }

    @Test
    public void aRestrictionOnEffortOrOnTheLengthOfAContractionHoldsInsideTheBlocks() {
        var p = restricted(RestrictionKind.CONTRACTION_CAP, 5.0, 0);
        assertThat(p.lever()).as("%s", p.alternatives()).isEqualTo(LeverId.CEILING);
        var soft = restricted(RestrictionKind.EFFORT_CAP, 30.0, 30);
        assertThat(soft.verdict()).isEqualTo(Verdict.STEP_UP);
        assertThat(soft.to().ceiling()).isEqualTo(EffortPercent.of(30));
        var newer = restricted(RestrictionKind.EFFORT_CAP, 30.0, 0);
        assertThat(newer.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(newer.why().reason()).isEqualTo(Reason.DOWN_CEILING);
        assertThat(newer.to().blocks().get(0).number("effort")).isEqualTo(30);
    }

    /** @param ceiling to which the dose was set before; 0 for the method's own */
    private static Proposal restricted(RestrictionKind kind, double bound, int ceiling) {
        var own = first("contract-relax-linger");
        return Story.of(ceiling == 0 ? own : own.withCeiling(EffortPercent.of(ceiling)))
                .by("contract-relax-linger")
                .client(new ClientFacts(AnyLimits.of(kind, bound), false, null, 45.0, null, null, null))
                .clean(15, 12, 9, 6, 3)
                .passive(31, 1)
                .left();
    }

    @Test
    public void theSameHistoryOfTheOtherSideChangesNothing() {
        var dose = first("hands-off");
        var p = lived("hands-off", dose).passive(31, 1).active(10, 1);
        assertThat(p.propose(Side.LEFT).to()).isEqualTo(p.propose(Side.RIGHT).to());
    }
}
