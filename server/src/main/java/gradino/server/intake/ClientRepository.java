package gradino.server.intake;

import gradino.core.intake.Restriction;
import gradino.core.quantity.EffortPercent;
import gradino.server.account.Whose;
import gradino.server.intake.Client.Details;
import gradino.server.intake.Client.MotionGoal;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Repository;

/** Owns client, client_details, client_goal, restriction and clearance. */
@Repository
public class ClientRepository implements Whose {
    private static final String CURRENT = """
            SELECT c.id, c.recorded_at, d.id AS details_id, d.name, d.birth_date, d.goal, d.minutes, d.stature_cm,
                   d.shank_cm, d.beighton, d.block_step_cm,
                   r.effort_cap, r.no_deepening, r.stopped, r.reason, coalesce(r.happened_at, c.recorded_at) AS restricted_at,
                   (SELECT max(happened_at) FROM clearance k WHERE k.client_id = c.id) AS cleared_at
              FROM client c
              JOIN client_details d ON d.id = (SELECT max(id) FROM client_details WHERE client_id = c.id)
              LEFT JOIN restriction r ON r.id = (SELECT max(id) FROM restriction WHERE client_id = c.id)
            """;

    private final Sql sql;

    ClientRepository(Sql sql) {
        this.sql = sql;
    }

    @Override
    public String variable() {
        return "clientId";
    }

    @Override
    public Optional<String> clientOf(String id) {
        return sql.first("SELECT id FROM client WHERE id = ?", row -> row.getString(1), id);
    }

    public List<Client> all() {
        return sql.list(CURRENT + " ORDER BY d.name, c.id", this::client);
    }

    public Optional<Client> find(String id) {
        return sql.first(CURRENT + " WHERE c.id = ?", this::client, id);
    }

    public void insert(String id, Details details, Instant recordedAt) {
        sql.update("INSERT INTO client (id, recorded_at) VALUES (?, ?)", id, recordedAt);
        addDetails(id, details, recordedAt);
    }

    public void addDetails(String id, Details d, Instant recordedAt) {
        var detailsId = sql.first(
                        """
                        INSERT INTO client_details
                          (client_id, recorded_at, name, birth_date, goal, minutes, stature_cm, shank_cm, beighton, block_step_cm)
                        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) RETURNING id
                        """,
                        row -> row.getLong(1),
                        id,
                        recordedAt,
                        d.name(),
                        d.birthDate() == null ? null : d.birthDate().toString(),
                        d.goal(),
                        d.minutes(),
                        d.statureCm(),
                        d.shankCm(),
                        d.beighton(),
                        d.blockStepCm())
                .orElseThrow();
        for (var goal : d.goals()) {
            sql.update(
                    "INSERT INTO client_goal (details_id, motion, degrees) VALUES (?, ?, ?)",
                    detailsId,
                    goal.motion(),
                    goal.degrees());
        }
    }

    public void addRestriction(String clientId, Restriction r, Instant happenedAt, Instant recordedAt) {
        sql.update(
                """
                INSERT INTO restriction (client_id, happened_at, recorded_at, effort_cap, no_deepening, stopped, reason)
                VALUES (?, ?, ?, ?, ?, ?, ?)
                """,
                clientId,
                happenedAt,
                recordedAt,
                r.effortCap() == null ? null : r.effortCap().value(),
                r.noDeepening(),
                r.stopped(),
                r.reason());
    }

    public void addClearance(String id, String clientId, Clearance clearance, Instant happenedAt, Instant recordedAt) {
        sql.update("""
                INSERT INTO clearance (id, client_id, happened_at, recorded_at, cleared_by, note)
                VALUES (?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING
                """, id, clientId, happenedAt, recordedAt, clearance.clearedBy(), clearance.note());
    }

    /** Who cleared the client in writing, and what was written. */
    public record Clearance(String clearedBy, String note) {}

    /** A clearance with its times. */
    public record ClearanceRow(
            String id, String clientId, Clearance clearance, Instant happenedAt, Instant recordedAt) {}

    public List<ClearanceRow> clearances(String clientId) {
        return sql.list(
                "SELECT * FROM clearance WHERE client_id = ? ORDER BY happened_at, id",
                row -> new ClearanceRow(
                        row.getString("id"),
                        row.getString("client_id"),
                        new Clearance(row.getString("cleared_by"), row.getString("note")),
                        Sql.instant(row, "happened_at"),
                        Sql.instant(row, "recorded_at")),
                clientId);
    }

    private Client client(ResultSet row) throws SQLException {
        var birth = row.getString("birth_date");
        var details = new Details(
                row.getString("name"),
                birth == null ? null : LocalDate.parse(birth),
                row.getString("goal"),
                Sql.integer(row, "minutes"),
                Sql.real(row, "stature_cm"),
                Sql.real(row, "shank_cm"),
                Sql.integer(row, "beighton"),
                row.getDouble("block_step_cm"),
                goals(row.getLong("details_id")));
        boolean cleared = row.getObject("cleared_at") != null;
        return new Client(
                row.getString("id"),
                details,
                restriction(row),
                Sql.instant(row, "restricted_at"),
                cleared ? Sql.instant(row, "cleared_at") : null,
                Sql.instant(row, "recorded_at"));
    }

    private List<MotionGoal> goals(long detailsId) {
        return sql.list(
                "SELECT motion, degrees FROM client_goal WHERE details_id = ? ORDER BY motion",
                row -> new MotionGoal(row.getString("motion"), row.getDouble("degrees")),
                detailsId);
    }

    private static Restriction restriction(ResultSet row) throws SQLException {
        var reason = row.getString("reason");
        if (reason == null) {
            return Restriction.NONE;
        }
        var cap = Sql.integer(row, "effort_cap");
        return new Restriction(
                cap == null ? null : EffortPercent.of(cap),
                row.getInt("no_deepening") == 1,
                row.getInt("stopped") == 1,
                reason);
    }
}
