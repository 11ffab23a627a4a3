package gradino.core.prescribe;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.prescribe.block.Block;
import gradino.core.prescribe.block.Breathing;
import gradino.core.prescribe.block.Leaf;
import gradino.core.prescribe.block.Quiet;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.LadderRung;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.MethodBlock;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.prescribe.timeline.Protocol;
import gradino.core.quantity.EffortPercent;
import java.util.List;
import java.util.Objects;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Facts of the trade (common practice, no source), compiled from the methods that ship. */
public class TradeFactsTest {
    private static Method method(String id) {
        return Method.byId(id).orElseThrow();
    }

    /** Seconds of those blocks of a method's usual dose that have one of the forms, on one side. */
    private static int seconds(String methodId, BlockForm... forms) {
        return line(methodId, forms).on(Side.LEFT).stream()
                .mapToInt(Block::seconds)
                .sum();
    }

    private static Protocol line(String methodId, BlockForm... forms) {
        var method = method(methodId);
        var blocks = method.firstBlocks(false).stream()
                .filter(b -> forms.length == 0 || List.of(forms).contains(b.form()))
                .toList();
        var position = Catalogue.position("prone-knee-bent").orElseThrow();
        var draft = new SessionDraft(
                List.of(), List.of(SessionDraft.StationDraft.of(SessionTest.line("a", position, method, blocks))));
        return SessionReader.read(draft)
                .plan()
                .orElseThrow()
                .stations()
                .get(0)
                .lines()
                .get(0);
    }

    private static int seconds(Leaf block) {
        return block.phases().stream().mapToInt(Block.Draft::seconds).sum();
    }

    private static MethodBlock.Range range(String methodId, BlockForm form, String number) {
        return method(methodId).range(form, number);
    }

    /** A number's usual value and its bounds. */
    private static Object[] number(
            String method, BlockForm form, String name, double usual, double least, double most) {
        return new Object[] {method, form, name, usual, least, most};
    }

    @DataProvider
    public Object[][] numbers() {
        return new Object[][] {
            // Supported hold of 30 to 120 s before the ramp of ten to max.
            number("ramp-ten-to-max", BlockForm.SUPPORTED_HOLD, "seconds", 60, 30, 120),
            // Ramp 20 to 100: 2 sets at least, 4 at most, 3 rotations first.
            number("ramp-both-ways", BlockForm.GRADED_SET, "sets", 2, 2, 4),
            number("ramp-both-ways", BlockForm.CONTROLLED_ROTATION, "repetitions", 3, 3, 5),
            // Isometric hold of 10 s grows to 20 s.
            number("ramp-both-ways", BlockForm.GRADED_SET, "top-hold", 10, 10, 20),
            // Gentle ramp: 15 to 30 s before leaving.
            number("ramp-gentle", BlockForm.REST, "seconds", 15, 15, 30),
            // Hands-off holds of 10 s, three of them; to 15 s, then five.
            number("hands-off", BlockForm.HANDS_OFF_HOLD, "hold", 10, 10, 15),
            number("hands-off", BlockForm.HANDS_OFF_HOLD, "sets", 3, 3, 5),
            // Light contractions: two rounds.
            number("light-breath", BlockForm.GROUP, "rounds", 2, 1, 3),
            // Loaded phase: never over 12 repetitions.
            number("release-activate-load", BlockForm.LOADED_STRETCH, "repetitions", 8, 6, 12),
            // Pull, press, pull: 10 to 15 s each, 2 to 4 cycles a side.
            number("release-activate-load", BlockForm.GRADED_SET, "pull", 10, 10, 15),
            number("release-activate-load", BlockForm.GRADED_SET, "sets", 2, 2, 4),
            // Contract and relax: contractions of 3 to 8 s, 4 or 5 cycles, then 60 to 90 s.
            number("contract-relax-linger", BlockForm.CONTRACT_RELAX, "contract", 5, 3, 8),
            number("contract-relax-linger", BlockForm.CONTRACT_RELAX, "cycles", 4, 4, 5),
            number("contract-relax-linger", BlockForm.SUPPORTED_HOLD, "seconds", 60, 60, 90),
        };
    }

    @Test(dataProvider = "numbers")
    public void methodsHaveTheTradesNumbers(
            String method, BlockForm form, String name, double usual, double least, double most) {
        var range = range(method, form, name);
        assertThat(List.of(range.usual(), range.least(), range.most())).containsExactly(usual, least, most);
    }

    @Test
    public void rampsTakeTheirSeconds() {
        // 10·30·50·70·max by 20 points every 5 s: 25 s; with a 15 s pull 40 s.
        assertThat(seconds("ramp-ten-to-max", BlockForm.GRADED_SET)).isEqualTo(40);
        assertThat(range("ramp-ten-to-max", BlockForm.GRADED_SET, "pull").usual())
                .isEqualTo(15);
        // 20·40·60·80·100, hold 10 s, pull 10 s, settle 40 s as whole breaths of 12 s; two sets.
        assertThat(seconds("ramp-both-ways", BlockForm.GRADED_SET)).isEqualTo(2 * (25 + 10 + 10 + 36));
        // Set 1 to 75, set 2 to 100, each step 5 s and held 5 s on top, a pull of 5 s, two breaths of 12 s.
        assertThat(seconds("ramp-gentle", BlockForm.GRADED_SET)).isEqualTo(20 + 5 + 5 + 24 + 25 + 5 + 5 + 24);
    }

    @Test
    public void theGentleRampsStepsAreTheTrades() {
        assertThat(method("ramp-gentle").firstOf(BlockForm.GRADED_SET))
                .extracting(b -> b.steps().stream().map(s -> (int) s.effort()).toList())
                .containsExactly(List.of(10, 25, 50, 75), List.of(10, 25, 50, 75, 100));
    }

    @Test
    public void aSettleBreathesOutTwiceAsLongAsIn() {
        // 4 s in, 8 s out.
        assertThat(range("ramp-both-ways", BlockForm.GRADED_SET, "in").usual()).isEqualTo(4);
        assertThat(range("ramp-both-ways", BlockForm.GRADED_SET, "out").usual()).isEqualTo(8);
        assertThat(seconds(new Quiet.Settle(40, new Breathing(4, 8)))).isEqualTo(36);
        // 6 to 10 breaths at a station, 6 s each: 36 to 60 s.
        assertThat(seconds(new Quiet.Settle(36, new Breathing(2, 4)))).isEqualTo(36);
        assertThat(seconds(new Quiet.Settle(60, new Breathing(2, 4)))).isEqualTo(60);
    }

    @Test
    public void pullsLoweringsAndHoldsTakeTheirSeconds() {
        // Pulls 3 × 10 s with 5 s rest: 40 s; 10 slow eccentrics at 4 s; a hold of 30 s: one round 110 s, three rounds.
        assertThat(seconds("strength-first", BlockForm.GROUP)).isEqualTo(3 * 110);
        // Two sides and three days: 33 min a week.
        assertThat(method("strength-first").week().usual()).isEqualTo(3);
        assertThat(2 * 3 * seconds("strength-first", BlockForm.GROUP) / 60).isEqualTo(33);
        // Hands-off holds 3 × 10 s: a set is a stretch of 5 s and one hold; 15 s between two of them.
        assertThat(seconds("hands-off", BlockForm.HANDS_OFF_HOLD)).isEqualTo(3 * (5 + 10) + 2 * 15);
        // Light contractions of 2 breaths each way at 20 to 30 %, a settle, two rounds.
        assertThat(seconds("light-breath", BlockForm.GROUP)).isEqualTo(2 * (12 + 12 + 12) + 10);
        assertThat(method("light-breath").firstOf(BlockForm.PRESS_RAMP).get(0).steps())
                .allMatch(s -> s.effort() >= 20 && s.effort() <= 30);
        // 4 cycles of 5 + 8 s, then 60 s.
        assertThat(seconds("contract-relax-linger", BlockForm.CONTRACT_RELAX, BlockForm.SUPPORTED_HOLD))
                .isEqualTo(4 * 13 + 60);
        // Pull, press, pull of 10 s each, twice, 10 s between.
        assertThat(seconds("release-activate-load", BlockForm.GRADED_SET)).isEqualTo(2 * 30 + 10);
    }

    @Test
    public void theLoadedPhaseComesTwoOrThreeDaysAWeek() {
        assertThat(method("release-activate-load").week().least()).isEqualTo(2);
        assertThat(method("release-activate-load").week().most()).isEqualTo(3);
        assertThat(EffortClass.LOADED.weeklyCap()).isEqualTo(2);
    }

    @Test
    public void lightDailyModerateFiveHardThreeMaximalTwoOrThree() {
        assertThat(EffortClass.of(EffortPercent.of(30)).weeklyCap()).isEqualTo(7);
        assertThat(EffortClass.of(EffortPercent.of(31)).weeklyCap()).isEqualTo(5);
        assertThat(EffortClass.of(EffortPercent.of(60)).weeklyCap()).isEqualTo(5);
        assertThat(EffortClass.of(EffortPercent.of(61)).weeklyCap()).isEqualTo(3);
        assertThat(EffortClass.of(EffortPercent.of(100)).weeklyCap()).isEqualTo(3);
    }

    @Test
    public void everyMethodTrainsAJointAtLeastOnceAWeek() {
        assertThat(Method.shipped()).allMatch(m -> m.week().least() >= 1);
    }

    @Test
    public void aLowerBenchIsHarder() {
        var bench = Objects.requireNonNull(
                Catalogue.position("bench-figure-four").orElseThrow().training());
        assertThat(bench.higherBenchDeeper()).isFalse();
        assertThat(Objects.requireNonNull(Catalogue.position("foot-on-bench")
                                .orElseThrow()
                                .training())
                        .higherBenchDeeper())
                .isTrue();
        assertThat(method("strength-first").ladder().get(0).what()).isEqualTo(LadderRung.What.ANGLE);
    }
}
