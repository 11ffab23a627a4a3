package gradino.core.effort;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockDraft.Tread;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.prescribe.timeline.SideOrder;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

public class ForecastTest {
    private static SessionDraft session(LineDraft... lines) {
        return new SessionDraft(
                List.of(), Arrays.stream(lines).map(StationDraft::of).toList());
    }

    private static LineDraft line(String id, String motion, BlockDraft... blocks) {
        var list = List.of(blocks);
        return new LineDraft(
                id,
                motion,
                "prone-knee-bent",
                "ramp-both-ways",
                SideOrder.ONE_AFTER_OTHER,
                Side.LEFT,
                new Sided<>(20.0, 20.0),
                list,
                list,
                20,
                20,
                3,
                "",
                null);
    }

    private static BlockDraft graded(double ceiling, double sets, double topHold, double rest) {
        return new BlockDraft(
                BlockForm.GRADED_SET,
                Map.of("ceiling", ceiling, "sets", sets, "top-hold", topHold, "settle", 0.0, "rest", rest),
                Map.of(),
                List.of(new Tread(40, 5), new Tread(60, 5), new Tread(100, 5)),
                List.of());
    }

    private static Forecast forecast(SessionDraft draft) {
        return Forecast.of(
                draft, Compiler.compile(SessionReader.read(draft).plan().orElseThrow()));
    }

    /** Whether every effort below 90 % can be done as asked. */
    private static boolean isFeasible(Forecast forecast) {
        return forecast.marks().stream().allMatch(Forecast.Shortfall::allOut);
    }

    @Test
    public void pressAndPullRestByTurnsAndOppositeMotionsShareTheirMuscles() {
        var one = forecast(session(line("a", "hip-internal-rotation", graded(50, 2, 10, 0))));
        assertThat(one.pools())
                .extracting(p -> p.motion() + " " + p.side().word())
                .containsExactly(
                        "hip-external-rotation left",
                        "hip-internal-rotation left",
                        "hip-external-rotation right",
                        "hip-internal-rotation right");
        assertThat(one.pools()).allMatch(p -> p.borrowed().equals(List.of("knee", "trunk")));
        for (var motion : Catalogue.motions()) {
            assertThat(Fatigue.of(motion.joint())).as(motion.joint()).isNotEmpty();
        }
        assertThat(Fatigue.isBorrowed("lumbar")).isFalse();
        assertThat(Fatigue.isBorrowed("neck")).isTrue();
        assertThat(isFeasible(one)).isTrue();
        var both = forecast(session(
                line("a", "hip-internal-rotation", graded(50, 2, 10, 0)),
                line("b", "hip-external-rotation", graded(50, 2, 10, 0))));
        assertThat(both.pools()).hasSize(4);
    }

    @Test
    public void anEffortTheModelDoesNotLeaveIsMarkedAndTheWaysOutAreTheEdges() {
        var hard = session(line("a", "hip-internal-rotation", graded(80, 4, 20, 0)));
        assertThat(isFeasible(forecast(hard))).isFalse();
        assertThat(forecast(hard).marks()).allMatch(m -> m.place().startsWith("stations[0].lines[0]."));
        var out = EffortSolver.solve(hard, 0, 0, 0);
        int ceiling = out.ceiling().orElseThrow();
        assertThat(isFeasible(forecast(session(line("a", "hip-internal-rotation", graded(ceiling, 4, 20, 0))))))
                .isTrue();
        assertThat(isFeasible(forecast(session(line("a", "hip-internal-rotation", graded(ceiling + 1, 4, 20, 0))))))
                .isFalse();
        out.restSeconds().ifPresent(rest -> {
            assertThat(isFeasible(forecast(session(line("a", "hip-internal-rotation", graded(80, 4, 20, rest))))))
                    .isTrue();
            assertThat(isFeasible(forecast(session(line("a", "hip-internal-rotation", graded(80, 4, 20, rest - 1.0))))))
                    .isFalse();
        });
    }

    @Test
    public void allThatIsLeftIsToldButNotJudged() {
        var max = forecast(session(line("a", "hip-internal-rotation", graded(100, 2, 5, 0))));
        assertThat(isFeasible(max)).isTrue();
        assertThat(max.marks()).isNotEmpty().allMatch(m -> m.allOut() && m.left() < 100);
    }

    /**
     * Knee, 50 % for 60 s easing off over 40 s: less is left at its end than it began with, but never less than is asked at that
     * moment (three-compartment model of Xia and Frey Law 2008, parameters of Frey-Law et al. 2012; values from memory).
     */
    @Test
    public void aFallingRampIsComparedAtEachMoment() {
        assertThat(forecast(easing(50, 40)).marks()).isEmpty();
        assertThat(isFeasible(forecast(easing(80, 40)))).isFalse();
    }

    private static SessionDraft easing(double percent, double down) {
        var ramp = new BlockDraft(
                BlockForm.PRESS_RAMP,
                Map.of("top-hold", 60.0, "down", down),
                Map.of(),
                List.of(new Tread(percent, 5)),
                List.of());
        return session(line("a", "knee-flexion", ramp));
    }
}
