package gradino.core.report;

import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.reading.RangeReading;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The readings of one series, oldest first. Only cold ones tell of progress.
 *
 * @param warm taken after work, of the same series
 * @param bodyError what body lengths put on the newest value by tape, degrees; it is common to all and cancels in a change
 */
public record Series(SeriesKey key, List<RangeReading> cold, List<RangeReading> warm, double bodyError) {
    /** A reading that far before the period still says where it began (house rule). */
    private static final int DAYS_BEFORE = 28;

    public Series {
        cold = cold.stream().sorted(Comparator.comparing(RangeReading::at)).toList();
        warm = warm.stream().sorted(Comparator.comparing(RangeReading::at)).toList();
    }

    /** Cold readings that a period rests on: the last one at its beginning, where there is one, and all within. */
    List<RangeReading> of(Period period, ZoneId zone) {
        var found = new ArrayList<RangeReading>();
        RangeReading before = null;
        for (var reading : cold) {
            var day = LocalDate.ofInstant(reading.at(), zone);
            if (!day.isAfter(period.from())) {
                before = day.isBefore(period.from().minusDays(DAYS_BEFORE)) ? null : reading;
            } else if (!day.isAfter(period.to())) {
                found.add(reading);
            }
        }
        Optional.ofNullable(before).ifPresent(b -> found.add(0, b));
        return List.copyOf(found);
    }
}
