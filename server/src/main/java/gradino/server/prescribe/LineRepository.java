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
import org.springframework.stereotype.Repository;

/** Owns line and plan. */
@Repository
public class LineRepository implements Whose {
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

    public List<Line> of(String clientId) {
        return sql.list(
                "SELECT * FROM line WHERE client_id = ? ORDER BY happened_at, id", LineRepository::line, clientId);
    }

    public List<Line> all() {
        return sql.list("SELECT * FROM line ORDER BY client_id, happened_at, id", LineRepository::line);
    }

    public Optional<Line> find(String id) {
        return sql.first("SELECT * FROM line WHERE id = ?", LineRepository::line, id);
    }

    public void insert(Line line) {
        sql.update(
                """
                INSERT INTO line (id, client_id, motion, position, instrument, happened_at, recorded_at)
                VALUES (?, ?, ?, ?, ?, ?, ?)
                """,
                line.id(),
                line.clientId(),
                line.motion(),
                line.position(),
                line.instrument(),
                line.happenedAt(),
                line.recordedAt());
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
                "SELECT * FROM plan WHERE line_id = ? ORDER BY id",
                row -> new PlanVersion(
                        row.getString("line_id"),
                        json.read(row.getString("body"), Plan.class),
                        Sql.instant(row, "happened_at"),
                        Sql.instant(row, "recorded_at")),
                lineId);
    }

    private static Line line(ResultSet row) throws SQLException {
        return new Line(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("motion"),
                row.getString("position"),
                Instrument.valueOf(row.getString("instrument")),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }
}
