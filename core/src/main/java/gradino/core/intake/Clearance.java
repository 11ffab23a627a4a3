package gradino.core.intake;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What somebody licensed wrote, and what exactly it loosens. Anything it does not name stays as it was.
 *
 * @param clearedBy by name
 * @param writtenOn date of the writing
 * @param until last day it holds; null for twelve months from the writing
 * @param note what was written
 * @param stopSigns whether it clears the stop signs that were recorded up to its day
 * @param names sessions whose stop sign it clears, whenever that was recorded
 * @param loosens restrictions by id
 */
public record Clearance(
        String clearedBy,
        LocalDate writtenOn,
        @Nullable LocalDate until,
        String note,
        boolean stopSigns,
        List<String> names,
        List<Loosening> loosens) {
    public Clearance {
        names = List.copyOf(names);
        loosens = List.copyOf(loosens);
    }

    /**
     * @param restriction id of the one loosened
     * @param limit the new limit; null lifts it
     * @param motionLimits angles that stand instead of a block
     */
    public record Loosening(String restriction, @Nullable Double limit, List<MotionLimit> motionLimits) {
        public Loosening {
            motionLimits = List.copyOf(motionLimits);
        }
    }

    /** Degrees a motion may be taken to. */
    public record MotionLimit(String motion, double degrees) {}

    public LocalDate lastDay() {
        return until == null ? writtenOn.plusYears(1) : until;
    }

    public boolean clearsSigns() {
        return stopSigns || !names.isEmpty();
    }

    /**
     * Up to when signs must have been recorded to be cleared without being named: what was known on the day of the letter.
     *
     * @param recordedFor when it was brought in
     */
    public Instant clearsUpTo(Instant recordedFor, ZoneId zone) {
        if (!stopSigns) {
            return Instant.EPOCH;
        }
        var dayAfter = writtenOn.plusDays(1).atStartOfDay(zone).toInstant();
        return dayAfter.isBefore(recordedFor) ? dayAfter : recordedFor;
    }

    public boolean holdsOn(LocalDate day) {
        return !day.isBefore(writtenOn) && !day.isAfter(lastDay());
    }
}
