package gradino.server.schedule.feed;

import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns calendar_link. */
@Repository
class FeedRepository {
    private static final String COLUMNS = "id, client_id, account_id, happened_at, revoked_at";

    private final Sql sql;

    FeedRepository(Sql sql) {
        this.sql = sql;
    }

    /** @param clientId null for all clients of the account */
    record Link(
            String id,
            @Nullable String clientId,
            String accountId,
            Instant madeAt,
            @Nullable Instant revokedAt) {}

    void add(Link link, String digest) {
        sql.update(
                "INSERT INTO calendar_link (id, client_id, account_id, digest, happened_at) VALUES (?, ?, ?, ?, ?)",
                link.id(),
                link.clientId(),
                link.accountId(),
                digest,
                link.madeAt());
    }

    Optional<Link> byDigest(String digest) {
        return sql.first(
                "SELECT " + COLUMNS + " FROM calendar_link WHERE digest = ? AND revoked_at IS NULL",
                FeedRepository::link,
                digest);
    }

    Optional<Link> find(String id) {
        return sql.first("SELECT " + COLUMNS + " FROM calendar_link WHERE id = ?", FeedRepository::link, id);
    }

    List<Link> ofClient(String clientId) {
        return sql.list(
                "SELECT " + COLUMNS
                        + " FROM calendar_link WHERE client_id = ? AND revoked_at IS NULL ORDER BY happened_at DESC",
                FeedRepository::link,
                clientId);
    }

    List<Link> ofAccount(String accountId) {
        return sql.list("SELECT " + COLUMNS + """
                 FROM calendar_link WHERE account_id = ? AND client_id IS NULL AND revoked_at IS NULL
                 ORDER BY happened_at DESC
                """, FeedRepository::link, accountId);
    }

    void revoke(String id, Instant at) {
        sql.update("UPDATE calendar_link SET revoked_at = coalesce(revoked_at, ?) WHERE id = ?", at, id);
    }

    private static Link link(ResultSet row) throws SQLException {
        return new Link(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("account_id"),
                Sql.instant(row, "happened_at"),
                Sql.instantOrNull(row, "revoked_at"));
    }
}
