package gradino.core.prescribe.block;

import gradino.core.prescribe.block.Quiet.Rest;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Blocks in order, a few rounds of them with a rest between. Groups may stand in groups. */
public record Group(List<Block> blocks, int rounds, int restSeconds) implements Block {
    public Group {
        blocks = List.copyOf(blocks);
    }

    @Override
    public String inWords() {
        var each = blocks.stream().map(Block::inWords).collect(Collectors.joining(" "));
        var rest = restSeconds > 0 && rounds > 1 ? " %d s rest between.".formatted(restSeconds) : "";
        return "%d %s of: %s%s".formatted(rounds, rounds == 1 ? "round" : "rounds", each, rest);
    }

    @Override
    public List<Part> parts() {
        var parts = new ArrayList<Part>();
        for (int round = 1; round <= rounds; round++) {
            for (var block : blocks) {
                for (var part : block.parts()) {
                    parts.add(part.sets() > 0 ? part : new Part(part.leaf(), round, rounds));
                }
            }
            if (restSeconds > 0 && round < rounds) {
                parts.add(new Part(new Rest(restSeconds), round, rounds));
            }
        }
        return parts;
    }
}
