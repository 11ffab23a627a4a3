package gradino.core.prescribe;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.body.Catalogue;
import gradino.core.body.Hint;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.body.Training;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.LineOptions;
import gradino.core.prescribe.program.LineOptions.LineOption;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionReader;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Easier and harder, as links that are taken. */
public class LineOptionsTest {
    @DataProvider
    public Object[][] trained() {
        return Catalogue.positions().stream()
                .filter(Position::trains)
                .map(p -> new Object[] {p})
                .toArray(Object[][]::new);
    }

    private static Training training(Position position) {
        return Objects.requireNonNull(position.training());
    }

    private static LineDraft line(String position) {
        var p = Catalogue.position(position).orElseThrow();
        var method = Method.byId(training(p).methods().get(0)).orElseThrow();
        return SessionTest.line("a", p, method, method.firstBlocks(false));
    }

    private static LineOption option(LineDraft line, String words) {
        return LineOptions.of(line).stream()
                .filter(o -> o.words().equals(words))
                .findFirst()
                .orElseThrow();
    }

    @Test(dataProvider = "trained")
    public void everyPositionCanBeMadeEasierAndHarderInOneWayOnly(Position position) {
        var training = training(position);
        assertThat(training.easier()).isNotEmpty();
        assertThat(training.harder()).isNotEmpty();
        assertThat(training.contradictions()).isEmpty();
        for (var hint : Stream.concat(training.easier().stream(), training.harder().stream())
                .filter(h -> h.take() == Hint.Take.POSITION)
                .toList()) {
            assertThat(Catalogue.position(hint.position()))
                    .get()
                    .matches(Position::trains)
                    .matches(p -> p.motions().stream().anyMatch(position::allows), "trains the same");
        }
    }

    @Test(dataProvider = "trained")
    public void whatWasTakenChangesTheLineAndCanStillBeRead(Position position) {
        var line = line(position.id());
        for (var option : LineOptions.of(line)) {
            assertThat(option.does()).isNotEmpty();
            var taken = option.line();
            if (taken != null) {
                assertThat(taken).as(option.words()).isNotEqualTo(line);
                var draft = new SessionDraft(List.of(), List.of(SessionDraft.StationDraft.of(taken)));
                assertThat(SessionReader.read(draft).plan()).as(option.words()).isPresent();
            }
        }
    }

    @Test
    public void anAngleGoesDownOnBothSidesAndIsSaid() {
        var line = line("seated-edge");
        var easier = option(line, "smaller angle");
        var taken = Objects.requireNonNull(easier.line());
        double before = line.dose(Side.LEFT).angle().value();
        assertThat(taken.dose(Side.LEFT).angle().value()).isEqualTo(before - 5);
        assertThat(taken.dose(Side.RIGHT).angle().value())
                .isEqualTo(line.dose(Side.RIGHT).angle().value() - 5);
        assertThat(easier.easier()).isTrue();
        assertThat(easier.does().get(0).text()).contains("→");
    }

    @Test
    public void aSetUpIsSaidOnTheFloorAndItsOppositeGoes() {
        var behind = Objects.requireNonNull(
                option(line("seated-90-90-front"), "hands behind").line());
        assertThat(said(behind)).isEqualTo("Set up: hands behind");
        var off = Objects.requireNonNull(option(
                        Objects.requireNonNull(option(line("half-kneeling-heel-to-buttock"), "hold on to a bench")
                                .line()),
                        "hands off")
                .line());
        assertThat(said(off)).isEqualTo("Set up: hands off");
    }

    private static String said(LineDraft line) {
        return SessionReader.read(new SessionDraft(List.of(), List.of(SessionDraft.StationDraft.of(line))))
                .plan()
                .orElseThrow()
                .stations()
                .get(0)
                .lines()
                .get(0)
                .on(Side.LEFT)
                .get(0)
                .inWords()
                .replaceAll("\\.$", "");
    }

    @Test
    public void anotherPositionIsNamed() {
        var propped = option(line("closed-chain-lying"), "propped on the forearm");
        assertThat(propped.position()).isEqualTo("closed-chain-propped");
        assertThat(propped.line()).isNull();
    }

    @Test
    public void aSlowerMovementIsHarder() {
        var line = line("side-lunge-rollover");
        var slower = Objects.requireNonNull(option(line, "slower").line());
        double was = line.left().stream()
                .filter(b -> b.form() == BlockForm.TRANSITION)
                .findFirst()
                .orElseThrow()
                .number("seconds");
        assertThat(slower.left())
                .filteredOn(b -> b.form() == BlockForm.TRANSITION)
                .allMatch(b -> b.number("seconds") == was + 2);
    }

    @Test
    public void whatStandsAsEasierAndHarderIsFound() {
        var front = training(Catalogue.position("seated-90-90-front").orElseThrow());
        var both = new Training(
                front.tissue(),
                front.press(),
                front.pull(),
                front.lifts(),
                List.of(new Training.Pair("lower bench", "harder")),
                List.of(new Hint("a lower bench", Hint.Take.BENCH, "", -5)),
                List.of(new Hint("smaller angle", Hint.Take.ANGLE, "", -5)),
                front.fixes(),
                front.stops(),
                front.equipment(),
                front.methods(),
                front.together(),
                front.source());
        assertThat(both.contradictions()).containsExactlyInAnyOrder("lower bench", "smaller angle");
    }
}
