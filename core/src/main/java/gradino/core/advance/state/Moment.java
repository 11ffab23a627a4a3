package gradino.core.advance.state;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;

/** Now, as an argument: an instant and the zone whose days count. */
public record Moment(Instant instant, ZoneId zone) {

    public LocalDate day(Instant of) {
        return LocalDate.ofInstant(of, zone);
    }

    /** Whole days by the calendar from {@code earlier} to now. */
    public int daysSince(Instant earlier) {
        return (int) ChronoUnit.DAYS.between(day(earlier), day(instant));
    }

    public double hoursSince(Instant earlier) {
        return Duration.between(earlier, instant).toMinutes() / 60.0;
    }

    public Moment at(Instant other) {
        return new Moment(other, zone);
    }
}
