package gradino.server.perform;

import gradino.core.prescribe.SessionDraft;
import gradino.core.prescribe.Timeline;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns the rows of session that run something composed. */
@Repository
public class VisitRepository {
    private static final String COLUMNS = "id, client_id, happened_at, recorded_at, composition_id, name, draft";
    private final Sql sql;
    private final Json json;

    VisitRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /** A composed session as it was run: what was composed that day is kept with it. */
    public record Visit(
            String id,
            String clientId,
            String compositionId,
            String name,
            SessionDraft draft,
            Instant happenedAt,
            Instant recordedAt) {}

    public void open(Visit v, @Nullable Timeline timeline) {
        sql.update(
                """
                INSERT INTO session (id, client_id, composition_id, name, draft, happened_at, recorded_at, timeline)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?)
                """,
                v.id(),
                v.clientId(),
                v.compositionId(),
                v.name(),
                json.write(v.draft()),
                v.happenedAt(),
                v.recordedAt(),
                timeline == null ? null : json.write(timeline));
    }

    public Optional<Visit> find(String id) {
        return sql.first("SELECT " + COLUMNS + " FROM session WHERE id = ? AND draft IS NOT NULL", this::visit, id);
    }

    /** The newest run of something composed that nobody closed. */
    public Optional<Visit> unclosed(String clientId, String compositionId) {
        return sql.first("""
                SELECT s.* FROM session s LEFT JOIN session_close c ON c.session_id = s.id
                 WHERE s.client_id = ? AND s.composition_id = ? AND s.timeline IS NOT NULL AND c.session_id IS NULL
                 ORDER BY s.happened_at DESC
                """, this::visit, clientId, compositionId);
    }

    /** A client's runs, newest first. */
    List<Visit> of(String clientId) {
        return sql.list(
                "SELECT " + COLUMNS
                        + " FROM session WHERE client_id = ? AND draft IS NOT NULL ORDER BY happened_at DESC",
                this::visit,
                clientId);
    }

    /** Every run of something composed, in the order of time. */
    public List<Visit> ofComposition(String clientId, String compositionId) {
        return sql.list(
                "SELECT " + COLUMNS
                        + " FROM session WHERE client_id = ? AND composition_id = ? ORDER BY happened_at, id",
                this::visit,
                clientId,
                compositionId);
    }

    /** A composed session that was closed, and nobody has answered for the morning after. */
    public record Unanswered(String id, String name, Instant endedAt) {}

    public List<Unanswered> unanswered(String clientId, Instant since) {
        return sql.list(
                """
                SELECT s.id, s.name, c.happened_at FROM session s JOIN session_close c ON c.session_id = s.id
                 WHERE s.client_id = ? AND s.draft IS NOT NULL AND c.happened_at >= ?
                   AND NOT EXISTS (SELECT 1 FROM morning m WHERE m.session_id = s.id)
                 ORDER BY c.happened_at
                """,
                row -> new Unanswered(row.getString("id"), row.getString("name"), Sql.instant(row, "happened_at")),
                clientId,
                since);
    }

    public List<Visit> all() {
        return sql.list(
                "SELECT " + COLUMNS + " FROM session WHERE draft IS NOT NULL ORDER BY client_id, happened_at, id",
                this::visit);
    }

    private Visit visit(ResultSet row) throws SQLException {
        return new Visit(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("composition_id"),
                row.getString("name"),
                json.read(row.getString("draft"), SessionDraft.class),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }
}
