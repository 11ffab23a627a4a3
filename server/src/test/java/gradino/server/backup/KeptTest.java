package gradino.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.Set;
import org.testng.annotations.Test;

/** Seven days, eight weeks, twelve months (common practice, no source). */
public class KeptTest {
    private static final ZoneId ZONE = ZoneOffset.UTC;

    /** Two years of a backup a day, thinned each day. */
    @Test
    public void twoYearsLeaveDaysWeeksAndMonths() {
        Set<Instant> kept = new HashSet<>();
        var day = Instant.parse("2026-01-01T03:00:00Z");
        for (int n = 0; n < 730; n++, day = day.plus(1, ChronoUnit.DAYS)) {
            var now = day;
            kept.add(now);
            kept = Kept.of(kept, now, ZONE);
            assertThat(kept).contains(now);
        }
        var now = day.minus(1, ChronoUnit.DAYS);
        for (int n = 0; n < 7; n++) {
            assertThat(kept).contains(now.minus(n, ChronoUnit.DAYS));
        }
        assertThat(kept.size()).isBetween(7 + 6 + 10, 7 + 8 + 12);
        var oldest = kept.stream().min(Instant::compareTo).orElseThrow();
        assertThat(Duration.between(oldest, now).toDays()).isBetween(330L, 366L);
    }

    @Test
    public void whatTheClockHasNotReachedStays() {
        var now = Instant.parse("2026-03-02T09:00:00Z");
        assertThat(Kept.of(Set.of(now.plusSeconds(3600), now), now, ZONE)).hasSize(2);
    }

    @Test
    public void nothingOfADayIsKeptForMoreThanTwelveMonths() {
        var at = Instant.parse("2026-03-31T09:00:00Z");
        var last = Kept.lastDay(at, ZONE);
        assertThat(last).isEqualTo(LocalDate.of(2027, 3, 1));
        var then = last.atStartOfDay(ZONE).toInstant();
        assertThat(Kept.of(Set.of(at), then, ZONE)).isEmpty();
        assertThat(Kept.of(Set.of(at), then.minusSeconds(1), ZONE)).hasSize(1);
    }
}
