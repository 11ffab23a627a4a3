package gradino.core.prescribe.program;

import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockParameter;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Sets of a line more or less, in the last block of a side that counts them. */
public final class Sets {
    private static final String SETS = "sets";

    private Sets() {}

    static List<BlockDraft> more(List<BlockDraft> blocks) {
        return changed(blocks, 1);
    }

    /** The line with a set less on each side that has one to spare; empty where none has. */
    public static Optional<LineDraft> less(LineDraft line) {
        var less = line.withBlocks(changed(line.left(), -1), changed(line.right(), -1));
        return Optional.of(less).filter(l -> !l.equals(line));
    }

    /** One set always stays. */
    private static List<BlockDraft> changed(List<BlockDraft> blocks, int by) {
        for (int i = blocks.size() - 1; i >= 0; i--) {
            var block = blocks.get(i);
            if (BlockParameter.find(block.form(), SETS).isPresent()) {
                var changed = new ArrayList<>(blocks);
                changed.set(i, block.with(SETS, Math.max(1, block.number(SETS) + by)));
                return changed;
            }
        }
        return blocks;
    }
}
