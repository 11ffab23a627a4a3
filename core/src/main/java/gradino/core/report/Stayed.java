package gradino.core.report;

import gradino.core.measure.noise.Mode;
import gradino.core.measure.reading.Retention;
import gradino.core.measure.reading.Visits;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Did it stay? What each session gained in passive range and how much of it was there the next time: over the period, and block of
 * weeks by block of weeks.
 *
 * @param untold how many motions and sides have warm readings, but too few or too short a span to say
 */
public record Stayed(List<Kept> kept, int untold) {
    public Stayed {
        kept = List.copyOf(kept);
    }

    /** Retention of one side of a motion within some weeks. */
    public record Kept(MotionSide of, Period weeks, Retention retention) {}

    /** @param blocks of weeks in the period; the period as a whole is told too */
    public static Stayed of(List<Series> series, List<Period> blocks, Period period, ZoneId zone) {
        var spans = Stream.concat(Stream.of(period), blocks.stream().filter(b -> !b.equals(period)))
                .toList();
        var kept = new ArrayList<Kept>();
        int untold = 0;
        for (var one : series) {
            if (one.key().mode() != Mode.PASSIVE || one.warm().stream().noneMatch(r -> period.contains(r.at(), zone))) {
                continue;
            }
            int before = kept.size();
            for (var span : spans) {
                within(one, span, zone).ifPresent(r -> kept.add(new Kept(MotionSide.of(one.key()), span, r)));
            }
            untold += kept.size() == before ? 1 : 0;
        }
        kept.sort(java.util.Comparator.comparing(Kept::of)
                .thenComparing(k -> k.weeks().from()));
        return new Stayed(kept, untold);
    }

    private static java.util.Optional<Retention> within(Series series, Period span, ZoneId zone) {
        var visits = Visits.of(series.cold(), series.warm(), zone).stream()
                .filter(v -> span.contains(day(v.cold().at(), zone))
                        && span.contains(day(v.nextCold().at(), zone)))
                .toList();
        // With nothing gained at all there is no share of it.
        return Retention.over(visits).filter(r -> Double.isFinite(r.ratio()));
    }

    private static LocalDate day(java.time.Instant at, ZoneId zone) {
        return LocalDate.ofInstant(at, zone);
    }
}
