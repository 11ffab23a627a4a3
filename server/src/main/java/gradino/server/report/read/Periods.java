package gradino.server.report.read;

import gradino.core.report.Period;
import gradino.server.intake.Client;
import gradino.server.measure.Battery.Assessment;
import gradino.server.measure.BatteryRepository;
import gradino.server.measure.MeasurementRepository;
import gradino.server.platform.Problem;
import gradino.server.schedule.calendar.CalendarService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Which days a report is about. */
@Component
public class Periods {
    private static final int LONGEST_YEARS = 10;

    private final BatteryRepository batteries;
    private final MeasurementRepository measurements;
    private final CalendarService calendars;
    private final Clock clock;

    Periods(BatteryRepository batteries, MeasurementRepository measurements, CalendarService calendars, Clock clock) {
        this.batteries = batteries;
        this.measurements = measurements;
        this.calendars = calendars;
        this.clock = clock;
    }

    /** How a period was asked for. */
    public enum Kind {
        BASELINE,
        BLOCK,
        DATES
    }

    /**
     * What was asked for.
     *
     * @param from for dates; null otherwise
     * @param to for dates; null otherwise
     */
    public record Asked(
            Kind kind, @Nullable LocalDate from, @Nullable LocalDate to) {}

    public Period of(Client client, Asked asked) {
        return switch (asked.kind()) {
            case BASELINE -> upToToday(baseline(client).orElse(today()));
            case BLOCK -> block(client);
            case DATES -> dates(asked.from(), asked.to());
        };
    }

    private LocalDate today() {
        return LocalDate.now(clock);
    }

    private Period upToToday(LocalDate from) {
        // A report has a longest period; who was measured before it has a baseline before it, too.
        var first = today().minusYears(LONGEST_YEARS).plusDays(1);
        var begins = from.isBefore(first) ? first : from;
        return new Period(begins.isAfter(today()) ? today() : begins, today());
    }

    /** Day of the first time that a battery was gone through, else of the first reading. */
    public Optional<LocalDate> baseline(Client client) {
        return batteries.of(client.id()).stream()
                .flatMap(b -> batteries.assessments(client.id(), b.id()).stream())
                .map(Assessment::happenedAt)
                .min(Comparator.naturalOrder())
                .or(() -> measurements.first(client.id()))
                .map(this::day);
    }

    private LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, clock.getZone());
    }

    /** Blocks of weeks that have begun, each up to the next one or today. */
    public List<Period> blocks(Client client) {
        var all = calendars.blocks(client.id()).stream()
                .filter(b -> !b.start().isAfter(today()))
                .toList();
        var periods = new ArrayList<Period>();
        for (int i = 0; i < all.size(); i++) {
            var end = all.get(i).lastDay();
            var before = i + 1 < all.size() ? all.get(i + 1).start().minusDays(1) : today();
            periods.add(new Period(all.get(i).start(), end.isBefore(before) ? end : before));
        }
        return periods;
    }

    private Period block(Client client) {
        var blocks = blocks(client);
        if (blocks.isEmpty()) {
            throw Problem.invalid("period", "no-block", "There is no block of weeks yet. Pick other dates.");
        }
        return blocks.get(blocks.size() - 1);
    }

    private static Period dates(@Nullable LocalDate from, @Nullable LocalDate to) {
        if (from == null || to == null) {
            throw Problem.invalid(from == null ? "from" : "to", "required", "Which day?");
        }
        return between("from", from, "to", to);
    }

    /** @throws Problem beside the day that cannot be */
    public static Period between(String fromPath, LocalDate from, String toPath, LocalDate to) {
        if (to.isBefore(from)) {
            throw Problem.invalid(toPath, "before-start", "It cannot end before it begins.");
        }
        if (ChronoUnit.YEARS.between(from, to) >= LONGEST_YEARS) {
            throw Problem.invalid(fromPath, "too-long", "Ten years at most.");
        }
        return new Period(from, to);
    }
}
