package gradino.core.prescribe;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import java.util.List;

/** A session as it is composed; {@link SessionReader} reads it. Findings name their place by these names. */
public record SessionDraft(List<BlockDraft> warmUp, List<StationDraft> stations) {
    /** Beyond this a session is a mistake, and reading it would only cost time. */
    public static final int MOST_BLOCKS = 150;

    public SessionDraft {
        warmUp = List.copyOf(warmUp);
        stations = List.copyOf(stations);
    }

    /** Lines done together, as typed. */
    public record StationDraft(List<LineDraft> lines, double rounds, double restSeconds, boolean oneSetUp) {
        public StationDraft {
            lines = List.copyOf(lines);
        }

        public static StationDraft of(LineDraft line) {
            return new StationDraft(List.of(line), 1, 0, false);
        }
    }

    /**
     * A line as typed.
     *
     * @param id within the session
     * @param angles working angle a side, degrees from the position's zero
     * @param left blocks of the left side, or of the midline
     * @param unequalReason why the sides differ; empty when they do not
     */
    public record LineDraft(
            String id,
            String motion,
            String position,
            String method,
            SidePlan sides,
            Side firstSide,
            Sided<Double> angles,
            List<BlockDraft> left,
            List<BlockDraft> right,
            double setUpSeconds,
            double sideChangeSeconds,
            int sessionsPerWeek,
            String unequalReason) {
        public LineDraft {
            left = List.copyOf(left);
            right = List.copyOf(right);
        }

        public List<BlockDraft> on(Side side) {
            return side == Side.RIGHT ? right : left;
        }

        /** The sides that are done. */
        public List<Side> done() {
            return switch (sides) {
                case LEFT -> List.of(Side.LEFT);
                case RIGHT -> List.of(Side.RIGHT);
                case MIDLINE -> List.of(Side.MIDLINE);
                case ONE_AFTER_OTHER, ALTERNATING -> Side.PAIR;
            };
        }
    }

    /** All blocks, those in groups too. */
    public int blockCount() {
        int count = count(warmUp);
        for (var station : stations) {
            for (var line : station.lines()) {
                count += count(line.left()) + count(line.right());
            }
        }
        return count;
    }

    private static int count(List<BlockDraft> blocks) {
        int count = 0;
        for (var block : blocks) {
            count += 1 + count(block.blocks());
        }
        return count;
    }
}
