package gradino.core.prescribe.block;

import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.block.Block.Draft;
import java.util.ArrayList;
import java.util.List;

/** Two ways by turns, counted together. */
final class InOut {
    private InOut() {}

    record Way(PhaseKind kind, Direction direction, EffortStep step, String cue, String contact) {
        Draft draft(int n, int of) {
            return Draft.level(kind, direction, step, cue).counted(n, of).against(contact);
        }
    }

    static List<Draft> phases(int times, Way first, Way second) {
        var drafts = new ArrayList<Draft>();
        for (int n = 1; n <= times; n++) {
            drafts.add(first.draft(n, times));
            drafts.add(second.draft(n, times));
        }
        return drafts;
    }
}
