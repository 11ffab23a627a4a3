package gradino.core.prescribe.program;

import gradino.core.body.Side;
import gradino.core.prescribe.block.Block;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.block.Leaf;
import gradino.core.prescribe.block.Quiet;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.timeline.Protocol;
import java.util.List;
import java.util.Optional;

/**
 * The hardest of what a side of a protocol asks, with the place that asks it.
 *
 * @param peak highest effort, %
 * @param longest contraction without a pause, s
 * @param release place of the first release with a tool; empty without one
 */
record Hardest(int peak, String peakAt, int longest, String longestAt, Optional<String> release) {

    /** Blocks that could not be read are not counted: they have findings of their own. */
    static Hardest of(LineDraft line, Protocol protocol, Side side, String path) {
        var at = path + "." + Protocol.list(side);
        boolean whole = protocol.on(side).size() == line.on(side).size();
        int peak = 0;
        int longest = 0;
        String peakAt = at;
        String longestAt = at;
        Optional<String> release = Optional.empty();
        for (int i = 0; i < protocol.on(side).size(); i++) {
            var here = whole ? at + "[" + i + "]" : at;
            for (var part : protocol.on(side).get(i).parts()) {
                if (peak(part.leaf()) > peak) {
                    peak = peak(part.leaf());
                    peakAt = here;
                }
                if (longest(part.leaf()) > longest) {
                    longest = longest(part.leaf());
                    longestAt = here;
                }
                if (part.leaf() instanceof Quiet.Release && release.isEmpty()) {
                    release = Optional.of(here);
                }
            }
        }
        return new Hardest(peak, peakAt, longest, longestAt, release);
    }

    /** Longest contraction without a pause in any of the blocks, s. */
    static int longest(List<Block> blocks) {
        return blocks.stream()
                .flatMap(b -> b.parts().stream())
                .mapToInt(part -> longest(part.leaf()))
                .max()
                .orElse(0);
    }

    static int peak(Leaf leaf) {
        int peak = 0;
        for (var draft : leaf.phases()) {
            peak = Math.max(peak, draft.from().value());
        }
        return peak;
    }

    /** A whole ramp is one contraction. */
    private static int longest(Leaf leaf) {
        int longest = 0;
        int run = 0;
        Direction before = Direction.NONE;
        for (var draft : leaf.phases()) {
            run = draft.direction() == Direction.NONE
                    ? 0
                    : draft.direction() == before ? run + draft.seconds() : draft.seconds();
            before = draft.direction();
            longest = Math.max(longest, run);
        }
        return longest;
    }
}
