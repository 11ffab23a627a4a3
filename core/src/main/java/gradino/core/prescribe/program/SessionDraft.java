package gradino.core.prescribe.program;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.noise.Instrument;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.quantity.Degrees;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

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
     * @param left blocks of the left side, of both together, or of the midline
     * @param right of the right side; none where there is one dose
     * @param unequalReason why the sides differ; empty when they do not
     * @param instrument whose cold readings the line goes by; null for that of the newest
     */
    public record LineDraft(
            String id,
            String motion,
            String position,
            String method,
            SideOrder sides,
            Side firstSide,
            Sided<Double> angles,
            List<BlockDraft> left,
            List<BlockDraft> right,
            double setUpSeconds,
            double sideChangeSeconds,
            int sessionsPerWeek,
            String unequalReason,
            @Nullable Instrument instrument) {
        public LineDraft {
            left = List.copyOf(left);
            right = sides.one() ? List.of() : List.copyOf(right);
        }

        public LineDraft withBlocks(List<BlockDraft> toLeft, List<BlockDraft> toRight) {
            return copy(sides, firstSide, angles, toLeft, toRight, sessionsPerWeek, unequalReason);
        }

        /** What a side does: its angle, 0 where none was typed, and its blocks. The midline's is on the left. */
        public Dose dose(Side side) {
            double angle = angles.on(side);
            return new Dose(Degrees.of(Double.isFinite(angle) ? angle : 0), on(side));
        }

        /**
         * What this one does, in the place of another: as often, on the same sides where its position allows it, and as long between
         * them.
         */
        public LineDraft as(LineDraft other) {
            boolean parted = other.sides() == SideOrder.TOGETHER
                    && Catalogue.position(position)
                            .filter(p -> !p.allowsTogether())
                            .isPresent();
            var order = parted ? SideOrder.ONE_AFTER_OTHER : other.sides();
            var both = right.isEmpty() ? left : right;
            return copy(order, other.firstSide(), angles, left, both, other.sessionsPerWeek(), "");
        }

        /** The same line at other doses, as often a week as said. */
        public LineDraft with(Sided<Dose> doses, int perWeek) {
            var moved = doses.map((side, dose) -> dose.equals(dose(side))
                    ? angles.on(side)
                    : (Double) dose.angle().value());
            return copy(
                    sides,
                    firstSide,
                    moved,
                    doses.left().blocks(),
                    doses.right().blocks(),
                    perWeek,
                    unequalReason);
        }

        /** The same line in a position that is taken so many seconds after the one before. */
        public LineDraft withSetUp(double seconds) {
            return new LineDraft(
                    id,
                    motion,
                    position,
                    method,
                    sides,
                    firstSide,
                    angles,
                    left,
                    right,
                    seconds,
                    sideChangeSeconds,
                    sessionsPerWeek,
                    unequalReason,
                    instrument);
        }

        private LineDraft copy(
                SideOrder order,
                Side first,
                Sided<Double> at,
                List<BlockDraft> onLeft,
                List<BlockDraft> onRight,
                int perWeek,
                String reason) {
            return new LineDraft(
                    id,
                    motion,
                    position,
                    method,
                    order,
                    first,
                    at,
                    onLeft,
                    onRight,
                    setUpSeconds,
                    sideChangeSeconds,
                    perWeek,
                    reason,
                    instrument);
        }

        /** How hard a side works; empty where it does nothing. One dose for both is of each. */
        public Optional<EffortClass> effortClass(Side side) {
            var dose = dose(sides.one() ? Side.LEFT : side);
            return dose.hasBlocks() ? Optional.of(EffortClass.of(dose)) : Optional.empty();
        }

        /** Whether a side moves something under an added load. */
        public boolean loaded() {
            return Side.PAIR.stream().anyMatch(side -> dose(side).hasAddedLoad());
        }

        public List<BlockDraft> on(Side side) {
            return side == Side.RIGHT ? right : left;
        }

        /** The sides that are done. */
        public List<Side> done() {
            return switch (sides) {
                case LEFT -> List.of(Side.LEFT);
                case RIGHT -> List.of(Side.RIGHT);
                case TOGETHER, MIDLINE -> List.of(Side.MIDLINE);
                case ONE_AFTER_OTHER, FIRST_TWICE, ALTERNATING -> Side.PAIR;
            };
        }
    }

    /** All lines in the order they are done. */
    public List<LineDraft> lines() {
        return stations.stream().flatMap(s -> s.lines().stream()).toList();
    }

    /** The same session with every line changed. */
    public SessionDraft withLines(UnaryOperator<LineDraft> change) {
        return new SessionDraft(
                warmUp,
                stations.stream()
                        .map(s -> new StationDraft(
                                s.lines().stream().map(change).toList(), s.rounds(), s.restSeconds(), s.oneSetUp()))
                        .toList());
    }

    /** The same session with the blocks at one index of a line changed, on both sides. */
    public SessionDraft withBlocks(int station, int line, int block, UnaryOperator<BlockDraft> change) {
        var all = new ArrayList<>(stations);
        var changed = all.get(station);
        var lines = new ArrayList<>(changed.lines());
        var old = lines.get(line);
        lines.set(line, old.withBlocks(at(old.left(), block, change), at(old.right(), block, change)));
        all.set(station, new StationDraft(lines, changed.rounds(), changed.restSeconds(), changed.oneSetUp()));
        return new SessionDraft(warmUp, all);
    }

    private static List<BlockDraft> at(List<BlockDraft> blocks, int index, UnaryOperator<BlockDraft> change) {
        if (index >= blocks.size()) {
            return blocks;
        }
        var all = new ArrayList<>(blocks);
        all.set(index, change.apply(blocks.get(index)));
        return all;
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
