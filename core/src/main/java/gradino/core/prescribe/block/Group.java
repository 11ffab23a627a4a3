package gradino.core.prescribe.block;

import gradino.core.prescribe.block.Quiet.Rest;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Blocks in order, a few rounds of them with a rest between. Groups may stand in groups.
 *
 * @param riseCm by which the prop is raised from round to round; 0 where it stays
 */
public record Group(List<Block> blocks, int rounds, int restSeconds, double riseCm) implements Block {
    /** To move a prop between rounds that have no rest (house rule). */
    private static final int SECONDS_TO_RAISE = 5;

    public Group {
        OutOfBoundsException.require("rise", riseCm, 0, 100, "cm");
        blocks = List.copyOf(blocks);
    }

    public Group(List<Block> blocks, int rounds, int restSeconds) {
        this(blocks, rounds, restSeconds, 0);
    }

    @Override
    public String inWords() {
        var each = blocks.stream().map(Block::inWords).collect(Collectors.joining(" "));
        var rest = restSeconds > 0 && rounds > 1 ? " %d s rest between.".formatted(restSeconds) : "";
        var rise = riseCm > 0 && rounds > 1
                ? " The prop begins %s lower and goes up %s each round."
                        .formatted(cm((rounds - 1) * riseCm), cm(riseCm))
                : "";
        return "%d %s of: %s%s%s".formatted(rounds, rounds == 1 ? "round" : "rounds", each, rest, rise);
    }

    @Override
    public List<Part> parts() {
        var parts = new ArrayList<Part>();
        for (int round = 1; round <= rounds; round++) {
            for (var block : blocks) {
                for (var part : block.parts()) {
                    var leaf = lower(part.leaf(), (rounds - round) * riseCm);
                    parts.add(
                            part.sets() > 0
                                    ? new Part(leaf, part.set(), part.sets(), part.breathing())
                                    : new Part(leaf, round, rounds, part.breathing()));
                }
            }
            if (round < rounds && (restSeconds > 0 || riseCm > 0)) {
                parts.add(new Part(between(), round, rounds));
            }
        }
        return parts;
    }

    private Rest between() {
        return riseCm > 0
                ? new Rest(Math.max(SECONDS_TO_RAISE, restSeconds), "Raise the prop by " + cm(riseCm))
                : new Rest(restSeconds);
    }

    /** The height reached in the last round is the dose's. */
    private static Leaf lower(Leaf leaf, double byCm) {
        return leaf instanceof Movement.LiftOff lift && byCm > 0 ? lift.lower(byCm) : leaf;
    }

    private static String cm(double length) {
        return length == Math.rint(length) ? "%.0f cm".formatted(length) : "%.1f cm".formatted(length);
    }
}
