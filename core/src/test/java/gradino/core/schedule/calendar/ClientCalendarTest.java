package gradino.core.schedule.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gradino.core.quantity.OutOfBoundsException;
import gradino.core.schedule.calendar.Appointment.Altered;
import gradino.core.schedule.calendar.ClientCalendar.Pause;
import gradino.core.schedule.calendar.FixedDates.Kind;
import gradino.core.schedule.calendar.StudioHours.Shift;
import gradino.core.schedule.calendar.StudioHours.Span;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.IsoFields;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import org.testng.annotations.Test;

/** What counts on a day, and arithmetic of days where calendars are awkward. */
public class ClientCalendarTest {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 23);
    private static final UsualWeek EVENINGS = usual(30, LocalTime.of(18, 0));

    private static UsualWeek usual(int minutes, LocalTime at) {
        return new UsualWeek(Collections.nCopies(7, new UsualDay(minutes, at, Place.HOME)), List.of("block"));
    }

    private static ClientCalendar calendar(List<FixedDates> dates, List<Busy> busy, List<Appointment> appointments) {
        return new ClientCalendar(EVENINGS, dates, List.of(), busy, appointments);
    }

    private static Appointment weekly(LocalDateTime start, int everyWeeks) {
        return new Appointment(start, 45, everyWeeks, null, List.of(), "");
    }

    private static FixedDates dates(Kind kind, LocalDate from, LocalDate until, Integer minutes) {
        return new FixedDates(kind, from, until, minutes, "Regatta");
    }

    private static int minutes(OpenDay day) {
        return day.day().seconds() / 60;
    }

    @Test
    public void aPauseCountsMoreThanAnAppointmentAndThatMoreThanTheUsualDay() {
        var appointment = weekly(MONDAY.atTime(10, 0), 1);
        var all = new ClientCalendar(
                EVENINGS,
                List.of(dates(Kind.EVENT, MONDAY.plusDays(5), MONDAY.plusDays(5), null)),
                List.of(new Pause(MONDAY.plusWeeks(1), null, "ill")),
                List.of(),
                List.of(appointment));
        var week = all.week(MONDAY, LONDON);
        assertThat(week.get(0).led()).isTrue();
        assertThat(week.get(0).place()).isEqualTo(Place.STUDIO);
        assertThat(minutes(week.get(0))).isEqualTo(45);
        assertThat(minutes(week.get(1))).isEqualTo(30);
        assertThat(minutes(week.get(5))).isZero();
        assertThat(all.week(MONDAY.plusWeeks(1), LONDON))
                .allMatch(d -> minutes(d) == 0 && d.note().equals("ill"));
    }

    @Test
    public void aTripHasItsPlaceAndAnotherDayItsMinutes() {
        var week = calendar(
                        List.of(
                                dates(Kind.TRIP, MONDAY, MONDAY.plusDays(1), null),
                                dates(Kind.MINUTES, MONDAY.plusDays(1), MONDAY.plusDays(2), 12)),
                        List.of(),
                        List.of())
                .week(MONDAY, LONDON);
        assertThat(week.get(0).place()).isEqualTo(Place.TRAVEL);
        assertThat(minutes(week.get(0))).isEqualTo(30);
        assertThat(week.get(1).place()).isEqualTo(Place.TRAVEL);
        assertThat(minutes(week.get(1))).isEqualTo(12);
        assertThat(week.get(2).place()).isEqualTo(Place.HOME);
    }

    @Test
    public void ofWhatIsLeftBesideBusyTimesTheLongestStretchIsOpen() {
        var start = MONDAY.atTime(18, 0).atZone(LONDON).toInstant();
        var cut = calendar(
                        List.of(),
                        List.of(new Busy(start.plusSeconds(600), start.plusSeconds(900), "choir")),
                        List.of())
                .day(MONDAY, LONDON);
        assertThat(minutes(cut)).isEqualTo(15);
        assertThat(cut.day().start()).isEqualTo(start.plusSeconds(900));
        assertThat(cut.note()).isEqualTo("choir");
        var whole = calendar(
                        List.of(), List.of(new Busy(start.minusSeconds(60), start.plusSeconds(7200), "")), List.of())
                .day(MONDAY, LONDON);
        assertThat(minutes(whole)).isZero();
    }

    /** 25 October 2026 the clocks of London go back an hour. */
    @Test
    public void anEveningStaysAnEveningOverAChangeOfTheClock() {
        var calendar = calendar(List.of(), List.of(), List.of());
        var before = calendar.day(LocalDate.of(2026, 10, 24), LONDON).day().start();
        var after = calendar.day(LocalDate.of(2026, 10, 25), LONDON).day().start();
        assertThat(Duration.between(before, after)).hasHours(25);
    }

    /** 29 March 2026 there is no half past one in London. */
    @Test
    public void aTimeThatTheClockLeavesOutIsAsMuchLater() {
        var night = new ClientCalendar(usual(30, LocalTime.of(1, 30)), List.of(), List.of(), List.of(), List.of());
        assertThat(night.day(LocalDate.of(2026, 3, 29), LONDON).day().start())
                .isEqualTo(Instant.parse("2026-03-29T01:30:00Z"));
    }

    @Test
    public void aLeapDayAndWeekFiftyThreeAreDaysAndWeeksLikeAnyOther() {
        var appointment = weekly(LocalDate.of(2028, 2, 22).atTime(10, 0), 1);
        assertThat(appointment.between(LocalDate.of(2028, 2, 23), LocalDate.of(2028, 3, 8)))
                .extracting(o -> o.start().toLocalDate())
                .containsExactly(LocalDate.of(2028, 2, 29), LocalDate.of(2028, 3, 7));
        var last = LocalDate.of(2026, 12, 28);
        assertThat(last.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR)).isEqualTo(53);
        assertThat(calendar(List.of(), List.of(), List.of()).week(last, LONDON))
                .extracting(d -> d.day().date())
                .containsExactlyElementsOf(
                        last.datesUntil(LocalDate.of(2027, 1, 4)).toList());
    }

    @Test
    public void oneOfSeveralIsMovedOrCancelledAndTheOthersStay() {
        var every = weekly(MONDAY.atTime(10, 0), 2)
                .with(new Altered(
                        MONDAY.plusWeeks(2), MONDAY.plusWeeks(2).plusDays(1).atTime(9, 0)))
                .with(new Altered(MONDAY.plusWeeks(4), null));
        assertThat(every.between(MONDAY, MONDAY.plusWeeks(7)))
                .extracting(o -> o.start())
                .containsExactly(
                        MONDAY.atTime(10, 0),
                        MONDAY.plusWeeks(2).plusDays(1).atTime(9, 0),
                        MONDAY.plusWeeks(6).atTime(10, 0));
        assertThat(every.isRule(MONDAY.plusWeeks(1))).isFalse();
        assertThat(every.between(LocalDate.of(9999, 1, 1), LocalDate.of(9999, 2, 1)))
                .isNotEmpty();
        var once = weekly(MONDAY.atTime(10, 0), 0);
        assertThat(once.between(MONDAY.plusDays(1), MONDAY.plusYears(1))).isEmpty();
        assertThat(once.between(MONDAY, MONDAY.plusYears(1))).hasSize(1);
    }

    @Test
    public void wrongNumbersAreRefused() {
        assertThatThrownBy(() -> new UsualDay(-5, LocalTime.NOON, Place.HOME)).isInstanceOf(OutOfBoundsException.class);
        assertThatThrownBy(() -> new UsualWeek(List.of(), List.of())).isInstanceOf(OutOfBoundsException.class);
        assertThatThrownBy(() -> new Appointment(MONDAY.atTime(10, 0), 45, 9, null, List.of(), ""))
                .isInstanceOf(OutOfBoundsException.class);
        var said = UsualWeek.of(Set.of(DayOfWeek.TUESDAY), 0);
        assertThat(said.on(DayOfWeek.TUESDAY).minutes()).isPositive();
        assertThat(said.on(DayOfWeek.MONDAY).minutes()).isZero();
    }

    /** 2026 has a week 53: weeks are counted on over the end of the year, not by their parity. */
    @Test
    public void everySecondWeekGoesOnOverAYearOfFiftyThreeWeeks() {
        var week52 = LocalDate.of(2026, 12, 21);
        var rare = new EverySecondWeek("line", week52);
        assertThat(rare.leavesOut(week52.minusWeeks(2))).isFalse();
        assertThat(List.of(0, 1, 2, 3, 4))
                .extracting(w -> rare.leavesOut(week52.plusWeeks(w)))
                .containsExactly(true, false, true, false, true);
    }

    @Test
    public void whatAppointmentsLeaveOfTheHoursIsFree() {
        var hours = new StudioHours(List.of(
                new Shift(DayOfWeek.TUESDAY, LocalTime.of(14, 0), LocalTime.of(18, 0)),
                new Shift(DayOfWeek.TUESDAY, LocalTime.of(9, 0), LocalTime.of(12, 0))));
        // Before the hours, over two others that meet, up to ten minutes before the end, and over the end.
        var taken = List.of(
                span(11, 0, 11, 50), span(8, 0, 8, 30), span(9, 30, 10, 30), span(10, 0, 10, 45), span(17, 30, 19, 0));
        assertThat(hours.free(DayOfWeek.TUESDAY, taken))
                .containsExactly(span(9, 0, 9, 30), span(10, 45, 11, 0), span(14, 0, 17, 30));
        assertThat(hours.free(DayOfWeek.TUESDAY, List.of(span(8, 0, 20, 0)))).isEmpty();
        assertThat(hours.free(DayOfWeek.MONDAY, List.of())).isEmpty();
    }

    private static Span span(int hour, int minute, int untilHour, int untilMinute) {
        return new Span(LocalTime.of(hour, minute), LocalTime.of(untilHour, untilMinute));
    }
}
