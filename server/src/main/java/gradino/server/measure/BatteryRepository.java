package gradino.server.measure;

import gradino.core.measure.noise.Warmth;
import gradino.server.measure.Battery.Assessment;
import gradino.server.measure.Battery.MovementResult;
import gradino.server.measure.Battery.Unit;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Repository;

/** Owns battery, assessment and movement_result. */
@Repository
public class BatteryRepository {
    private static final String BATTERY_COLUMNS = "id, client_id, recorded_at, name, body";
    private static final String ASSESSMENT_COLUMNS = "id, client_id, battery_id, happened_at, recorded_at";
    private static final String MOVEMENT_RESULT_COLUMNS =
            "id, client_id, assessment_id, run_id, movement, unit, warmth, value, happened_at, recorded_at, note";
    private final Sql sql;
    private final Json json;

    BatteryRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /** @return whether it was not there yet */
    public boolean insert(Battery b) {
        return 1 == sql.update("""
                INSERT INTO battery (id, client_id, recorded_at, name, body) VALUES (?, ?, ?, ?, ?)
                ON CONFLICT (id) DO NOTHING
                """, b.id(), b.clientId(), b.recordedAt(), b.name(), json.write(b.body()));
    }

    public List<Battery> of(String clientId) {
        return sql.list(
                "SELECT " + BATTERY_COLUMNS + " FROM battery WHERE client_id = ? ORDER BY recorded_at, id",
                this::battery,
                clientId);
    }

    public List<Battery> all() {
        return sql.list(
                "SELECT " + BATTERY_COLUMNS + " FROM battery ORDER BY client_id, recorded_at, id", this::battery);
    }

    public List<Assessment> allAssessments() {
        return sql.list(
                "SELECT " + ASSESSMENT_COLUMNS + " FROM assessment ORDER BY client_id, happened_at, id",
                BatteryRepository::assessment);
    }

    public List<MovementResult> allResults() {
        return sql.list(
                "SELECT " + MOVEMENT_RESULT_COLUMNS + " FROM movement_result ORDER BY client_id, recorded_at, id",
                BatteryRepository::result);
    }

    public Optional<Battery> find(String clientId, String id) {
        return sql.first(
                "SELECT " + BATTERY_COLUMNS + " FROM battery WHERE client_id = ? AND id = ?",
                this::battery,
                clientId,
                id);
    }

    /** @return whether it was not there yet */
    public boolean insert(Assessment a) {
        return 1 == sql.update("""
                INSERT INTO assessment (id, client_id, battery_id, happened_at, recorded_at) VALUES (?, ?, ?, ?, ?)
                ON CONFLICT (id) DO NOTHING
                """, a.id(), a.clientId(), a.batteryId(), a.happenedAt(), a.recordedAt());
    }

    public List<Assessment> assessments(String clientId, String batteryId) {
        return sql.list(
                "SELECT " + ASSESSMENT_COLUMNS
                        + " FROM assessment WHERE client_id = ? AND battery_id = ? ORDER BY happened_at, recorded_at, id",
                BatteryRepository::assessment,
                clientId,
                batteryId);
    }

    /** Those since a moment that were not the first of their battery. */
    List<Assessment> again(Collection<String> clientIds, Instant since) {
        return sql.list(
                "SELECT " + ASSESSMENT_COLUMNS + """
                 FROM assessment a WHERE happened_at >= ?2 AND EXISTS
                   (SELECT 1 FROM assessment b WHERE b.battery_id = a.battery_id AND b.client_id = a.client_id
                       AND b.happened_at < a.happened_at) AND client_id
                """ + Sql.AMONG + "ORDER BY happened_at",
                BatteryRepository::assessment,
                clientIds,
                since);
    }

    public Optional<Assessment> assessment(String clientId, String id) {
        return sql.first(
                "SELECT " + ASSESSMENT_COLUMNS + " FROM assessment WHERE client_id = ? AND id = ?",
                BatteryRepository::assessment,
                clientId,
                id);
    }

    /** @return whether it was not there yet */
    public boolean insert(MovementResult r) {
        return 1
                == sql.update(
                        """
                INSERT INTO movement_result
                  (id, client_id, assessment_id, run_id, movement, unit, warmth, value, happened_at, recorded_at, note)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING
                """,
                        r.id(),
                        r.clientId(),
                        r.assessmentId(),
                        r.runId(),
                        r.movement(),
                        r.unit(),
                        r.warmth(),
                        r.value(),
                        r.happenedAt(),
                        r.recordedAt(),
                        r.note());
    }

    /** In the order they were recorded: the last of a movement counts. */
    List<MovementResult> results(String assessmentId) {
        return sql.list(
                "SELECT " + MOVEMENT_RESULT_COLUMNS
                        + " FROM movement_result WHERE assessment_id = ? ORDER BY recorded_at, id",
                BatteryRepository::result,
                assessmentId);
    }

    /** All of a client, by movement, in the order of time. */
    public List<MovementResult> resultsOf(String clientId) {
        return sql.list(
                "SELECT " + MOVEMENT_RESULT_COLUMNS
                        + " FROM movement_result WHERE client_id = ? ORDER BY movement, happened_at, id",
                BatteryRepository::result,
                clientId);
    }

    private Battery battery(ResultSet row) throws SQLException {
        return new Battery(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("name"),
                json.read(row.getString("body"), Battery.BatterySet.class),
                Sql.instant(row, "recorded_at"));
    }

    private static Assessment assessment(ResultSet row) throws SQLException {
        return new Assessment(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("battery_id"),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }

    private static MovementResult result(ResultSet row) throws SQLException {
        return new MovementResult(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("assessment_id"),
                row.getString("run_id"),
                row.getString("movement"),
                Unit.valueOf(row.getString("unit")),
                Warmth.valueOf(row.getString("warmth")),
                row.getDouble("value"),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"),
                row.getString("note"));
    }
}
