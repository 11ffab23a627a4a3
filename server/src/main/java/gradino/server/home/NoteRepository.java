package gradino.server.home;

import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns home_note. */
@Repository
public class NoteRepository {
    private static final String COLUMNS = "id, client_id, text, happened_at, recorded_at, read_at";
    private final Sql sql;

    NoteRepository(Sql sql) {
        this.sql = sql;
    }

    /** A short note from home. */
    public record Note(
            String id,
            String clientId,
            String text,
            Instant happenedAt,
            Instant recordedAt,
            @Nullable Instant readAt) {}

    /** @return whether it was new; the same id again is the same note */
    public boolean add(Note n) {
        return sql.update("""
                INSERT INTO home_note (id, client_id, text, happened_at, recorded_at, read_at) VALUES (?, ?, ?, ?, ?, ?)
                ON CONFLICT (id) DO NOTHING
                """, n.id(), n.clientId(), n.text(), n.happenedAt(), n.recordedAt(), n.readAt()) > 0;
    }

    public List<Note> all() {
        return sql.list(
                "SELECT " + COLUMNS + " FROM home_note ORDER BY client_id, happened_at, rowid", NoteRepository::note);
    }

    /** Newest first. */
    List<Note> of(String clientId) {
        return sql.list(
                "SELECT " + COLUMNS
                        + " FROM home_note WHERE client_id = ? ORDER BY happened_at DESC, rowid DESC LIMIT 100",
                NoteRepository::note,
                clientId);
    }

    List<Note> unread() {
        return sql.list(
                "SELECT " + COLUMNS + " FROM home_note WHERE read_at IS NULL ORDER BY happened_at",
                NoteRepository::note);
    }

    void read(String clientId, Instant now) {
        sql.update("UPDATE home_note SET read_at = ? WHERE client_id = ? AND read_at IS NULL", now, clientId);
    }

    private static Note note(ResultSet row) throws SQLException {
        return new Note(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("text"),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"),
                Sql.instantOrNull(row, "read_at"));
    }
}
