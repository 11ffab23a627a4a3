package gradino.core.measure.reading;

import gradino.core.measure.noise.NoiseRules;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Folds the cold readings of one series, in any order, into a {@link RangeState}. */
public final class RangeSeries {
    private RangeSeries() {}

    public static Optional<RangeState> fold(List<RangeReading> readings, NoiseRules rules) {
        return fold(readings, rules, Instant.MIN);
    }

    /** As above, with changes counted from the last reading up to {@code since}; where there is none, from the first. */
    public static Optional<RangeState> fold(List<RangeReading> readings, NoiseRules rules, Instant since) {
        var ordered =
                readings.stream().sorted(Comparator.comparing(RangeReading::at)).toList();
        if (ordered.isEmpty()) {
            return Optional.empty();
        }
        var state = RangeState.first(ordered.get(0), rules);
        for (var reading : ordered.subList(1, ordered.size())) {
            state = state.next(reading, rules);
            state = reading.at().isAfter(since) ? state : state.fixedHere();
        }
        return Optional.of(state);
    }
}
