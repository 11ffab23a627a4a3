package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.look.Backtest;
import gradino.core.advance.look.Flight;
import gradino.core.advance.look.Flight.Turned;
import gradino.core.advance.look.ReasonChange;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.Event.PauseKind;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.PolicyCheck;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.perform.PainKind;
import gradino.core.prescribe.House;
import java.time.ZoneOffset;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Pauses, plateau, watch, the queue's order, how steps turned out, other policies over what was recorded. */
public class LookingBackTest {
    private static final Moment NOW = new Moment(Story.NOW, ZoneOffset.UTC);

    private static Story steady() {
        return Story.of(Story.BASE).passive(32.5, 1.5);
    }

    private static Proposal left(LineState state) {
        return Advance.propose(state, Side.LEFT, Policy.house(), NOW);
    }

    @Test
    public void nothingIsDecidedWhileSomebodyPauses() {
        var ill = new Event.Paused(PauseKind.ILLNESS, Story.daysAgo(30), null, Story.daysAgo(29));
        var p = left(steady().clean(40, 37).with(ill).state());
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.why().reason()).isEqualTo(Reason.PAUSED);
        assertThat(p.why().text()).contains("ill").contains("30 days");
    }

    @DataProvider
    public Object[][] illnesses() {
        return new Object[][] {
            {PauseKind.ILLNESS, 9, Reason.STEP_NUMBER},
            {PauseKind.ILLNESS, 10, Reason.AFTER_ILLNESS},
            {PauseKind.AWAY, 10, Reason.STEP_NUMBER}
        };
    }

    /** Seven days of illness or more; the last session was eleven days ago, four in plan. */
    @Test(dataProvider = "illnesses")
    public void afterAnIllnessTheLastSessionIsRepeated(PauseKind kind, int began, Reason expected) {
        var pause = new Event.Paused(kind, Story.daysAgo(began), Story.daysAgo(3), Story.daysAgo(2));
        assertThat(left(steady().clean(13, 11).with(pause).state()).why().reason())
                .isEqualTo(expected);
    }

    @Test
    public void aPauseThatIsOverLongAgoChangesNothing() {
        var pause = new Event.Paused(PauseKind.ILLNESS, Story.daysAgo(60), Story.daysAgo(50), Story.daysAgo(49));
        assertThat(left(steady().clean(6, 3).with(pause).state()))
                .isEqualTo(left(steady().clean(6, 3).state()));
    }

    private static Story weeks(int days) {
        return steady().startingFrom(Story.BASE).clean(days, 24, 20, 15, 10, 3);
    }

    @Test
    public void fourWeeksWithoutALeverOrAChangeAreAPlateau() {
        assertThat(left(weeks(27).state()).notes()).extracting(Because::reason).doesNotContain(Reason.PLATEAU);
        var p = left(weeks(28).state());
        assertThat(p.notes()).extracting(Because::reason).contains(Reason.PLATEAU);
        assertThat(p.notes().get(p.notes().size() - 1).text()).isNotEmpty();
        assertThat(p.alternatives())
                .filteredOn(a -> a.lever() == LeverId.CEILING)
                .isNotEmpty()
                .allSatisfy(a -> assertThat(a.why().reason()).isEqualTo(Reason.PLATEAU_FIRST));
    }

    @Test
    public void theLastWeekOfABlockIsForTestingAnew() {
        var fifth = steady().passive(32.5, 1.5, 9).clean(37, 10, 3);
        assertThat(left(fifth.state()).notes()).extracting(Because::reason).contains(Reason.RETEST_WEEK);
        var fourth = steady().passive(32.5, 1.5, 9).clean(33, 10, 3);
        assertThat(left(fourth.state()).notes()).extracting(Because::reason).doesNotContain(Reason.RETEST_WEEK);
    }

    @Test
    public void sorenessIsWatchedFromFour() {
        var sore = steady().clean(6).session(3, b -> b).morning(3, true, 4);
        assertThat(left(sore.state()).notes()).extracting(Because::reason).containsExactly(Reason.SORE);
        var less = steady().clean(6).session(3, b -> b).morning(3, true, 3);
        assertThat(left(less.state()).notes()).isEmpty();
    }

    @Test
    public void plainIsWhatAsksForNothingAndWarnsOfNothing() {
        assertThat(left(steady().clean(6, 3).state()).plain()).isTrue();
        assertThat(left(steady().clean(3).state()).plain()).isTrue();
        assertThat(left(steady().clean(6)
                                .painful(3, 3, PainKind.WHILE_CONTRACTING)
                                .morning(3, true, 0)
                                .state())
                        .plain())
                .isFalse();
        // A reading that grew old is asked for.
        assertThat(left(steady().clean(6, 3).passive(36.5, 1.5, 20).state()).plain())
                .isFalse();
    }

    @Test
    public void theQueuePutsTheUrgentFirst() {
        var stop = steady().clean(6).stopped(3, gradino.core.perform.StopSign.SWELLING, Side.LEFT);
        var down = steady().clean(6).painful(3, 6, PainKind.WHILE_CONTRACTING).morning(3, true, 0);
        var away = steady().clean(33, 30);
        assertThat(Urgency.of(left(stop.state()).proposed())).isEqualTo(Urgency.STOP);
        assertThat(Urgency.of(left(down.state()).proposed())).isEqualTo(Urgency.STEP_DOWN);
        assertThat(Urgency.of(left(steady().clean(6, 3).state()).proposed())).isEqualTo(Urgency.STEP_UP);
        assertThat(Urgency.of(left(steady().clean(3).state()).proposed())).isEqualTo(Urgency.STAY);
        assertThat(Urgency.of(left(away.state()).proposed())).isEqualTo(Urgency.STEP_DOWN);
        assertThat(Urgency.values())
                .containsExactly(Urgency.STOP, Urgency.STEP_DOWN, Urgency.MEASURE, Urgency.STEP_UP, Urgency.STAY);
    }

    @Test
    public void whatChangedIsADifferenceOfReasons() {
        var before = left(steady().clean(6).state());
        var now = left(steady().clean(6, 3).state());
        var change = ReasonChange.between(before, now);
        assertThat(change.fresh()).extracting(Because::reason).contains(Reason.STEP_NUMBER);
        assertThat(change.gone()).extracting(Because::reason).contains(Reason.TOO_FEW_SESSIONS);
        assertThat(ReasonChange.between(now, now))
                .isEqualTo(new ReasonChange(java.util.List.of(), java.util.List.of()));
    }

    @Test
    public void theFlightSaysHowEachStepTurnedOut() {
        var longer = House.held(Story.BASE, 15);
        var story = Story.of(Story.BASE)
                .startingFrom(Story.BASE)
                .passive(32.5, 1.5)
                .clean(12, 9)
                .stepped(8, longer, LeverId.TOP_HOLD)
                .clean(6, 3);
        var flight = Flight.of(story.state(), Side.LEFT, Policy.house());
        assertThat(flight).extracting(Flight.Rung::level).containsExactly(0, 1);
        assertThat(flight).extracting(Flight.Rung::sessions).containsExactly(2, 2);
        assertThat(flight).extracting(Flight.Rung::turned).containsExactly(Turned.HELD, Turned.HELD);
        var sore = Story.of(Story.BASE)
                .startingFrom(Story.BASE)
                .clean(12, 9)
                .stepped(8, longer, LeverId.TOP_HOLD)
                .painful(6, 4, PainKind.WHILE_CONTRACTING)
                .stepped(5, Story.BASE, LeverId.TOP_HOLD);
        assertThat(Flight.of(sore.state(), Side.LEFT, Policy.house()))
                .extracting(Flight.Rung::turned)
                .containsExactly(Turned.HELD, Turned.HURT, Turned.TOO_EARLY);
    }

    @Test
    public void aStricterPolicyDiffersWhereItStaysAndNowhereElse() {
        var story = steady().clean(12, 9, 6, 3);
        var house = Policy.house();
        var strict = house.with("strict-1", Map.of(Threshold.SESSIONS_NEEDED, 3.0));
        var same = Backtest.of(story.start(), story.events(), NOW, house, house);
        assertThat(same.states()).isEqualTo(8);
        assertThat(same.differences()).isEmpty();
        var other = Backtest.of(story.start(), story.events(), NOW, house, strict);
        assertThat(other.differences()).isNotEmpty().allSatisfy(d -> {
            assertThat(d.one().verdict()).isEqualTo(Verdict.STEP_UP);
            assertThat(d.other().verdict()).isEqualTo(Verdict.STAY);
            assertThat(d.turn()).isEqualTo(Backtest.Turn.MORE_CAUTIOUS);
        });
        // Two clean sessions were there once before the third session; a third is missing then, and no more.
        assertThat(other.differences()).hasSize(2);
    }

    @Test
    public void whatLiesInTheFutureIsNotCountedAndSaid() {
        var ahead = steady().clean(6, -2);
        var state = LineState.fold(
                ahead.start(), ahead.events(), gradino.core.measure.noise.NoiseRules.HOUSE, NOW.instant());
        assertThat(state.sessionCount()).isEqualTo(1);
        var p = left(state);
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.notes()).extracting(Because::reason).containsExactly(Reason.FROM_FUTURE);
        assertThat(p.plain()).isFalse();
    }

    @Test
    public void aPauseKnownBeforehandIsNoMistake() {
        var holiday = new Event.Paused(PauseKind.AWAY, Story.daysAgo(-5), Story.daysAgo(-9), Story.daysAgo(2));
        var story = steady().clean(6, 3).with(holiday);
        var state = LineState.fold(
                story.start(), story.events(), gradino.core.measure.noise.NoiseRules.HOUSE, NOW.instant());
        assertThat(left(state)).isEqualTo(left(steady().clean(6, 3).state()));
        var then = new Moment(Story.daysAgo(-6), ZoneOffset.UTC);
        assertThat(Advance.propose(state, Side.LEFT, Policy.house(), then).why().reason())
                .isEqualTo(Reason.PAUSED);
    }

    @Test
    public void sessionsByAnotherMethodAreNoEvidenceForTheRungsOfThisOne() {
        var changed = new Event.MethodChanged("ramp-gentle", "ramp-both-ways", Story.daysAgo(5), Story.daysAgo(5));
        var p = left(steady().clean(12, 9, 3).with(changed).state());
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.why().reason()).isEqualTo(Reason.TOO_FEW_SESSIONS);
        assertThat(p.notes()).extracting(Because::reason).containsExactly(Reason.METHOD_CHANGED);
        var later = left(steady().clean(12, 9, 4, 3).with(changed).state());
        assertThat(later.verdict()).isEqualTo(Verdict.STEP_UP);
        assertThat(later.notes()).isEmpty();
    }

    @Test
    public void twoSessionsAtOneInstantCountOnceAndHolesAreNoCrash() {
        var twice = steady().clean(3, 3);
        assertThat(left(twice.state()).why().reason()).isEqualTo(Reason.TOO_FEW_SESSIONS);
        assertThat(left(steady().state()).why().reason()).isEqualTo(Reason.TOO_FEW_SESSIONS);
        var unknown = Event.MorningAnswered.first("nobody", true, null, Story.daysAgo(1), Story.daysAgo(1));
        assertThat(left(steady().clean(6, 3).with(unknown).state()))
                .isEqualTo(left(steady().clean(6, 3).state()));
    }

    @Test
    public void aPolicysNumbersAreHeldToTheirRangesAndToEachOther() {
        var house = Policy.house();
        assertThat(PolicyCheck.check(house, Map.of())).isEmpty();
        assertThat(PolicyCheck.check(house, Map.of(Threshold.PAIN_TOO_MUCH, 9.0)))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.path()).isEqualTo("values.PAIN_TOO_MUCH");
                    assertThat(f.bound()).isEqualTo(8);
                });
        assertThat(PolicyCheck.check(house, Map.of(Threshold.DONE_RATIO, Double.NaN)))
                .hasSize(1);
        assertThat(PolicyCheck.check(house, Map.of(Threshold.SESSIONS_NEEDED, 2.5)))
                .hasSize(1);
        assertThat(PolicyCheck.check(house, Map.of(Threshold.GAP_STAY_DAYS, 20.0, Threshold.GAP_DOWN_DAYS, 15.0)))
                .singleElement()
                .satisfies(f -> assertThat(f.code()).isEqualTo("out-of-order"));
        assertThat(house.with("own-1", Map.of(Threshold.ANGLE_STEP, 3.0)).value(Threshold.ANGLE_STEP))
                .isEqualTo(3);
    }
}
