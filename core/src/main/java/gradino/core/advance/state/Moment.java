package gradino.core.advance.state;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;

/** Now, as an argument: an instant and the zone whose days count. */
public final class Moment {
    private final Instant instant;
    private final ZoneId zone;
    /** Asked for with every session that is looked at. */
    private final LocalDate today;

    public Moment(Instant instant, ZoneId zone) {
        this.instant = instant;
        this.zone = zone;
        this.today = LocalDate.ofInstant(instant, zone);
    }

    public Instant instant() {
        return instant;
    }

    public ZoneId zone() {
        return zone;
    }

    public LocalDate day(Instant of) {
        return LocalDate.ofInstant(of, zone);
    }

    /** Whole days by the calendar from {@code earlier} to now. */
    public int daysSince(Instant earlier) {
        return (int) ChronoUnit.DAYS.between(day(earlier), today);
    }

    public double hoursSince(Instant earlier) {
        return Duration.between(earlier, instant).toMinutes() / 60.0;
    }

    public Moment at(Instant other) {
        return new Moment(other, zone);
    }
}
