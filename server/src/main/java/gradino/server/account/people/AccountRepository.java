package gradino.server.account.people;

import gradino.server.account.people.Account.Units;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Repository;

/** Owns account. */
@Repository
public class AccountRepository {
    private static final String COLUMNS = "id, sign_in, name, role, units, disabled_at";
    private final Sql sql;

    AccountRepository(Sql sql) {
        this.sql = sql;
    }

    List<Account> all() {
        return sql.list(
                "SELECT " + COLUMNS + " FROM account ORDER BY disabled_at IS NOT NULL, name, id",
                AccountRepository::account);
    }

    public Optional<Account> find(String id) {
        return sql.first("SELECT " + COLUMNS + " FROM account WHERE id = ?", AccountRepository::account, id);
    }

    Optional<Account> bySignIn(String signIn) {
        return sql.first("SELECT " + COLUMNS + " FROM account WHERE sign_in = ?", AccountRepository::account, signIn);
    }

    Optional<String> passwordHash(String accountId) {
        return sql.first("SELECT password_hash FROM account WHERE id = ?", row -> row.getString(1), accountId);
    }

    void insert(Account account, String passwordHash, Instant now) {
        sql.update("""
                INSERT INTO account (id, recorded_at, sign_in, name, role, password_hash) VALUES (?, ?, ?, ?, ?, ?)
                """, account.id(), now, account.signIn(), account.name(), account.role(), passwordHash);
    }

    void setPassword(String id, String passwordHash) {
        sql.update("UPDATE account SET password_hash = ? WHERE id = ?", passwordHash, id);
    }

    void setUnits(String id, Units units) {
        sql.update("UPDATE account SET units = ? WHERE id = ?", units, id);
    }

    void setDisabled(String id, boolean disabled, Instant now) {
        sql.update("UPDATE account SET disabled_at = ? WHERE id = ?", disabled ? now : null, id);
    }

    static Account account(ResultSet row) throws SQLException {
        return new Account(
                row.getString("id"),
                row.getString("name"),
                row.getString("sign_in"),
                Role.valueOf(row.getString("role")),
                Units.valueOf(row.getString("units")),
                row.getObject("disabled_at") != null);
    }
}
