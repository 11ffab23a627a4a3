package gradino.core.measure.reading;

import gradino.core.measure.reading.Retention.Visit;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Pairs the cold and warm readings of a series: cold and warm of one day, and the cold reading of the next time. */
public final class Visits {
    /** What lies further apart says nothing about what was kept (house rule). */
    private static final Duration FARTHEST_APART = Duration.ofDays(14);

    private Visits() {}

    /**
     * @param cold in the order of time
     * @param warm of the same series
     * @param zone whose days count
     */
    public static List<Visit> of(List<RangeReading> cold, List<RangeReading> warm, ZoneId zone) {
        Function<RangeReading, LocalDate> day = r -> LocalDate.ofInstant(r.at(), zone);
        var warmOf = warm.stream().collect(Collectors.toMap(day, r -> r, (a, b) -> b));
        var visits = new ArrayList<Visit>();
        for (int i = 0; i + 1 < cold.size(); i++) {
            var before = cold.get(i);
            var after = warmOf.get(day.apply(before));
            var next = cold.get(i + 1);
            boolean sameDay = day.apply(next).equals(day.apply(before));
            boolean near = !next.at().isAfter(before.at().plus(FARTHEST_APART));
            if (after != null && after.at().isAfter(before.at()) && !sameDay && near) {
                visits.add(new Visit(before, after, next));
            }
        }
        return List.copyOf(visits);
    }
}
