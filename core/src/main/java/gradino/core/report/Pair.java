package gradino.core.report;

import gradino.core.measure.reading.RangeReading;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;

/**
 * The reading at the beginning of a period and the newest one in it, of one series and of two days.
 *
 * @param change of the two, by the difference rule
 */
public record Pair(RangeReading from, RangeReading to, Difference change) {

    static Pair of(RangeReading from, RangeReading to) {
        return new Pair(from, to, Difference.between(from, to));
    }

    /** Empty without readings of two days. */
    public static Optional<Pair> of(Series series, Period period, ZoneId zone) {
        List<RangeReading> all = series.of(period, zone);
        if (all.size() < 2) {
            return Optional.empty();
        }
        var first = all.get(0);
        var last = all.get(all.size() - 1);
        boolean oneDay = LocalDate.ofInstant(first.at(), zone).equals(LocalDate.ofInstant(last.at(), zone));
        return oneDay ? Optional.empty() : Optional.of(of(first, last));
    }

    LocalDate fromDay(ZoneId zone) {
        return LocalDate.ofInstant(from.at(), zone);
    }

    LocalDate toDay(ZoneId zone) {
        return LocalDate.ofInstant(to.at(), zone);
    }
}
