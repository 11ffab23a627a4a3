package gradino.server.prescribe.program;

import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Arrangement;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns session and studio_method: each saving is a new row, the newest of an id counts. */
@Repository
public class SessionRepository {
    private static final String COLUMNS = "id, client_id, account_id, recorded_at, name, body";
    private static final String STUDIO_METHOD_COLUMNS = "id, account_id, recorded_at, body";
    private final Sql sql;
    private final Json json;

    SessionRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /**
     * A session as it was kept.
     *
     * @param body null when it was removed
     */
    public record Saving(
            String id,
            String clientId,
            @Nullable String accountId,
            String name,
            @Nullable Arrangement body,
            Instant recordedAt) {
        public boolean has(String line) {
            return body != null && body.lines().contains(line);
        }
    }

    /** A method of the studio as it was kept. */
    public record StudioMethod(Method method, String accountId, Instant recordedAt) {}

    /** Every saving, oldest first. */
    public List<Saving> all() {
        return sql.list("SELECT " + COLUMNS + " FROM session ORDER BY seq", this::saving);
    }

    public List<StudioMethod> allMethods() {
        return sql.list(
                "SELECT " + STUDIO_METHOD_COLUMNS + " FROM studio_method ORDER BY seq",
                row -> new StudioMethod(
                        json.read(row.getString("body"), Method.class),
                        row.getString("account_id"),
                        Sql.instant(row, "recorded_at")));
    }

    /** A client's sessions, the newest first. */
    public List<Saving> of(String clientId) {
        return of(List.of(clientId));
    }

    public List<Saving> of(Collection<String> clientIds) {
        return sql.list("SELECT " + COLUMNS + """
                 FROM session s WHERE body IS NOT NULL
                   AND seq = (SELECT max(seq) FROM session WHERE client_id = s.client_id AND id = s.id) AND client_id
                """ + Sql.AMONG + "ORDER BY seq DESC", this::saving, clientIds);
    }

    /** As it is now; empty for one that was removed. */
    public Optional<Saving> newest(String clientId, String id) {
        return sql.first(
                        "SELECT " + COLUMNS + " FROM session WHERE client_id = ? AND id = ? ORDER BY seq DESC LIMIT 1",
                        this::saving,
                        clientId,
                        id)
                .filter(s -> s.body() != null);
    }

    public void insert(Saving s) {
        sql.update(
                "INSERT INTO session (id, client_id, account_id, recorded_at, name, body) VALUES (?, ?, ?, ?, ?, ?)",
                s.id(),
                s.clientId(),
                s.accountId(),
                s.recordedAt(),
                s.name(),
                s.body() == null ? null : json.write(s.body()));
    }

    public List<Method> methods() {
        return sql.list("""
                SELECT body FROM studio_method m
                 WHERE seq = (SELECT max(seq) FROM studio_method WHERE id = m.id) ORDER BY seq
                """, row -> json.read(row.getString(1), Method.class));
    }

    public void insert(StudioMethod kept) {
        sql.update(
                "INSERT INTO studio_method (id, account_id, recorded_at, body) VALUES (?, ?, ?, ?)",
                kept.method().id(),
                kept.accountId(),
                kept.recordedAt(),
                json.write(kept.method()));
    }

    private Saving saving(ResultSet row) throws SQLException {
        var body = row.getString("body");
        return new Saving(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("account_id"),
                row.getString("name"),
                body == null ? null : json.read(body, Arrangement.class),
                Sql.instant(row, "recorded_at"));
    }
}
