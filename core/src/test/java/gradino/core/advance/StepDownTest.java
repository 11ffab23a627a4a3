package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.effort.Gravity;
import gradino.core.intake.Limits;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.prescribe.House;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockDraft.Tread;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.RoleNumber;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.PainScore;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The handbook's table of what goes down for what was felt where, and worked cases 21, 22 and 24 to 29 of chapter 5. */
public final class StepDownTest {
    private static final Degrees ANGLE = Degrees.of(30);
    private static final Gravity LIMB = Gravity.of("foot-and-shank", 70, 43);
    private static final ClientFacts CLIENT =
            new ClientFacts(Limits.NONE, false, null, 45.0, null, null, null).withLimb(LIMB);

    private static Dose usual(String method) {
        return new Dose(ANGLE, Method.byId(method).orElseThrow().firstBlocks(false));
    }

    private static Story lived(String method, Dose dose, Dose base) {
        return Story.of(dose)
                .startingFrom(base)
                .by(method)
                .client(CLIENT)
                .clean(15, 12, 9, 6)
                .passive(31, 0.1);
    }

    private static Proposal hurt(String method, Dose dose, Dose base, BlockKind in, PainKind kind) {
        var pain = new Pain(PainScore.of(6), kind, "hip");
        return lived(method, dose, base)
                .session(3, b -> b.kind() == in ? Story.with(b, List.of(pain)) : b)
                .morning(3, true, 0)
                .left();
    }

    private static double number(Dose dose, BlockForm form, String number) {
        return RoleNumber.value(BlockNumbers.of(dose.blocks(), form).get(0).block(), number);
    }

    private static Dose with(Dose dose, BlockForm form, String number, double to) {
        var place = BlockNumbers.of(dose.blocks(), form).get(0);
        return dose.withBlocks(BlockNumbers.with(dose.blocks(), place.path(), b -> b.with(number, to)));
    }

    /** Worked case 26: a strap stretch, pain 6 while held: the angle, not the contraction; the hold back to its base. */
    @Test
    public void case26PainInAHeldStretchTakesTheAngleAndNotTheContraction() {
        var base = usual("contract-relax-linger");
        var dose = with(base, BlockForm.SUPPORTED_HOLD, "seconds", 90);
        var p = hurt("contract-relax-linger", dose, base, BlockKind.SUPPORTED_HOLD, PainKind.AT_REST_IN_RANGE);
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().angle()).isEqualTo(Degrees.of(25));
        assertThat(p.to().ceiling()).isEqualTo(dose.ceiling());
        assertThat(number(p.to(), BlockForm.SUPPORTED_HOLD, "seconds")).isEqualTo(60);
    }

    /** Of those ramps alone: what is held by own strength elsewhere stays as hard. */
    @Test
    public void painInAContractionLowersThatKindOfContraction() {
        var base = usual("ramp-both-ways").plusHandsOff(3, 10);
        var dose = House.held(base, 20);
        var p = hurt("ramp-both-ways", dose, base, BlockKind.PRESS, PainKind.WHILE_CONTRACTING);
        assertThat(number(p.to(), BlockForm.GRADED_SET, "ceiling")).isEqualTo(80);
        assertThat(number(p.to(), BlockForm.GRADED_SET, "top-hold")).isEqualTo(10);
        assertThat(number(p.to(), BlockForm.GRADED_SET, "pull")).isEqualTo(10);
        assertThat(number(p.to(), BlockForm.HANDS_OFF_HOLD, "effort")).isEqualTo(100);
        assertThat(p.to().angle()).isEqualTo(ANGLE);
    }

    /** Never "effort about 60 → 40" on a lift. */
    @Test
    public void painInALiftLowersTheLiftAndThenItsRepetitions() {
        var base = with(usual("stage-ladder"), BlockForm.LIFT_OFF, "repetitions", 3);
        var high = with(with(base, BlockForm.LIFT_OFF, "height", 4), BlockForm.LIFT_OFF, "repetitions", 8);
        var p = hurt("stage-ladder", high, base, BlockKind.LIFT_OFF, PainKind.WHILE_CONTRACTING);
        assertThat(number(p.to(), BlockForm.LIFT_OFF, "height")).isEqualTo(3);
        assertThat(number(p.to(), BlockForm.LIFT_OFF, "repetitions")).isEqualTo(8);
        assertThat(p.to().ceiling()).isEqualTo(high.ceiling());
        var low = with(base, BlockForm.LIFT_OFF, "repetitions", 8);
        var fewer = hurt("stage-ladder", low, base, BlockKind.LIFT_OFF, PainKind.WHILE_CONTRACTING);
        assertThat(number(fewer.to(), BlockForm.LIFT_OFF, "repetitions")).isEqualTo(3);
        assertThat(fewer.why().reason()).isEqualTo(Reason.DOWN_REPETITIONS);
        var loaded = with(low, BlockForm.LIFT_OFF, "load", 1);
        var lighter = hurt("stage-ladder", loaded, base, BlockKind.LIFT_OFF, PainKind.WHILE_CONTRACTING);
        assertThat(number(lighter.to(), BlockForm.LIFT_OFF, "load")).isLessThan(1);
        assertThat(number(lighter.to(), BlockForm.LIFT_OFF, "repetitions")).isEqualTo(8);
    }

    @Test
    public void painInARockTakesTheZoneBackThenTheRepetitionsAndTheAngleOnlyForAPinch() {
        var base = usual("controlled-movement");
        var dose = with(base, BlockForm.TRANSITION, "repetitions", 10);
        var p = hurt("controlled-movement", dose, base, BlockKind.TRANSITION, PainKind.AT_REST_IN_RANGE);
        assertThat(p.why().reason()).isEqualTo(Reason.DOWN_ZONE);
        assertThat(number(p.to(), BlockForm.TRANSITION, "zone")).isEqualTo(1);
        assertThat(number(p.to(), BlockForm.TRANSITION, "repetitions")).isEqualTo(10);
        assertThat(p.to().angle()).isEqualTo(ANGLE);
        var again = hurt("controlled-movement", p.to(), base, BlockKind.TRANSITION, PainKind.AT_REST_IN_RANGE);
        assertThat(number(again.to(), BlockForm.TRANSITION, "repetitions")).isEqualTo(5);
        assertThat(again.to().angle()).isEqualTo(ANGLE);
        var pinch = hurt("controlled-movement", dose, base, BlockKind.TRANSITION, PainKind.PINCH_THAT_EASED);
        assertThat(pinch.to().angle()).isEqualTo(Degrees.of(25));
        assertThat(number(pinch.to(), BlockForm.TRANSITION, "repetitions")).isEqualTo(10);
    }

    /** Pain in circles that are what they began with: the angle goes back; without one nothing is left, and that is said. */
    @Test
    public void whereNothingIsLeftToLowerTheLineIsLeftOut() {
        var base = usual("controlled-circles");
        var p = hurt("controlled-circles", base, base, BlockKind.ROTATION, PainKind.AT_REST_IN_RANGE);
        assertThat(p.to().angle()).isEqualTo(Degrees.of(25));
        var flat = base.withAngle(Degrees.of(0));
        var pain = new Pain(PainScore.of(6), PainKind.AT_REST_IN_RANGE, "hip");
        var left = Story.of(flat)
                .startingFrom(flat)
                .by("controlled-circles")
                .session(3, b -> b.kind() == BlockKind.ROTATION ? Story.with(b, List.of(pain)) : b)
                .morning(3, true, 0)
                .left();
        assertThat(left.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(left.why().reason()).isEqualTo(Reason.DOWN_NOTHING_LEFT);
        assertThat(left.to()).isEqualTo(flat);
    }

    /** Worked case 21: 34 changed by the coach to 30, no step up before; pain of unknown cause: the ceiling, not the angle. */
    @Test
    public void case21WithoutAStepUpBeforeTheHardestBlockGivesWay() {
        var deep = new Dose(Degrees.of(34), Story.BASE.blocks());
        var p = Story.of(deep)
                .startingFrom(deep)
                .clean(15, 12, 9)
                .edited(8, Story.BASE)
                .painful(3, 7, PainKind.AT_REST_IN_RANGE)
                .morning(3, true, 0)
                .left();
        assertThat(p.to().angle()).isEqualTo(ANGLE);
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(30));
    }

    /** Worked case 22: undoing an angle step brings the angle back and not the effort that it had lowered. */
    @Test
    public void case22UndoingAnAngleStepNeverRaisesTheEffort() {
        var before = Story.BASE.withCeiling(EffortPercent.of(80));
        var after = new Dose(
                Degrees.of(34), Story.BASE.withCeiling(EffortPercent.of(60)).blocks());
        var p = Story.of(before)
                .startingFrom(Story.BASE)
                .clean(15, 12, 9)
                .stepped(8, after, LeverId.ANGLE)
                .painful(3, 7, PainKind.AT_REST_IN_RANGE)
                .morning(3, true, 0)
                .left();
        assertThat(p.to().angle()).isEqualTo(ANGLE);
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(60));
    }

    /** Worked case 24: rocks, all repetitions counted, twice, clean. */
    @Test
    public void case24RocksThatWereCountedStepUp() {
        var dose = usual("controlled-movement");
        var p = Story.of(dose)
                .by("controlled-movement")
                .client(CLIENT)
                .clean(6, 3)
                .passive(31, 0.1)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_UP);
        assertThat(number(p.to(), BlockForm.TRANSITION, "repetitions")).isEqualTo(6);
    }

    /** Worked case 25 and the other two rules of cramp, on both sides of their limits. */
    @DataProvider
    public Object[][] cramps() {
        return new Object[][] {
            {"pulses", BlockKind.PULSES, 50, Verdict.STEP_UP},
            {"contract-relax-linger", BlockKind.CONTRACT_RELAX, 1, Verdict.STEP_UP},
            {"contract-relax-linger", BlockKind.CONTRACT_RELAX, 2, Verdict.STAY},
            {"ramp-ten-to-max", BlockKind.PRESS, 2, Verdict.STEP_UP},
            {"ramp-ten-to-max", BlockKind.PRESS, 3, Verdict.STAY}
        };
    }

    @Test(dataProvider = "cramps")
    public void case25CrampCountsByTheMethodsOwnRule(String method, BlockKind in, int cramps, Verdict expected) {
        var p = lived(method, usual(method).withCeiling(EffortPercent.of(50)), usual(method))
                .session(3, b -> b.kind() == in ? cramped(b, cramps) : b)
                .morning(3, true, 0)
                .left();
        assertThat(p.verdict()).as("%s", p.failed()).isEqualTo(expected);
    }

    private static BlockRecord cramped(BlockRecord b, int cramps) {
        return Story.changed(b, b.phases(), b.pains(), cramps, b.prop());
    }

    /** A newcomer eases off, whatever the method allows. */
    @Test
    public void aNewcomerEasesOff() {
        var p = Story.of(Story.BASE)
                .clean(6)
                .session(3, b -> b.kind() == BlockKind.PRESS ? cramped(b, 2) : b)
                .morning(3, true, 0)
                .left();
        assertThat(p.failed()).extracting(x -> x.reason()).contains(Reason.CRAMPS);
    }

    /** One cramp in each of two sets is not two in one set, though they stand in two blocks. */
    @Test
    public void aSetIsOnePassOfPressAndPull() {
        var p = lived("ramp-gentle", usual("ramp-gentle"), usual("ramp-gentle"))
                .session(3, b -> b.kind() == BlockKind.PRESS ? cramped(b, 1) : b)
                .morning(3, true, 0)
                .left();
        assertThat(p.failed()).extracting(x -> x.reason()).doesNotContain(Reason.CRAMPS);
    }

    /** Worked case 29: ramps all done, every loaded set skipped. */
    @Test
    public void case29RepetitionsThatWereLeftOutKeepTheLineBack() {
        var p = lived("release-activate-load", usual("release-activate-load"), usual("release-activate-load"))
                .session(
                        3,
                        b -> b.kind() == BlockKind.LOADED_STRETCH
                                ? Story.doneShare(b.side(), 0).apply(b)
                                : b)
                .morning(3, true, 0)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.why().text()).isEqualTo("Repetitions done: 0.00 of what was planned, below 0.95");
    }

    @Test
    public void aRampThatIsLoweredStillRises() {
        var base = usual("ramp-ten-scale");
        var p = hurt("ramp-ten-scale", base, base, BlockKind.PRESS, PainKind.WHILE_CONTRACTING);
        for (var form : List.of(BlockForm.PRESS_RAMP, BlockForm.PULL_RAMP)) {
            var steps = BlockNumbers.of(p.to().blocks(), form).get(1).block().steps();
            assertThat(steps).extracting(Tread::effort).containsExactly(30.0, 50.0, 60.0, 70.0, 80.0);
        }
    }

    /** A coach's own block that the method has not: its effort goes down too. */
    @Test
    public void painInWhatWasAddedToAMethodLowersIt() {
        var added = BlockDraft.usual(BlockForm.CONTRACT_RELAX).with("effort", 70);
        var base = usual("ramp-both-ways");
        var dose = base.withBlocks(List.of(base.blocks().get(0), base.blocks().get(2), added));
        var p = hurt("ramp-both-ways", dose, dose, BlockKind.CONTRACT_RELAX, PainKind.WHILE_CONTRACTING);
        assertThat(number(p.to(), BlockForm.CONTRACT_RELAX, "effort")).isEqualTo(50);
        assertThat(number(p.to(), BlockForm.GRADED_SET, "ceiling")).isEqualTo(100);
    }
}
