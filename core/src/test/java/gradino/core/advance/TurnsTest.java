package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.Turns.Rival;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.intake.Limits;
import gradino.core.measure.reading.RangeState;
import gradino.core.prescribe.House;
import gradino.core.prescribe.timeline.EffortClass;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** One line of a joint and side steps up at a time; who is in order is only maintained (handbook chapter 5, house rules). */
public class TurnsTest {
    private static final Moment NOW = new Moment(Story.NOW, ZoneOffset.UTC);
    private static final Rival ME = rival("m", Side.LEFT, EffortClass.MODERATE, 20.0, 5, true);

    private static Rival rival(
            String line, Side side, EffortClass effort, @Nullable Double steppedDaysAgo, double shortBy, boolean up) {
        Instant stepped = steppedDaysAgo == null ? null : Story.daysAgo(steppedDaysAgo);
        return new Rival(line, line, "hip", side, effort, effort.spacingHours(), stepped, shortBy, up);
    }

    @DataProvider
    public Object[][] others() {
        var moderate = EffortClass.MODERATE;
        return new Object[][] {
            // The line longest without a step goes first; one that never stepped before all.
            {rival("a", Side.LEFT, moderate, 30.0, 0, true), true},
            {rival("a", Side.LEFT, moderate, null, 0, true), true},
            {rival("a", Side.LEFT, moderate, 10.0, 9, true), false},
            // Then priority, then id.
            {rival("z", Side.LEFT, moderate, 20.0, 6, true), true},
            {rival("a", Side.LEFT, moderate, 20.0, 4, true), false},
            {rival("a", Side.LEFT, moderate, 20.0, 5, true), true},
            {rival("z", Side.LEFT, moderate, 20.0, 5, true), false},
            // It does not step up itself: only its own last step counts, for its class's spacing.
            {rival("a", Side.LEFT, moderate, 30.0, 9, false), false},
            {rival("a", Side.LEFT, moderate, 17.9 / 24, 9, false), true},
            {rival("a", Side.LEFT, moderate, 18.1 / 24, 9, false), false},
            {rival("a", Side.LEFT, EffortClass.HARD, 41.9 / 24, 9, false), true},
            {rival("a", Side.LEFT, EffortClass.HARD, 42.1 / 24, 9, false), false},
            // Light lines and the other side are in nobody's way; what both sides do together is.
            {rival("a", Side.LEFT, EffortClass.LIGHT, 0.1, 9, true), false},
            {rival("a", Side.RIGHT, moderate, 30.0, 9, true), false},
            {rival("a", Side.MIDLINE, moderate, 30.0, 9, true), true},
        };
    }

    @Test(dataProvider = "others")
    public void oneLineOfAJointAndSideStepsUpAtATime(Rival other, boolean waits) {
        var why = Turns.waitsFor(ME, List.of(ME, other), NOW);
        assertThat(why.isPresent()).isEqualTo(waits);
        why.ifPresent(w -> assertThat(w.text()).startsWith("Waits for " + other.name()));
        var light = rival("m", Side.LEFT, EffortClass.LIGHT, 20.0, 5, true);
        assertThat(Turns.waitsFor(light, List.of(other), NOW)).isEmpty();
    }

    @Test
    public void theStepThatWaitsIsShownAndTheDoseStays() {
        var story = Story.of(Story.BASE).passive(32.5, 1.5).clean(6, 3);
        var state = story.state();
        var alone = story.left();
        var first = rival("a", Side.LEFT, EffortClass.MODERATE, null, 20, true);
        var p = Advance.inTurn("m", state, alone, List.of(first), NOW);
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.why().reason()).isEqualTo(Reason.WAITS_FOR_LINE);
        assertThat(p.to()).isEqualTo(p.from());
        assertThat(p.alternatives().get(0).lever()).isEqualTo(alone.lever());
        assertThat(Advance.inTurn("m", state, alone.proposed(), List.of(first), NOW))
                .isEqualTo(p.proposed());
        assertThat(Advance.inTurn("m", state, alone, List.of(), NOW)).isSameAs(alone);
    }

    @Test
    public void aRivalIsReadOffItsLine() {
        var story = Story.of(House.held(Story.BASE, 10))
                .startingFrom(Story.BASE)
                .passive(32.5, 1.5)
                .clean(9, 6)
                .stepped(5, House.held(Story.BASE, 15), LeverId.TOP_HOLD)
                .clean(4, 3);
        var rival = Rival.of("x", story.state(), story.left().proposed());
        assertThat(rival.steppedAt()).isEqualTo(Story.daysAgo(5));
        assertThat(rival.spacingHours()).isEqualTo(18);
        assertThat(rival.shortDegrees()).isEqualTo(12.5);
        assertThat(rival.stepsUp()).isTrue();
        assertThat(rival.joint()).isEqualTo("hip");
    }

    /** Neither limits on both sides: stay, and once a week is all that changes; one side short and the ladder is walked. */
    @Test
    public void whatNothingLimitsIsMaintained() {
        var inOrder = new ClientFacts(Limits.NONE, false, null, 25.0, null, null, null);
        var both = Story.of(Story.BASE)
                .client(inOrder)
                .clean(6, 3)
                .passive(40, 1)
                .active(38, 1)
                .left();
        assertThat(both.verdict()).isEqualTo(Verdict.STAY);
        assertThat(both.why().reason()).isEqualTo(Reason.MAINTAIN);
        assertThat(both.sessionsPerWeek()).isEqualTo(1);
        assertThat(both.changesDose()).isFalse();
        var asked = Story.of(Story.BASE)
                .client(inOrder)
                .clean(6, 3)
                .passive(40, 1)
                .active(38, 1)
                .state();
        assertThat(Advance.waits(asked, both.proposed())).isTrue();
        assertThat(Advance.waits(asked.withSessionsPerWeek(1), both.proposed())).isFalse();
        var story =
                Story.of(Story.BASE).client(inOrder).clean(6, 3).passive(40, 1).active(38, 1);
        var state = story.state();
        var shorter = state.with(Side.RIGHT, state.side(Side.RIGHT).withPassive(RangeState.known(Story.NOW, 20, 1)));
        var one = Advance.propose(shorter, Side.LEFT, Policy.house(), NOW);
        assertThat(one.why().reason()).isNotEqualTo(Reason.MAINTAIN);
        // A method that goes no deeper keeps climbing.
        var light = Story.of(Story.BASE)
                .by("light-breath")
                .client(inOrder)
                .clean(6, 3)
                .passive(40, 1)
                .active(38, 1)
                .left();
        assertThat(Optional.of(light.why().reason())).isNotEqualTo(Optional.of(Reason.MAINTAIN));
    }

    /** What is gained and lost again offers hands-off holds first, and bars nothing. */
    @Test
    public void aBorrowedRangeOffersHandsOffHoldsFirst() {
        var story = Story.of(Story.BASE).passive(40, 1).clean(6, 3);
        var plain = story.left();
        var p = story.with(new Event.RangeBorrowed(Side.LEFT, Story.daysAgo(2), Story.daysAgo(2)))
                .left();
        assertThat(p.lever()).isEqualTo(plain.lever()).isEqualTo(LeverId.ANGLE);
        assertThat(p.alternatives().get(0).lever()).isEqualTo(LeverId.HANDS_OFF_HOLD);
        assertThat(p.alternatives().get(0).why().reason()).isEqualTo(Reason.BORROWED_FIRST);
        assertThat(p.to()).isEqualTo(plain.to());
    }
}
