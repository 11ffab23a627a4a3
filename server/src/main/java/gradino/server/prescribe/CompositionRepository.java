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
public class CompositionRepository {
    private static final String COMPOSITION_COLUMNS = "id, client_id, account_id, recorded_at, name, body";
    private static final String STUDIO_METHOD_COLUMNS = "id, account_id, recorded_at, body";
    private final Sql sql;
    private final Json json;

    CompositionRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /** A session as it was composed. */
    public record Composition(
            String id,
            String clientId,
            @Nullable String accountId,
            String name,
            SessionDraft draft,
            Instant recordedAt) {

        Composition with(SessionDraft other) {
            return new Composition(id, clientId, accountId, name, other, recordedAt);
        }
    }

    /** A method of the studio as it was kept. */
    public record StudioMethod(Method method, String accountId, Instant recordedAt) {}

    /** Every saving, oldest first. */
    public List<Composition> all() {
        return sql.list("SELECT " + COMPOSITION_COLUMNS + " FROM composition ORDER BY seq", this::composition);
    }

    /** Every saving, oldest first, of those whose lines are not kept; at almost every start there are none. */
    List<Composition> withoutLines() {
        return sql.list("SELECT " + COMPOSITION_COLUMNS + """
                 FROM composition c WHERE NOT EXISTS
                  (SELECT 1 FROM line l WHERE l.composition_id = c.id AND l.client_id = c.client_id)
                 ORDER BY seq
                """, this::composition);
    }

    /** Every saving of one, oldest first. */
    public List<Composition> versions(String clientId, String id) {
        return sql.list(
                "SELECT " + COMPOSITION_COLUMNS + " FROM composition WHERE client_id = ? AND id = ? ORDER BY seq",
                this::composition,
                clientId,
                id);
    }

    public List<StudioMethod> allMethods() {
        return sql.list(
                "SELECT " + STUDIO_METHOD_COLUMNS + " FROM studio_method ORDER BY seq",
                row -> new StudioMethod(
                        json.read(row.getString("body"), Method.class),
                        row.getString("account_id"),
                        Sql.instant(row, "recorded_at")));
    }

    List<Composition> of(String clientId) {
        return sql.list("SELECT " + COMPOSITION_COLUMNS + """
                 FROM composition c WHERE client_id = ?
                   AND seq = (SELECT max(seq) FROM composition WHERE client_id = c.client_id AND id = c.id)
                 ORDER BY seq DESC
                """, this::composition, clientId);
    }

    public Optional<Composition> newest(String clientId, String id) {
        return sql.first(
                "SELECT " + COMPOSITION_COLUMNS
                        + " FROM composition WHERE client_id = ? AND id = ? ORDER BY seq DESC LIMIT 1",
                this::composition,
                clientId,
                id);
    }

    /** Name of the session that a line is part of; null for one with a plan of its own. */
    public @Nullable String nameOf(Line line) {
        var place = line.composed();
        return place == null
                ? null
                : sql.first(
                                "SELECT name FROM composition WHERE client_id = ? AND id = ? ORDER BY seq DESC LIMIT 1",
                                row -> row.getString("name"),
                                line.clientId(),
                                place.compositionId())
                        .orElse(null);
    }

    public void insert(Composition c) {
        sql.update(
                "INSERT INTO composition (id, client_id, account_id, recorded_at, name, body) VALUES (?, ?, ?, ?, ?, ?)",
                c.id(),
                c.clientId(),
                c.accountId(),
                c.recordedAt(),
                c.name(),
                json.write(c.draft()));
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
