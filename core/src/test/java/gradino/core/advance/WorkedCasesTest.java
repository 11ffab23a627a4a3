package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.intake.Beighton;
import gradino.core.intake.Limits;
import gradino.core.perform.Observer;
import gradino.core.perform.PainKind;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.House;
import gradino.core.prescribe.method.Dose;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import org.testng.annotations.Test;

/** The worked cases of the house rules, numbered as there; the surrounding histories are invented. */
public class WorkedCasesTest {
    /** Case 3's rung: angle 30, top hold 15 (base 10), ceiling 80 (base 50). */
    private static final Dose CASE_3 = House.held(Story.BASE, 15).withCeiling(EffortPercent.of(80));

    private static Story case3() {
        return Story.of(CASE_3).clean(12, 9, 6, 3).passive(36.5, 1.5);
    }

    private static Story noRoom() {
        return Story.of(Story.BASE).passive(32.5, 1.5);
    }

    @Test
    public void case1RaisesTheTopHoldWhenThereIsNoRoomForTheAngle() {
        var p = noRoom().clean(6, 3).left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_UP);
        assertThat(p.lever()).isEqualTo(LeverId.TOP_HOLD);
        assertThat(p.to()).isEqualTo(House.held(Story.BASE, 15));
    }

    @Test
    public void case2LetsTheShortSideStayAndTheOtherStepUp() {
        var story = noRoom().session(6, Story.doneShare(Side.LEFT, 0.90))
                .morning(6, true, 0)
                .clean(3);
        assertThat(story.left().verdict()).isEqualTo(Verdict.STAY);
        assertThat(story.left().why().text()).isEqualTo("Contraction done: 0.90 of what was planned, below 0.95");
        assertThat(story.right().verdict()).isEqualTo(Verdict.STEP_UP);
    }

    @Test
    public void case3RaisesTheAngleToWhatTheEstimateAndThePropsAllow() {
        var p = case3().left();
        assertThat(p.lever()).isEqualTo(LeverId.ANGLE);
        assertThat(p.to().angle().value()).isCloseTo(34.0, within(1e-9));
        assertThat(p.to().topHoldSeconds()).isEqualTo(10);
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(60));
        assertThat(p.consequences())
                .extracting(Change::what)
                .containsExactly(
                        "working angle", "graded set, highest effort", "graded set, hold on top", "graded set, pull");
    }

    @Test
    public void case4AsksForAColdMeasureWhenTheLastOneIsOld() {
        var p = Story.of(CASE_3)
                .clean(19, 17, 15, 12, 9, 6, 3)
                .passive(36.5, 1.5, 20)
                .left();
        assertThat(p.lever()).isEqualTo(LeverId.TOP_HOLD);
        assertThat(p.requests()).contains(Because.of(Reason.ASK_COLD));
        assertThat(p.alternatives().get(0).why().reason()).isEqualTo(Reason.COLD_READING_OLD);
    }

    @Test
    public void case5AddsHandsOffHoldsWhenControlLimits() {
        // SE of the gap 2.1 with 1.5 on the passive side: √(2.1² − 1.5²) = 1.47.
        var p = case3().active(14.5, 1.47).left();
        assertThat(p.lever()).isEqualTo(LeverId.HANDS_OFF_HOLD);
        assertThat(p.to()).isEqualTo(CASE_3.plusHandsOff(3, 10));
    }

    @Test
    public void case6NeverDeepensAHypermobileClient() {
        // Malfait et al. 2017 cut-off to 50 years is 5 (value from memory).
        var hypermobile = new Beighton(6).isHypermobileAt(30);
        var p = case3().client(new ClientFacts(Limits.NONE, hypermobile, null, 45.0, null, null, null))
                .left();
        assertThat(p.lever()).isEqualTo(LeverId.HANDS_OFF_HOLD);
        assertThat(p.to().angle()).isEqualTo(CASE_3.angle());
        assertThat(p.alternatives())
                .extracting(Proposal.Alternative::lever)
                .containsExactly(LeverId.SETS, LeverId.HEIGHT, LeverId.LOAD, LeverId.STAGE);
    }

    @Test
    public void case7PassesOverWhatIsLeftOfTheWeek() {
        var before = CASE_3.withAngle(Degrees.of(26));
        var p = Story.of(before)
                .startingFrom(before)
                .clean(13, 10, 7)
                .stepped(5, CASE_3, LeverId.ANGLE)
                .clean(4.5, 2)
                .passive(36.5, 1.5)
                .left();
        assertThat(p.lever()).isEqualTo(LeverId.TOP_HOLD);
        assertThat(p.alternatives().get(0).why().text()).startsWith("Only 1°");
    }

    @Test
    public void case8LowersTheCeilingAfterPainWhileContracting() {
        var dose = Story.BASE.withCeiling(EffortPercent.of(70));
        var p = Story.of(dose)
                .clean(6)
                .painful(3, 6, PainKind.WHILE_CONTRACTING)
                .morning(3, true, 0)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(50));
    }

    @Test
    public void case9StaysWithPainThatSettled() {
        var p = noRoom().clean(6)
                .painful(3, 4, PainKind.WHILE_CONTRACTING)
                .morning(3, true, 0)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.why().reason()).isEqualTo(Reason.PAIN_NOT_CLEAN);
    }

    @Test
    public void case10StepsDownWhenThePainHadNotSettledByTheMorning() {
        var p = noRoom().clean(6)
                .painful(3, 4, PainKind.WHILE_CONTRACTING)
                .morning(3, false, 0)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(30));
    }

    @Test
    public void case11StepsDownWhenPainRisesOverThreeSessions() {
        var p = noRoom().clean(9)
                .painful(6, 2, PainKind.WHILE_CONTRACTING)
                .morning(6, true, 0)
                .painful(3, 4, PainKind.WHILE_CONTRACTING)
                .morning(3, true, 0)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.why().reason()).isEqualTo(Reason.DOWN_CEILING);
        assertThat(p.gates().get(1).because().reason()).isEqualTo(Reason.PAIN_RISING);
    }

    @Test
    public void case12StopsTheWholeClientAndProposesNothingElse() {
        var story = noRoom().clean(6).stopped(3, StopSign.NUMBNESS_TINGLING_WEAKNESS, Side.LEFT);
        for (var side : Side.PAIR) {
            var p = story.propose(side);
            assertThat(p.verdict()).isEqualTo(Verdict.STOP_AND_REFER);
            assertThat(p.changesDose()).isFalse();
            assertThat(p.alternatives()).isEmpty();
            assertThat(p.requests()).containsExactly(Because.of(Reason.ASK_CLEARANCE));
        }
    }

    @Test
    public void case12KeepsALocalSignToItsSide() {
        var story = noRoom().clean(6).stopped(3, StopSign.PINCH_THAT_STAYS, Side.LEFT);
        assertThat(story.left().verdict()).isEqualTo(Verdict.STOP_AND_REFER);
        assertThat(story.right().verdict()).isNotEqualTo(Verdict.STOP_AND_REFER);
    }

    @Test
    public void case13StepsDownAndAsksForAMeasureAfterALongGap() {
        // Three sessions a week: planned interval 3 days, so 25 days beyond plan is 28 days ago.
        var longer = House.held(Story.BASE, 15);
        var p = Story.of(longer.withCeiling(EffortPercent.of(60)))
                .startingFrom(Story.BASE)
                .passive(32.5, 1.5)
                .clean(40, 37)
                .stepped(36, longer.withCeiling(EffortPercent.of(70)), LeverId.CEILING)
                .clean(31, 28)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to()).isEqualTo(Story.BASE.withCeiling(EffortPercent.of(60)));
        assertThat(p.requests()).contains(Because.of(Reason.ASK_REMEASURE));
    }

    @Test
    public void case13AfterSixWeeksStartsAgainAsANewcomer() {
        var p = Story.of(CASE_3).clean(50, 47).passive(36.5, 1.5).left();
        assertThat(p.to()).isEqualTo(Story.BASE);
    }

    @Test
    public void case15StaysUntilTheMorningIsKnown() {
        var p = noRoom().clean(4).session(20.0 / 24, b -> b).left();
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.requests()).containsExactly(Because.of(Reason.ASK_MORNING));
    }

    @Test
    public void case15ASilentSessionNeitherQualifiesNorBreaksTheRun() {
        var p = noRoom().clean(12, 9).session(5, b -> b).left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_UP);
    }

    @Test
    public void case17TakesTheAngleBackWhenRangeWasLost() {
        var p = Story.of(Story.BASE).clean(6, 3).passive(29, 1.0).left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().angle()).isEqualTo(Degrees.of(27));
    }

    @Test
    public void case18CountsOneDayOnce() {
        var p = noRoom().clean(3.2, 3).left();
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.why().reason()).isEqualTo(Reason.TOO_FEW_SESSIONS);
    }

    @Test
    public void case19DoesNotDeepenWhatNobodyWatched() {
        var p = Story.of(Story.BASE)
                .observedBy(Observer.NOBODY)
                .clean(6, 3)
                .passive(36.5, 1.5)
                .left();
        assertThat(p.lever()).isEqualTo(LeverId.TOP_HOLD);
        assertThat(p.alternatives().get(0).why().reason()).isEqualTo(Reason.NOT_OBSERVED);
    }

    @Test
    public void case20SuspendsAnAcceptedStepWhenALateAnswerIsWorse() {
        var to = House.held(Story.BASE, 15);
        var story = noRoom().startingFrom(Story.BASE)
                .clean(12, 9)
                .painful(6, 3, PainKind.WHILE_CONTRACTING)
                .morningRecorded(6, false, 2, 0.1)
                .stepped(2, to, LeverId.TOP_HOLD);
        var p = story.left();
        assertThat(p.suspends()).isEqualTo("dleft2.0");
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.from()).isEqualTo(to);
        assertThat(p.to()).isEqualTo(Story.BASE.withCeiling(EffortPercent.of(30)));
        assertThat(Advance.effectiveDose(
                        story.state(), Side.LEFT, Policy.house(), new Moment(Story.NOW, java.time.ZoneOffset.UTC)))
                .isEqualTo(Story.BASE);
    }
}
