package gradino.core.schedule.week;

import java.util.List;
import java.util.Map;

/** What a week comes to at each level; smaller is better. Two scores are compared in an order of the levels, never added up. */
public record Score(Map<Level, Integer> of) {
    public Score {
        of = Map.copyOf(of);
    }

    public int at(Level level) {
        return of.getOrDefault(level, 0);
    }

    public int compare(Score other, List<Level> order) {
        for (var level : order) {
            int difference = Integer.compare(at(level), other.at(level));
            if (difference != 0) {
                return difference;
            }
        }
        return 0;
    }
}
