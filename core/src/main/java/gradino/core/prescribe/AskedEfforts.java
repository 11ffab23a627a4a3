package gradino.core.prescribe;

import gradino.core.body.Side;
import gradino.core.prescribe.TimelineBuilder.Spot;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What each press of a composed side asks for at its top, found by the id of its block. */
public final class AskedEfforts {
    private final Map<String, List<EffortPercent>> byName = new HashMap<>();

    private AskedEfforts() {}

    public static AskedEfforts of(List<BlockDraft> blocks) {
        var into = new TimelineBuilder();
        var world = new BlockReader.BlockWorld("", "", "");
        for (var block : new BlockReader(world, new ArrayList<>()).all(blocks, "")) {
            into.add(new Spot(Side.LEFT, "", ""), block);
        }
        var peaks = new LinkedHashMap<String, EffortPercent>();
        for (var phase : into.timeline().phases()) {
            if (phase.block() == BlockKind.PRESS) {
                peaks.merge(phase.blockId(), phase.effortTo(), EffortPercent::atLeast);
            }
        }
        var asked = new AskedEfforts();
        peaks.forEach((id, peak) -> asked.byName
                .computeIfAbsent(new Name(id).kind(), k -> new ArrayList<>())
                .add(peak));
        return asked;
    }

    public boolean isEmpty() {
        return byName.isEmpty();
    }

    /** Empty for a block that presses nothing here. In a second round of the whole line the numbers of its ids go on. */
    public Optional<EffortPercent> of(String blockId) {
        var name = new Name(blockId);
        var all = byName.getOrDefault(name.kind(), List.of());
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get((name.nth() - 1) % all.size()));
    }

    /** left-2-press-3: the third press of a second set. The side is left out. */
    private record Name(String id) {
        String kind() {
            var tail = id.substring(id.indexOf('-') + 1);
            int last = tail.lastIndexOf('-');
            return last > 0 && isNumber(tail.substring(last + 1)) ? tail.substring(0, last) : tail;
        }

        int nth() {
            var last = id.substring(id.lastIndexOf('-') + 1);
            return isNumber(last) ? Integer.parseInt(last) : 1;
        }

        private static boolean isNumber(String text) {
            return !text.isEmpty() && text.length() < 5 && text.chars().allMatch(Character::isDigit);
        }
    }
}
