package gradino.server.home;

import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Repository;

/** Owns home_note. */
@Repository
class NoteRepository {
    private final Sql sql;

    NoteRepository(Sql sql) {
        this.sql = sql;
    }

    /** A short note from home. */
    record Note(String id, String clientId, String text, Instant happenedAt, boolean read) {}

    void add(String id, String clientId, String text, Instant now) {
        sql.update("""
                INSERT INTO home_note (id, client_id, text, happened_at, recorded_at) VALUES (?, ?, ?, ?, ?)
                ON CONFLICT (id) DO NOTHING
                """, id, clientId, text, now, now);
    }

    /** Newest first. */
    List<Note> of(String clientId) {
        return sql.list(
                "SELECT * FROM home_note WHERE client_id = ? ORDER BY happened_at DESC, rowid DESC LIMIT 100",
                NoteRepository::note,
                clientId);
    }

    List<Note> unread() {
        return sql.list("SELECT * FROM home_note WHERE read_at IS NULL ORDER BY happened_at", NoteRepository::note);
    }

    void read(String clientId, Instant now) {
        sql.update("UPDATE home_note SET read_at = ? WHERE client_id = ? AND read_at IS NULL", now, clientId);
    }

    private static Note note(ResultSet row) throws SQLException {
        row.getLong("read_at");
        boolean read = !row.wasNull();
        return new Note(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("text"),
                Sql.instant(row, "happened_at"),
                read);
    }
}
