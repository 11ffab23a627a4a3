package gradino.server.backup;

import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.time.temporal.IsoFields;
import java.util.Collection;
import java.util.HashSet;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;

/** Which backups stay: the newest of each of the last seven days, eight weeks and twelve months, and whatever the clock has not reached. */
final class Kept {
    static final int DAYS = 7;
    static final int WEEKS = 8;
    static final int MONTHS = 12;

    private Kept() {}

    static Set<Instant> of(Collection<Instant> all, Instant now, ZoneId zone) {
        var kept = new HashSet<Instant>();
        var today = LocalDate.ofInstant(now, zone);
        var ahead = all.stream().filter(at -> at.isAfter(now)).toList();
        var past = all.stream().filter(at -> !at.isAfter(now)).toList();
        kept.addAll(ahead);
        newest(past, zone, day -> day, day -> ChronoUnit.DAYS.between(day, today) < DAYS, kept);
        newest(
                past,
                zone,
                day -> day.get(IsoFields.WEEK_BASED_YEAR) * 100 + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR),
                day -> ChronoUnit.WEEKS.between(day, today) < WEEKS,
                kept);
        newest(
                past,
                zone,
                YearMonth::from,
                day -> ChronoUnit.MONTHS.between(YearMonth.from(day), YearMonth.from(today)) < MONTHS,
                kept);
        return kept;
    }

    private static void newest(
            Collection<Instant> all,
            ZoneId zone,
            Function<LocalDate, Object> span,
            Function<LocalDate, Boolean> recent,
            Set<Instant> kept) {
        var seen = new HashSet<Object>();
        for (var at : new TreeSet<>(all).descendingSet()) {
            var day = LocalDate.ofInstant(at, zone);
            if (recent.apply(day) && seen.add(span.apply(day))) {
                kept.add(at);
            }
        }
    }

    /** When a backup made at a moment is gone at the latest. */
    static LocalDate lastDay(Instant at, ZoneId zone) {
        return YearMonth.from(LocalDate.ofInstant(at, zone)).plusMonths(MONTHS).atDay(1);
    }
}
