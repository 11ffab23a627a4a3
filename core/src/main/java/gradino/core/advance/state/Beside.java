package gradino.core.advance.state;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.timeline.EffortClass;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Sessions of the same motion in the client's other lines, a side, each by the hardest class in which it was trained there. */
public record Beside(Sided<Map<EffortClass, Tally>> sessions) {
    public static final Beside NONE = new Beside(Sided.both(Map.of()));

    /**
     * Sessions of one class.
     *
     * @param last end of the newest
     */
    public record Tally(int count, Instant last) {
        Tally and(Tally other) {
            return new Tally(count + other.count, later(last, other.last));
        }
    }

    public Beside {
        sessions = sessions.map((side, map) -> Map.copyOf(map));
    }

    private static Instant later(Instant one, Instant other) {
        return one.isAfter(other) ? one : other;
    }

    /**
     * A line in one session, each side in the class of its dose; null for a side that did nothing.
     *
     * @param endedAt of the session
     */
    public record Trained(
            String lineId,
            String sessionId,
            Instant endedAt,
            @Nullable EffortClass left,
            @Nullable EffortClass right) {}

    /**
     * What was trained in others than one line. Two lines of one session are one, of the harder class; a session that had the line
     * itself is none of others.
     *
     * @param all of the motion, those of one session one after the other
     */
    public static Beside of(String lineId, List<Trained> all) {
        var tallies = Sided.<Map<EffortClass, Tally>>of(side -> new EnumMap<>(EffortClass.class));
        int end;
        for (int first = 0; first < all.size(); first = end) {
            var session = all.get(first);
            boolean own = false;
            EffortClass left = null;
            EffortClass right = null;
            for (end = first; end < all.size() && all.get(end).sessionId().equals(session.sessionId()); end++) {
                own |= all.get(end).lineId().equals(lineId);
                left = harder(left, all.get(end).left());
                right = harder(right, all.get(end).right());
            }
            if (!own) {
                count(tallies.left(), left, session.endedAt());
                count(tallies.right(), right, session.endedAt());
            }
        }
        return new Beside(tallies);
    }

    private static void count(Map<EffortClass, Tally> to, @Nullable EffortClass in, Instant endedAt) {
        if (in != null) {
            to.merge(in, new Tally(1, endedAt), Tally::and);
        }
    }

    private static @Nullable EffortClass harder(@Nullable EffortClass one, @Nullable EffortClass other) {
        return one == null || (other != null && other.compareTo(one) > 0) ? other : one;
    }

    /**
     * How many were of a class or harder.
     *
     * @param side the midline for what both sides do at one dose: what either has less of
     */
    public int count(Side side, EffortClass least) {
        if (!side.isPaired()) {
            return Math.min(count(Side.LEFT, least), count(Side.RIGHT, least));
        }
        return sessions.on(side).entrySet().stream()
                .filter(e -> e.getKey().compareTo(least) >= 0)
                .mapToInt(e -> e.getValue().count())
                .sum();
    }

    /** End of the newest of a class or harder; for the midline of the side that has been away longer. */
    public Optional<Instant> last(Side side, EffortClass least) {
        if (!side.isPaired()) {
            var left = last(Side.LEFT, least);
            return left.flatMap(l -> last(Side.RIGHT, least).map(r -> r.isBefore(l) ? r : l));
        }
        return sessions.on(side).entrySet().stream()
                .filter(e -> e.getKey().compareTo(least) >= 0)
                .map(e -> e.getValue().last())
                .reduce(Beside::later);
    }
}
