package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.Beside;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.GateResult;
import gradino.core.because.Reason;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.MeasuredEffort;
import gradino.core.perform.PainKind;
import gradino.core.prescribe.House;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Both sides of each limit, and what must hold for any history. */
public class AdvanceRulesTest {
    private static final Moment NOW = new Moment(Story.NOW, ZoneOffset.UTC);

    private static UnaryOperator<BlockRecord> press(UnaryOperator<BlockRecord> change) {
        return b -> b.blockId().equals(BlockId.parse("l1-left-1-press")) ? change.apply(b) : b;
    }

    private static BlockRecord rated(BlockRecord b, Integer rating, int faults, int cramps) {
        return new BlockRecord(
                b.blockId(),
                b.side(),
                b.kind(),
                b.phases(),
                rating == null ? null : Tenths.of(rating),
                Collections.nCopies(faults, "slouch"),
                b.pains(),
                cramps,
                false,
                null,
                "",
                null);
    }

    @DataProvider
    public Object[][] limits() {
        return new Object[][] {
            {"done-ratio at its limit", Story.doneShare(Side.LEFT, 0.95), null},
            {"done-ratio below", Story.doneShare(Side.LEFT, 0.9499), Reason.DONE_TOO_LITTLE},
            {"effort one tenth off", press(b -> rated(b, 6, 0, 0)), null},
            {"effort two tenths off", press(b -> rated(b, 7, 0, 0)), Reason.EFFORT_OFF},
            {"effort not rated", press(b -> rated(b, null, 0, 0)), null},
            {"one fault a set", press(b -> rated(b, 5, 1, 0)), null},
            {"two faults a set", press(b -> rated(b, 5, 2, 0)), Reason.FAULTS_SEEN},
            {"one cramp a set", press(b -> rated(b, 5, 0, 1)), null},
            {"two cramps a set", press(b -> rated(b, 5, 0, 2)), Reason.CRAMPS},
        };
    }

    @Test(dataProvider = "limits")
    public void judgesEachPartOfAQualifiedSessionAtItsLimit(
            String what, UnaryOperator<BlockRecord> change, Reason expected) {
        var p = Story.of(Story.BASE)
                .passive(32.5, 1.5)
                .clean(6)
                .session(3, change)
                .morning(3, true, 0)
                .left();
        assertThat(p.why().reason()).as(what).isEqualTo(expected == null ? Reason.STEP_NUMBER : expected);
    }

    @DataProvider
    public Object[][] gauged() {
        return new Object[][] {
            {0.7, null, 5, null},
            {0.69, null, 5, Reason.EFFORT_OFF_TARGET},
            {0.9, 90.0, 5, null},
            {0.9, 89.9, 5, Reason.PEAK_TOO_LOW},
            // What the gauge saw counts, not what was felt or left unsaid.
            {0.9, null, 9, null},
            {0.9, null, null, null},
        };
    }

    @Test(dataProvider = "gauged")
    public void judgesTheEffortByTheGaugeWhereThereIsOne(double within, Double peak, Integer felt, Reason expected) {
        var p = Story.of(Story.BASE)
                .passive(32.5, 1.5)
                .clean(6)
                .gauged(
                        3,
                        press(b -> rated(b, felt, 0, 0)),
                        List.of(
                                new MeasuredEffort(BlockId.parse("l1-left-1-press"), Side.LEFT, within, peak),
                                new MeasuredEffort(BlockId.parse("l1-right-1-press"), Side.RIGHT, 0.1, null)))
                .morning(3, true, 0)
                .left();
        assertThat(p.why().reason()).isEqualTo(expected == null ? Reason.STEP_NUMBER : expected);
    }

    @DataProvider
    public Object[][] lain() {
        return new Object[][] {{30.4, null}, {29.6, null}, {29.5, Reason.OTHER_ANGLE}, {35, Reason.OTHER_ANGLE}};
    }

    @Test(dataProvider = "lain")
    public void aSessionAtAnotherAngleIsNotOneAtThisRung(double degrees, Reason expected) {
        var p = Story.of(Story.BASE)
                .passive(32.5, 1.5)
                .clean(6)
                .session(3, press(b -> Story.lying(b, degrees)))
                .morning(3, true, 0)
                .left();
        assertThat(p.why().reason()).isEqualTo(expected == null ? Reason.STEP_NUMBER : expected);
    }

    @Test
    public void painOfFiveStaysAndSixStepsDown() {
        var five = Story.of(Story.BASE)
                .clean(6)
                .painful(3, 5, PainKind.AT_REST_IN_RANGE)
                .morning(3, true, 0);
        var six = Story.of(Story.BASE)
                .clean(6)
                .painful(3, 6, PainKind.AT_REST_IN_RANGE)
                .morning(3, true, 0);
        assertThat(five.left().verdict()).isEqualTo(Verdict.STAY);
        assertThat(six.left().verdict()).isEqualTo(Verdict.STEP_DOWN);
    }

    @Test
    public void unknownCauseTakesTheLastStepBack() {
        var to = Story.BASE.withSets(3);
        var p = Story.of(Story.BASE)
                .startingFrom(Story.BASE)
                .clean(9, 6)
                .stepped(5, to, LeverId.SETS)
                .painful(3, 6, PainKind.AT_REST_IN_RANGE)
                .morning(3, true, 0)
                .left();
        assertThat(p.to()).isEqualTo(Story.BASE);
        assertThat(p.why().reason()).isEqualTo(Reason.DOWN_UNDO);
    }

    @Test
    public void wrongJointTakesFiveDegreesOff() {
        var p = Story.of(Story.BASE)
                .clean(6)
                .painful(3, 1, PainKind.WRONG_JOINT)
                .morning(3, true, 0)
                .left();
        assertThat(p.to().angle()).isEqualTo(Degrees.of(25));
    }

    @DataProvider
    public Object[][] gaps() {
        return new Object[][] {
            {10, Verdict.STEP_UP},
            {11, Verdict.STAY},
            {20, Verdict.STAY},
            {21, Verdict.STEP_DOWN},
            {42, Verdict.STEP_DOWN}
        };
    }

    @Test(dataProvider = "gaps")
    public void judgesAGapByDaysBeyondPlan(int beyond, Verdict expected) {
        var p = Story.of(House.held(Story.BASE, 15))
                .startingFrom(Story.BASE)
                .passive(32.5, 1.5)
                .clean(beyond + 6, beyond + 3)
                .left();
        assertThat(p.verdict()).isEqualTo(expected);
    }

    @Test
    public void aGapThatWasDecidedUponIsNotAskedAgain() {
        var lower = Story.BASE.withCeiling(EffortPercent.of(30));
        var story = Story.of(Story.BASE).startingFrom(Story.BASE).clean(31, 28).stepped(0.1, lower, LeverId.SETS);
        assertThat(story.left().verdict()).isEqualTo(Verdict.STAY);
    }

    /** A newcomer's limits bind the first dose, not the steps after it. */
    @Test
    public void aNewcomerStepsUpByTheLadderToo() {
        var tops = House.held(Story.BASE, 20);
        var p = Story.of(tops).clean(6, 3).passive(32.5, 1.5).left();
        assertThat(p.lever()).isEqualTo(LeverId.CEILING);
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(60));
    }

    /** Fewer than four sessions of the motion and side, in this class or harder, wherever it was trained (house rule). */
    @Test
    public void sessionsOfTheMotionElsewhereCount() {
        assertThat(newcomerBeside(Beside.NONE)).isTrue();
        var one = trained("one", EffortClass.MODERATE, EffortClass.MODERATE);
        assertThat(newcomerBeside(beside(one))).isTrue();
        assertThat(newcomerBeside(beside(one, trained("two", EffortClass.HARD, EffortClass.LOADED))))
                .isFalse();
        // Lighter work, and the other side's, is no experience of this.
        assertThat(newcomerBeside(beside(one, trained("two", EffortClass.LIGHT, EffortClass.HARD))))
                .isTrue();
        assertThat(newcomerBeside(beside(one, trained("two", EffortClass.HARD, null))))
                .isTrue();
        // Two lines of one session are one session; one that had this line is counted as its own.
        assertThat(newcomerBeside(beside(one, one))).isTrue();
        var own = new Beside.Trained("line", "two", DAY_AGO, EffortClass.HARD, EffortClass.HARD);
        assertThat(newcomerBeside(beside(one, own, trained("two", EffortClass.HARD, EffortClass.HARD))))
                .isTrue();
    }

    private static Beside.Trained trained(String session, @Nullable EffortClass left, @Nullable EffortClass right) {
        return new Beside.Trained("other", session, DAY_AGO, left, right);
    }

    private static Beside beside(Beside.Trained... all) {
        return Beside.of("line", List.of(all));
    }

    private static final Instant DAY_AGO = Story.daysAgo(1);

    /** Two sessions of this line, at 50 %. */
    private static boolean newcomerBeside(Beside beside) {
        var tops = House.held(Story.BASE, 20);
        var client = new ClientFacts(Limits.NONE, false, null, 45.0, null, null, null).withBeside(beside);
        return newcomer(Story.of(tops).clean(6, 3).passive(32.5, 1.5).client(client));
    }

    private static boolean newcomer(Story story) {
        return Advance.facts(story.state(), Policy.house(), new Moment(Story.NOW, ZoneOffset.UTC))
                .newcomer();
    }

    @Test
    public void anEffortCapIsNeverPassedAndPullsTheCeilingDown() {
        var cap = AnyLimits.of(40, false, false);
        var p = Story.of(Story.BASE)
                .clean(6, 3)
                .client(ClientFacts.PLAIN.withLimits(cap))
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(40));
    }

    @Test
    public void noDeepeningLeavesTheAngleAlone() {
        var rule = AnyLimits.of(null, true, false);
        var p = Story.of(Story.BASE)
                .clean(6, 3)
                .passive(40, 1)
                .client(new ClientFacts(rule, false, null, 45.0, null, null, null))
                .left();
        assertThat(p.lever()).isEqualTo(LeverId.TOP_HOLD);
        assertThat(p.alternatives().get(0).why().reason()).isEqualTo(Reason.NO_DEEPENING);
    }

    @Test
    public void anAngleAboveAWrittenLimitComesDownToItAndIsNeverPassed() {
        var limit = AnyLimits.of(RestrictionKind.ANGLE_CAP, Story.BASE.angle().value() - 3);
        var p = Story.of(Story.BASE)
                .clean(6, 3)
                .passive(40, 1)
                .client(new ClientFacts(limit, false, null, 45.0, null, null, null))
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().angle().value()).isEqualTo(Story.BASE.angle().value() - 3);
        var near = AnyLimits.of(RestrictionKind.ANGLE_CAP, Story.BASE.angle().value() + 1);
        var held = Story.of(Story.BASE)
                .clean(6, 3)
                .passive(40, 1)
                .client(new ClientFacts(near, false, null, 45.0, null, null, null))
                .left();
        assertThat(held.to().angle()).isEqualTo(Story.BASE.angle());
        assertThat(held.alternatives().get(0).why().reason()).isEqualTo(Reason.AT_ANGLE_CAP);
    }

    @Test
    public void aContractionOverTheLimitIsShortened() {
        // 20·40·50 at 5 s a tread and 10 s on top: the treads give way first, to 3 s each.
        var limit = AnyLimits.of(RestrictionKind.CONTRACTION_CAP, 20.0);
        var p = Story.of(Story.BASE)
                .clean(6, 3)
                .client(ClientFacts.PLAIN.withLimits(limit))
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().topHoldSeconds()).isEqualTo(10);
        assertThat(Story.of(p.to()).plan().longestContractionSeconds(Side.LEFT)).isEqualTo(19);
        var gate = p.gates().get(1);
        assertThat(gate.limit()).isEqualTo(20.0);
        assertThat(gate.unit()).isEqualTo(Unit.SECOND);
        assertThat(gate.source()).isEqualTo(limit.contractionCap().orElseThrow().source());
    }

    @Test
    public void aVeryMobileMotionGoesDeeperOnlyWithControlAndAGoalThatNeedsIt() {
        Double flag = 38.0;
        var without = new ClientFacts(Limits.NONE, false, null, 45.0, null, flag, null);
        var p = Story.of(Story.BASE)
                .clean(6, 3)
                .passive(40, 1)
                .active(39, 1)
                .client(without)
                .left();
        assertThat(p.alternatives().get(0).why().reason()).isEqualTo(Reason.BEYOND_USUAL);
        var needed = new ClientFacts(Limits.NONE, false, null, 45.0, 45.0, flag, null);
        assertThat(Story.of(Story.BASE)
                        .clean(6, 3)
                        .passive(40, 1)
                        .active(39, 1)
                        .client(needed)
                        .left()
                        .lever())
                .isEqualTo(LeverId.ANGLE);
        assertThat(Story.of(Story.BASE)
                        .clean(6, 3)
                        .passive(40, 1)
                        .active(33, 1)
                        .client(needed)
                        .left()
                        .lever())
                .isNotEqualTo(LeverId.ANGLE);
    }

    @Test
    public void theClientsMinutesBlockALongerDose() {
        var p = Story.of(Story.BASE)
                .clean(6, 3)
                .passive(32.5, 1.5)
                .client(new ClientFacts(Limits.NONE, false, 9, 45.0, null, null, null))
                .left();
        // 9 min hold neither 5 s more a set nor a third set; the plan itself already takes 9.0 min.
        assertThat(p.lever()).isNotEqualTo(LeverId.SETS);
    }

    @Test
    public void aFreeRangeWithControlIsMaintained() {
        var p = Story.of(Story.BASE)
                .clean(6, 3)
                .passive(60, 1.5)
                .active(55, 1.5)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.why().reason()).isEqualTo(Reason.MAINTAIN);
    }

    @Test
    public void hardWorkNeedsTwoDaysBetweenSessions() {
        var hard = Story.BASE.withCeiling(EffortPercent.of(80));
        assertThat(Story.of(hard).clean(9, 6, 4, 3).left().verdict()).isEqualTo(Verdict.STEP_UP);
        assertThat(Story.of(hard).clean(4, 3).left().why().reason()).isEqualTo(Reason.TOO_FEW_SESSIONS);
    }

    @Test
    public void everyGateIsListedAndThoseAfterTheDecidingOneAreNotReached() {
        var gates = Story.of(Story.BASE)
                .clean(6)
                .painful(3, 6, PainKind.WHILE_CONTRACTING)
                .left()
                .gates();
        assertThat(gates)
                .extracting(GateResult::id)
                .containsExactly("stop-sign", "too-much", "long-gap", "unknowns", "qualified");
        assertThat(gates)
                .extracting(GateResult::outcome)
                .containsExactly(
                        GateResult.Outcome.PASSED,
                        GateResult.Outcome.DECIDED,
                        GateResult.Outcome.NOT_REACHED,
                        GateResult.Outcome.NOT_REACHED,
                        GateResult.Outcome.NOT_REACHED);
    }

    @Test
    public void goingFurtherThanProposedNeedsAReason() {
        var story = Story.of(Story.BASE).passive(32.5, 1.5).clean(12, 9, 6, 3);
        var wanted = House.held(Story.BASE, 20);
        var state = story.state();
        assertThat(DecisionCheck.check(state, story.left(), wanted, " ", Policy.house(), NOW))
                .extracting("code")
                .containsExactly("reason-needed");
        assertThat(DecisionCheck.check(state, story.left(), wanted, "asked for it", Policy.house(), NOW))
                .isEmpty();
        assertThat(DecisionCheck.check(
                        state, story.left(), wanted.withAngle(Degrees.of(33)), "deeper", Policy.house(), NOW))
                .extracting("code")
                .containsExactly("above-range");
    }

    @DataProvider
    public Object[][] seeds() {
        return IntStream.range(0, 200).mapToObj(n -> new Object[] {n}).toArray(Object[][]::new);
    }

    /** Invented lives: every accepted proposal must keep what the rules promise. */
    @Test(dataProvider = "seeds")
    public void neverBreaksItsOwnPromises(int seed) {
        var random = new Random(seed);
        var cap = EffortPercent.of(40 + random.nextInt(7) * 10);
        var client = new ClientFacts(
                AnyLimits.of(cap.value(), random.nextInt(5) == 0, false),
                random.nextInt(6) == 0,
                null,
                45.0,
                null,
                null,
                null);
        var dose = Story.BASE.withCeiling(cap.atMost(EffortPercent.of(50)));
        double range = 30 + random.nextInt(15);
        for (int round = 0; round < 6; round++) {
            var story = Story.of(dose).client(client).passive(range, 1 + random.nextDouble());
            for (int day : List.of(12, 9, 6, 3)) {
                int pain = random.nextInt(9) == 0 ? random.nextInt(8) : 0;
                story.painful(day, pain, PainKind.WHILE_CONTRACTING).morning(day, random.nextInt(8) > 0, 1);
            }
            var p = story.left();
            keepsPromises(p, dose, client, range);
            dose = p.to();
        }
    }

    private static void keepsPromises(Proposal p, Dose dose, ClientFacts client, double range) {
        var to = p.to();
        boolean deeper = to.angle().compareTo(dose.angle()) > 0;
        assertThat(to.ceiling()).isLessThanOrEqualTo(client.limits().highestEffort());
        if (deeper) {
            assertThat(client.hypermobile() || client.limits().noDeepening().isPresent())
                    .isFalse();
            assertThat(to.angle().value()).isLessThan(range);
            assertThat(to.angle().minus(dose.angle())).isLessThanOrEqualTo(5);
            assertThat(to.ceiling()).isLessThanOrEqualTo(dose.ceiling());
        }
        if (p.verdict() == Verdict.STEP_DOWN) {
            assertThat(to.ceiling()).isLessThanOrEqualTo(dose.ceiling());
            assertThat(to.angle()).isLessThanOrEqualTo(dose.angle());
        }
        if (p.verdict() == Verdict.STAY) {
            assertThat(to).isEqualTo(dose);
        }
    }

    @Test
    public void aReadingBeforeTheLastOneIsRefusedByStepButOrderedByFold() {
        var state = Story.of(Story.BASE).state();
        var early = measured(5);
        var late = measured(2);
        var folded = LineState.fold(state, List.of(late, early), NoiseRules.HOUSE);
        assertThat(folded).isEqualTo(LineState.fold(state, List.of(early, late), NoiseRules.HOUSE));
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> state.step(late, NoiseRules.HOUSE).step(early, NoiseRules.HOUSE))
                .hasMessageContaining("order of time");
    }

    private static Event measured(double daysAgo) {
        var at = Story.daysAgo(daysAgo);
        var reading = new gradino.core.measure.reading.RangeReading(at, 36, 9);
        return new Event.MeasuredCold(Side.LEFT, gradino.core.measure.noise.Mode.PASSIVE, reading, null, at);
    }
}
