package gradino.server.schedule.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.schedule.calendar.IcsFile.Event;
import gradino.server.schedule.calendar.IcsFile.Rule;
import java.io.StringReader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What one library writes a second reads, and back; both are given the same wall clock over both changes of the year. */
public class IcsFileTest {
    private static final String WORDS =
            "Größe; 12,5° – hüfte 👣 \\ zweite\nZeile, und noch sehr viel mehr davon, damit gefaltet werden muß";

    @DataProvider
    public Object[][] zones() {
        return new Object[][] {
            {"Europe/London"}, {"America/New_York"}, {"Australia/Lord_Howe"}, {"Asia/Kolkata"}, {"Etc/UTC"}
        };
    }

    private static Event event(Instant start, Rule rule, List<Instant> left) {
        return new Event(
                "u", 3, start, start, start.plusSeconds(1800), WORDS, WORDS, "Studio", false, rule, left, null);
    }

    private static List<Instant> starts(String ics, ZoneId zone) throws Exception {
        var calendar = new CalendarBuilder().build(new StringReader(ics));
        var found = new ArrayList<Instant>();
        for (var component : calendar.getComponents(Component.VEVENT)) {
            VEvent event = (VEvent) component;
            var from = ZonedDateTime.of(2026, 1, 1, 0, 0, 0, 0, zone);
            event.calculateRecurrenceSet(new Period<>(from, from.plusYears(1)))
                    .forEach(p -> found.add(Instant.from(p.getStart())));
        }
        return found;
    }

    @Test(dataProvider = "zones")
    public void aSecondLibraryReadsTheSameInstantsAcrossBothChangesOfTheClock(String id) throws Exception {
        var zone = ZoneId.of(id);
        var start = ZonedDateTime.of(2026, 2, 2, 7, 30, 0, 0, zone);
        var until = start.plusWeeks(43);
        var left = start.plusWeeks(10);
        var ics = IcsFile.write(
                "Training",
                List.of(event(start.toInstant(), new Rule(1, until.toInstant()), List.of(left.toInstant()))),
                zone);
        var expected = IntStream.rangeClosed(0, 43)
                .filter(w -> w != 10)
                .mapToObj(w -> start.plusWeeks(w).toInstant())
                .toList();
        assertThat(starts(ics, zone)).containsExactlyElementsOf(expected);
    }

    @Test(dataProvider = "zones")
    public void lettersOfAllKindsTravelAndNoLineIsTooLong(String id) throws Exception {
        var zone = ZoneId.of(id);
        var ics =
                IcsFile.write("Training", List.of(event(Instant.parse("2026-07-01T07:00:00Z"), null, List.of())), zone);
        for (var line : ics.split("\r\n")) {
            assertThat(line.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(75);
        }
        var calendar = new CalendarBuilder().build(new StringReader(ics));
        VEvent event = (VEvent) calendar.getComponents(Component.VEVENT).get(0);
        assertThat(event.getRequiredProperty(Property.SUMMARY).getValue()).isEqualTo(WORDS);
        assertThat(event.getRequiredProperty(Property.SEQUENCE).getValue()).isEqualTo("3");
    }

    @Test(dataProvider = "zones")
    public void whatTheSecondLibraryWritesIsReadHere(String id) throws Exception {
        var zone = ZoneId.of(id);
        var first = ZonedDateTime.of(2026, 3, 2, 7, 30, 0, 0, zone);
        var ours = IcsFile.write("T", List.of(event(first.toInstant(), new Rule(2, null), List.of())), zone);
        var out = new StringWriter();
        new CalendarOutputter(false).output(new CalendarBuilder().build(new StringReader(ours)), out);
        var busy = BusyFile.read(out.toString(), zone, LocalDate.of(2026, 3, 2))
                .orElseThrow()
                .times();
        assertThat(busy).hasSize(13);
        for (int n = 0; n < busy.size(); n++) {
            assertThat(busy.get(n).from()).isEqualTo(first.plusWeeks(2L * n).toInstant());
            assertThat(Duration.between(busy.get(n).from(), busy.get(n).until()))
                    .hasMinutes(30);
        }
    }
}
