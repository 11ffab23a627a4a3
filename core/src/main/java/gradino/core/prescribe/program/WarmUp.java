package gradino.core.prescribe.program;

import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Controlled rotations of the joints to come, three each way at six seconds (house values). */
public final class WarmUp {
    private WarmUp() {}

    /** Once for each joint, in the order of the lines. */
    public static List<BlockDraft> of(List<LineDraft> lines) {
        return lines.stream()
                .flatMap(line -> joint(line).stream())
                .distinct()
                .map(WarmUp::of)
                .toList();
    }

    public static BlockDraft of(String joint) {
        return new BlockDraft(
                BlockForm.CONTROLLED_ROTATION,
                Map.of("repetitions", 3.0, "seconds", 6.0),
                Map.of("joint", joint),
                List.of(),
                List.of());
    }

    public static Optional<String> joint(LineDraft line) {
        return Catalogue.motion(line.motion()).map(Motion::joint);
    }
}
