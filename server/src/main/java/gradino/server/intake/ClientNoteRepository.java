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

/** Owns client_note: each saving and each correction is a new row. */
@Repository
public class ClientNoteRepository {
    public static final int LONGEST = 2_000;
    private static final String SELECT = """
            SELECT n.id, n.client_id, n.account_id, n.kind, n.corrects, n.recorded_at, n.text
              FROM client_note n
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
     * @param accountId null for one that came by a file
     * @param corrects id of the first form of the same note; null for a first form
     * @param text empty when the note was removed
     */
    public record ClientNote(
            String id,
            String clientId,
            @Nullable String accountId,
            NoteKind kind,
            @Nullable String corrects,
            Instant recordedAt,
            String text) {}

    /**
     * A note as it is read now.
     *
     * @param author name of the account that wrote it first; null for one that came by a file
     * @param correctedAt null when it is as it was written
     */
    public record NoteNow(
            String id,
            Instant at,
            @Nullable String author,
            String text,
            @Nullable Instant correctedAt) {}

    /** @return whether it was new */
    public boolean add(ClientNote n) {
        return sql.update("""
                        INSERT INTO client_note (id, client_id, account_id, kind, corrects, recorded_at, text)
                        VALUES (?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING
                        """, n.id(), n.clientId(), n.accountId(), n.kind(), n.corrects(), n.recordedAt(), n.text())
                > 0;
    }

    public Optional<ClientNote> find(String id) {
        return sql.first(SELECT + " WHERE n.id = ?", ClientNoteRepository::note, id);
    }

    /** A client's notes as they are now, without those removed; the newest first. */
    public List<NoteNow> now(String clientId, int most) {
        return sql.list(
                """
                SELECT n.id, n.recorded_at, a.name AS author, coalesce(c.text, n.text) AS text,
                       c.recorded_at AS corrected_at
                  FROM client_note n
                  LEFT JOIN client_note c
                         ON c.seq = (SELECT max(seq) FROM client_note WHERE corrects = n.id)
                  LEFT JOIN account a ON a.id = n.account_id
                 WHERE n.client_id = ? AND n.kind = ? AND n.corrects IS NULL AND coalesce(c.text, n.text) <> ''
                 ORDER BY n.seq DESC LIMIT ?
                """,
                row -> new NoteNow(
                        row.getString("id"),
                        Sql.instant(row, "recorded_at"),
                        row.getString("author"),
                        row.getString("text"),
                        Sql.instantOrNull(row, "corrected_at")),
                clientId,
                NoteKind.CLIENT,
                most);
    }

    public Optional<ClientNote> newestOfReport(String clientId) {
        return sql.first(
                SELECT + " WHERE n.client_id = ? AND n.kind = ? ORDER BY n.seq DESC LIMIT 1",
                ClientNoteRepository::note,
                clientId,
                NoteKind.REPORT);
    }

    public void each(Consumer<ClientNote> to) {
        sql.each(SELECT + " ORDER BY n.seq", ClientNoteRepository::note, to);
    }

    private static ClientNote note(ResultSet row) throws SQLException {
        return new ClientNote(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("account_id"),
                NoteKind.valueOf(row.getString("kind")),
                row.getString("corrects"),
                Sql.instant(row, "recorded_at"),
                row.getString("text"));
    }
}
