package gradino.server.account.people;

import gradino.server.platform.Sql;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Repository;

/** Owns client_access. */
@Repository
public class AccessRepository {
    private final Sql sql;

    AccessRepository(Sql sql) {
        this.sql = sql;
    }

    /** How an account may see a client. */
    enum Kind {
        OWN,
        SHARED,
        NONE
    }

    /** Who may see a client, and how. */
    public record Grant(String accountId, Kind kind) {}

    void grant(String clientId, String accountId, Kind kind, Instant now) {
        sql.update(
                "INSERT INTO client_access (client_id, account_id, recorded_at, kind) VALUES (?, ?, ?, ?)",
                clientId,
                accountId,
                now,
                kind);
    }

    Set<String> clientsOf(String accountId) {
        return new HashSet<>(sql.list("""
                SELECT client_id FROM client_access a
                 WHERE account_id = ? AND kind <> 'NONE'
                   AND id = (SELECT max(id) FROM client_access b
                              WHERE b.account_id = a.account_id AND b.client_id = a.client_id)
                """, row -> row.getString(1), accountId));
    }

    List<Grant> grants(String clientId) {
        return sql.list("""
                SELECT account_id, kind FROM client_access a
                 WHERE client_id = ? AND kind <> 'NONE'
                   AND id = (SELECT max(id) FROM client_access b
                              WHERE b.account_id = a.account_id AND b.client_id = a.client_id)
                 ORDER BY kind, account_id
                """, row -> new Grant(row.getString(1), Kind.valueOf(row.getString(2))), clientId);
    }

    boolean maySee(String accountId, String clientId) {
        return sql.first("""
                        SELECT kind FROM client_access WHERE account_id = ? AND client_id = ? ORDER BY id DESC LIMIT 1
                        """, row -> Kind.valueOf(row.getString(1)), accountId, clientId)
                .filter(kind -> kind != Kind.NONE)
                .isPresent();
    }
}
