package gradino.core.perform;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;

/** What is asked after a session: whether pain is back to usual, and how sore the muscle is. House rule. */
public enum MorningQuestion {
    /** On the first morning after it. */
    NEXT_MORNING(Duration.ofHours(6)),
    /** Again after two days, where it was not: pain that stays so long is a stop sign. */
    AFTER_48_HOURS(Duration.ofHours(48));

    private static final LocalTime MORNING = LocalTime.of(5, 0);

    private final Duration earliest;

    MorningQuestion(Duration earliest) {
        this.earliest = earliest;
    }

    /** Whether an answer of that moment is late enough after the end of its session to be one. */
    boolean mayBeAnswered(Instant end, Instant at) {
        return !at.isBefore(end.plus(earliest));
    }

    /**
     * Whether an answer holds from then on: the first that is late enough, and each that corrects it.
     *
     * @param answered whether one holds already
     * @param correction why that one does not; null or blank for none
     */
    public boolean holds(Instant end, Instant at, boolean answered, @Nullable String correction) {
        return mayBeAnswered(end, at) && (!answered || isTold(correction));
    }

    static boolean isTold(@Nullable String correction) {
        return correction != null && !correction.isBlank();
    }

    /** From when on somebody is asked. */
    public Instant opensAt(Instant end, ZoneId zone) {
        var least = end.plus(earliest);
        if (this == AFTER_48_HOURS) {
            return least;
        }
        var local = end.atZone(zone);
        var today = local.with(MORNING);
        var morning = (today.isAfter(local) ? today : today.plusDays(1)).toInstant();
        return morning.isAfter(least) ? morning : least;
    }
}
