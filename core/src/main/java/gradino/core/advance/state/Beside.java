package gradino.core.advance.state;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.timeline.EffortClass;
import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

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

    /** With one session more on a side. */
    public Beside plus(Side side, EffortClass in, Instant endedAt) {
        var more = new EnumMap<EffortClass, Tally>(EffortClass.class);
        more.putAll(sessions.on(side));
        more.merge(in, new Tally(1, endedAt), Tally::and);
        return new Beside(sessions.with(side, more));
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
