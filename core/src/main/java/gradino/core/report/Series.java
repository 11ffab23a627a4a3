package gradino.core.report;

import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.reading.RangeReading;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;

/**
 * The readings of one series, oldest first. Only cold ones tell of progress.
 *
 * @param warm taken after work, of the same series
 * @param bodyError what body lengths put on the newest value by tape, degrees; it is common to all and cancels in a change
 */
public record Series(SeriesKey key, List<RangeReading> cold, List<RangeReading> warm, double bodyError) {
    public Series {
        cold = cold.stream().sorted(Comparator.comparing(RangeReading::at)).toList();
        warm = warm.stream().sorted(Comparator.comparing(RangeReading::at)).toList();
    }

    /** Cold readings that a period rests on. */
    List<RangeReading> of(Period period, ZoneId zone) {
        return period.restsOn(cold, RangeReading::at, zone);
    }
}
