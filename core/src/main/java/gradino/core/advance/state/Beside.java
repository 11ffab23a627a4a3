package gradino.core.advance.state;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.timeline.EffortClass;
import java.util.EnumMap;
import java.util.Map;

/** Sessions of the same motion in the client's other lines, a side, each by the hardest class in which it was trained there. */
public record Beside(Sided<Map<EffortClass, Integer>> sessions) {
    public static final Beside NONE = new Beside(Sided.both(Map.of()));

    public Beside {
        sessions = sessions.map((side, map) -> Map.copyOf(map));
    }

    /** With one session more on a side. */
    public Beside plus(Side side, EffortClass in) {
        var more = new EnumMap<EffortClass, Integer>(EffortClass.class);
        more.putAll(sessions.on(side));
        more.merge(in, 1, Integer::sum);
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
        int count = 0;
        for (var entry : sessions.on(side).entrySet()) {
            count += entry.getKey().compareTo(least) >= 0 ? entry.getValue() : 0;
        }
        return count;
    }
}
