package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.GateResult;
import gradino.core.because.Reason;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.Observer;
import gradino.core.perform.PainKind;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.House;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Dose;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import java.time.Instant;
import java.util.List;
import java.util.function.UnaryOperator;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Histories in which a proposal once did harm or nonsense, on both sides of each limit (handbook chapters 5 and 7, house rules). */
public class GatesHoldTest {
    private static final Dose BASE = Story.BASE;
    private static final Dose DEEP = House.dose(34, 60, 2, 50, 10);

    /** Whom even 45° would not do. */
    private static final ClientFacts STIFF = ClientFacts.PLAIN.withWanted(60);

    private static Story steady() {
        return Story.of(BASE).passive(32.5, 1.5);
    }

    private static Instant ago(double days) {
        return Story.daysAgo(days);
    }

    private static GateResult gate(Proposal p, String id) {
        return p.gates().stream().filter(g -> g.id().equals(id)).findFirst().orElseThrow();
    }

    /** Worked case 21 with each bound that the raised angle would have passed. */
    @DataProvider
    public Object[][] bounds() {
        return new Object[][] {
            {Limits.NONE, 33.0},
            {AnyLimits.of(RestrictionKind.ANGLE_CAP, 31.0), 45.0},
            {AnyLimits.of(RestrictionKind.NO_DEEPENING, null), 45.0},
        };
    }

    @Test(dataProvider = "bounds")
    public void aStepDownNeverGoesBackUpToWhatACoachTookAway(Limits limits, double passive) {
        var p = Story.of(DEEP)
                .startingFrom(DEEP)
                .client(ClientFacts.PLAIN.withLimits(limits).withWanted(60))
                .clean(15, 12, 9)
                .edited(8, BASE)
                .painful(3, 7, PainKind.AT_REST_IN_RANGE)
                .morning(3, true, 0)
                .passive(passive, 1)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().angle()).isEqualTo(BASE.angle());
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(30));
    }

    /** Worked case 22 after weeks away instead of pain. */
    @Test
    public void undoingAnAngleStepAfterAGapLeavesTheEffort() {
        var before = BASE.withCeiling(EffortPercent.of(80));
        var after = DEEP.withCeiling(EffortPercent.of(60));
        var p = Story.of(before)
                .startingFrom(BASE)
                .clean(45, 42, 39)
                .stepped(38, after, LeverId.ANGLE)
                .clean(31, 28)
                .passive(40, 1)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().angle()).isEqualTo(BASE.angle());
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(60));
    }

    /** Worked case 28. */
    @Test
    public void painAndALongGapAreOneStep() {
        var dose = House.dose(30, 90, 3, 60, 20);
        var p = Story.of(dose)
                .startingFrom(BASE)
                .painful(63, 6, PainKind.WHILE_CONTRACTING)
                .passive(32.5, 1.5)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to()).isEqualTo(House.dose(30, 60, 2, 40, 10));
        assertThat(p.requests()).contains(Because.of(Reason.ASK_REMEASURE));
        assertThat(gate(p, "long-gap").outcome()).isEqualTo(GateResult.Outcome.DECIDED);
    }

    /** Nothing of what a line began with is left: a newcomer's limits hold all the same. */
    @Test
    public void anotherKindOfBlocksStartsAgainUnderANewcomersLimits() {
        var p = Story.of(BASE.withCeiling(EffortPercent.of(80)))
                .startingFrom(new Dose(BASE.angle(), onlyPulses()))
                .clean(63, 60)
                .passive(40, 1)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().ceiling()).isLessThanOrEqualTo(EffortPercent.of(50));
        assertThat(p.to().hasBlocks()).isTrue();
    }

    private static List<BlockDraft> onlyPulses() {
        return List.of(BlockDraft.usual(BlockForm.PULSES));
    }

    /** A gap that lowers nothing is a stay, and asks for a reading. */
    @Test
    public void aGapThatLowersNothingIsStay() {
        var p = steady().clean(63, 60).left();
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.requests()).contains(Because.of(Reason.ASK_REMEASURE));
    }

    /** A wrong joint and a cap below the dose: each of two numbers goes down, in one step. */
    @Test
    public void allThatWasFoundIsAnsweredInOneStep() {
        var cap = AnyLimits.of(RestrictionKind.EFFORT_CAP, 40.0);
        var p = steady().client(ClientFacts.PLAIN.withLimits(cap))
                .painful(3, 1, PainKind.WRONG_JOINT)
                .morning(3, true, 0)
                .left();
        assertThat(p.to().angle()).isEqualTo(Degrees.of(25));
        assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(40));
        var shown = gate(p, "too-much");
        assertThat(shown.value()).isEqualTo(50);
        assertThat(shown.limit()).isEqualTo(40);
        assertThat(shown.unit()).isEqualTo(Unit.PERCENT);
        assertThat(shown.source()).isEqualTo(cap.effortCap().orElseThrow().source());
    }

    /** Worked case 11 and both sides of it: scores, and whether they are a rise. */
    @DataProvider
    public Object[][] rises() {
        return new Object[][] {
            {new int[] {0, 2, 4}, true},
            {new int[] {0, 2, 4, 1}, true},
            {new int[] {0, 2, 3}, false},
            {new int[] {0, 1, 4}, false},
            {new int[] {1, 0, 2, 4, 0}, true},
        };
    }

    @Test(dataProvider = "rises")
    public void aMilderSessionDoesNotHideARise(int[] scores, boolean down) {
        var story = steady();
        for (int i = 0; i < scores.length; i++) {
            double days = 3.0 * (scores.length - i);
            story = story.painful(days, scores[i], PainKind.WHILE_CONTRACTING).morning(days, true, 0);
        }
        assertThat(story.left().verdict() == Verdict.STEP_DOWN).isEqualTo(down);
    }

    /** A rise that a decision knew is not found a second time. */
    @Test
    public void aRiseIsAnsweredOnce() {
        var story = steady().startingFrom(BASE);
        for (int i = 0; i < 3; i++) {
            double days = 12.0 - 3 * i;
            story = story.painful(days, 2 * i, PainKind.WHILE_CONTRACTING).morning(days, true, 0);
        }
        var p = story.edited(5, BASE.withSets(1)).clean(3).left();
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
    }

    /** Worked case 9: one settled 4 after five clean sessions; two such in a week are a rise of the mean. */
    @Test
    public void aSettledFourAfterCleanWeeksIsAStay() {
        var once = steady().clean(13, 11, 9, 6, 4)
                .painful(2, 4, PainKind.WHILE_CONTRACTING)
                .morning(2, true, 0);
        assertThat(once.left().verdict()).isEqualTo(Verdict.STAY);
        var twice = steady().clean(13, 11, 9)
                .painful(5, 3, PainKind.WHILE_CONTRACTING)
                .morning(5, true, 0)
                .painful(2, 3, PainKind.WHILE_CONTRACTING)
                .morning(2, true, 0);
        assertThat(twice.left().verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(gate(twice.left(), "too-much").because().reason()).isEqualTo(Reason.PAIN_UP_OVER_WEEK);
    }

    /** Worked case 10, from a step down that knew the pain already: the late "no" asks for no second step. */
    @Test
    public void aStepDownIsNotTakenTwiceForOneSession() {
        var lower = BASE.withCeiling(EffortPercent.of(30));
        var p = steady().startingFrom(BASE)
                .painful(3, 6, PainKind.WHILE_CONTRACTING)
                .with(new Event.DoseDecided(
                        "d",
                        Side.LEFT,
                        Event.Answer.ACCEPTED,
                        Verdict.STEP_DOWN,
                        null,
                        BASE,
                        lower,
                        ago(2.9),
                        ago(2.9)))
                .morning(3, false, 0)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(p.from()).isEqualTo(lower);
    }

    /** A morning that was never told does not hide what is known of its session. */
    @Test
    public void aSilentSessionWithPainBreaksTheRun() {
        var clean = steady().clean(12, 9).session(5, b -> b);
        assertThat(clean.left().verdict()).isEqualTo(Verdict.STEP_UP);
        var hurt = steady().clean(12, 9).painful(5, 3, PainKind.WHILE_CONTRACTING);
        assertThat(hurt.left().verdict()).isEqualTo(Verdict.STAY);
        assertThat(hurt.left().why().reason()).isEqualTo(Reason.PAIN_NOT_CLEAN);
        var after = steady().painful(15, 3, PainKind.WHILE_CONTRACTING).clean(12, 9);
        assertThat(after.left().verdict()).isEqualTo(Verdict.STEP_UP);
    }

    /** Without a rating it is not known how hard it was: holds grow, effort does not. */
    @Test
    public void aMissingRatingBarsMoreEffortOnly() {
        UnaryOperator<BlockRecord> unrated = b -> b.kind() == BlockKind.PRESS ? Story.rated(b, null) : b;
        var hold = steady().clean(6).session(3, unrated).morning(3, true, 0).left();
        assertThat(hold.lever()).isEqualTo(LeverId.TOP_HOLD);
        var full = Story.of(House.held(BASE, 20)).passive(31, 1).clean(15, 12, 9, 6);
        assertThat(full.clean(3).left().lever()).isEqualTo(LeverId.CEILING);
        var silent = Story.of(House.held(BASE, 20))
                .passive(31, 1)
                .clean(15, 12, 9, 6)
                .session(3, unrated)
                .morning(3, true, 0)
                .left();
        assertThat(silent.lever()).isEqualTo(LeverId.SETS);
        assertThat(silent.requests()).contains(Because.of(Reason.ASK_RATING));
    }

    /** Worked case 23 and both sides: age of the last cold reading, why the angle was given up, the angle that comes of it. */
    @DataProvider
    public Object[][] returns() {
        return new Object[][] {
            {46, 0, 30.0},
            {29, 0, 30.0},
            {28, 0, 34.0},
            // Given up for pain: the evidence of a new angle, which a reading of 14 days gives.
            {28, 4, 30.0},
            {14, 4, 35.0},
        };
    }

    @Test(dataProvider = "returns")
    public void anAngleHeldBeforeNeedsLessEvidence(int readingDaysAgo, int pain, double expected) {
        var story = Story.of(DEEP).startingFrom(DEEP).client(STIFF).clean(40, 37);
        if (pain > 0) {
            story = story.painful(36, pain, PainKind.AT_REST_IN_RANGE).morning(36, true, 0);
        }
        var p = story.edited(35, BASE)
                .clean(6, 3)
                .passive(45, 1, readingDaysAgo)
                .left();
        assertThat(p.to().angle()).isEqualTo(Degrees.of(expected));
        assertThat(p.requests().contains(Because.of(Reason.ASK_COLD))).isEqualTo(expected == 30);
    }

    /** No coach's eye for what was held; for what is new there must be one. */
    @Test
    public void returningNeedsNoCoachsEye() {
        var p = Story.of(DEEP)
                .startingFrom(DEEP)
                .client(STIFF)
                .clean(40, 37)
                .edited(35, BASE)
                .observedBy(Observer.NOBODY)
                .clean(6, 3)
                .passive(45, 1, 20)
                .left();
        assertThat(p.to().angle()).isEqualTo(Degrees.of(34));
    }

    /** A reading is fresh for 14 days and 6 sessions, whichever comes first. */
    @DataProvider
    public Object[][] readings() {
        return new Object[][] {
            {14, new double[] {6, 3}, true},
            {15, new double[] {6, 3}, false},
            {80, new double[] {6, 3}, false},
            {14, new double[] {13, 11, 9, 7, 5, 3}, true},
            {14, new double[] {13, 11, 9, 7, 5, 3, 1}, false},
        };
    }

    @Test(dataProvider = "readings")
    public void aReadingGrowsOldByDaysAndBySessions(int daysAgo, double[] sessions, boolean fresh) {
        var p = Story.of(BASE).clean(sessions).passive(40, 1, daysAgo).left();
        assertThat(p.lever() == LeverId.ANGLE).isEqualTo(fresh);
    }

    private static Event sign(double happened, double recorded, StopSign sign) {
        return new Event.StopSignElsewhere("x", sign, Side.LEFT, ago(happened), ago(recorded));
    }

    private static Event cleared(double days, String... names) {
        return new Event.Cleared(ago(days), List.of(names), ago(days), ago(days));
    }

    /** Worked case 12: by when a sign was recorded, and whether the clearance names it. */
    @DataProvider
    public Object[][] clearances() {
        return new Object[][] {
            {sign(5, 5, StopSign.NUMBNESS_TINGLING_WEAKNESS), cleared(4), false},
            {sign(5, 3, StopSign.NUMBNESS_TINGLING_WEAKNESS), cleared(4), true},
            {sign(5, 3, StopSign.NUMBNESS_TINGLING_WEAKNESS), cleared(4, "x"), false},
            {sign(5, 3, StopSign.NUMBNESS_TINGLING_WEAKNESS), cleared(4, "another"), true},
            {sign(3, 3, StopSign.NUMBNESS_TINGLING_WEAKNESS), cleared(4), true},
        };
    }

    @Test(dataProvider = "clearances")
    public void aSignCountsByWhenItWasRecorded(Event sign, Event clearance, boolean stopped) {
        for (var side : Side.PAIR) {
            var p = steady().clean(9, 6).with(sign).with(clearance).propose(side);
            assertThat(p.verdict() == Verdict.STOP_AND_REFER).isEqualTo(stopped);
        }
    }

    /** How far each sign reaches, within a joint and beyond it (handbook chapter 5, gate 1). */
    @Test
    public void everySignHasItsScope() {
        for (var sign : StopSign.values()) {
            var story = steady().clean(9, 6).with(sign(5, 5, sign));
            assertThat(story.left().verdict()).as(sign.name()).isEqualTo(Verdict.STOP_AND_REFER);
            boolean both = sign.scope() != StopSign.Scope.JOINT_SIDE;
            assertThat(story.right().verdict() == Verdict.STOP_AND_REFER)
                    .as(sign.name())
                    .isEqualTo(both);
        }
        assertThat(StopSign.SWELLING.scope()).isEqualTo(StopSign.Scope.JOINT);
        assertThat(StopSign.LOCKING_GIVING_WAY.scope()).isEqualTo(StopSign.Scope.JOINT);
        assertThat(StopSign.PULSING_UNDER_TOOL.scope()).isEqualTo(StopSign.Scope.JOINT_SIDE);
        assertThat(StopSign.SEVERE_HEADACHE.scope()).isEqualTo(StopSign.Scope.WHOLE_CLIENT);
    }

    private static Event answered(double daysAgo, MorningQuestion question, boolean settled, String correction) {
        return new Event.MorningAnswered("s1", question, settled, null, correction, ago(daysAgo), ago(daysAgo));
    }

    private static Story hurtOnce() {
        return steady().painful(6, 3, PainKind.WHILE_CONTRACTING);
    }

    /** The first answer stands; "usual again" in the evening does not replace it, a correction does, and an hour after is no morning. */
    @DataProvider
    public Object[][] mornings() {
        var morning = MorningQuestion.NEXT_MORNING;
        return new Object[][] {
            {List.of(answered(5.4, morning, false, null)), Verdict.STEP_DOWN},
            {List.of(answered(5.4, morning, false, null), answered(5.1, morning, true, null)), Verdict.STEP_DOWN},
            {List.of(answered(5.4, morning, false, null), answered(5.1, morning, true, "wrong tap")), Verdict.STAY},
            {List.of(answered(5.95, morning, true, null), answered(5.4, morning, false, null)), Verdict.STEP_DOWN},
            {List.of(answered(5.7, morning, true, null), answered(5.4, morning, false, null)), Verdict.STAY},
        };
    }

    @Test(dataProvider = "mornings")
    public void theFirstAnswerOfTheMorningStands(List<Event> answers, Verdict expected) {
        var story = hurtOnce();
        for (var answer : answers) {
            story = story.with(answer);
        }
        assertThat(story.left().verdict()).isEqualTo(expected);
    }

    /** Asked again at 48 h: a "no" then is a stop sign of that side, until it is corrected or cleared. */
    @Test
    public void painThatStaysForTwoDaysIsAStopSign() {
        var no = hurtOnce().with(answered(5.4, MorningQuestion.NEXT_MORNING, false, null));
        assertThat(no.with(answered(4.5, MorningQuestion.AFTER_48_HOURS, false, null))
                        .left()
                        .verdict())
                .isEqualTo(Verdict.STEP_DOWN);
        var stays = no.with(answered(3.9, MorningQuestion.AFTER_48_HOURS, false, null));
        assertThat(stays.left().verdict()).isEqualTo(Verdict.STOP_AND_REFER);
        // The first answer stands here too.
        assertThat(stays.with(answered(3.85, MorningQuestion.AFTER_48_HOURS, true, null))
                        .left()
                        .verdict())
                .isEqualTo(Verdict.STOP_AND_REFER);
        assertThat(stays.with(answered(3.8, MorningQuestion.AFTER_48_HOURS, true, "wrong tap"))
                        .left()
                        .verdict())
                .isEqualTo(Verdict.STEP_DOWN);
    }

    /** What a number is rounded to never looks like the limit that it misses. */
    @Test
    public void noRoundedFigureContradictsItsVerdict() {
        var p = steady().clean(6)
                .session(3, Story.doneShare(Side.LEFT, 0.9496))
                .morning(3, true, 0)
                .left();
        assertThat(p.why().text()).isEqualTo("Contraction done: 0.9496 of what was planned, below 0.95");
        var shown = gate(p, "qualified");
        assertThat(shown.seen()).isEqualTo("0.9496");
        assertThat(shown.against()).isEqualTo("0.95");
        assertThat(shown.source().text()).isEqualTo(policySource(Threshold.DONE_RATIO));
    }

    /** Each question brings its own limit: a pause has none, and not the gap's. */
    @Test
    public void aPauseIsNotHeldAgainstTheGap() {
        var p = steady().clean(6, 3)
                .with(new Event.Paused(Event.PauseKind.AWAY, ago(2), null, ago(2)))
                .left();
        assertThat(gate(p, "long-gap").limit()).isNull();
        var pain = steady().clean(6)
                .painful(3, 3, PainKind.WHILE_CONTRACTING)
                .morning(3, true, 0)
                .left();
        assertThat(gate(pain, "qualified").value()).isEqualTo(3);
        assertThat(gate(pain, "qualified").limit()).isEqualTo(2);
        assertThat(gate(pain, "qualified").source().text()).isEqualTo(policySource(Threshold.PAIN_CLEAN));
    }

    private static String policySource(Threshold threshold) {
        return Policy.house().source(threshold).text();
    }
}
