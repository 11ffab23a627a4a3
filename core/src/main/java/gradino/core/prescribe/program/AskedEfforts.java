package gradino.core.prescribe.program;

import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.Leaf;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockReader;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What each press of a side asks for at its top, found by the id of its block.
 *
 * @param bySet the presses of a set, one after the other
 */
public record AskedEfforts(Map<Integer, List<EffortPercent>> bySet) {
    public AskedEfforts {
        bySet = Map.copyOf(bySet);
    }

    public static AskedEfforts of(List<BlockDraft> blocks) {
        var asked = new HashMap<Integer, List<EffortPercent>>();
        var world = BlockReader.BlockWorld.NONE;
        for (var block : new BlockReader(world, new ArrayList<>()).all(blocks, "")) {
            for (var part : block.parts()) {
                if (part.leaf().kind() == BlockKind.PRESS) {
                    asked.computeIfAbsent(part.set(), k -> new ArrayList<>()).add(peak(part.leaf()));
                }
            }
        }
        return new AskedEfforts(asked);
    }

    private static EffortPercent peak(Leaf leaf) {
        var peak = EffortPercent.of(0);
        for (var phase : leaf.phases()) {
            peak = peak.atLeast(phase.to());
        }
        return peak;
    }

    public boolean isEmpty() {
        return bySet.isEmpty();
    }

    /** Empty for a block that presses nothing here. In a second round of the whole line the numbers of its ids go on. */
    public Optional<EffortPercent> of(BlockId id) {
        var all = id.kind() == BlockKind.PRESS ? bySet.getOrDefault(id.set(), List.of()) : List.<EffortPercent>of();
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get((id.nth() - 1) % all.size()));
    }
}
