package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Finding;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.limit.Limiter;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.reading.PropGrid;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.PainKind;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.House;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Experience;
import gradino.core.prescribe.program.LineCheck;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.UncertainAngle;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The flight: each lever up to its top, what stands in its way, and the ways down. */
public class LadderTest {
    private static final Moment NOW = new Moment(Story.NOW, ZoneOffset.UTC);

    private static Dose dose(int hold, int sets, int ceiling, int top) {
        return House.dose(30, hold, sets, ceiling, top);
    }

    @DataProvider
    public Object[][] flight() {
        return new Object[][] {
            {dose(60, 2, 50, 10), LeverId.TOP_HOLD, dose(60, 2, 50, 15)},
            {dose(60, 2, 50, 18), LeverId.TOP_HOLD, dose(60, 2, 50, 20)},
            {dose(60, 2, 50, 20), LeverId.CEILING, dose(60, 2, 60, 20)},
            {dose(60, 2, 65, 20), LeverId.CEILING, dose(60, 2, 70, 20)},
            {dose(60, 2, 70, 20), LeverId.SETS, dose(60, 3, 70, 20)},
            {dose(60, 4, 70, 20), LeverId.CEILING_TO_TOP, dose(60, 4, 80, 20)},
            {dose(60, 4, 100, 20), LeverId.SUPPORTED_HOLD, dose(75, 4, 100, 20)},
            {dose(110, 4, 100, 20), LeverId.SUPPORTED_HOLD, dose(120, 4, 100, 20)},
            {dose(120, 4, 100, 20), null, dose(120, 4, 100, 20)},
        };
    }

    @Test(dataProvider = "flight")
    public void walksTheRangeLadderInOrder(Dose from, LeverId lever, Dose to) {
        var p = Story.of(from).clean(12, 9, 6, 3).passive(31, 1).left();
        assertThat(p.lever()).isEqualTo(lever);
        assertThat(p.to()).isEqualTo(to);
        assertThat(p.why().reason() == Reason.AT_TOP_OF_LADDER).isEqualTo(lever == null);
    }

    @DataProvider
    public Object[][] controlFlight() {
        return new Object[][] {
            {0, 0, 10, 3}, {10, 3, 12, 3}, {12, 3, 14, 3}, {14, 3, 15, 3}, {15, 3, 15, 4}, {15, 4, 15, 5}
        };
    }

    @Test(dataProvider = "controlFlight")
    public void walksTheControlLadder(int seconds, int sets, int toSeconds, int toSets) {
        var from = sets == 0 ? Story.BASE : Story.BASE.plusHandsOff(sets, seconds);
        var p = Story.of(from).clean(12, 9, 6, 3).passive(36, 1).active(14, 1).left();
        assertThat(p.to().handsOffSeconds()).isEqualTo(toSeconds);
        assertThat(p.to().handsOffSets()).isEqualTo(toSets);
        assertThat(p.to().sets()).isEqualTo(Story.BASE.sets());
        assertThat(p.to().angle()).isEqualTo(from.angle());
    }

    @Test
    public void aHarderClassBringsItsLowerFrequency() {
        var busy = Story.of(dose(60, 4, 60, 20)).clean(12, 9, 6, 3).passive(31, 1);
        var state = busy.state();
        var daily = new LineState(
                state.plan().withSessionsPerWeek(5),
                state.grid(),
                state.client(),
                state.sides(),
                state.sessions(),
                state.signs(),
                state.pauses(),
                state.methodSince(),
                state.later(),
                state.own());
        var p = Advance.propose(daily, Side.LEFT, Policy.house(), NOW);
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(70));
        assertThat(p.sessionsPerWeek()).isEqualTo(3);
        assertThat(p.consequences()).extracting(Change::what).contains("sessions a week");
    }

    @Test
    public void aBlockAtTheEndIsNeverPushed() {
        var story = Story.of(Story.BASE).clean(6, 3).passive(40, 1);
        var state = story.state();
        var blocked = state.with(Side.LEFT, state.side(Side.LEFT).withEndFeel(EndFeel.HARD_BLOCK));
        var p = Advance.propose(blocked, Side.LEFT, Policy.house(), NOW);
        assertThat(p.lever()).isEqualTo(LeverId.TOP_HOLD);
        assertThat(p.alternatives().get(0).why().reason()).isEqualTo(Reason.END_FEEL_STRUCTURE);
    }

    @Test
    public void anAngleHeldBeforeNeedsOnlyTheGates() {
        var deep = Story.BASE.withAngle(Degrees.of(33));
        var p = Story.of(deep)
                .startingFrom(deep)
                .observedBy(Observer.NOBODY)
                .clean(15, 12)
                .stepped(10, Story.BASE, LeverId.ANGLE)
                .clean(6, 3)
                .passive(36.5, 1.5)
                .left();
        assertThat(p.lever()).isEqualTo(LeverId.ANGLE);
        assertThat(p.to().angle().value()).isGreaterThan(30);
    }

    @Test
    public void aStepThatWouldNotFitTheMinutesIsPassedOver() {
        var tops = dose(60, 2, 70, 20);
        var p = Story.of(tops)
                .clean(12, 9, 6, 3)
                .passive(31, 1)
                .client(new ClientFacts(Limits.NONE, false, 11, 45.0, null, null, null))
                .left();
        // Two sets take 9.9 min, a third would make 13.0 of 11; a higher ceiling adds two steps of 5 s a set.
        assertThat(p.alternatives())
                .anyMatch(a -> a.lever() == LeverId.SETS && a.why().text().contains("in 11 min"));
    }

    @DataProvider
    public Object[][] causes() {
        return new Object[][] {
            {PainKind.WHILE_CONTRACTING, dose(60, 3, 50, 10)},
            {PainKind.PINCH_THAT_EASED, dose(60, 3, 70, 10).withAngle(Degrees.of(25))},
            {PainKind.AT_REST_IN_RANGE, dose(60, 2, 70, 10)},
        };
    }

    @Test(dataProvider = "causes")
    public void stepsDownByCauseAndTakesTheHoldBack(PainKind kind, Dose expected) {
        var first = dose(60, 2, 70, 15);
        var p = Story.of(first)
                .startingFrom(Story.BASE)
                .clean(12, 9)
                .stepped(8, dose(60, 3, 70, 15), LeverId.SETS)
                .painful(3, 6, kind)
                .morning(3, true, 0)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to()).isEqualTo(expected);
    }

    @Test
    public void theCeilingNeverFallsBelowTwenty() {
        var p = Story.of(Story.BASE.withCeiling(EffortPercent.of(30)))
                .clean(6)
                .painful(3, 7, PainKind.WHILE_CONTRACTING)
                .morning(3, true, 0)
                .left();
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(20));
    }

    @Test
    public void painThatRisesFromWeekToWeekStepsDown() {
        var story = Story.of(Story.BASE);
        for (int day : List.of(13, 11)) {
            story.painful(day, 1, PainKind.AT_REST_IN_RANGE).morning(day, true, 0);
        }
        for (int day : List.of(6, 3)) {
            story.painful(day, 3, PainKind.AT_REST_IN_RANGE).morning(day, true, 0);
        }
        assertThat(story.left().gates().get(1).because().reason()).isEqualTo(Reason.PAIN_UP_OVER_WEEK);
    }

    @Test
    public void painOnOneSideLeavesTheOtherAlone() {
        var story = Story.of(Story.BASE)
                .passive(32.5, 1.5)
                .clean(6)
                .session(
                        3,
                        b -> b.blockId().equals(BlockId.parse("l1-right-1-press"))
                                ? Story.with(
                                        b,
                                        List.of(new gradino.core.perform.Pain(
                                                gradino.core.quantity.PainScore.of(7), PainKind.WHILE_CONTRACTING, "")))
                                : b);
        story.morning(3, true, 0);
        assertThat(story.right().verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(story.left().verdict()).isEqualTo(Verdict.STEP_UP);
    }

    @Test
    public void aLateAnswerThatIsFineSuspendsNothing() {
        var to = House.held(Story.BASE, 15);
        var story = Story.of(Story.BASE)
                .startingFrom(Story.BASE)
                .passive(32.5, 1.5)
                .clean(15, 12)
                .session(9, b -> b)
                .morningRecorded(9, true, 1, 0.1)
                .stepped(2, to, LeverId.TOP_HOLD);
        assertThat(story.left().suspends()).isNull();
        assertThat(Advance.effectiveDose(story.state(), Side.LEFT, Policy.house(), NOW))
                .isEqualTo(to);
    }

    @Test
    public void aSignElsewhereReachesAsFarAsItsScope() {
        var story = Story.of(Story.BASE).passive(32.5, 1.5).clean(6, 3);
        var at = Story.daysAgo(1);
        var local = new Event.StopSignElsewhere("x", StopSign.SHARP_PAIN, Side.LEFT, at, at);
        var state = story.state().step(local, NoiseRules.HOUSE);
        assertThat(Advance.propose(state, Side.LEFT, Policy.house(), NOW).verdict())
                .isEqualTo(Verdict.STOP_AND_REFER);
        assertThat(Advance.propose(state, Side.RIGHT, Policy.house(), NOW).verdict())
                .isEqualTo(Verdict.STEP_UP);
        var cleared =
                state.step(new Event.Cleared(at, List.of(), at.plusSeconds(60), at.plusSeconds(60)), NoiseRules.HOUSE);
        assertThat(Advance.propose(cleared, Side.LEFT, Policy.house(), NOW).verdict())
                .isEqualTo(Verdict.STEP_UP);
    }

    @Test
    public void aProposalWaitsUntilItIsDeclinedOnTheSameFacts() {
        var story = Story.of(Story.BASE).passive(32.5, 1.5, 5).clean(6, 3);
        var state = story.state();
        var proposal = story.left();
        assertThat(Advance.waits(state, proposal.proposed())).isTrue();
        var declined = state.step(
                new Event.DoseDecided(
                        "d",
                        Side.LEFT,
                        Event.Answer.DECLINED,
                        Verdict.STEP_UP,
                        proposal.lever(),
                        proposal.from(),
                        proposal.from(),
                        Story.NOW,
                        Story.NOW),
                NoiseRules.HOUSE);
        var again = Advance.propose(declined, Side.LEFT, Policy.house(), NOW);
        assertThat(again.verdict()).isEqualTo(Verdict.STEP_UP);
        assertThat(Advance.waits(declined, again.proposed())).isFalse();
    }

    private static Plan first(Sided<UncertainAngle> passive, Limits limits) {
        var wish = new SessionStart.Wish(
                Catalogue.motion("hip-internal-rotation").orElseThrow(),
                Catalogue.position("prone-knee-bent").orElseThrow(),
                Sided.both(Limiter.RANGE),
                passive.map((side, p) -> Optional.of(p)),
                limits,
                false,
                Experience.NEWCOMER);
        var grid = new PropGrid.AngleStep(0.5);
        var asked = new SessionStart.Asked(
                List.of(), List.of(), null, (position, angle) -> grid.roundDown(angle), Policy.house());
        return Plan.of(SessionStart.line(wish, asked, Optional.of(Method.rampBothWays()), "line"));
    }

    @Test
    public void aFirstLineStartsShortOfTheRangeWorseSideFirst() {
        var passive = new Sided<>(UncertainAngle.of(36.5, 1.5), UncertainAngle.of(30, 0.5));
        var plan = first(passive, AnyLimits.of(40, false, false));
        assertThat(plan.firstSide()).isEqualTo(Side.RIGHT);
        // 36.5 − 1.645·1.5 = 34.03; 30 − 2 = 28, since 1.645·0.5 is less.
        assertThat(plan.dose(Side.LEFT).angle()).isEqualTo(Degrees.of(34));
        assertThat(plan.dose(Side.RIGHT).angle()).isEqualTo(Degrees.of(28));
        assertThat(plan.dose(Side.LEFT).ceiling()).isEqualTo(EffortPercent.of(40));
        assertThat(plan.dose(Side.LEFT).supportedHoldSeconds()).isEqualTo(60);
    }

    @Test
    public void aFirstLineKeepsACapOnContractionsAndOnTheAngle() {
        for (var limit : List.of(
                AnyLimits.of(RestrictionKind.CONTRACTION_CAP, 10.0), AnyLimits.of(RestrictionKind.ANGLE_CAP, 20.0))) {
            var plan = first(Sided.both(UncertainAngle.of(36.5, 1.5)), limit);
            var facts = new LineFacts(
                    limit, true, Sided.both(Optional.empty()), Sided.both(Optional.empty()), false, false);
            assertThat(LineCheck.check(plan, facts, Method.rampBothWays())).noneMatch(Finding::blocks);
        }
    }

    @DataProvider
    public Object[][] ramps() {
        return new Object[][] {
            // Handbook 3, the methods' own ladders; what a gentle start has no hands-off hold for is said.
            {"ramp-gentle", LeverId.TOP_HOLD},
            {"ramp-ten-to-max", LeverId.CEILING},
            {"ramp-both-ways", LeverId.TOP_HOLD}
        };
    }

    @Test(dataProvider = "ramps")
    public void aMethodBringsItsOwnLadder(String method, LeverId expected) {
        var state = Story.of(dose(60, 1, 50, 5))
                .clean(12, 9, 6, 3)
                .passive(31, 1)
                .by(method)
                .state();
        var p = Advance.propose(state, Side.LEFT, Policy.house(), NOW);
        assertThat(p.lever()).isEqualTo(expected);
    }

    @Test
    public void controlIsBuiltWithHandsOffHoldsInAMethodThatHasNone() {
        var state = Story.of(dose(60, 1, 50, 5))
                .clean(12, 9, 6, 3)
                .passive(36, 1)
                .active(14, 1)
                .by("ramp-gentle")
                .state();
        var p = Advance.propose(state, Side.LEFT, Policy.house(), NOW);
        assertThat(p.lever()).isEqualTo(LeverId.HANDS_OFF_HOLD);
        assertThat(p.to().handsOffSets()).isEqualTo(3);
        assertThat(p.to().handsOffSeconds()).isEqualTo(10);
    }

    @Test
    public void aPolicyMustSetEveryThresholdWithinItsRange() {
        assertThatThrownBy(() -> new Policy("empty", Map.of(), NoiseRules.HOUSE))
                .hasMessageContaining("lacks");
        var entry = Policy.house().entry(Threshold.DONE_RATIO);
        assertThatThrownBy(() -> new Policy.Entry("", "", 2, entry.unit(), entry.min(), entry.max(), entry.source()))
                .hasMessageContaining("was 2");
    }

    @Test
    public void theCalendarOfTheStudioDecidesWhatADayIs() {
        var evening = Instant.parse("2026-03-19T23:30:00Z");
        assertThat(new Moment(Story.NOW, ZoneOffset.UTC).daysSince(evening)).isEqualTo(1);
        assertThat(new Moment(Story.NOW, ZoneOffset.ofHours(2)).daysSince(evening))
                .isZero();
    }

    /** Pulls at 0.85 are 0.957 of all contraction, which qualifies; what the set would grow by waits all the same. */
    @Test
    public void aBlockThatWasCutShortDoesNotGrow() {
        UnaryOperator<BlockRecord> shortPull = b ->
                b.kind() == BlockKind.PULL ? Story.doneShare(b.side(), 0.85).apply(b) : b;
        var p = Story.of(Story.BASE)
                .session(6, shortPull)
                .morning(6, true, 0)
                .session(3, shortPull)
                .morning(3, true, 0)
                .passive(32, 0.5)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_UP);
        assertThat(p.lever()).isEqualTo(LeverId.SUPPORTED_HOLD);
        assertThat(p.alternatives())
                .filteredOn(a -> a.lever() == LeverId.TOP_HOLD)
                .extracting(a -> a.why().text())
                .containsExactly("Graded set done: 0.85 of what was planned, below 0.95");
    }
}
