package gradino.server.exchange.table;

import gradino.server.schedule.calendar.CalendarRepository.Entry;
import gradino.server.schedule.calendar.CalendarRepository.Kind;
import gradino.server.schedule.calendar.CalendarService;
import gradino.server.schedule.plan.DayPlans.Attended;
import gradino.server.schedule.plan.PlanRepository;
import gradino.server.schedule.plan.PlanRepository.Written;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;

/** Calendars and planned weeks, each saving a row; and what came of the plans, which only goes out. */
public final class ScheduleTables {
    private ScheduleTables() {}

    public static final CsvTable<Entry> CALENDAR = new CsvTable<>(
            "calendar.csv",
            List.of("entry_id", "client_id", "kind", "entry_json", "recorded_at"),
            e -> Arrays.asList(e.id(), e.clientId(), CsvRow.word(e.kind()), e.body(), e.recordedAt()),
            r -> {
                var kind = r.choice("kind", Kind.USUAL);
                return new Entry(
                        r.required("entry_id"),
                        r.required("client_id"),
                        kind,
                        null,
                        r.instant("recorded_at"),
                        r.optional("entry_json", text -> readable(text, CalendarService.type(kind))),
                        0);
            });

    public static final CsvTable<Written> WEEKS = new CsvTable<>(
            "weeks.csv",
            List.of("client_id", "monday", "week_json", "recorded_at"),
            w -> Arrays.asList(w.clientId(), w.monday(), w.body(), w.recordedAt()),
            r -> new Written(
                    r.required("client_id"),
                    r.read("monday", LocalDate.EPOCH, LocalDate::parse),
                    null,
                    r.instant("recorded_at"),
                    r.read("week_json", "", text -> readable(text, PlanRepository.bodyType()))));

    /** As it is written, so that the same row is known again. */
    private static String readable(String text, Class<?> type) {
        CellJson.read(text, type);
        return text;
    }

    public static final CsvTable<Attended> ATTENDANCE = new CsvTable<>(
            "attendance.csv",
            List.of("client_id", "date", "line_id", "outcome"),
            a -> Arrays.asList(
                    a.clientId(),
                    a.entry().date(),
                    a.entry().line(),
                    CsvRow.word(a.entry().outcome())),
            r -> Attended.NONE);
}
