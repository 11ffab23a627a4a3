package gradino.core.prescribe;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.BreathPhase;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockParameter;
import gradino.core.prescribe.method.BlockWord;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.SessionCheck;
import gradino.core.prescribe.program.SessionContext;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.prescribe.timeline.Timeline.BreathMark;
import gradino.core.prescribe.timeline.Timeline.Phase;
import gradino.core.quantity.Degrees;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a block says besides its numbers: breath, contact, who moves it, a prop that rises (common practice, no source). */
public class BlockWordsTest {
    private static final Dose NONE = new Dose(Degrees.of(30), List.of());

    private static BlockDraft block(BlockForm form, Map<String, Double> numbers, Map<String, String> words) {
        return new BlockDraft(form, numbers, words, BlockDraft.usual(form).steps(), List.of());
    }

    private static SessionCheck.Checked check(BlockDraft... blocks) {
        var dose = new Dose(Degrees.of(30), List.of(blocks));
        var plan = House.line(
                "prone-knee-bent", Method.RAMP_BOTH_WAYS, SideOrder.LEFT, Side.LEFT, new Sided<>(dose, NONE));
        var draft = new SessionDraft(List.of(), List.of(StationDraft.of(plan.draft("l"))));
        return SessionCheck.check(draft, SessionContext.unrestricted(), Method.shipped());
    }

    private static Timeline timeline(BlockDraft... blocks) {
        return check(blocks).timeline().orElseThrow();
    }

    private static List<BreathPhase> breaths(Timeline timeline, BlockKind kind) {
        return timeline.phases().stream()
                .filter(p -> p.block() == kind)
                .flatMap(p -> p.breaths().stream())
                .map(BreathMark::phase)
                .toList();
    }

    @DataProvider
    public Object[][] blocksThatBreathe() {
        return Arrays.stream(BlockForm.values())
                .filter(f -> BlockWord.find(f, "breath").isPresent())
                .map(f -> new Object[] {f})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "blocksThatBreathe")
    public void everyBlockBreathesByItsOwnBreath(BlockForm form) {
        // Above 50 % breaths are small whatever was named.
        var numbers =
                BlockParameter.find(form, "effort").isPresent() ? Map.of("effort", 50.0) : Map.<String, Double>of();
        var free = timeline(block(form, numbers, Map.of("breath", "free")));
        var own = free.phases().stream().filter(p -> p.block() != BlockKind.SET_UP && p.block() != BlockKind.SETTLE);
        assertThat(own.flatMap(p -> p.breaths().stream()).map(BreathMark::phase))
                .isNotEmpty()
                .containsOnly(BreathPhase.FREE);
        assertThat(check(block(form, Map.of(), Map.of("breath", "slowly"))).findings())
                .anyMatch(f -> f.blocks() && f.path().endsWith("words.breath"));
    }

    @Test
    public void aHoldOfTenBreathsTakesAsLongAsTheyDo() {
        var hold = block(BlockForm.SUPPORTED_HOLD, Map.of("breaths", 10.0), Map.of("breath", "4:6"));
        assertThat(seconds(timeline(hold), PhaseKind.HOLD)).isEqualTo(100);
        assertThat(breaths(timeline(hold), BlockKind.SUPPORTED_HOLD)).hasSize(20);
        var unnamed = block(BlockForm.SUPPORTED_HOLD, Map.of("breaths", 10.0), Map.of());
        assertThat(seconds(timeline(unnamed), PhaseKind.HOLD)).isEqualTo(60);
    }

    private static int seconds(Timeline timeline, PhaseKind kind) {
        return timeline.phases().stream()
                .filter(p -> p.kind() == kind)
                .mapToInt(Phase::seconds)
                .sum();
    }

    @DataProvider
    public Object[][] contractions() {
        return new Object[][] {{3, 50, true}, {8, 50, true}, {8, 60, false}, {30, 40, false}};
    }

    /** A cue that says "breathe in" stands only where the pacer breathes in, all through the contraction. */
    @Test(dataProvider = "contractions")
    public void noCueTellsToBreatheAgainstThePacer(int seconds, int effort, boolean with) {
        var timeline = timeline(block(
                BlockForm.CONTRACT_RELAX, Map.of("contract", (double) seconds, "effort", (double) effort), Map.of()));
        for (var phase : timeline.phases()) {
            if (phase.block() == BlockKind.CONTRACT_RELAX) {
                var said = phase.cue().startsWith("Breathe in") ? BreathPhase.IN : BreathPhase.OUT;
                assertThat(phase.cue().startsWith("Breathe")).isEqualTo(with);
                assertThat(!with || phase.breaths().stream().allMatch(b -> b.phase() == said))
                        .isTrue();
            }
        }
    }

    @Test
    public void aCueThatBreathesBesideThePacerIsTold() {
        var cue = Map.of("cue", "Breathe in as you open");
        assertThat(check(block(BlockForm.SUPPORTED_HOLD, Map.of(), cue)).findings())
                .anyMatch(f -> f.code().equals("breath-told-twice"));
        var free = Map.of("cue", "Breathe in as you open", "breath", "free");
        assertThat(check(block(BlockForm.SUPPORTED_HOLD, Map.of(), free)).findings())
                .noneMatch(f -> f.code().equals("breath-told-twice"));
    }

    @DataProvider
    public Object[][] movers() {
        return new Object[][] {
            {"self", "Lower slowly, resist all the way", "Back the easy way"},
            {"partner-in", "Partner moves it in, resist all the way", "Back the easy way"},
            {"partner-back", "Lower slowly, resist all the way", "Partner brings it back"},
        };
    }

    @Test(dataProvider = "movers")
    public void aPartnerHasThreeRolesInAnEccentric(String moves, String there, String back) {
        var words = Map.of("moves", moves, "contact", "own other foot");
        var phases = timeline(block(BlockForm.ECCENTRIC, Map.of(), words)).phases();
        assertThat(phases.stream().filter(p -> p.kind() == PhaseKind.LOWERING))
                .allMatch(p -> p.cue().equals(there) && p.contact().equals("own other foot"));
        assertThat(phases.stream().filter(p -> p.kind() == PhaseKind.RETURN))
                .allMatch(p -> p.cue().equals(back));
        assertThat(check(block(BlockForm.ECCENTRIC, Map.of(), Map.of("moves", "the dog")))
                        .findings())
                .anyMatch(f -> f.blocks() && f.path().endsWith("words.moves"));
    }

    /** Own other foot and band are contacts like any other; without a word the position says what is pressed against. */
    @Test
    public void everyPressNamesItsContact() {
        var banded =
                timeline(block(BlockForm.GRADED_SET, Map.of(), Map.of("contact", "band", "pull-contact", "strap")));
        assertThat(contacts(banded, BlockKind.PRESS)).containsOnly("band");
        assertThat(contacts(banded, BlockKind.PULL)).containsOnly("strap");
        var unnamed = timeline(block(BlockForm.GRADED_SET, Map.of(), Map.of()));
        assertThat(contacts(unnamed, BlockKind.PRESS)).noneMatch(String::isBlank);
    }

    private static List<String> contacts(Timeline timeline, BlockKind kind) {
        return timeline.phases().stream()
                .filter(p -> p.block() == kind)
                .map(Phase::contact)
                .toList();
    }

    /** Three rounds, 1 cm more each: the height of the last is the one prescribed. */
    @Test
    public void aPropRisesFromRoundToRound() {
        var lift = new BlockDraft(
                BlockForm.LIFT_OFF,
                Map.of("repetitions", 1.0, "height", 4.0),
                Map.of("part", "the foot"),
                List.of(),
                List.of());
        var group = new BlockDraft(
                BlockForm.GROUP, Map.of("rounds", 3.0, "rest", 0.0, "rise", 1.0), Map.of(), List.of(), List.of(lift));
        var cues = timeline(group).phases().stream()
                .filter(p -> p.kind() == PhaseKind.LIFT || p.kind() == PhaseKind.REST)
                .map(Phase::cue);
        assertThat(cues)
                .containsExactly(
                        "Lift the foot over 2 cm, hold",
                        "Raise the prop by 1 cm",
                        "Lift the foot over 3 cm, hold",
                        "Raise the prop by 1 cm",
                        "Lift the foot over 4 cm, hold");
    }
}
