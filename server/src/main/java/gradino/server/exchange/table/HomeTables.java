package gradino.server.exchange.table;

import gradino.server.home.HomeService;
import gradino.server.home.NoteRepository.Note;
import gradino.server.report.ReportNoteRepository.ReportNote;
import gradino.server.report.ReportService;
import java.util.Arrays;
import java.util.List;

/** What clients wrote from home, and what was written above their reports. Their links are secrets and never leave. */
public final class HomeTables {
    private HomeTables() {}

    public static final CsvTable<ReportNote> REPORT_NOTES = new CsvTable<>(
            "report-notes.csv",
            List.of("client_id", "text", "recorded_at"),
            n -> Arrays.asList(n.clientId(), n.text(), n.recordedAt()),
            r -> {
                if (r.text("text").length() > ReportService.LONGEST_NOTE) {
                    r.finding("text", "too-long", "is at most " + ReportService.LONGEST_NOTE + " characters.");
                }
                return new ReportNote(r.required("client_id"), null, r.instant("recorded_at"), r.text("text"));
            });

    public static final CsvTable<Note> NOTES = new CsvTable<>(
            "home-notes.csv",
            List.of("note_id", "client_id", "text", "happened_at", "recorded_at", "read_at"),
            n -> Arrays.asList(n.id(), n.clientId(), n.text(), n.happenedAt(), n.recordedAt(), n.readAt()),
            r -> {
                var happened = r.instant("happened_at");
                if (r.required("text").length() > HomeService.LONGEST_NOTE) {
                    r.finding("text", "too-long", "is at most " + HomeService.LONGEST_NOTE + " characters.");
                }
                return new Note(
                        r.required("note_id"),
                        r.required("client_id"),
                        r.text("text"),
                        happened,
                        r.instant("recorded_at", happened),
                        r.isEmpty("read_at") ? null : r.instant("read_at"));
            });
}
