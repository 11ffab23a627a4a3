package gradino.server.prescribe;

import gradino.core.measure.Instrument;
import gradino.core.prescribe.Plan;
import gradino.server.account.Whose;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns line and plan. */
@Repository
public class LineRepository implements Whose {
    private static final String LINE_COLUMNS =
            "id, client_id, motion, position, instrument, happened_at, recorded_at, composition_id, "
                    + "line_key, ended_at";
    private static final String PLAN_COLUMNS = "id, line_id, happened_at, recorded_at, body";
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

    /** Lines with a plan of their own. */
    public List<Line> of(String clientId) {
        return sql.list("SELECT " + LINE_COLUMNS + """
                 FROM line WHERE client_id = ? AND composition_id IS NULL AND ended_at IS NULL
                 ORDER BY happened_at, id
                """, LineRepository::line, clientId);
    }

    /** Those, and the lines of composed sessions as they are now. */
    public List<Line> trained(String clientId) {
        return sql.list(
                "SELECT " + LINE_COLUMNS
                        + " FROM line WHERE client_id = ? AND ended_at IS NULL ORDER BY happened_at, id",
                LineRepository::line,
                clientId);
    }

    /** Every line that a composed session has or had. */
    public List<Line> ofComposition(String clientId, String compositionId) {
        return sql.list(
                "SELECT " + LINE_COLUMNS
                        + " FROM line WHERE client_id = ? AND composition_id = ? ORDER BY happened_at, id",
                LineRepository::line,
                clientId,
                compositionId);
    }

    /** @param at when it was taken out of its session or went on in a harder position; null when it is trained again */
    public void end(String lineId, @Nullable Instant at) {
        sql.update("UPDATE line SET ended_at = ? WHERE id = ?", at, lineId);
    }

    public List<Line> all() {
        return sql.list(
                "SELECT " + LINE_COLUMNS + " FROM line ORDER BY client_id, happened_at, id", LineRepository::line);
    }

    public Optional<Line> find(String id) {
        return sql.first("SELECT " + LINE_COLUMNS + " FROM line WHERE id = ?", LineRepository::line, id);
    }

    public void insert(Line line) {
        sql.update(
                """
                INSERT INTO line
                  (id, client_id, motion, position, instrument, happened_at, recorded_at, composition_id, line_key,
                   ended_at)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                """,
                line.id(),
                line.clientId(),
                line.motion(),
                line.position(),
                line.instrument(),
                line.happenedAt(),
                line.recordedAt(),
                line.composed() == null ? null : line.composed().compositionId(),
                line.composed() == null ? null : line.composed().key(),
                line.endedAt());
    }

    /** A version of a plan with its times. */
    public record PlanVersion(String lineId, Plan plan, Instant happenedAt, Instant recordedAt) {}

    public void addPlan(PlanVersion version) {
        sql.update(
                "INSERT INTO plan (line_id, happened_at, recorded_at, body) VALUES (?, ?, ?, ?)",
                version.lineId(),
                version.happenedAt(),
                version.recordedAt(),
                json.write(version.plan()));
    }

    /** Every version, oldest first. */
    public List<PlanVersion> plans(String lineId) {
        return sql.list(
                "SELECT " + PLAN_COLUMNS + " FROM plan WHERE line_id = ? ORDER BY id",
                row -> new PlanVersion(
                        row.getString("line_id"),
                        json.read(row.getString("body"), Plan.class),
                        Sql.instant(row, "happened_at"),
                        Sql.instant(row, "recorded_at")),
                lineId);
    }

    private static Line line(ResultSet row) throws SQLException {
        var composition = row.getString("composition_id");
        long ended = row.getLong("ended_at");
        var endedAt = row.wasNull() ? null : Instant.ofEpochMilli(ended);
        return new Line(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("motion"),
                row.getString("position"),
                Instrument.valueOf(row.getString("instrument")),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"),
                composition == null ? null : new Line.InSession(composition, row.getString("line_key")),
                endedAt);
    }
}
