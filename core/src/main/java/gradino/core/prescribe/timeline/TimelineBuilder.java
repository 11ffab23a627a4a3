package gradino.core.prescribe.timeline;

import gradino.core.body.Joints;
import gradino.core.body.Side;
import gradino.core.prescribe.block.Block;
import gradino.core.prescribe.block.BreathPhase;
import gradino.core.prescribe.block.Breathing;
import gradino.core.prescribe.block.Leaf;
import gradino.core.prescribe.block.Movement;
import gradino.core.prescribe.timeline.Timeline.BreathMark;
import gradino.core.prescribe.timeline.Timeline.Phase;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Lays blocks one after the other and gives each its place in time, its id and its breath. */
final class TimelineBuilder {
    private static final EffortPercent SHALLOW_ABOVE = EffortPercent.of(50);

    private final List<Phase> phases = new ArrayList<>();
    private final Map<BlockId, Integer> used = new HashMap<>();
    private int now;

    /**
     * Where a block belongs.
     *
     * @param number of its line in the session, 1-based; 0 for none
     */
    record Spot(Side side, int number, String line, String place) {
        Spot on(Side other) {
            return other == side ? this : new Spot(other, number, line, place);
        }
    }

    Timeline timeline() {
        return new Timeline(phases);
    }

    void add(Spot spot, Block block) {
        for (var part : block.parts()) {
            for (var side : sides(spot.side(), part.leaf())) {
                add(spot.on(side), part);
            }
        }
    }

    /** Nobody circles both hips at once: a rotation of a paired joint is done side after side. */
    private static List<Side> sides(Side side, Leaf leaf) {
        return isDoneTwice(side, leaf) ? Side.PAIR : List.of(side);
    }

    /** How long a block takes where it stands. */
    static int seconds(Side side, Block block) {
        if (side != Side.MIDLINE) {
            return block.seconds();
        }
        int seconds = 0;
        for (var part : block.parts()) {
            seconds += sides(side, part.leaf()).size() * part.leaf().seconds();
        }
        return seconds;
    }

    private static boolean isDoneTwice(Side side, Leaf leaf) {
        return side == Side.MIDLINE
                && leaf instanceof Movement.ControlledRotation rotation
                && Joints.isPaired(rotation.joint());
    }

    private void add(Spot spot, Block.Part part) {
        var id = id(spot, part);
        int blockStart = now;
        for (var draft : part.leaf().phases()) {
            if (draft.seconds() > 0) {
                phases.add(phase(spot, part, id, draft, blockStart));
                now += draft.seconds();
            }
        }
    }

    /** The same kind twice in one place is told by a number. */
    private BlockId id(Spot spot, Block.Part part) {
        var id = new BlockId(spot.number(), spot.side(), part.set(), part.leaf().kind(), 1, BlockId.Way.PLANNED);
        return id.nth(used.merge(id, 1, Integer::sum));
    }

    private Phase phase(Spot spot, Block.Part part, BlockId id, Block.Draft draft, int blockStart) {
        return new Phase(
                now,
                now + draft.seconds(),
                spot.side(),
                spot.line(),
                spot.place(),
                id,
                part.leaf().kind(),
                draft.kind(),
                draft.direction(),
                draft.from(),
                draft.to(),
                draft.cue(),
                draft.contact(),
                part.set(),
                part.sets(),
                draft.count(),
                draft.counts(),
                breaths(draft, part.breathing(), blockStart));
    }

    private List<BreathMark> breaths(Block.Draft draft, Breathing breathing, int blockStart) {
        if (draft.to().compareTo(SHALLOW_ABOVE) > 0) {
            return List.of(new BreathMark(now, BreathPhase.SHALLOW));
        }
        var marks = new ArrayList<BreathMark>();
        for (int t = now; t < now + draft.seconds(); t++) {
            var phase = breathing.phaseAt(t - blockStart);
            if (marks.isEmpty() || marks.get(marks.size() - 1).phase() != phase) {
                marks.add(new BreathMark(t, phase));
            }
        }
        return List.copyOf(marks);
    }
}
