package gradino.server.prescribe;

import gradino.core.prescribe.Method;
import gradino.core.prescribe.SessionDraft;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns composition and studio_method: each saving is a new row, the newest of an id counts. */
@Repository
class CompositionRepository {
    private final Sql sql;
    private final Json json;

    CompositionRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /** A session as it was composed. */
    record Composition(
            String id,
            String clientId,
            @Nullable String accountId,
            String name,
            SessionDraft draft,
            Instant recordedAt) {}

    List<Composition> of(String clientId) {
        return sql.list("""
                SELECT * FROM composition c WHERE client_id = ?
                   AND seq = (SELECT max(seq) FROM composition WHERE client_id = c.client_id AND id = c.id)
                 ORDER BY seq DESC
                """, this::composition, clientId);
    }

    Optional<Composition> find(String clientId, String id) {
        return sql.first(
                "SELECT * FROM composition WHERE client_id = ? AND id = ? ORDER BY seq DESC LIMIT 1",
                this::composition,
                clientId,
                id);
    }

    void insert(Composition c) {
        sql.update(
                "INSERT INTO composition (id, client_id, account_id, recorded_at, name, body) VALUES (?, ?, ?, ?, ?, ?)",
                c.id(),
                c.clientId(),
                c.accountId(),
                c.recordedAt(),
                c.name(),
                json.write(c.draft()));
    }

    List<Method> methods() {
        return sql.list("""
                SELECT body FROM studio_method m
                 WHERE seq = (SELECT max(seq) FROM studio_method WHERE id = m.id) ORDER BY seq
                """, row -> json.read(row.getString(1), Method.class));
    }

    void insert(Method method, String accountId, Instant recordedAt) {
        sql.update(
                "INSERT INTO studio_method (id, account_id, recorded_at, body) VALUES (?, ?, ?, ?)",
                method.id(),
                accountId,
                recordedAt,
                json.write(method));
    }

    private Composition composition(ResultSet row) throws SQLException {
        return new Composition(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("account_id"),
                row.getString("name"),
                json.read(row.getString("body"), SessionDraft.class),
                Sql.instant(row, "recorded_at"));
    }
}
