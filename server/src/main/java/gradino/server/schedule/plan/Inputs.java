package gradino.server.schedule.plan;

import gradino.core.schedule.BlockOfWeeks;
import gradino.core.schedule.ProgramWeek;
import gradino.core.schedule.calendar.OpenDay;
import gradino.core.schedule.week.DaySet;
import gradino.core.schedule.week.Rested;
import gradino.server.intake.Client;
import gradino.server.prescribe.program.GoneOn;
import gradino.server.schedule.calendar.Block;
import gradino.server.schedule.calendar.CalendarService.Calendar;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * All that a client's weeks are planned from, read at one moment.
 *
 * @param done lines by day, by the ids that they have now; the re-test among them
 * @param retestSeconds what the battery of the block takes
 * @param stored plans by their Monday
 */
record Inputs(
        Client client,
        ProgramWeek program,
        Calendar calendar,
        List<Rested> rested,
        Map<LocalDate, Set<String>> done,
        int retestSeconds,
        Map<LocalDate, WeekPlan> stored,
        GoneOn goneOn,
        LocalDate today,
        ZoneId zone) {

    /** With other plans. */
    Inputs with(Map<LocalDate, WeekPlan> weeks) {
        return new Inputs(client, program, calendar, rested, done, retestSeconds, weeks, goneOn, today, zone);
    }

    /** With another program, of which nothing is planned yet. */
    Inputs with(ProgramWeek other) {
        return new Inputs(client, other, calendar, rested, done, retestSeconds, Map.of(), goneOn, today, zone);
    }

    /** Lines that are not done in the week of a Monday, since they are done in every second one. */
    List<String> leftOut(LocalDate monday) {
        return calendar.everySecondWeek().stream()
                .filter(rare -> rare.leavesOut(monday))
                .map(rare -> goneOn.now(rare.line()))
                .toList();
    }

    boolean isEverySecondWeek(String line) {
        return calendar.everySecondWeek().stream()
                .anyMatch(rare -> goneOn.now(rare.line()).equals(line));
    }

    /** A line that the program still has, or the re-test. */
    boolean knows(String line) {
        return program.line(line).isPresent() || line.equals(BlockOfWeeks.RETEST);
    }

    List<OpenDay> open(LocalDate monday) {
        return calendar.days().week(monday, zone);
    }

    Optional<Block> block() {
        return Optional.ofNullable(calendar.block());
    }

    boolean isRetest(LocalDate monday) {
        return block().filter(b -> b.retestMonday().equals(monday)).isPresent();
    }

    /** Days that are over: before today, and today once what was planned for it was done. */
    DaySet frozen(LocalDate monday) {
        var frozen = DaySet.NONE;
        for (int d = 0; d < DaySet.DAYS; d++) {
            var date = monday.plusDays(d);
            frozen = date.isBefore(today) || (date.equals(today) && isOver(monday, d)) ? frozen.with(d) : frozen;
        }
        return frozen;
    }

    private boolean isOver(LocalDate monday, int day) {
        var doneToday = done.getOrDefault(today, Set.of());
        var planned =
                Optional.ofNullable(stored.get(monday)).map(p -> p.planned(day)).orElse(List.of());
        return !doneToday.isEmpty() && (planned.isEmpty() || planned.stream().anyMatch(doneToday::contains));
    }

    /** Days of each line that were done within the frozen ones. */
    Map<String, DaySet> done(LocalDate monday, DaySet frozen) {
        var days = new HashMap<String, DaySet>();
        frozen.days()
                .forEach(d -> done.getOrDefault(monday.plusDays(d), Set.of()).stream()
                        .filter(this::knows)
                        .forEach(line -> days.merge(line, DaySet.of(d), DaySet::or)));
        return days;
    }

    static int day(LocalDate monday, LocalDate date) {
        return (int) ChronoUnit.DAYS.between(monday, date);
    }
}
