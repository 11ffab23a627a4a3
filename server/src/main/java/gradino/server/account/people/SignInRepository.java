package gradino.server.account.people;

import gradino.server.platform.Sql;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Repository;

/** Owns sign_in_token and sign_in_failure. */
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
    }

    void addFailure(String signIn, String address, Instant now) {
        sql.update("INSERT INTO sign_in_failure (sign_in, address, at) VALUES (?, ?, ?)", signIn, address, now);
    }

    int failures(String signIn, Instant since) {
        return count("SELECT count(*) FROM sign_in_failure WHERE sign_in = ? AND at > ?", signIn, since);
    }

    int failuresFrom(String address, Instant since) {
        return count("SELECT count(*) FROM sign_in_failure WHERE address = ? AND at > ?", address, since);
    }

    /** A right password makes good what was mistyped under this name. */
    void forgive(String signIn) {
        sql.update("DELETE FROM sign_in_failure WHERE sign_in = ?", signIn);
    }

    private int count(String query, String key, Instant since) {
        return sql.first(query, row -> row.getInt(1), key, since).orElse(0);
    }
}
