package gradino.server.intake;

import gradino.core.because.Source;
import gradino.core.body.Side;
import gradino.core.intake.Clearance;
import gradino.core.intake.Restriction;
import gradino.core.intake.RestrictionKind;
import gradino.core.intake.Scope;
import gradino.core.intake.Screening;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns screening, coach_restriction and clearance. */
@Repository
public class IntakeRepository {
    private static final String SCREENING_COLUMNS = "id, client_id, happened_at, recorded_at, answers";
    private static final String COACH_RESTRICTION_COLUMNS =
            "id, client_id, happened_at, recorded_at, kind, joints, motion, side, bound, reason";
    private static final String CLEARANCE_COLUMNS =
            "id, client_id, happened_at, recorded_at, cleared_by, note, written_on, until_day, stop_signs, "
                    + "loosens";
    private static final Source COACH = new Source(Source.Kind.HOUSE_RULE, "the coach's own restriction");

    private final Sql sql;
    private final Json json;

    IntakeRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /** A screening with its id and times. */
    public record StoredScreening(String id, String clientId, Screening screening, Instant recordedAt) {}

    /** A restriction that a coach added. */
    public record AddedRestriction(String clientId, Restriction restriction, Instant recordedAt) {}

    /** A clearance with its id and times. */
    public record StoredClearance(
            String id, String clientId, Clearance clearance, Instant happenedAt, Instant recordedAt) {}

    public void add(StoredScreening s) {
        sql.update("""
                INSERT INTO screening (id, client_id, happened_at, recorded_at, answers) VALUES (?, ?, ?, ?, ?)
                ON CONFLICT (id) DO NOTHING
                """, s.id(), s.clientId(), s.screening().at(), s.recordedAt(), json.write(s.screening()));
    }

    public Optional<Screening> newest(String clientId) {
        return sql.first(
                "SELECT answers FROM screening WHERE client_id = ? ORDER BY happened_at DESC, recorded_at DESC LIMIT 1",
                row -> json.read(row.getString("answers"), Screening.class),
                clientId);
    }

    public List<StoredScreening> screenings() {
        return sql.list(
                "SELECT " + SCREENING_COLUMNS + " FROM screening ORDER BY client_id, happened_at, id",
                row -> new StoredScreening(
                        row.getString("id"),
                        row.getString("client_id"),
                        json.read(row.getString("answers"), Screening.class),
                        Sql.instant(row, "recorded_at")));
    }

    public void add(AddedRestriction added) {
        var r = added.restriction();
        sql.update(
                """
                INSERT INTO coach_restriction
                  (id, client_id, happened_at, recorded_at, kind, joints, motion, side, bound, reason)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING
                """,
                r.id(),
                added.clientId(),
                r.since(),
                added.recordedAt(),
                r.kind(),
                String.join(";", r.scope().joints()),
                r.scope().motion(),
                r.scope().side(),
                r.limit(),
                r.reason());
    }

    public List<Restriction> added(String clientId) {
        return sql.list(
                "SELECT " + COACH_RESTRICTION_COLUMNS
                        + " FROM coach_restriction WHERE client_id = ? ORDER BY recorded_at, id",
                IntakeRepository::restriction,
                clientId);
    }

    public List<AddedRestriction> allAdded() {
        return sql.list(
                "SELECT " + COACH_RESTRICTION_COLUMNS + " FROM coach_restriction ORDER BY client_id, recorded_at, id",
                row -> new AddedRestriction(
                        row.getString("client_id"), restriction(row), Sql.instant(row, "recorded_at")));
    }

    /** A restriction as a coach puts it. */
    public static Restriction ofCoach(
            String id, RestrictionKind kind, Scope scope, @Nullable Double limit, String reason, Instant since) {
        return new Restriction(id, kind, scope, limit, reason, COACH, since, null);
    }

    private static Restriction restriction(ResultSet row) throws SQLException {
        var side = row.getString("side");
        return ofCoach(
                row.getString("id"),
                RestrictionKind.valueOf(row.getString("kind")),
                new Scope(
                        ClientRepository.words(row.getString("joints")),
                        row.getString("motion"),
                        side == null ? null : Side.valueOf(side)),
                Sql.real(row, "bound"),
                row.getString("reason"),
                Sql.instant(row, "happened_at"));
    }

    public void add(StoredClearance stored) {
        var c = stored.clearance();
        sql.update(
                """
                INSERT INTO clearance
                  (id, client_id, happened_at, recorded_at, cleared_by, note, written_on, until_day, stop_signs, loosens)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING
                """,
                stored.id(),
                stored.clientId(),
                stored.happenedAt(),
                stored.recordedAt(),
                c.clearedBy(),
                c.note(),
                c.writtenOn().toString(),
                c.until() == null ? null : c.until().toString(),
                c.stopSigns(),
                json.write(c.loosens()));
    }

    public List<StoredClearance> clearances(String clientId) {
        return sql.list(
                "SELECT " + CLEARANCE_COLUMNS
                        + " FROM clearance WHERE client_id = ? ORDER BY written_on, recorded_at, id",
                this::clearance,
                clientId);
    }

    private StoredClearance clearance(ResultSet row) throws SQLException {
        var until = row.getString("until_day");
        return new StoredClearance(
                row.getString("id"),
                row.getString("client_id"),
                new Clearance(
                        row.getString("cleared_by"),
                        LocalDate.parse(row.getString("written_on")),
                        until == null ? null : LocalDate.parse(until),
                        row.getString("note"),
                        row.getInt("stop_signs") == 1,
                        List.of(json.read(row.getString("loosens"), Clearance.Loosening[].class))),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }
}
