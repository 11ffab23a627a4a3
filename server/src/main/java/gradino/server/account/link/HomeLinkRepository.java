package gradino.server.account.link;

import gradino.server.account.people.HomeGuest;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns home_link and home_visit. */
@Repository
class HomeLinkRepository {
    private final Sql sql;

    HomeLinkRepository(Sql sql) {
        this.sql = sql;
    }

    /** A link as it is kept. */
    record Link(
            String id,
            String clientId,
            @Nullable String pinHash,
            int wrongPins,
            Instant madeAt,
            Instant expiresAt,
            @Nullable Instant revokedAt,
            int devices,
            @Nullable String report,
            int opened) {
        boolean stands(Instant now) {
            return revokedAt == null && now.isBefore(expiresAt);
        }
    }

    private static final String LINKS = """
            SELECT l.*, (SELECT count(*) FROM home_visit v WHERE v.link_id = l.id) AS devices FROM home_link l
            """;

    void add(
            String id,
            String clientId,
            String accountId,
            String digest,
            @Nullable String pin,
            Instant now,
            Instant end,
            @Nullable String report) {
        sql.update("""
                INSERT INTO home_link (id, client_id, account_id, digest, pin_hash, happened_at, expires_at, report)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?)
                """, id, clientId, accountId, digest, pin, now, end, report);
    }

    void opened(String id) {
        sql.update("UPDATE home_link SET opened = opened + 1 WHERE id = ?", id);
    }

    List<Link> of(String clientId) {
        return sql.list(
                LINKS + " WHERE l.client_id = ? ORDER BY l.happened_at DESC", HomeLinkRepository::link, clientId);
    }

    Optional<Link> byDigest(String digest) {
        return sql.first(LINKS + " WHERE l.digest = ?", HomeLinkRepository::link, digest);
    }

    /** Counts a try before it is compared. @return whether there was one left */
    boolean tryPin(String id, int most) {
        return sql.update("UPDATE home_link SET wrong_pins = wrong_pins + 1 WHERE id = ? AND wrong_pins < ?", id, most)
                == 1;
    }

    void rightPin(String id) {
        sql.update("UPDATE home_link SET wrong_pins = 0 WHERE id = ?", id);
    }

    /** @return whether there was such a link of the client */
    boolean revoke(String clientId, String id, Instant now) {
        return sql.update(
                        "UPDATE home_link SET revoked_at = coalesce(revoked_at, ?) WHERE id = ? AND client_id = ?",
                        now,
                        id,
                        clientId)
                == 1;
    }

    void revokeAll(String clientId, Instant now) {
        sql.update("UPDATE home_link SET revoked_at = ? WHERE client_id = ? AND revoked_at IS NULL", now, clientId);
    }

    /** Links in force that an account made: for one client, or for all. */
    List<Link> madeBy(String accountId, @Nullable String clientId, Instant now) {
        return sql.list(LINKS + """
                         WHERE l.account_id = ?1 AND (?2 IS NULL OR l.client_id = ?2) AND l.revoked_at IS NULL AND l.expires_at > ?3
                         ORDER BY l.happened_at
                        """, HomeLinkRepository::link, accountId, clientId, now);
    }

    void visit(String digest, String linkId, Instant now) {
        sql.update("INSERT INTO home_visit (digest, link_id, happened_at) VALUES (?, ?, ?)", digest, linkId, now);
    }

    void endVisit(String digest) {
        sql.update("DELETE FROM home_visit WHERE digest = ?", digest);
    }

    Optional<HomeGuest> guest(String digest, Instant now) {
        return sql.first("""
                SELECT l.id, l.client_id FROM home_visit v JOIN home_link l ON l.id = v.link_id
                 WHERE v.digest = ? AND l.revoked_at IS NULL AND l.expires_at > ?
                """, row -> new HomeGuest(row.getString(1), row.getString(2)), digest, now);
    }

    private static Link link(ResultSet row) throws SQLException {
        return new Link(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("pin_hash"),
                row.getInt("wrong_pins"),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "expires_at"),
                Sql.instantOrNull(row, "revoked_at"),
                row.getInt("devices"),
                row.getString("report"),
                row.getInt("opened"));
    }
}
