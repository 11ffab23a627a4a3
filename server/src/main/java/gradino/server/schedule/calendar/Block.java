package gradino.server.schedule.calendar;

import gradino.core.quantity.OutOfBoundsException;
import gradino.core.schedule.BlockOfWeeks;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A block of weeks; the last one is that of the re-test.
 *
 * @param start a Monday
 * @param weeks 4 to 12
 * @param batteryId what is measured again in the last week; null for nothing
 */
public record Block(LocalDate start, int weeks, @Nullable String batteryId) {
    public Block {
        OutOfBoundsException.require("weeks of a block", weeks, BlockOfWeeks.FEWEST, BlockOfWeeks.MOST, "");
    }

    public List<LocalDate> mondays() {
        return IntStream.range(0, weeks).mapToObj(start::plusWeeks).toList();
    }

    public LocalDate lastDay() {
        return start.plusWeeks(weeks).minusDays(1);
    }

    public LocalDate retestMonday() {
        return start.plusWeeks(weeks - 1L);
    }
}
