package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.lever.LoadedBlock;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.effort.Gravity;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.reading.RangeState;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.prescribe.House;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.PainScore;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Both sides of limits of single levers and notes (handbook chapter 5, house rules); the histories are invented. */
public class LeverTablesTest {
    private static final Dose BASE = Story.BASE;
    private static final Moment NOW = new Moment(Story.NOW, ZoneOffset.UTC);
    private static final ClientFacts STIFF = ClientFacts.PLAIN.withWanted(70);

    private static Dose first(String method) {
        return new Dose(Degrees.of(30), Method.byId(method).orElseThrow().firstBlocks(true));
    }

    private static Dose with(Dose dose, BlockForm form, String number, double to) {
        var place = BlockNumbers.of(dose.blocks(), form).get(0);
        return dose.withBlocks(BlockNumbers.with(dose.blocks(), place.path(), b -> b.with(number, to)));
    }

    private static Dose lifting(double repetitions, double load) {
        var lifts = BlockDraft.usual(BlockForm.LIFT_OFF)
                .with("repetitions", repetitions)
                .with("load", load)
                .with("effort", 50);
        var blocks = new ArrayList<>(BASE.blocks());
        blocks.add(lifts);
        return BASE.withBlocks(blocks);
    }

    private static boolean[] mastered(Story story) {
        var facts = Advance.facts(story.state(), Policy.house(), NOW);
        return new boolean[] {facts.unloadedMastered(), facts.liftOffsMastered()};
    }

    /** What the record says was mastered: clean sessions of a line with lift-offs, their repetitions, and the load. */
    @DataProvider
    public Object[][] records() {
        return new Object[][] {
            {Story.of(BASE).clean(9, 6, 3), false, false},
            {Story.of(lifting(12, 0)).clean(6, 3), true, true},
            {Story.of(lifting(12, 0)).clean(3), false, false},
            {Story.of(lifting(11, 0)).clean(6, 3), false, true},
            {Story.of(lifting(4, 2)).clean(6, 3), true, true},
            {Story.of(lifting(12, 0)).clean(6).session(3, b -> b), false, false},
            {
                Story.of(lifting(12, 0))
                        .clean(6)
                        .painful(3, 4, PainKind.WHILE_CONTRACTING)
                        .morning(3, true, 0),
                false,
                false
            },
        };
    }

    @Test(dataProvider = "records")
    public void whatWasMasteredIsReadOffTheRecord(Story story, boolean unloaded, boolean lifts) {
        // Pain is on the left and right alike: both sides press.
        assertThat(mastered(story)).containsExactly(unloaded, lifts);
    }

    /** A second line of the motion in the position knows what either of them has mastered. */
    @Test
    public void whatOneLineMasteredTheOtherKnows() {
        var lifted = Advance.facts(Story.of(lifting(12, 0)).clean(6, 3).state(), Policy.house(), NOW);
        var plain = Advance.facts(Story.of(BASE).clean(14, 12, 9, 6, 3).state(), Policy.house(), NOW);
        for (var both : List.of(lifted.and(plain), plain.and(lifted))) {
            assertThat(both.unloadedMastered()).isTrue();
            assertThat(both.liftOffsMastered()).isTrue();
            assertThat(both.newcomer()).isFalse();
        }
        assertThat(plain.and(plain).liftOffsMastered()).isFalse();
    }

    /** What is counted with a load: repetitions, or rounds where the method keeps those few. */
    @Test
    public void aLoadCountsRepetitionsOrRounds() {
        var lengthening = Method.byId("loaded-lengthening").orElseThrow();
        var rounds = LoadedBlock.of(lengthening, lengthening.firstBlocks(true)).orElseThrow();
        assertThat(rounds.number()).isEqualTo("rounds");
        assertThat(rounds.low()).isEqualTo(3);
        assertThat(rounds.top()).isEqualTo(5);
        assertThat(rounds.now()).isEqualTo(3);
        var release = Method.byId("release-activate-load").orElseThrow();
        var repetitions = LoadedBlock.of(release, release.firstBlocks(true)).orElseThrow();
        assertThat(repetitions.number()).isEqualTo("repetitions");
        assertThat(repetitions.low()).isEqualTo(6);
        assertThat(repetitions.top()).isEqualTo(12);
        assertThat(LoadedBlock.of(release, BASE.blocks())).isEmpty();
        var foreign =
                LoadedBlock.of(Method.rampBothWays(), lifting(5, 1.25).blocks()).orElseThrow();
        assertThat(foreign.loadKg()).isEqualTo(1.25);
        assertThat(foreign.now()).isEqualTo(5);
    }

    /** Control ladder: height a centimetre at a time, five above what it began with. */
    @DataProvider
    public Object[][] heights() {
        return new Object[][] {{2.0, 2.0, 3.0}, {2.0, 6.5, 7.0}, {2.0, 7.0, null}, {2.0, 9.0, null}};
    }

    @Test(dataProvider = "heights")
    public void theLiftRisesToFiveAboveItsBase(double base, double now, Double next) {
        var full = with(lifting(5, 0).plusHandsOff(5, 15), BlockForm.LIFT_OFF, "height", now);
        var start = with(lifting(5, 0).plusHandsOff(3, 10), BlockForm.LIFT_OFF, "height", base);
        var hypermobile = new ClientFacts(Limits.NONE, true, null, 70.0, null, null, null);
        var p = Story.of(full)
                .startingFrom(start)
                .client(hypermobile)
                .clean(15, 12, 9, 6, 3)
                .passive(40, 1)
                .left();
        if (next == null) {
            assertThat(p.lever()).isNotEqualTo(LeverId.HEIGHT);
        } else {
            assertThat(p.lever()).isEqualTo(LeverId.HEIGHT);
            assertThat(BlockNumbers.of(p.to().blocks(), BlockForm.LIFT_OFF)
                            .get(0)
                            .block()
                            .number("height"))
                    .isEqualTo(next);
        }
    }

    private static List<Reason> notes(Story story, Side side) {
        return story.propose(side).notes().stream().map(Because::reason).toList();
    }

    /** The shorter side alone is told, and may get one set more. */
    @Test
    public void theSideThatIsBehindIsToldAndMayGetASetMore() {
        var story = Story.of(House.dose(30, 60, 4, 70, 20))
                .client(STIFF)
                .passive(Side.LEFT, 33, 1, 0)
                .passive(Side.RIGHT, 45, 1, 0)
                .clean(15, 12, 9, 6, 3);
        assertThat(notes(story, Side.LEFT)).contains(Reason.REALLY_BEHIND);
        assertThat(notes(story, Side.RIGHT)).doesNotContain(Reason.REALLY_BEHIND);
        var near = Story.of(BASE)
                .client(STIFF)
                .passive(Side.LEFT, 33, 1, 0)
                .passive(Side.RIGHT, 35.7, 1, 0)
                .clean(6, 3);
        assertThat(notes(near, Side.LEFT)).doesNotContain(Reason.REALLY_BEHIND);
        var left = story.left();
        assertThat(left.alternatives().stream().map(a -> a.why().text()))
                .noneMatch(text -> text.contains("sets is at its top, 4"));
        assertThat(left.to().sets() == 5
                        || left.alternatives().stream().anyMatch(a -> a.lever() == LeverId.SETS && a.possible()))
                .isTrue();
        assertThat(story.right().to().sets()).isEqualTo(4);
    }

    /** Another method is named by what limits the motion, never the line's own, at most three. */
    @Test
    public void aPlateauNamesOtherMethodsByWhatLimitsTheMotion() {
        var weeks = Story.of(BASE).client(STIFF).passive(31, 0.5).clean(36, 30, 24, 18, 12, 6, 3);
        var note = weeks.left().notes().stream()
                .filter(n -> n.reason() == Reason.PLATEAU)
                .findFirst()
                .orElseThrow();
        assertThat(note.text()).startsWith("4 weeks").contains("Contract–relax and linger");
        assertThat(note.text()).doesNotContain("Ramp both ways");
        // Three methods, and "never the intensity alone".
        assertThat(note.text().split(",")).hasSize(4);
        var control =
                Story.of(BASE).client(STIFF).passive(31, 0.5).active(5, 0.5).clean(36, 30, 24, 18, 12, 6, 3);
        assertThat(control.left().notes().stream().map(Because::text))
                .anyMatch(text -> text.contains("Hands-off holds"));
        var inOrder = ClientFacts.PLAIN.withWanted(20);
        var fine =
                Story.of(BASE).client(inOrder).passive(31, 0.5).active(30, 0.5).clean(36, 30, 24, 18, 12, 6, 3);
        assertThat(notes(fine, Side.LEFT)).doesNotContain(Reason.PLATEAU);
    }

    /** Angle bars, one by one. */
    @DataProvider
    public Object[][] bars() {
        return new Object[][] {
            {AnyLimits.of(RestrictionKind.NO_DEEPENING, null), null, null, Reason.NO_DEEPENING},
            {AnyLimits.of(RestrictionKind.ANGLE_CAP, 31.9), null, null, Reason.AT_ANGLE_CAP},
            {AnyLimits.of(RestrictionKind.ANGLE_CAP, 32.0), null, null, null},
            {Limits.NONE, EndFeel.HARD_BLOCK, null, Reason.END_FEEL_STRUCTURE},
            {Limits.NONE, EndFeel.PINCH, null, Reason.END_FEEL_STRUCTURE},
            {Limits.NONE, EndFeel.STRETCH, null, null},
            {Limits.NONE, null, 39.0, Reason.BEYOND_USUAL},
            {Limits.NONE, null, 40.0, null},
        };
    }

    @Test(dataProvider = "bars")
    public void whatBarsTheAngle(Limits limits, EndFeel feel, Double flag, Reason barred) {
        var client = new ClientFacts(limits, false, null, 70.0, null, flag, null);
        var story = Story.of(BASE).client(client).clean(6, 3).passive(40, 1).active(30, 1);
        var state = story.state();
        var felt = feel == null
                ? state
                : state.with(Side.LEFT, state.side(Side.LEFT).withEndFeel(feel));
        var p = Advance.propose(felt, Side.LEFT, Policy.house(), NOW);
        if (barred == null) {
            assertThat(p.lever()).isEqualTo(LeverId.ANGLE);
        } else {
            assertThat(p.to().angle()).isEqualTo(BASE.angle());
            assertThat(p.alternatives().stream().map(a -> a.why().reason())).contains(barred);
        }
    }

    /** Beyond mean + 2 SD: a goal that needs it, and own strength to nine tenths of it. */
    @DataProvider
    public Object[][] mobile() {
        return new Object[][] {{45.0, 36.0, true}, {40.0, 36.0, false}, {45.0, 35.9, false}, {null, 36.0, false}};
    }

    @Test(dataProvider = "mobile")
    public void aVeryMobileMotionNeedsAGoalAndControl(Double goal, double active, boolean deeper) {
        var client = new ClientFacts(Limits.NONE, false, null, 70.0, goal, 38.0, null);
        var p = Story.of(BASE)
                .client(client)
                .clean(6, 3)
                .passive(40, 1)
                .active(active, 1)
                .left();
        assertThat(p.lever() == LeverId.ANGLE).isEqualTo(deeper);
    }

    /** Given up after earlier decisions: what was felt since the one before counts, and nothing older. */
    @Test
    public void whyAnAngleWasGivenUpIsReadBetweenTwoDecisions() {
        var deep = House.dose(34, 60, 2, 50, 10);
        var older = Story.of(deep)
                .startingFrom(deep)
                .client(STIFF)
                .painful(50, 4, PainKind.WHILE_CONTRACTING)
                .morning(50, true, 0)
                .edited(45, deep.withSets(1))
                .edited(44, deep)
                .clean(40, 37)
                .edited(35, BASE)
                .observedBy(Observer.NOBODY)
                .clean(6, 3)
                .passive(45, 1, 20);
        assertThat(older.left().to().angle()).isEqualTo(Degrees.of(34));
        var wrong = Story.of(deep)
                .startingFrom(deep)
                .client(STIFF)
                .clean(43, 40)
                .painful(37, 1, PainKind.WRONG_JOINT)
                .morning(37, true, 0)
                .edited(35, BASE)
                .observedBy(Observer.NOBODY)
                .clean(6, 3)
                .passive(45, 1, 10);
        assertThat(wrong.left().to().angle()).isEqualTo(BASE.angle());
        var once = Story.of(deep)
                .startingFrom(deep)
                .client(STIFF)
                .clean(37)
                .edited(35, BASE)
                .observedBy(Observer.NOBODY)
                .clean(6, 3)
                .passive(45, 1, 10);
        assertThat(once.left().to().angle()).isEqualTo(BASE.angle());
        var two = Story.of(House.dose(31.9, 60, 2, 50, 10))
                .startingFrom(deep)
                .client(STIFF)
                .clean(40, 37)
                .edited(35, BASE)
                .observedBy(Observer.NOBODY)
                .clean(6, 3)
                .passive(45, 1, 10);
        assertThat(two.left().to().angle()).isEqualTo(BASE.angle());
    }

    /** A newcomer's dose after a long absence: the base, and not deeper than today's range allows. */
    @DataProvider
    public Object[][] absences() {
        return new Object[][] {{45.0, 30.0}, {31.0, 29.0}, {33.0, 30.0}};
    }

    @Test(dataProvider = "absences")
    public void afterALongAbsenceTheAngleIsWithinTodaysRange(double passive, double angle) {
        var p = Story.of(House.dose(30, 90, 3, 70, 15))
                .startingFrom(BASE)
                .clean(66, 63, 60)
                .passive(passive, 0.5)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.to().angle()).isEqualTo(Degrees.of(angle));
        assertThat(p.to().withAngle(BASE.angle())).isEqualTo(BASE);
    }

    /** What is left to lower, in the order of the hardest block. */
    @Test
    public void theHardestBlockGivesWayFirst() {
        var pain = PainKind.AT_REST_IN_RANGE;
        var loaded = Story.of(lifting(8, 2)).client(ClientFacts.PLAIN.withLimb(Gravity.of("leg", 70, 43)));
        var lighter = loaded.startingFrom(lifting(4, 0))
                .painful(3, 7, pain)
                .morning(3, true, 0)
                .left();
        assertThat(lighter.why().reason()).isEqualTo(Reason.DOWN_LOAD);
        assertThat(lighter.to().loadKg()).isEqualTo(1.75);
        var low = BASE.withCeiling(EffortPercent.of(20));
        var floor = Story.of(low)
                .startingFrom(low)
                .painful(3, 7, pain)
                .morning(3, true, 0)
                .left();
        assertThat(floor.to().angle()).isEqualTo(Degrees.of(25));
        assertThat(floor.to().ceiling()).isEqualTo(EffortPercent.of(20));
    }

    private static Proposal hurt(Dose dose, String method, BlockKind in, PainKind kind) {
        var pain = new Pain(PainScore.of(6), kind, "hip");
        return Story.of(dose)
                .startingFrom(dose)
                .by(method)
                .client(ClientFacts.PLAIN.withLimb(Gravity.of("leg", 70, 43)))
                .session(3, b -> b.kind() == in ? Story.with(b, List.of(pain)) : b)
                .morning(3, true, 0)
                .left();
    }

    /** Pain in a stretch that carries something is of the load; held still in one that does not, of the angle. */
    @Test
    public void painInALoadedStretchIsOfItsLoad() {
        var free = first("loaded-lengthening");
        var loaded = with(free, BlockForm.LOADED_STRETCH, "load", 2);
        var kind = BlockKind.LOADED_STRETCH;
        var still = PainKind.AT_REST_IN_RANGE;
        assertThat(hurt(loaded, "loaded-lengthening", kind, still).to().loadKg())
                .isEqualTo(1.75);
        assertThat(hurt(free, "loaded-lengthening", kind, still).to().angle()).isEqualTo(Degrees.of(25));
        var deep = first("contract-relax-linger");
        assertThat(hurt(deep, "contract-relax-linger", BlockKind.CONTRACT_RELAX, still)
                        .to()
                        .angle())
                .isEqualTo(Degrees.of(25));
    }

    /** A line without an angle has the position's easier options instead, in words. */
    @Test
    public void withoutAnAngleTheEasierOptionIsSaid() {
        var flat = BASE.withAngle(Degrees.of(0));
        var p = hurt(flat, "ramp-both-ways", BlockKind.SUPPORTED_HOLD, PainKind.AT_REST_IN_RANGE);
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(p.why().reason()).isEqualTo(Reason.DOWN_EASIER);
        var easier = Catalogue.position("prone-knee-bent").orElseThrow().training();
        assertThat(p.why().text())
                .contains(Objects.requireNonNull(easier).easier().get(0).words());
        assertThat(p.to().angle()).isEqualTo(flat.angle());
    }

    /** On the limit nothing is too much. */
    @Test
    public void whatLiesOnABoundIsNotAboveIt() {
        var cap = AnyLimits.of(RestrictionKind.ANGLE_CAP, 30.0);
        var capped = Story.of(BASE).client(ClientFacts.PLAIN.withLimits(cap)).clean(6, 3);
        assertThat(capped.left().verdict()).isNotEqualTo(Verdict.STEP_DOWN);
        var effort = AnyLimits.of(RestrictionKind.EFFORT_CAP, 50.0);
        assertThat(Story.of(BASE)
                        .client(ClientFacts.PLAIN.withLimits(effort))
                        .clean(6, 3)
                        .left()
                        .verdict())
                .isNotEqualTo(Verdict.STEP_DOWN);
        var range = Story.of(BASE).clean(6, 3).passive(30, 0.5);
        assertThat(range.left().verdict()).isNotEqualTo(Verdict.STEP_DOWN);
        assertThat(Story.of(BASE).clean(6, 3).passive(29.9, 0.5).left().verdict())
                .isEqualTo(Verdict.STEP_DOWN);
    }

    /** The rise of the weekly mean is what the gate shows. */
    @Test
    public void theGateShowsTheRiseOfTheWeek() {
        var p = Story.of(BASE)
                .passive(32.5, 1.5)
                .painful(13, 1, PainKind.WHILE_CONTRACTING)
                .morning(13, true, 0)
                .painful(9, 1, PainKind.WHILE_CONTRACTING)
                .morning(9, true, 0)
                .painful(5, 3, PainKind.WHILE_CONTRACTING)
                .morning(5, true, 0)
                .painful(2, 3, PainKind.WHILE_CONTRACTING)
                .morning(2, true, 0)
                .left();
        assertThat(p.gates().get(1).because().text()).isEqualTo("Mean pain of the week rose from 1/10 to 3/10");
        assertThat(p.gates().get(1).value()).isEqualTo(2);
        assertThat(p.gates().get(1).limit()).isEqualTo(2);
    }

    /** A morning is awaited for 72 h, and no longer. */
    @DataProvider
    public Object[][] waiting() {
        return new Object[][] {{71.0, true}, {72.5, false}, {20.0, true}};
    }

    @Test(dataProvider = "waiting")
    public void aMorningIsAwaitedForThreeDays(double hours, boolean awaited) {
        var p = Story.of(BASE)
                .passive(32.5, 1.5)
                .clean(15, 12)
                .session(hours / 24 + 900.0 / 86_400, b -> b)
                .left();
        assertThat(p.requests().contains(Because.of(Reason.ASK_MORNING))).isEqualTo(awaited);
    }

    /** What was added beyond the method grows too: sets of hands-off holds where control limits. */
    @Test
    public void whatWasAddedBeyondTheMethodGrows() {
        var held = BASE.plusHandsOff(3, 15);
        var p = Story.of(held)
                .startingFrom(held)
                .client(STIFF)
                .clean(15, 12, 9, 6, 3)
                .passive(36.5, 1.5)
                .active(14.5, 1.47)
                .left();
        assertThat(p.lever()).isEqualTo(LeverId.SETS);
        var hold = BlockNumbers.of(p.to().blocks(), BlockForm.HANDS_OFF_HOLD)
                .get(0)
                .block();
        assertThat(hold.number("sets")).isEqualTo(4);
        assertThat(p.to().sets()).isEqualTo(held.sets());
    }

    /** A phase below 0.8 fails though the whole was done; faults that nobody saw are unknown. */
    @Test
    public void aPhaseCutShortFailsAndUnseenFaultsAreUnknown() {
        UnaryOperator<BlockRecord> cut = b -> b.kind() == BlockKind.PRESS
                        && b.side() == Side.LEFT
                        && b.blockId().set() == 1
                ? Story.firstPhaseDone(b, 0.79)
                : b;
        var p = Story.of(BASE)
                .passive(32.5, 1.5)
                .clean(6)
                .session(3, cut)
                .morning(3, true, 0)
                .left();
        assertThat(p.why().reason()).isEqualTo(Reason.PHASE_TOO_SHORT);
        UnaryOperator<BlockRecord> faulty = b -> b.kind() == BlockKind.PRESS
                ? new BlockRecord(
                        b.blockId(),
                        b.side(),
                        b.kind(),
                        b.phases(),
                        b.effortRating(),
                        List.of("a", "b"),
                        List.of(),
                        0,
                        false,
                        null,
                        "",
                        null)
                : b;
        for (var seen : List.of(Observer.COACH, Observer.NOBODY)) {
            var story = Story.of(BASE)
                    .observedBy(seen)
                    .passive(32.5, 1.5)
                    .clean(6)
                    .session(3, faulty)
                    .morning(3, true, 0)
                    .left();
            assertThat(story.verdict() == Verdict.STAY).isEqualTo(seen == Observer.COACH);
        }
    }

    /** A method is the whole line's: it is offered where no trained side gets on with the one in force. */
    @Test
    public void anotherMethodIsOfferedWhenNeitherSideGetsOn() {
        var stuck = Story.of(BASE).client(STIFF).passive(31, 0.5).clean(36, 30, 24, 18, 12, 6, 3);
        assertThat(stuck.left().methods()).hasSize(3).doesNotContain("ramp-both-ways");
        assertThat(stuck.right().methods()).isEqualTo(stuck.left().methods());
        var one = stuck.passive(Side.RIGHT, 75, 0.5, 0).active(72, 0.5).left();
        assertThat(one.notes().stream().map(Because::reason)).contains(Reason.PLATEAU);
        assertThat(one.methods()).isEmpty();
        var moving = Story.of(BASE).client(STIFF).passive(40, 0.5).clean(6, 3);
        assertThat(moving.left().methods()).isEmpty();
    }

    /** Hands-off holds added to a method that has none: their seconds first, then sets to what any method does. */
    @Test
    public void whatNoRungOfTheMethodNamesGrowsAsInTheMethodThatGoesFurthest() {
        var method = "contract-relax-linger";
        var p = shortOfControl(method, first(method).plusHandsOff(4, 15));
        assertThat(p.lever()).isEqualTo(LeverId.SETS);
        assertThat(BlockNumbers.of(p.to().blocks(), BlockForm.HANDS_OFF_HOLD)
                        .get(0)
                        .block()
                        .number("sets"))
                .isEqualTo(5);
        var most = first(method).plusHandsOff(5, 15);
        assertThat(shortOfControl(method, most).to().blocks()).isEqualTo(most.blocks());
    }

    private static Proposal shortOfControl(String method, Dose dose) {
        return Story.of(dose)
                .startingFrom(dose)
                .by(method)
                .client(STIFF)
                .clean(15, 12, 9, 6, 3)
                .passive(36.5, 1.5)
                .active(14.5, 1.47)
                .left();
    }

    /** What a rung says when it is at its end: the client's cap where that is lower, else the method's own top. */
    @DataProvider
    public Object[][] tops() {
        return new Object[][] {
            {69.0, 60, "cap"}, {70.0, 70, "top"}, {80.0, 70, "top"}, {null, 70, "top"}, {null, 69, null},
        };
    }

    @Test(dataProvider = "tops")
    public void aRungSaysWhatEndsIt(Double cap, int ceiling, String said) {
        var limits = cap == null ? Limits.NONE : AnyLimits.of(RestrictionKind.EFFORT_CAP, cap);
        var dose = House.held(BASE, 20).withCeiling(EffortPercent.of(ceiling));
        var p = Story.of(dose)
                .startingFrom(dose)
                .client(new ClientFacts(limits, false, null, 70.0, null, null, null))
                .clean(9, 6, 3)
                .passive(31, 0.5)
                .left();
        var effort = p.alternatives().stream()
                .filter(a -> a.lever() == LeverId.CEILING && !a.possible())
                .map(a -> a.why().text())
                .findFirst();
        if (said == null) {
            assertThat(effort).isEmpty();
            assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(70));
        } else if (said.equals("top")) {
            assertThat(effort).hasValue("effort is at its top, 70 %");
            assertThat(p.to().sets()).isEqualTo(3);
        } else {
            assertThat(p.to().ceiling()).isEqualTo(EffortPercent.of(69));
        }
    }

    /** Returning asks how well an angle was mastered: at that angle, without a pinch that eased, and pain of 2 is clean. */
    @DataProvider
    public Object[][] givenUp() {
        return new Object[][] {
            {2, PainKind.WHILE_CONTRACTING, true},
            {3, PainKind.WHILE_CONTRACTING, false},
            {1, PainKind.PINCH_THAT_EASED, false},
        };
    }

    @Test(dataProvider = "givenUp")
    public void whatWasFeltDecidesWhetherAnAngleIsReturnedTo(int pain, PainKind kind, boolean returns) {
        var deep = House.dose(34, 60, 2, 50, 10);
        var p = Story.of(deep)
                .startingFrom(deep)
                .client(STIFF)
                .clean(43, 40)
                .painful(37, pain, kind)
                .morning(37, true, 0)
                .edited(35, BASE)
                .observedBy(Observer.NOBODY)
                .clean(6, 3)
                .passive(45, 1, 10)
                .left();
        assertThat(p.to().angle()).isEqualTo(returns ? Degrees.of(34) : BASE.angle());
    }

    @Test
    public void onlySessionsAtTheAngleMasterIt() {
        var deep = House.dose(34, 60, 2, 50, 10);
        var p = Story.of(BASE)
                .client(STIFF)
                .clean(50, 47)
                .edited(44, deep)
                .clean(40)
                .edited(35, BASE)
                .observedBy(Observer.NOBODY)
                .clean(6, 3)
                .passive(45, 1, 10)
                .left();
        assertThat(p.to().angle()).isEqualTo(BASE.angle());
    }

    @Test
    public void theFirstDosesOfMethodsAreWhatTheirNumbersBeginWith() {
        for (var method : Method.shipped()) {
            assertThat(first(method.id()).hasBlocks()).as(method.id()).isTrue();
        }
        assertThat(RangeState.known(Story.NOW, 30, 1).change().isReal()).isFalse();
    }
}
