package gradino.core.advance;

import static gradino.core.advance.Story.BASE;
import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.lever.LoadStep;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.Event.PauseKind;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.PolicyCheck;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.body.Side;
import gradino.core.effort.Gravity;
import gradino.core.intake.Limits;
import gradino.core.measure.reading.RangeState;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.MeasuredEffort;
import gradino.core.perform.PainKind;
import gradino.core.prescribe.House;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Tenths;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** No number of a policy is there for show: each has a history in which two of its values lead to different things. */
public class PolicyEffectTest {
    private static final Moment NOW = new Moment(Story.NOW, ZoneOffset.UTC);
    private static final Gravity SHANK = new Gravity("foot-and-shank", 75, 43, 11.7);

    private record Scene(Threshold threshold, double low, double high, Function<Policy, Object> outcome) {}

    private static Scene scene(Threshold threshold, double low, double high, Story story) {
        return new Scene(threshold, low, high, policy -> told(story.state(), policy));
    }

    /** What a coach would see, without the words that only repeat the number itself. */
    private static List<Object> told(LineState state, Policy policy) {
        var p = Advance.propose(state, Side.LEFT, policy, NOW);
        return Arrays.asList(
                p.verdict(),
                p.lever(),
                p.to(),
                p.why().reason(),
                p.notes().stream().map(Because::reason).toList());
    }

    private static Story at(Dose dose) {
        var client = new ClientFacts(Limits.NONE, false, null, 70.0, null, null, null);
        return Story.of(dose).client(client).passive(31, 1);
    }

    private static Story steady() {
        return at(BASE);
    }

    private static Story deep(double passive, double error) {
        return at(House.dose(30, 60, 2, 80, 15))
                .startingFrom(BASE)
                .clean(20, 17, 14, 6, 3)
                .passive(passive, error);
    }

    private static Dose dose(int hold, int sets, int ceiling, int top) {
        return House.dose(30, hold, sets, ceiling, top);
    }

    private static Story trained(Dose dose) {
        return at(dose).clean(15, 12, 9, 6, 3);
    }

    private static UnaryOperator<BlockRecord> presses(UnaryOperator<BlockRecord> change) {
        return b -> b.kind() == BlockKind.PRESS && b.side() == Side.LEFT ? change.apply(b) : b;
    }

    private static BlockRecord seen(BlockRecord b, int off, int faults, int cramps) {
        return new BlockRecord(
                b.blockId(),
                b.side(),
                b.kind(),
                b.phases(),
                Tenths.of(5 + off),
                Collections.nCopies(faults, "pelvis lifts"),
                b.pains(),
                cramps,
                false,
                null,
                "",
                null);
    }

    private static Story last(UnaryOperator<BlockRecord> change) {
        return steady().clean(6).session(3, presses(change)).morning(3, true, 0);
    }

    private static Story hurting(int pain, boolean settled) {
        return steady().clean(6).painful(3, pain, PainKind.AT_REST_IN_RANGE).morning(3, settled, 0);
    }

    private static Story pains(double[] days, int... scores) {
        var story = steady();
        for (int i = 0; i < days.length; i++) {
            story = story.painful(days[i], scores[i], PainKind.AT_REST_IN_RANGE).morning(days[i], true, 0);
        }
        return story;
    }

    private static Story gauged(double within, Double peak) {
        return steady().clean(6)
                .gauged(
                        3,
                        b -> b,
                        List.of(new MeasuredEffort(BlockId.parse("l1-left-1-press"), Side.LEFT, within, peak)))
                .morning(3, true, 0);
    }

    private static Story ill(int days) {
        return steady().clean(15, 12)
                .with(new Event.Paused(PauseKind.ILLNESS, Story.daysAgo(days + 2), Story.daysAgo(2), Story.daysAgo(2)));
    }

    /** The left side is really ahead of the right. */
    private static Object ahead(Policy policy) {
        var state = deep(50, 1).state();
        var behind = state.side(Side.RIGHT).withPassive(RangeState.known(Story.NOW, 32, 1));
        return told(state.with(Side.RIGHT, behind), policy);
    }

    private static Scene load(Threshold threshold, double low, double high, Gravity limb, double load, int reps) {
        return new Scene(
                threshold,
                low,
                high,
                policy ->
                        LoadStep.next(limb, load, reps, 6, 12, policy).map(s -> List.of(s.loadKg(), s.repetitions())));
    }

    private static List<Scene> scenes() {
        return List.of(
                scene(Threshold.PAIN_TOO_MUCH, 5, 8, hurting(6, true)),
                scene(Threshold.PAIN_UNSETTLED, 3, 5, hurting(4, false)),
                scene(Threshold.PAIN_RISE, 2, 5, pains(new double[] {9, 6, 3}, 0, 2, 4)),
                scene(Threshold.PAIN_WINDOW_DAYS, 7, 14, pains(new double[] {12, 10, 5, 3}, 0, 0, 2, 2)),
                scene(Threshold.GAP_STAY_DAYS, 5, 20, steady().clean(20, 17)),
                scene(Threshold.GAP_DOWN_DAYS, 12, 40, steady().clean(31, 28)),
                scene(
                        Threshold.GAP_NEWCOMER_DAYS,
                        30,
                        90,
                        at(dose(90, 3, 70, 20)).clean(60, 50)),
                scene(Threshold.UNKNOWN_HOURS, 24, 168, steady().clean(9, 6).session(2, b -> b)),
                scene(Threshold.PAIN_CLEAN, 1, 3, hurting(2, true)),
                scene(
                        Threshold.DONE_RATIO,
                        0.8,
                        0.95,
                        last(b -> Story.doneShare(Side.LEFT, 0.85).apply(b))),
                scene(Threshold.PHASE_RATIO, 0.6, 0.8, last(b -> Story.firstPhaseDone(b, 0.7))),
                scene(Threshold.SESSIONS_NEEDED, 2, 3, steady().clean(6, 3)),
                scene(Threshold.FAULTS_A_SET, 1, 3, last(b -> seen(b, 0, 2, 0))),
                scene(Threshold.CRAMPS_A_SET, 1, 3, last(b -> seen(b, 0, 0, 2))),
                scene(Threshold.EFFORT_TENTHS, 1, 3, last(b -> seen(b, 2, 0, 0))),
                scene(Threshold.EFFORT_WITHIN, 0.7, 0.9, gauged(0.8, null)),
                scene(Threshold.NEAR_MAX_PEAK, 85, 95, gauged(0.9, 90.0)),
                scene(
                        Threshold.SORENESS_SPACING,
                        4,
                        6,
                        steady().clean(6).session(3, b -> b).morning(3, true, 5)),
                scene(
                        Threshold.NEWCOMER_SESSIONS,
                        4,
                        10,
                        steady().clean(15, 12, 9, 6)
                                .session(3, presses(b -> seen(b, 0, 0, 2)))
                                .morning(3, true, 0)),
                scene(Threshold.ANGLE_MARGIN, 2, 4, deep(36.5, 0.5)),
                scene(Threshold.ANGLE_SIGMAS, 1.645, 2.5, deep(38, 2)),
                scene(Threshold.ANGLE_STEP, 3, 5, deep(50, 1)),
                scene(Threshold.ANGLE_WEEK, 3, 5, deep(50, 1)),
                scene(Threshold.ANGLE_LEAST, 1, 2, deep(33.5, 0.5)),
                scene(Threshold.COLD_DAYS, 14, 28, steady().clean(6, 3).passive(50, 1, 20)),
                scene(Threshold.COLD_SESSIONS, 2, 12, trained(BASE).passive(50, 1, 10)),
                scene(Threshold.RETURN_DAYS, 28, 56, returned().passive(50, 1, 30)),
                scene(Threshold.TOP_HOLD_STEP, 5, 8, trained(dose(60, 2, 50, 10))),
                scene(Threshold.CEILING_STEP, 5, 10, trained(dose(60, 2, 50, 20))),
                scene(Threshold.CEILING_FIRST_TOP, 60, 80, trained(dose(60, 2, 60, 20))),
                scene(Threshold.SUPPORTED_HOLD_STEP, 5, 15, trained(dose(60, 4, 100, 20))),
                scene(Threshold.ANGLE_CEILING_DROP, 10, 20, deep(50, 1)),
                scene(
                        Threshold.HANDS_OFF_STEP,
                        1,
                        2,
                        at(BASE.plusHandsOff(3, 10)).active(12, 1).clean(6, 3)),
                scene(Threshold.DOWN_CEILING, 10, 20, painful(dose(60, 2, 80, 10))),
                scene(Threshold.CEILING_LEAST, 10, 30, painful(dose(60, 2, 40, 10))),
                scene(Threshold.DOWN_ANGLE, 3, 5, wrongJoint()),
                scene(Threshold.ILLNESS_DAYS, 7, 10, ill(8)),
                new Scene(Threshold.LEVEL_FIRST, 0, 1, PolicyEffectTest::ahead),
                scene(Threshold.PLATEAU_DAYS, 28, 40, steady().clean(30, 24, 20, 15, 10, 3)),
                scene(Threshold.PLATEAU_SESSIONS, 6, 8, steady().clean(30, 24, 20, 15, 10, 3)),
                scene(Threshold.BLOCK_WEEKS, 6, 12, steady().passive(31, 1, 9).clean(37, 10, 3)),
                scene(
                        Threshold.STAGE_GRADE,
                        2,
                        3,
                        trained(dose(120, 4, 100, 20)).graded(Side.LEFT, 2).graded(Side.RIGHT, 3)),
                load(Threshold.LOAD_FIRST, 10, 20, SHANK, 0, 12),
                load(Threshold.LOAD_LEAST, 1, 2, new Gravity("leg", 75, 80, 95), 1, 8),
                load(Threshold.LOAD_MOST, 10, 15, new Gravity("foot-and-shank", 75, 43, 14), 0.5, 8));
    }

    private static Story painful(Dose dose) {
        return at(dose).clean(6).painful(3, 6, PainKind.WHILE_CONTRACTING).morning(3, true, 0);
    }

    /** Held at 34, back at 30 for no pain. */
    private static Story returned() {
        var deep = House.dose(34, 60, 2, 50, 10);
        return at(deep).startingFrom(deep).clean(40, 37).edited(35, BASE).clean(6, 3);
    }

    private static Story wrongJoint() {
        return steady().clean(6).painful(3, 1, PainKind.WRONG_JOINT).morning(3, true, 0);
    }

    @DataProvider
    public Object[][] each() {
        return scenes().stream().map(s -> new Object[] {s.threshold(), s}).toArray(Object[][]::new);
    }

    @Test(dataProvider = "each")
    public void aNumberOfThePolicyChangesWhatIsProposed(Threshold threshold, Object told) {
        var scene = (Scene) told;
        var low = Policy.house().with("low", Map.of(threshold, scene.low()));
        var high = Policy.house().with("high", Map.of(threshold, scene.high()));
        assertThat(scene.outcome().apply(low)).isNotEqualTo(scene.outcome().apply(high));
    }

    @Test
    public void noNumberIsLeftOut() {
        assertThat(scenes().stream().map(Scene::threshold)).containsExactlyInAnyOrder(Threshold.values());
    }

    @DataProvider
    public Object[][] thresholds() {
        return Arrays.stream(Threshold.values()).map(t -> new Object[] {t}).toArray(Object[][]::new);
    }

    @Test(dataProvider = "thresholds")
    public void aNumberIsTakenWithinItsRangeAndRefusedBeyondIt(Threshold threshold) {
        var house = Policy.house();
        var entry = house.entry(threshold);
        assertThat(entry.words()).isNotBlank();
        assertThat(entry.source().text()).isNotBlank();
        for (double beyond : new double[] {entry.min() - 0.01, entry.max() + 0.01, Double.NaN}) {
            assertThat(PolicyCheck.check(house, Map.of(threshold, beyond)))
                    .singleElement()
                    .satisfies(f -> assertThat(f.code()).isEqualTo("out-of-bounds"));
        }
        for (double end : new double[] {entry.min(), entry.max()}) {
            assertThat(PolicyCheck.check(house, Map.of(threshold, end)))
                    .allSatisfy(f -> assertThat(f.code()).isEqualTo("out-of-order"));
        }
    }

    @DataProvider
    public Object[][] orders() {
        return new Object[][] {
            {Threshold.GAP_STAY_DAYS, 20, Threshold.GAP_DOWN_DAYS, 19},
            {Threshold.GAP_DOWN_DAYS, 40, Threshold.GAP_NEWCOMER_DAYS, 39},
            {Threshold.PAIN_CLEAN, 3, Threshold.PAIN_UNSETTLED, 2},
            {Threshold.PAIN_UNSETTLED, 5, Threshold.PAIN_TOO_MUCH, 4},
            {Threshold.PHASE_RATIO, 0.95, Threshold.DONE_RATIO, 0.9},
            {Threshold.ANGLE_LEAST, 4, Threshold.ANGLE_STEP, 3},
            {Threshold.ANGLE_STEP, 6, Threshold.ANGLE_WEEK, 5}
        };
    }

    @Test(dataProvider = "orders")
    public void twoNumbersThatContradictEachOtherAreSaid(Threshold lower, double high, Threshold upper, double low) {
        var house = Policy.house();
        assertThat(PolicyCheck.check(house, Map.of(lower, high, upper, low)))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.code()).isEqualTo("out-of-order");
                    assertThat(f.path()).isEqualTo("values." + lower);
                    assertThat(f.bound()).isEqualTo(low);
                });
        assertThat(PolicyCheck.check(house, Map.of(lower, low, upper, low)))
                .noneMatch(f -> f.path().equals("values." + lower));
    }
}
