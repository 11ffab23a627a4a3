package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.perform.PainKind;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import java.time.ZoneOffset;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Sessions nearer to each other than their class allows count as one (handbook chapter 5, house rule). */
public class SpacingTest {

    private static Situation situation(Story story) {
        return new Situation(story.state(), Side.LEFT, Policy.house(), new Moment(Story.NOW, ZoneOffset.UTC));
    }

    @DataProvider
    public Object[][] weeks() {
        return new Object[][] {
            {new double[] {9, 6, 3}, List.of(1, 1, 1)},
            {new double[] {3, 2.9, 2.8}, List.of(3)},
            {new double[] {9, 8.9, 3}, List.of(2, 1)},
        };
    }

    @Test(dataProvider = "weeks")
    public void groupsAreCountedFromTheirFirstSession(double[] daysAgo, List<Integer> sizes) {
        var story = Story.of(Story.BASE.withCeiling(EffortPercent.of(70))).clean(daysAgo);
        assertThat(situation(story).rung().lastRuns(9).stream().map(List::size).toList())
                .isEqualTo(sizes);
    }

    @DataProvider
    public Object[][] frequencies() {
        return new Object[][] {{1, 7}, {2, 4}, {3, 3}, {5, 2}, {7, 1}, {14, 1}};
    }

    /** 7 days ÷ sessions a week, rounded up, as the long gap counts them. */
    @Test(dataProvider = "frequencies")
    public void aSessionIsDueFromThePlannedIntervalOn(int perWeek, int days) {
        var plan = Story.of(Story.BASE).start().plan().withSessionsPerWeek(perWeek);
        var now = new Moment(Story.NOW, ZoneOffset.UTC);
        assertThat(Advance.isDue(plan, Story.daysAgo(days), now)).isTrue();
        assertThat(Advance.isDue(plan, Story.daysAgo(days - 1), now)).isFalse();
        assertThat(Advance.isDue(plan, null, now)).isTrue();
    }

    @Test
    public void theMostUrgentSideSpeaksForALine() {
        var up = Story.of(Story.BASE).clean(6, 3).left().proposed();
        var stay = Story.of(Story.BASE).clean(3).left().proposed();
        var down = Story.of(Story.BASE)
                .painful(3, 6, PainKind.WHILE_CONTRACTING)
                .left()
                .proposed();
        assertThat(Urgency.mostUrgent(List.of(stay, up))).isSameAs(up);
        assertThat(Urgency.mostUrgent(List.of(up, down))).isSameAs(down);
        assertThat(Urgency.mostUrgent(List.of(stay))).isSameAs(stay);
    }

    @Test
    public void aSessionWhoseMorningIsUnknownIsInNoGroup() {
        var story = Story.of(Story.BASE).clean(9, 6).session(3, b -> b);
        assertThat(situation(story).rung().lastRuns(9)).hasSize(2);
        assertThat(situation(story).rung().all()).hasSize(3);
    }

    @Test
    public void whatWasDoneOnAnotherRungIsNoEvidenceForThisOne() {
        var to = Story.BASE.withSets(3);
        var story = Story.of(Story.BASE)
                .startingFrom(Story.BASE)
                .clean(12, 9)
                .stepped(8, to, LeverId.SETS)
                .clean(6);
        assertThat(situation(story).rung().all()).hasSize(1);
        assertThat(situation(story).undecided()).hasSize(1);
        assertThat(story.left().verdict()).isEqualTo(Verdict.STAY);
        assertThat(story.left().why().reason()).isEqualTo(Reason.TOO_FEW_SESSIONS);
    }

    @Test
    public void theEvidenceNamesEachSessionOnce() {
        var story = Story.of(Story.BASE).clean(12, 9, 6, 3);
        assertThat(story.left().evidence()).doesNotHaveDuplicates().hasSize(4);
    }

    /** High soreness asks for a day more, but after a light line (handbook chapter 5, house rule). */
    @DataProvider
    public Object[][] classes() {
        return new Object[][] {{30, 0, 6, 6}, {50, 0, 18, 42}, {70, 0, 42, 66}, {100, 0, 42, 66}, {30, 1, 42, 66}};
    }

    @Test(dataProvider = "classes")
    public void spacingIsOfTheClassAndRealSorenessAsksForADayMore(int effort, int load, int usual, int whenSore) {
        var lifts = BlockDraft.usual(BlockForm.LIFT_OFF).with("effort", effort).with("load", load);
        var dose = new Dose(Degrees.of(30), List.of(lifts));
        var fresh = situation(Story.of(dose).session(3, b -> b).morning(3, true, 1));
        var sore = situation(Story.of(dose).session(3, b -> b).morning(3, true, 4));
        assertThat(fresh.rung().spacingHours(fresh.rung().all().get(0))).isEqualTo(usual);
        assertThat(sore.rung().spacingHours(sore.rung().all().get(0))).isEqualTo(whenSore);
    }

    /** Worked case 18 and both sides of each spacing; a story's session takes a quarter of an hour, its now is 18:00. */
    @DataProvider
    public Object[][] pairs() {
        return new Object[][] {
            // Moderate: 22:30 and 00:15; 20:00 and 08:00 next day; an evening, then an afternoon.
            {50, 0, hours(19.5), hours(17.75), 1},
            {50, 0, hours(22), hours(10), 1},
            {50, 0, hours(46), hours(46 - 18.25), 2},
            {50, 0, hours(46), hours(46 - 18.2), 1},
            // Hard: 23:30 and 01:30 two days later are 26 h.
            {70, 0, hours(66.5), hours(40.5), 1},
            {70, 0, hours(66), hours(66 - 42.25), 2},
            // A 5 kg stretch 24 h apart, whatever its effort.
            {50, 5, hours(48), hours(24), 1},
            {50, 5, hours(66), hours(66 - 42.25), 2},
            // Light: six hours, but not on one day.
            {30, 0, hours(10), hours(3), 1},
            {30, 0, hours(20), hours(3), 2},
        };
    }

    private static double hours(double h) {
        return h / 24;
    }

    @Test(dataProvider = "pairs")
    public void case18TwoSessionsCountOnTwoDaysAndTheSpacingApart(
            int effort, int load, double first, double second, int groups) {
        var lifts = BlockDraft.usual(BlockForm.LIFT_OFF).with("effort", effort).with("load", load);
        var story = Story.of(new Dose(Degrees.of(30), List.of(lifts))).clean(first, second);
        assertThat(situation(story).rung().lastRuns(9)).hasSize(groups);
    }

    /** A method that states its own spacing has it whatever the effort: ten to max daily. */
    @Test
    public void aMethodThatStatesItsSpacingAndCapHasThem() {
        var dose = new Dose(
                Degrees.of(30), Method.byId("ramp-ten-to-max").orElseThrow().firstBlocks(false));
        var daily = situation(Story.of(dose).by("ramp-ten-to-max").clean(2, 1));
        assertThat(daily.rung().lastRuns(9)).hasSize(2);
        assertThat(daily.method().weeklyCap(3)).isEqualTo(7);
        var house = situation(
                Story.of(Story.BASE.withCeiling(EffortPercent.of(100))).clean(2, 1));
        assertThat(house.rung().lastRuns(9)).hasSize(1);
        assertThat(house.method().weeklyCap(3)).isEqualTo(3);
    }

    /** Wanted three times a week, planned once: a week without it is no gap. */
    @Test
    public void whoIsLateIsSoByThePlanOfTheWeek() {
        var story = Story.of(Story.BASE).clean(7);
        assertThat(situation(story).attendance().daysBeyondPlan()).isEqualTo(4);
        var planned = story.client(ClientFacts.PLAIN.withPlannedDays(1));
        assertThat(situation(planned).attendance().daysBeyondPlan()).isZero();
        var left = story.client(ClientFacts.PLAIN.withPlannedDays(0));
        assertThat(situation(left).attendance().daysBeyondPlan()).isEqualTo(4);
    }

    @Test
    public void aClientNeverTrainedIsANewcomerWithNothingToLookAt() {
        var empty = situation(Story.of(Story.BASE));
        assertThat(empty.attendance().newcomer()).isTrue();
        assertThat(empty.rung().lastRuns(9)).isEmpty();
        assertThat(empty.attendance().lastSession()).isEmpty();
        assertThat(empty.attendance().daysBeyondPlan()).isLessThanOrEqualTo(0);
    }
}
