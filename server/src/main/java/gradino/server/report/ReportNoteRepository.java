package gradino.server.report;

import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns report_note: each saving is a new row, the newest counts. */
@Repository
public class ReportNoteRepository {
    private static final String COLUMNS = "client_id, account_id, recorded_at, text";
    private final Sql sql;

    ReportNoteRepository(Sql sql) {
        this.sql = sql;
    }

    /** What was written above a client's report. */
    public record ReportNote(String clientId, @Nullable String accountId, Instant recordedAt, String text) {}

    /** @return whether it was new */
    public boolean add(ReportNote n) {
        if (has(n)) {
            return false;
        }
        sql.update(
                "INSERT INTO report_note (client_id, account_id, recorded_at, text) VALUES (?, ?, ?, ?)",
                n.clientId(),
                n.accountId(),
                n.recordedAt(),
                n.text());
        return true;
    }

    Optional<ReportNote> newest(String clientId) {
        return sql.first(
                "SELECT " + COLUMNS + " FROM report_note WHERE client_id = ? ORDER BY seq DESC LIMIT 1",
                ReportNoteRepository::note,
                clientId);
    }

    private boolean has(ReportNote n) {
        return sql.first(
                        "SELECT 1 FROM report_note WHERE client_id = ? AND recorded_at = ? AND text = ?",
                        row -> true,
                        n.clientId(),
                        n.recordedAt(),
                        n.text())
                .isPresent();
    }

    public void each(Consumer<ReportNote> to) {
        sql.each("SELECT " + COLUMNS + " FROM report_note ORDER BY seq", ReportNoteRepository::note, to);
    }

    private static ReportNote note(ResultSet row) throws SQLException {
        return new ReportNote(
                row.getString("client_id"),
                row.getString("account_id"),
                Sql.instant(row, "recorded_at"),
                row.getString("text"));
    }
}
