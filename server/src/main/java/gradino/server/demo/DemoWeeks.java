package gradino.server.demo;

import gradino.core.advance.state.Moment;
import gradino.core.schedule.calendar.Appointment;
import gradino.core.schedule.calendar.FixedDates;
import gradino.core.schedule.calendar.Place;
import gradino.core.schedule.calendar.StudioHours;
import gradino.core.schedule.calendar.StudioHours.Shift;
import gradino.core.schedule.calendar.UsualDay;
import gradino.core.schedule.calendar.UsualWeek;
import gradino.server.schedule.calendar.Block;
import gradino.server.schedule.calendar.CalendarService;
import gradino.server.schedule.plan.MonthService;
import gradino.server.schedule.plan.WeekPlans;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** Calendars and running blocks of the invented clients. Their week was planned on its Monday, so that what was missed since shows. */
@Component
class DemoWeeks {
    private static final LocalTime EVENING = LocalTime.of(18, 30);
    private static final List<String> ALONG = List.of("strap", "wall");

    private final CalendarService calendars;
    private final WeekPlans plans;
    private final MonthService months;

    DemoWeeks(CalendarService calendars, WeekPlans plans, MonthService months) {
        this.calendars = calendars;
        this.months = months;
        this.plans = plans;
    }

    void tell(Moment now) {
        var today = now.day(now.instant());
        var monday = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        rower(monday, today);
        bellRinger(monday);
        waller(monday, today);
        puppeteer(monday);
        DemoCast.lives(today).forEach(life -> quarter(life.id(), monday));
        for (var id : List.of("demo-rower", "demo-bell-ringer", "demo-waller")) {
            for (int ago = 3; ago >= 0; ago--) {
                plans.planAsOf(id, monday.minusWeeks(ago));
            }
        }
    }

    /** A coach's: mornings, and two long afternoons. */
    void hours(String accountId) {
        var all = new ArrayList<Shift>();
        for (var day : DayOfWeek.values()) {
            if (day.getValue() <= DayOfWeek.FRIDAY.getValue()) {
                all.add(new Shift(day, LocalTime.of(9, 0), LocalTime.of(12, 0)));
            }
        }
        for (var day : List.of(DayOfWeek.TUESDAY, DayOfWeek.THURSDAY)) {
            all.add(new Shift(day, LocalTime.of(14, 0), LocalTime.of(19, 0)));
        }
        months.keepHours(accountId, new StudioHours(all));
    }

    /** An evening a day, with a coach on Tuesdays, and a regatta next week. */
    private void rower(LocalDate monday, LocalDate today) {
        calendars.keepUsual("demo-rower", usual(25, 25, 25, 25, 0, 20, 25));
        book("demo-rower", monday.minusWeeks(6).plusDays(1).atTime(17, 0), 60, 1);
        var regatta = today.plusWeeks(1).with(TemporalAdjusters.nextOrSame(DayOfWeek.SATURDAY));
        calendars.keepDates(
                "demo-rower",
                "demo-regatta",
                new FixedDates(FixedDates.Kind.EVENT, regatta, regatta, null, "Harbour regatta"));
        calendars.keepBlock("demo-rower", new Block(monday.minusWeeks(9), 6, "demo-rower-battery"));
        calendars.keepBlock("demo-rower", new Block(monday.minusWeeks(3), 8, "demo-rower-battery"));
    }

    private void bellRinger(LocalDate monday) {
        calendars.keepUsual("demo-bell-ringer", usual(30, 0, 30, 30, 0, 30, 0));
        book("demo-bell-ringer", monday.minusWeeks(4).plusDays(2).atTime(10, 0), 45, 2);
        calendars.keepBlock("demo-bell-ringer", new Block(monday.minusWeeks(3), 6, "demo-bell-ringer-battery"));
    }

    /** Too little time for what is wanted; some of it today, whatever day that is. */
    private void waller(LocalDate monday, LocalDate today) {
        int first = today.getDayOfWeek().getValue() - 1;
        var minutes = new int[DayOfWeek.values().length];
        minutes[first] = 12;
        minutes[(first + 2) % minutes.length] = 12;
        minutes[(first + 5) % minutes.length] = 30;
        calendars.keepUsual("demo-waller", usual(minutes));
        book("demo-waller", monday.plusWeeks(1).plusDays(1).atTime(17, 30), 45, 0);
        calendars.keepBlock("demo-waller", new Block(monday.minusWeeks(3), 6, "demo-waller-battery"));
    }

    private void puppeteer(LocalDate monday) {
        calendars.keepUsual("demo-puppeteer", usual(20, 20, 0, 20, 0, 0, 20));
        calendars.keepBlock("demo-puppeteer", new Block(monday, 4, null));
    }

    /** Three evenings a week; lines of one session and one week fit. */
    private void quarter(String clientId, LocalDate monday) {
        calendars.keepUsual(clientId, usual(20, 0, 20, 0, 0, 20, 0));
        calendars.keepBlock(clientId, new Block(monday.minusWeeks(2), 8, null));
    }

    private void book(String clientId, LocalDateTime start, int minutes, int everyWeeks) {
        calendars.keepAppointment(
                clientId, clientId + "-visit", new Appointment(start, minutes, everyWeeks, null, List.of(), ""));
    }

    private static UsualWeek usual(int... minutes) {
        return new UsualWeek(
                IntStream.of(minutes)
                        .mapToObj(m -> new UsualDay(m, EVENING, Place.HOME))
                        .toList(),
                ALONG);
    }
}
