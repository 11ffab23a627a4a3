package gradino.server.intake;

import gradino.core.because.Source;
import gradino.core.body.Side;
import gradino.core.intake.Clearance;
import gradino.core.intake.Intake;
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
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
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
                    + "names, loosens";
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

    /**
     * What a client's restrictions follow from.
     *
     * @param screening null for none yet
     */
    record OnFile(@Nullable Screening screening, List<Restriction> added, List<Clearance> clearances) {
        static final OnFile NONE = new OnFile(null, List.of(), List.of());

        Intake with(@Nullable LocalDate birthDate, Intake.@Nullable Noted noted) {
            return new Intake(screening, birthDate, noted, added, clearances);
        }
    }

    Map<String, OnFile> of(Collection<String> clientIds) {
        var screenings = newest(clientIds);
        var added = new HashMap<String, List<Restriction>>();
        sql.list(
                "SELECT " + COACH_RESTRICTION_COLUMNS + " FROM coach_restriction WHERE client_id" + Sql.AMONG
                        + "ORDER BY recorded_at, id",
                row -> added.computeIfAbsent(row.getString("client_id"), id -> new ArrayList<>())
                        .add(restriction(row)),
                clientIds);
        var clearances = clearances(clientIds).stream()
                .collect(Collectors.groupingBy(
                        StoredClearance::clientId,
                        Collectors.mapping(StoredClearance::clearance, Collectors.toList())));
        var all = new HashMap<String, OnFile>();
        for (var id : clientIds) {
            all.put(
                    id,
                    new OnFile(
                            screenings.get(id),
                            added.getOrDefault(id, List.of()),
                            clearances.getOrDefault(id, List.of())));
        }
        return all;
    }

    private Map<String, Screening> newest(Collection<String> clientIds) {
        var texts = new HashMap<String, String>();
        sql.list(
                "SELECT client_id, answers FROM screening WHERE client_id" + Sql.AMONG
                        + "ORDER BY happened_at, recorded_at",
                row -> texts.put(row.getString("client_id"), row.getString("answers")),
                clientIds);
        var newest = new HashMap<String, Screening>();
        texts.forEach((client, text) -> newest.put(client, json.read(text, Screening.class)));
        return newest;
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
                  (id, client_id, happened_at, recorded_at, cleared_by, note, written_on, until_day, stop_signs, names, loosens)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING
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
                json.write(c.names()),
                json.write(c.loosens()));
    }

    public List<StoredClearance> clearances(Collection<String> clientIds) {
        return sql.list(
                "SELECT " + CLEARANCE_COLUMNS + " FROM clearance WHERE client_id" + Sql.AMONG
                        + "ORDER BY written_on, recorded_at, id",
                this::clearance,
                clientIds);
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
                        List.of(json.read(row.getString("names"), String[].class)),
                        List.of(json.read(row.getString("loosens"), Clearance.Loosening[].class))),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }
}
