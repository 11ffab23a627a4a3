package gradino.server.account.people;

import gradino.server.platform.Sql;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns audit. */
@Repository
public class AuditRepository {
    private static final int PAGE = 100;
    private final Sql sql;

    AuditRepository(Sql sql) {
        this.sql = sql;
    }

    /** Whether data was looked at or changed. */
    public enum Action {
        SAW,
        CHANGED
    }

    /**
     * Somebody saw or changed something.
     *
     * @param clientId whose data; null for lists and the studio's own settings
     * @param clientName as the file says now; null when there is none
     */
    public record Entry(
            long id,
            Instant at,
            String account,
            @Nullable String clientId,
            @Nullable String clientName,
            Action action,
            String what) {}

    void add(Instant at, String accountId, @Nullable String clientId, Action action, String what) {
        sql.update(
                "INSERT INTO audit (at, account_id, client_id, action, what) VALUES (?, ?, ?, ?, ?)",
                at,
                accountId,
                clientId,
                action,
                what);
    }

    /** The newest hundred before an entry. */
    List<Entry> before(long id, @Nullable String clientId) {
        return sql.list(
                """
                SELECT u.id, u.at, a.name AS account, u.client_id, u.action, u.what,
                       (SELECT name FROM client_details d WHERE d.client_id = u.client_id ORDER BY d.id DESC LIMIT 1) AS client
                  FROM audit u JOIN account a ON a.id = u.account_id
                 WHERE u.id < ? AND (? IS NULL OR u.client_id = ?)
                 ORDER BY u.id DESC LIMIT ?
                """,
                row -> new Entry(
                        row.getLong("id"),
                        Sql.instant(row, "at"),
                        row.getString("account"),
                        row.getString("client_id"),
                        row.getString("client"),
                        Action.valueOf(row.getString("action")),
                        row.getString("what")),
                id,
                clientId,
                clientId,
                PAGE);
    }
}
