package gradino.core.prescribe.timeline;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.block.Block;
import gradino.core.quantity.OutOfBoundsException;
import java.util.List;

/**
 * A line's protocol: an ordered list of blocks for each side.
 *
 * @param line id within the session; empty when it is the only one
 * @param motion id in the catalogue
 * @param position id in the catalogue
 * @param method id of the method it follows
 * @param firstSide goes first: the worse one; left for the midline
 * @param blocks what is done with both sides together, or in the middle, is kept on the left
 * @param setUpSeconds before the first side, 0 to 600
 * @param sideChangeSeconds between the sides, 0 to 600
 */
public record Protocol(
        String line,
        String motion,
        String position,
        String method,
        SideOrder sides,
        Side firstSide,
        Sided<List<Block>> blocks,
        int setUpSeconds,
        int sideChangeSeconds) {

    public Protocol {
        OutOfBoundsException.require("setUpSeconds", setUpSeconds, 0, 600, "s");
        OutOfBoundsException.require("sideChangeSeconds", sideChangeSeconds, 0, 600, "s");
        blocks = blocks.map((side, list) -> List.copyOf(list));
    }

    /** The blocks of a side; one dose for both is kept on the left. */
    public List<Block> on(Side side) {
        return blocks.on(side == Side.MIDLINE ? Side.LEFT : side);
    }

    /** The side that begins. */
    public Side begins() {
        return switch (sides) {
            case LEFT -> Side.LEFT;
            case RIGHT -> Side.RIGHT;
            case TOGETHER, MIDLINE -> Side.MIDLINE;
            case ONE_AFTER_OTHER, FIRST_TWICE, ALTERNATING -> firstSide;
        };
    }

    /** Name of the list of a side's blocks in a session's draft. */
    public static String list(Side side) {
        return side == Side.RIGHT ? "right" : "left";
    }
}
