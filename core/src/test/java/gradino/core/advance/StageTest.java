package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.body.Stage;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.perform.Observer;
import gradino.core.prescribe.House;
import gradino.core.prescribe.method.Dose;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The next stage: the same motion in a harder position, for both sides at once. */
public final class StageTest {

    private static Dose top(int ceiling) {
        return House.dose(30, 120, 4, ceiling, 20);
    }

    private static Story full(Dose dose, Limits limits) {
        return Story.of(dose)
                .client(new ClientFacts(limits, false, null, 45.0, null, null, null))
                .clean(15, 12, 9, 6, 3)
                .passive(31, 1);
    }

    private static List<Reason> reasons(Proposal p) {
        return p.alternatives().stream()
                .filter(a -> a.lever() == LeverId.STAGE)
                .map(a -> a.why().reason())
                .toList();
    }

    /** Worked case 16: effort capped at 50 %, top hold, sets and supported hold at their tops, control grade 2. */
    @Test
    public void case16GoesToTheNextStageAtTheClientsOwnCap() {
        var p = full(top(50), AnyLimits.of(RestrictionKind.EFFORT_CAP, 50.0))
                .graded(Side.LEFT, 2)
                .graded(Side.RIGHT, 2)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STEP_UP);
        assertThat(p.lever()).isEqualTo(LeverId.STAGE);
        assertThat(p.stage()).isEqualTo("seated-90-90-rear");
        assertThat(p.to()).isEqualTo(p.from());
        assertThat(p.why().text()).isEqualTo("Next stage: seated 90-90, rear leg");
    }

    @Test
    public void withoutACapTheEffortComesToItsTopFirst() {
        var graded = full(top(70), Limits.NONE).graded(Side.LEFT, 3).graded(Side.RIGHT, 3);
        assertThat(graded.left().lever()).isEqualTo(LeverId.CEILING_TO_TOP);
        var all = full(top(100), Limits.NONE).graded(Side.LEFT, 3).graded(Side.RIGHT, 3);
        assertThat(all.left().lever()).isEqualTo(LeverId.STAGE);
    }

    @DataProvider
    public Object[][] missing() {
        return new Object[][] {
            {1, 2, Reason.GRADE_TOO_LOW},
            {2, 1, Reason.STAGE_OTHER_SIDE},
        };
    }

    @Test(dataProvider = "missing")
    public void bothSidesAreGradedWellEnough(int left, int right, Reason expected) {
        var p = full(top(100), Limits.NONE)
                .graded(Side.LEFT, left)
                .graded(Side.RIGHT, right)
                .left();
        assertThat(p.verdict()).isEqualTo(Verdict.STAY);
        assertThat(reasons(p)).containsExactly(expected);
    }

    @Test
    public void whoWasNeverGradedIsAskedFor() {
        var p = full(top(100), Limits.NONE).left();
        assertThat(reasons(p)).containsExactly(Reason.GRADE_TOO_LOW);
        assertThat(p.requests()).extracting(Because::reason).contains(Reason.ASK_GRADE);
    }

    @Test
    public void nobodyGoesToTheNextStageUnseen() {
        var p = Story.of(top(100))
                .observedBy(Observer.CLIENT)
                .clean(15, 12, 9, 6, 3)
                .passive(31, 1)
                .graded(Side.LEFT, 2)
                .graded(Side.RIGHT, 2)
                .left();
        assertThat(p.lever()).isNull();
        assertThat(reasons(p)).containsExactly(Reason.STAGE_NOT_FULL);
        assertThat(p.requests()).extracting(Because::reason).contains(Reason.ASK_OBSERVE);
    }

    @DataProvider
    public Object[][] stages() {
        return Stage.all().stream().map(s -> new Object[] {s}).toArray(Object[][]::new);
    }

    /** Lying comes before anything else (the handbook's order of positions, house rule); nothing leads back to itself. */
    @Test(dataProvider = "stages")
    public void lyingComesFirstAndEveryFlightEnds(Stage stage) {
        assertThat(Catalogue.position(stage.to()))
                .get()
                .matches(p -> !p.lying(), "is not lying")
                .matches(Position::trains, "trains");
        assertThat(stage.needs()).isNotEmpty();
        for (var motion : stage.motions()) {
            var at = Stage.after(motion, stage.from());
            for (int n = 0; at.isPresent(); n++) {
                assertThat(n).as("a flight of %s without an end", motion).isLessThan(20);
                at = Stage.after(motion, at.get().to());
            }
        }
    }

    /** Lift-offs before transitions, lying before propped before plank before standing (common practice, no source). */
    @Test
    public void liftOffsComeBeforeTransitions() {
        assertThat(Stage.after("hip-internal-rotation", "wide-knee-lift-offs"))
                .get()
                .extracting(Stage::to)
                .isEqualTo("wide-knee-sit-transitions");
        assertThat(Stage.after("hip-internal-rotation", "wide-knee-sit"))
                .get()
                .extracting(Stage::to)
                .isEqualTo("wide-knee-lift-offs");
        assertThat(Stage.after("hip-external-rotation", "closed-chain-plank"))
                .get()
                .extracting(Stage::to)
                .isEqualTo("closed-chain-standing");
    }
}
