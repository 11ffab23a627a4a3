package gradino.server.schedule.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Files of other programs. Recurrences: RFC 5545 (2009), 3.8.5.3, its own examples. */
public class BusyFileTest {
    private static final ZoneId NEW_YORK = ZoneId.of("America/New_York");
    private static final LocalDate START = LocalDate.of(1997, 9, 1);

    private static String file(String... lines) {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//invented//EN\r\nBEGIN:VEVENT\r\nUID:u\r\nDTSTAMP:19970714T170000Z\r\n"
                + String.join("\r\n", lines)
                + "\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
    }

    private static List<LocalDate> days(String file) {
        return read(file).times().stream()
                .map(b -> LocalDate.ofInstant(b.from(), NEW_YORK))
                .toList();
    }

    private static BusyFile.Read read(String file) {
        return BusyFile.read(file, NEW_YORK, START).orElseThrow();
    }

    private static List<LocalDate> of(int month, int... days) {
        return IntStream.of(days).mapToObj(d -> LocalDate.of(1997, month, d)).toList();
    }

    @DataProvider
    public Object[][] rules() {
        return new Object[][] {
            {
                "19970902T090000",
                "FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH",
                "9-2 9-4 9-9 9-11 9-16 9-18 9-23 9-25 9-30 10-2"
            },
            {
                "19970901T090000",
                "FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR",
                "9-1 9-3 9-5 9-15 9-17 9-19 9-29 10-1 10-3 10-13 10-15 10-17 10-27 10-29 10-31"
                        + " 11-10 11-12 11-14 11-24 11-26 11-28 12-8 12-10 12-12 12-22"
            },
            {
                "19970902T090000",
                "FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH",
                "9-2 9-4 9-16 9-18 9-30 10-2 10-14 10-16"
            }
        };
    }

    @Test(dataProvider = "rules")
    public void aRuleIsLaidOutAsTheStandardDoes(String start, String rule, String expected) {
        var days = days(file("DTSTART:" + start, "DURATION:PT1H", "RRULE:" + rule)).stream()
                .map(d -> d.getMonthValue() + "-" + d.getDayOfMonth())
                .collect(Collectors.joining(" "));
        assertThat(days).isEqualTo(expected);
    }

    @Test
    public void aRuleWithoutAnEndEndsWithTheWindow() {
        var times = read(file("DTSTART:19700101T090000", "DTEND:19700101T100000", "RRULE:FREQ=DAILY"))
                .times();
        assertThat(times).hasSizeBetween(180, 200);
    }

    @Test
    public void whatRepeatsEverySecondIsLeftOutAndSaid() {
        var read = read(file("DTSTART:19700101T090000", "DTEND:19700101T100000", "RRULE:FREQ=SECONDLY"));
        assertThat(read.times()).isEmpty();
        assertThat(read.notes()).hasSize(1);
    }

    @Test
    public void freeAndCancelledTimesAreNoneAndADayWithoutATimeIsAllOfIt() {
        assertThat(days(file("DTSTART:19970902T090000", "DTEND:19970902T100000", "TRANSP:TRANSPARENT")))
                .isEmpty();
        assertThat(days(file("DTSTART:19970902T090000", "DTEND:19970902T100000", "STATUS:CANCELLED")))
                .isEmpty();
        var day = read(file("DTSTART;VALUE=DATE:19970902")).times().get(0);
        assertThat(Duration.between(day.from(), day.until())).hasHours(24);
    }

    /** The wall clock counts: an hour after midnight UTC is moved by the end of summer time on 26 October 1997. */
    @Test
    public void anHourOnTheWallStaysOneAcrossAChangeOfTheClock() {
        var times = read(file(
                        "DTSTART;TZID=America/New_York:19971020T090000", "DURATION:PT1H", "RRULE:FREQ=WEEKLY;COUNT=2"))
                .times();
        assertThat(times)
                .extracting(b -> b.from().toString())
                .containsExactly("1997-10-20T13:00:00Z", "1997-10-27T14:00:00Z");
    }

    @Test
    public void aZoneThatDoesNotExistIsTheStudiosAndSaid() {
        var read = read(file("DTSTART;TZID=Nowhere/At_All:19970902T090000", "DURATION:PT1H"));
        assertThat(read.times()).extracting(b -> b.from().toString()).containsExactly("1997-09-02T13:00:00Z");
        assertThat(read.notes()).hasSize(1);
    }

    @Test
    public void brokenFoldingIsReadAsFarAsItGoes() {
        assertThat(days(file("SUMMARY:one", "two without a colon", "DTSTART:19970902T090000", "DURATION:PT1H")))
                .isEqualTo(of(9, 2));
        assertThat(BusyFile.read("this is no calendar", NEW_YORK, START)).isEmpty();
        assertThat(BusyFile.read("", NEW_YORK, START)).isEmpty();
    }

    @Test
    public void aMovedOneStandsInPlaceOfItsOwn() {
        var event =
                "DTSTART:19970902T090000\r\nDURATION:PT1H\r\nRRULE:FREQ=DAILY;COUNT=2\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nUID:u\r\n"
                        + "DTSTAMP:19970714T170000Z\r\nRECURRENCE-ID:19970903T090000\r\nDTSTART:19970905T090000";
        assertThat(days(file(event, "DURATION:PT1H"))).isEqualTo(of(9, 2, 5));
    }
}
