package gradino.server.measure;

import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.noise.Tester;
import gradino.core.measure.noise.Warmth;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.RangeSeries;
import gradino.server.measure.Ranges.Estimate;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The cold readings of one series, oldest first: all that its range rests on.
 *
 * @param readings at least one
 * @param bodyUncertainty what the body lengths of the newest tape reading put on its value, degrees; 0 for other instruments
 */
public record ColdSeries(SeriesKey key, List<Reading> readings, double bodyUncertainty) {

    public ColdSeries {
        readings = readings.stream().sorted(Comparator.comparing(Reading::at)).toList();
    }

    /**
     * One day's reading.
     *
     * @param degrees the median of its trials
     * @param by account that measured; null when not known
     */
    record Reading(
            Instant at,
            double degrees,
            int trials,
            Tester tester,
            @Nullable EndFeel endFeel,
            @Nullable String by) {
        static Reading of(Measurement m) {
            return new Reading(
                    m.happenedAt(),
                    m.trials().median().value(),
                    m.trials().angles().size(),
                    m.tester(),
                    m.endFeel(),
                    m.measuredBy());
        }
    }

    /** The series among a client's measurements, in the order of their first reading. */
    public static List<ColdSeries> of(List<Measurement> measurements) {
        Map<SeriesKey, List<Measurement>> byKey = new LinkedHashMap<>();
        for (var m : measurements) {
            if (m.warmth() == Warmth.COLD) {
                byKey.computeIfAbsent(m.series(), k -> new ArrayList<>()).add(m);
            }
        }
        var all = new ArrayList<ColdSeries>();
        byKey.forEach((key, mine) -> all.add(new ColdSeries(
                key,
                mine.stream().map(Reading::of).toList(),
                mine.get(mine.size() - 1).bodyUncertainty())));
        return all;
    }

    Instant last() {
        return readings.get(readings.size() - 1).at();
    }

    /** What the end felt like at the last reading that says so. */
    @Nullable
    EndFeel endFeel() {
        EndFeel last = null;
        for (var reading : readings) {
            last = reading.endFeel() == null ? last : reading.endFeel();
        }
        return last;
    }

    Estimate estimate(NoiseBook noise, Instant now) {
        var state = RangeSeries.fold(rangeReadings(noise), noise.rules()).orElseThrow();
        var angle = state.predict(now, noise.rules()).estimate();
        var whole = angle.with(bodyUncertainty);
        return new Estimate(
                angle.value().value(),
                angle.standardUncertainty(),
                bodyUncertainty,
                whole.lower95(),
                whole.upper95(),
                state.at(),
                readings.size(),
                Ranges.Difference.of(state.change()));
    }

    private List<RangeReading> rangeReadings(NoiseBook noise) {
        var found = new ArrayList<RangeReading>(readings.size());
        for (var r : readings) {
            var off = noise.of(r.by(), r.tester(), key.motion(), key.instrument(), r.at(), r.trials());
            found.add(new RangeReading(r.at(), r.degrees(), off.variance(), r.trials(), off.freedom()));
        }
        return found;
    }
}
