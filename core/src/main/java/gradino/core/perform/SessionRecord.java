package gradino.core.perform;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.Dose;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A closed session of one line.
 *
 * @param doses what was prescribed that day
 * @param rating hardness of the whole session; null when not given
 * @param stopSign what ended it; null when nothing did
 * @param stopSide side the sign was felt on; null for a sign of the whole person
 * @param efforts what gauges said of its blocks; empty without one
 */
public record SessionRecord(
        String id,
        Instant startedAt,
        Instant endedAt,
        Observer observer,
        Sided<Dose> doses,
        List<BlockRecord> blocks,
        @Nullable Tenths rating,
        @Nullable StopSign stopSign,
        @Nullable Side stopSide,
        String note,
        List<MeasuredEffort> efforts) {
    public SessionRecord {
        blocks = List.copyOf(blocks);
        // What was kept before there were gauges has none.
        efforts = efforts == null ? List.of() : List.copyOf(efforts);
        if (endedAt.isBefore(startedAt)) {
            throw new IllegalArgumentException("a session cannot end before it starts");
        }
    }

    public SessionRecord withEfforts(List<MeasuredEffort> measured) {
        return new SessionRecord(
                id, startedAt, endedAt, observer, doses, blocks, rating, stopSign, stopSide, note, measured);
    }

    /** Whether both sides worked at once in it, so that what stops one stops the other. */
    public boolean bothAtOnce() {
        return blocks.stream().anyMatch(b -> b.side() == Side.MIDLINE);
    }

    public List<BlockRecord> blocks(Side side) {
        return blocks.stream().filter(b -> b.isOf(side)).toList();
    }
}
