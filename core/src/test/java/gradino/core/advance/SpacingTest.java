package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.perform.PainKind;
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

    /** High soreness asks for one day more (handbook chapter 5, house rule). */
    @Test
    public void realSorenessAsksForOneDayMore() {
        var hard = Story.BASE.withCeiling(EffortPercent.of(70));
        var fresh = situation(Story.of(hard).session(3, b -> b).morning(3, true, 1));
        var sore = situation(Story.of(hard).session(3, b -> b).morning(3, true, 9));
        int usual = fresh.rung().spacingDays(fresh.rung().all().get(0));
        assertThat(usual).isEqualTo(2);
        assertThat(sore.rung().spacingDays(sore.rung().all().get(0))).isEqualTo(usual + 1);
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
