package gradino.server.exchange.table;

import gradino.server.home.HomeService;
import gradino.server.home.NoteRepository.Note;
import gradino.server.intake.ClientNoteRepository;
import gradino.server.intake.ClientNoteRepository.ClientNote;
import gradino.server.intake.ClientNoteRepository.NoteKind;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** What clients wrote from home, and what coaches wrote about them. Their links are secrets and never leave. */
public final class HomeTables {
    private HomeTables() {}

    public static final CsvTable<ClientNote> CLIENT_NOTES = new CsvTable<>(
            "client-notes.csv",
            List.of("note_id", "client_id", "kind", "corrects", "text", "recorded_at"),
            n -> Arrays.asList(
                    n.id(),
                    n.clientId(),
                    n.kind().name().toLowerCase(Locale.ROOT),
                    n.corrects(),
                    n.text(),
                    n.recordedAt()),
            r -> {
                if (r.text("text").length() > ClientNoteRepository.LONGEST) {
                    r.finding("text", "too-long", "is at most " + ClientNoteRepository.LONGEST + " characters.");
                }
                return new ClientNote(
                        r.required("note_id"),
                        r.required("client_id"),
                        null,
                        r.read("kind", NoteKind.CLIENT, k -> NoteKind.valueOf(k.toUpperCase(Locale.ROOT))),
                        r.isEmpty("corrects") ? null : r.text("corrects"),
                        r.instant("recorded_at"),
                        r.text("text"));
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
