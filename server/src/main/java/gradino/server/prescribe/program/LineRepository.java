package gradino.server.prescribe.program;

import gradino.core.prescribe.program.Plan;
import gradino.server.account.people.ClientOwned;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns line and line_version. */
@Repository
public class LineRepository implements ClientOwned {
    private static final String LINE_COLUMNS =
            "id, client_id, motion, position, happened_at, recorded_at, follows, ended_at";
    private static final String VERSION_COLUMNS = "line_id, happened_at, recorded_at, body";
    private final Sql sql;
    private final Json json;

    LineRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    @Override
    public String variable() {
        return "lineId";
    }

    @Override
    public Optional<String> clientOf(String id) {
        return sql.first("SELECT client_id FROM line WHERE id = ?", row -> row.getString(1), id);
    }

    /** A client's lines in force. */
    public List<Line> of(String clientId) {
        return of(List.of(clientId));
    }

    public List<Line> of(Collection<String> clientIds) {
        return sql.list(
                "SELECT " + LINE_COLUMNS + " FROM line WHERE ended_at IS NULL AND client_id" + Sql.AMONG
                        + "ORDER BY happened_at, id",
                LineRepository::line,
                clientIds);
    }

    /** A client's lines that ended from some moment on. */
    public List<Line> endedSince(String clientId, Instant from) {
        return sql.list(
                "SELECT " + LINE_COLUMNS + " FROM line WHERE client_id = ? AND ended_at >= ? ORDER BY happened_at, id",
                LineRepository::line,
                clientId,
                from);
    }

    public List<Line> endedSince(Collection<String> clientIds, Instant from) {
        return sql.list(
                "SELECT " + LINE_COLUMNS + " FROM line WHERE ended_at >= ?2 AND client_id" + Sql.AMONG
                        + "ORDER BY happened_at, id",
                LineRepository::line,
                clientIds,
                from);
    }

    /** Those that go on from a line. */
    public List<Line> after(String lineId) {
        return sql.list(
                "SELECT " + LINE_COLUMNS + " FROM line WHERE follows = ? ORDER BY happened_at, id",
                LineRepository::line,
                lineId);
    }

    /** Of a line that goes on in several the last by its id; one that was taken back goes on in the one before it. */
    public GoneOn goneOn(String clientId) {
        var to = new HashMap<String, String>();
        sql.list("""
                WITH RECURSIVE gone (id, line) AS (
                  SELECT follows, id FROM line WHERE client_id = ?1 AND ended_at IS NULL AND follows IS NOT NULL
                  UNION SELECT l.follows, g.line FROM gone g JOIN line l ON l.id = g.id WHERE l.follows IS NOT NULL)
                SELECT g.id, g.line FROM gone g JOIN line l ON l.id = g.id WHERE l.ended_at IS NOT NULL
                UNION SELECT l.id, f.id FROM line l JOIN line f ON f.id = l.follows
                 WHERE l.client_id = ?1 AND l.ended_at IS NOT NULL AND f.ended_at IS NULL
                ORDER BY 2""", row -> to.put(row.getString(1), row.getString(2)), clientId);
        return new GoneOn(to);
    }

    /** @param at when it ended; null when it is trained again */
    public void end(String lineId, @Nullable Instant at) {
        sql.update("UPDATE line SET ended_at = ? WHERE id = ?", at, lineId);
    }

    /** What is referred to before what refers to it. */
    public List<Line> all() {
        return sql.list(
                "SELECT " + LINE_COLUMNS + " FROM line ORDER BY client_id, recorded_at, rowid", LineRepository::line);
    }

    public Optional<Line> find(String id) {
        return sql.first("SELECT " + LINE_COLUMNS + " FROM line WHERE id = ?", LineRepository::line, id);
    }

    public void insert(Line line) {
        sql.update(
                """
                INSERT INTO line (id, client_id, motion, position, happened_at, recorded_at, follows, ended_at)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?)
                """,
                line.id(),
                line.clientId(),
                line.motion(),
                line.position(),
                line.happenedAt(),
                line.recordedAt(),
                line.follows(),
                line.endedAt());
    }

    /** A line as it was prescribed at a time. */
    public record LineVersion(String lineId, Plan plan, Instant happenedAt, Instant recordedAt) {}

    public void add(LineVersion version) {
        sql.update(
                "INSERT INTO line_version (line_id, happened_at, recorded_at, body) VALUES (?, ?, ?, ?)",
                version.lineId(),
                version.happenedAt(),
                version.recordedAt(),
                json.write(version.plan()));
    }

    /** Every version, oldest first. */
    public List<LineVersion> versions(String lineId) {
        return sql.list(
                "SELECT " + VERSION_COLUMNS + " FROM line_version WHERE line_id = ? ORDER BY id",
                row -> stored(row).read(),
                lineId);
    }

    /** Not read yet: one that cannot be is no other line's trouble. */
    public record StoredVersion(String lineId, Supplier<LineVersion> reader) {
        public LineVersion read() {
            return reader.get();
        }
    }

    /** Every version of every line of some clients, oldest first. */
    public List<StoredVersion> versionsOf(Collection<String> clientIds) {
        return sql.list(
                "SELECT " + VERSION_COLUMNS + " FROM line_version WHERE line_id IN (SELECT id FROM line WHERE client_id"
                        + Sql.AMONG + ") ORDER BY id",
                this::stored,
                clientIds);
    }

    private StoredVersion stored(ResultSet row) throws SQLException {
        var lineId = row.getString("line_id");
        var body = row.getString("body");
        var happened = Sql.instant(row, "happened_at");
        var recorded = Sql.instant(row, "recorded_at");
        return new StoredVersion(
                lineId, () -> new LineVersion(lineId, json.read(body, Plan.class), happened, recorded));
    }

    private static Line line(ResultSet row) throws SQLException {
        return new Line(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("motion"),
                row.getString("position"),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"),
                row.getString("follows"),
                Sql.instantOrNull(row, "ended_at"));
    }
}
