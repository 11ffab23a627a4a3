package gradino.server.intake;

import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns client_note: each saving is a new row. */
@Repository
public class ClientNoteRepository {
    public static final int LONGEST = 2_000;
    private static final String SELECT = """
            SELECT n.client_id, n.account_id, a.name AS author, n.kind, n.recorded_at, n.text
              FROM client_note n LEFT JOIN account a ON a.id = n.account_id
            """;
    private final Sql sql;

    ClientNoteRepository(Sql sql) {
        this.sql = sql;
    }

    /** Where a note is read. */
    public enum NoteKind {
        /** On the client's page, with those before it. */
        CLIENT,
        /** Above the report; the newest counts. */
        REPORT
    }

    /**
     * What a coach wrote about a client.
     *
     * @param author name of the account; null for one that came by a file
     */
    public record ClientNote(
            String clientId,
            @Nullable String accountId,
            @Nullable String author,
            NoteKind kind,
            Instant recordedAt,
            String text) {}

    /** @return whether it was new */
    public boolean add(ClientNote n) {
        if (has(n)) {
            return false;
        }
        sql.update(
                "INSERT INTO client_note (client_id, account_id, kind, recorded_at, text) VALUES (?, ?, ?, ?, ?)",
                n.clientId(),
                n.accountId(),
                n.kind(),
                n.recordedAt(),
                n.text());
        return true;
    }

    /** The newest first. */
    public List<ClientNote> of(String clientId, NoteKind kind, int most) {
        return sql.list(
                SELECT + " WHERE n.client_id = ? AND n.kind = ? ORDER BY n.seq DESC LIMIT ?",
                ClientNoteRepository::note,
                clientId,
                kind,
                most);
    }

    public Optional<ClientNote> newest(String clientId, NoteKind kind) {
        return of(clientId, kind, 1).stream().findFirst();
    }

    private boolean has(ClientNote n) {
        return sql.first(
                        "SELECT 1 FROM client_note WHERE client_id = ? AND kind = ? AND recorded_at = ? AND text = ?",
                        row -> true,
                        n.clientId(),
                        n.kind(),
                        n.recordedAt(),
                        n.text())
                .isPresent();
    }

    public void each(Consumer<ClientNote> to) {
        sql.each(SELECT + " ORDER BY n.seq", ClientNoteRepository::note, to);
    }

    private static ClientNote note(ResultSet row) throws SQLException {
        return new ClientNote(
                row.getString("client_id"),
                row.getString("account_id"),
                row.getString("author"),
                NoteKind.valueOf(row.getString("kind")),
                Sql.instant(row, "recorded_at"),
                row.getString("text"));
    }
}
