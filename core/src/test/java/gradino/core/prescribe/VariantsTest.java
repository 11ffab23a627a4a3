package gradino.core.prescribe;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.RestrictionKind;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.SessionContext;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.core.prescribe.program.Variants;
import gradino.core.prescribe.program.Variants.Kind;
import gradino.core.prescribe.program.Variants.Variant;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.prescribe.timeline.Timeline.Phase;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The easier version is easier, an extra set is one set, and neither breaks what the client may not do. */
public class VariantsTest {
    @DataProvider
    public Object[][] methods() {
        return Method.shipped().stream().map(m -> new Object[] {m.id()}).toArray(Object[][]::new);
    }

    private static SessionDraft session(String methodId) {
        var method = Method.byId(methodId).orElseThrow();
        var position = Catalogue.positions().stream()
                .filter(Position::trains)
                .filter(p -> Optional.ofNullable(p.training())
                        .orElseThrow()
                        .methods()
                        .contains(methodId))
                .findFirst()
                .orElseThrow();
        return new SessionDraft(
                List.of(),
                List.of(StationDraft.of(SessionTest.line("a", position, method, method.firstBlocks(false)))));
    }

    private static List<Variant> of(SessionDraft draft) {
        return Variants.of(draft, SessionContext.unrestricted(), Method.shipped());
    }

    private static int peak(List<Phase> phases) {
        return phases.stream().mapToInt(p -> p.effortTo().value()).max().orElse(0);
    }

    @Test(dataProvider = "methods")
    public void theEasierVersionOfABlockIsLessAndKeepsItsSide(String method) {
        var draft = session(method);
        var base = SessionReader.read(draft).plan().map(Compiler::compile).orElseThrow();
        for (var v : of(draft)) {
            var phases = base.phases().stream()
                    .filter(p -> p.blockId().equals(v.blockId()))
                    .toList();
            assertThat(phases).isNotEmpty();
            if (v.kind() == Kind.EASIER) {
                assertThat(v.phases())
                        .allMatch(p -> p.blockId().equals(v.blockId().as(BlockId.Way.EASIER)));
                assertThat(v.phases())
                        .extracting(Phase::side)
                        .containsOnly(phases.get(0).side());
                assertThat(peak(v.phases()))
                        .isLessThanOrEqualTo(Math.max(peak(phases) - 20, Math.min(20, peak(phases))));
            }
            assertThat(v.phases().get(0).startSecond()).isZero();
        }
    }

    @Test
    public void anExtraSetIsOnePressAndOnePullMoreOnOneSide() {
        var extra = of(session(Method.RAMP_BOTH_WAYS)).stream()
                .filter(v -> v.kind() == Kind.EXTRA_SET)
                .toList();
        assertThat(extra.stream().map(v -> v.phases().get(0).side()).collect(Collectors.toSet()))
                .containsExactlyInAnyOrder(Side.LEFT, Side.RIGHT);
        for (var v : extra) {
            assertThat(v.phases().stream().filter(p -> p.kind() == PhaseKind.TOP_HOLD && p.block() == BlockKind.PRESS))
                    .hasSize(1);
            assertThat(v.phases())
                    .extracting(Phase::side)
                    .containsOnly(v.phases().get(0).side());
        }
    }

    @Test
    public void noExtraSetWhereTheMotionIsStopped() {
        var facts = LineFacts.UNKNOWN;
        var stopped = new SessionContext(
                null,
                List.of(),
                line -> new LineFacts(
                        AnyLimits.of(RestrictionKind.STOPPED, null), false, facts.held(), facts.passive(), true, true));
        assertThat(Variants.of(session(Method.RAMP_BOTH_WAYS), stopped, Method.shipped()))
                .noneMatch(v -> v.kind() == Kind.EXTRA_SET);
    }
}
