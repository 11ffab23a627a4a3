package gradino.server.account.people;

import gradino.server.platform.Sql;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Repository;

/** Owns sign_in_token and known_device. */
@Repository
class SignInRepository {
    private final Sql sql;

    SignInRepository(Sql sql) {
        this.sql = sql;
    }

    void addToken(String digest, String accountId, Instant now, Instant expires) {
        sql.update("DELETE FROM sign_in_token WHERE expires_at < ?", now);
        sql.update(
                "INSERT INTO sign_in_token (digest, account_id, created_at, expires_at) VALUES (?, ?, ?, ?)",
                digest,
                accountId,
                now,
                expires);
    }

    Optional<Account> account(String digest, Instant now) {
        return sql.first("""
                SELECT a.* FROM sign_in_token t JOIN account a ON a.id = t.account_id
                 WHERE t.digest = ? AND t.expires_at >= ? AND a.disabled_at IS NULL
                """, AccountRepository::account, digest, now);
    }

    void endToken(String digest) {
        sql.update("DELETE FROM sign_in_token WHERE digest = ?", digest);
    }

    void endAll(String accountId) {
        sql.update("DELETE FROM sign_in_token WHERE account_id = ?", accountId);
        sql.update("DELETE FROM known_device WHERE account_id = ?", accountId);
    }

    boolean isKnown(String device, String accountId) {
        return sql.first(
                        "SELECT 1 FROM known_device WHERE digest = ? AND account_id = ?",
                        row -> true,
                        device,
                        accountId)
                .isPresent();
    }

    void know(String device, String accountId, Instant now) {
        sql.update(
                "INSERT OR REPLACE INTO known_device (digest, account_id, at) VALUES (?, ?, ?)",
                device,
                accountId,
                now);
    }
}
