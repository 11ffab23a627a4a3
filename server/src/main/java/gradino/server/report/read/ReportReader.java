package gradino.server.report.read;

import gradino.core.report.AttendanceDays;
import gradino.core.report.Hard;
import gradino.core.report.LineClimb;
import gradino.core.report.LineSession;
import gradino.core.report.Next;
import gradino.core.report.Period;
import gradino.core.report.Report;
import gradino.core.report.Report.Measured;
import gradino.core.report.Report.Trained;
import gradino.core.report.Report.Troubled;
import gradino.server.intake.Client;
import gradino.server.measure.Measurement;
import gradino.server.perform.force.ForceService;
import gradino.server.perform.record.StopRepository;
import gradino.server.perform.record.StopRepository.Stop;
import gradino.server.schedule.calendar.Block;
import gradino.server.schedule.calendar.CalendarService;
import gradino.server.schedule.plan.DayPlans;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Gathers what a client's report is made of, and has it worked out. */
@Component
public class ReportReader {
    private final MeasuredReader measured;
    private final LinesReader lines;
    private final DayPlans days;
    private final ForceService forces;
    private final StopRepository stops;
    private final CalendarService calendars;
    private final Periods periods;
    private final Clock clock;

    ReportReader(
            MeasuredReader measured,
            LinesReader lines,
            DayPlans days,
            ForceService forces,
            StopRepository stops,
            CalendarService calendars,
            Periods periods,
            Clock clock) {
        this.measured = measured;
        this.lines = lines;
        this.days = days;
        this.forces = forces;
        this.stops = stops;
        this.calendars = calendars;
        this.periods = periods;
        this.clock = clock;
    }

    /**
     * A report with what it rests on.
     *
     * @param measurements of all time
     * @param sessions of all time, line by line
     */
    public record Read(
            Client client,
            Report report,
            Measured measured,
            List<Measurement> measurements,
            List<LineSession> sessions,
            List<Period> blocks) {}

    public Read of(Client client, Period period) {
        var zone = clock.getZone();
        var measurements = measured.measurements(client);
        var block = calendars.of(client).block();
        var facts = measured.of(client, measurements, period, block);
        var own = lines.of(client, period);
        var sessions = lines.sessions(own);
        var attendance = days.history(client, period.from());
        var blocks = periods.blocks(client);
        var trained = new Trained(
                attendance.days(),
                attendance.paused(),
                sessions,
                forces.referenceSeconds(
                        sessions.stream().map(s -> s.record().id()).distinct().toList()),
                own.climbs(),
                blocks);
        var report = Report.of(period, zone, facts, trained, troubled(client, period), next(client, own, block));
        return new Read(client, report, facts, measurements, sessions, blocks);
    }

    /**
     * What was done in some weeks, how it climbed and what was hard, without anything measured.
     *
     * @param retest first day of the week in which everything is measured again; null where none is planned
     */
    public record Lately(
            AttendanceDays attendance,
            List<LineClimb> climbs,
            Hard hard,
            @Nullable LocalDate retest) {}

    public Lately lately(Client client, Period period) {
        var zone = clock.getZone();
        var own = lines.of(client, period);
        var history = days.history(client, period.from());
        var troubled = troubled(client, period);
        return new Lately(
                AttendanceDays.of(history.days(), history.paused(), period),
                own.climbs().stream().map(c -> LineClimb.of(c, period, zone)).toList(),
                Hard.of(
                        lines.sessions(own),
                        troubled.stops(),
                        troubled.restrictions(),
                        troubled.clearances(),
                        period,
                        zone),
                retest(running(calendars.of(client).block())));
    }

    private Troubled troubled(Client client, Period period) {
        var seen = stops.of(List.of(client.id())).getOrDefault(client.id(), List.of()).stream()
                .map(ReportReader::seen)
                .toList();
        var cleared = client.intake().clearances().stream()
                .map(c -> new Hard.Cleared(c.writtenOn(), c.clearedBy(), c.note()))
                .toList();
        return new Troubled(seen, Restricted.during(client, period, clock), cleared);
    }

    private static Hard.StopSeen seen(Stop stop) {
        return new Hard.StopSeen(stop.happenedAt(), stop.sign(), stop.side(), stop.name());
    }

    /** A block that is over is none. */
    private @Nullable Block running(@Nullable Block last) {
        return last == null || last.lastDay().isBefore(LocalDate.now(clock)) ? null : last;
    }

    private static @Nullable LocalDate retest(@Nullable Block block) {
        return block == null || block.batteryId() == null ? null : block.retestMonday();
    }

    private Next next(Client client, LinesReader.Lines own, @Nullable Block last) {
        var block = running(last);
        return new Next(
                measured.limits(client),
                own.proposals(),
                block == null ? null : new Period(block.start(), block.lastDay()),
                retest(block));
    }
}
