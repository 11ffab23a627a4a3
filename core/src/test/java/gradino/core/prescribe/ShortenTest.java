package gradino.core.prescribe;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockDraft.Tread;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.core.prescribe.program.Shorten;
import gradino.core.prescribe.program.Shorten.Cut;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.prescribe.timeline.SideOrder;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** In which order a session gives way to the minutes there are (house rule), and that it always comes as far as it can. */
public class ShortenTest {
    private static final BlockDraft HOLD = BlockDraft.of(BlockForm.SUPPORTED_HOLD, Map.of("seconds", 120.0));
    private static final BlockDraft SETS = new BlockDraft(
            BlockForm.GRADED_SET,
            Map.of("ceiling", 50.0, "sets", 3.0, "top-hold", 10.0, "settle", 48.0, "rest", 0.0),
            Map.of(),
            List.of(new Tread(20, 5), new Tread(40, 5), new Tread(50, 5)),
            List.of());

    private static LineDraft line(String id) {
        var blocks = List.of(HOLD, SETS);
        return new LineDraft(
                id,
                "hip-internal-rotation",
                "prone-knee-bent",
                "ramp-both-ways",
                SideOrder.ONE_AFTER_OTHER,
                Side.LEFT,
                new Sided<>(20.0, 20.0),
                blocks,
                blocks,
                20,
                20,
                3,
                "",
                null);
    }

    private static SessionDraft session(StationDraft... stations) {
        return new SessionDraft(List.of(), List.of(stations));
    }

    private static int seconds(SessionDraft draft) {
        return Compiler.compile(SessionReader.read(draft).plan().orElseThrow()).seconds();
    }

    private static List<String> told(Shorten.Shorter shorter) {
        return shorter.cuts().stream().map(ShortenTest::told).toList();
    }

    private static String told(Cut cut) {
        return cut.label().isEmpty()
                ? "without " + cut.place()
                : "%s %.0f-%.0f".formatted(cut.label(), cut.from(), cut.to());
    }

    @Test
    public void theLastRoundGoesFirst() {
        var first = StationDraft.of(line("a"));
        var twice = new StationDraft(List.of(line("b")), 2, 30, false);
        var draft = session(first, twice);
        var shorter = Shorten.toFit(draft, seconds(draft) - 1);
        assertThat(told(shorter)).containsExactly("rounds 2-1");
        assertThat(shorter.cuts().get(0).place()).isEqualTo("stations[1]");
        assertThat(shorter.draft().lines()).hasSize(2);
    }

    @Test
    public void thenTheLastLineThenSetsThenSettlesThenHolds() {
        var draft = session(StationDraft.of(line("a")), StationDraft.of(line("b")));
        int one = seconds(session(StationDraft.of(line("a"))));
        assertThat(told(Shorten.toFit(draft, one))).containsExactly("without stations[1].lines[0]");
        assertThat(told(Shorten.toFit(draft, one - 1))).containsExactly("without stations[1].lines[0]", "sets 3-2");
        var least = Shorten.toFit(draft, 1);
        assertThat(least.fits()).isFalse();
        assertThat(told(least))
                .containsExactly("without stations[1].lines[0]", "sets 3-1", "settle 48-12", "for 120-30");
    }

    /** Two rounds of two lines in 12 minutes. */
    @Test
    public void twoRoundsFitIntoTwelveMinutes() {
        var draft = session(new StationDraft(List.of(line("a"), line("b")), 2, 60, false));
        assertThat(seconds(draft)).isGreaterThan(2 * 720);
        var shorter = Shorten.toFit(draft, 720);
        assertThat(shorter.fits()).isTrue();
        assertThat(shorter.seconds()).isBetween(1, 720);
        assertThat(told(shorter)).startsWith("rounds 2-1");
    }

    @Test
    public void roundsInsideALineGoLikeThoseOfLines() {
        var group = new BlockDraft(
                BlockForm.GROUP, Map.of("rounds", 3.0, "rest", 20.0), Map.of(), List.of(), List.of(HOLD));
        var line = line("a").withBlocks(List.of(group), List.of(group));
        var draft = session(StationDraft.of(line));
        assertThat(told(Shorten.toFit(draft, seconds(draft) - 150))).containsExactly("rounds 3-2");
    }

    @Test
    public void theRotationsOfAJointGoWithItsLastLine() {
        var knee = new LineDraft(
                "k",
                "knee-flexion",
                "prone-heel-to-buttock",
                "ramp-both-ways",
                SideOrder.ONE_AFTER_OTHER,
                Side.LEFT,
                new Sided<>(90.0, 90.0),
                List.of(SETS),
                List.of(SETS),
                20,
                20,
                3,
                "",
                null);
        var draft = new SessionDraft(
                List.of(rotation("hip"), rotation("knee"), rotation("neck")),
                List.of(StationDraft.of(line("a")), StationDraft.of(knee)));
        var shorter = Shorten.toFit(draft, seconds(draft) - 30).draft();
        assertThat(shorter.lines()).extracting(LineDraft::id).containsExactly("a");
        assertThat(shorter.warmUp()).extracting(b -> b.words().get("joint")).containsExactly("hip", "neck");
    }

    private static BlockDraft rotation(String joint) {
        var numbers = Map.of("repetitions", 3.0, "seconds", 6.0);
        return new BlockDraft(BlockForm.CONTROLLED_ROTATION, numbers, Map.of("joint", joint), List.of(), List.of());
    }

    @DataProvider
    public Object[][] limits() {
        return new Object[][] {{60}, {200}, {400}, {600}, {800}, {1200}, {2400}};
    }

    @Test(dataProvider = "limits")
    public void itFitsOrIsTheShortestAndSaysTheSecondsThatItCompilesTo(int limit) {
        var draft = session(new StationDraft(List.of(line("a"), line("b")), 3, 30, false), StationDraft.of(line("c")));
        var shorter = Shorten.toFit(draft, limit);
        assertThat(shorter.seconds()).isEqualTo(seconds(shorter.draft()));
        assertThat(shorter.fits()).isEqualTo(shorter.seconds() <= limit);
        int saved = shorter.cuts().stream().mapToInt(Cut::saves).sum();
        assertThat(seconds(draft) - saved).isEqualTo(shorter.seconds());
        assertThat(shorter.draft().lines())
                .isNotEmpty()
                .allSatisfy(l -> assertThat(l.left()).isEqualTo(l.right()));
        if (!shorter.fits()) {
            assertThat(shorter.seconds()).isEqualTo(Shorten.toFit(draft, 1).seconds());
        }
    }
}
