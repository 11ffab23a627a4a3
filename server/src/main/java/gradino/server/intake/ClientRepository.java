package gradino.server.intake;

import gradino.core.intake.Beighton;
import gradino.core.intake.Intake;
import gradino.server.account.people.ClientOwned;
import gradino.server.intake.Client.Details;
import gradino.server.intake.Client.Lengths;
import gradino.server.intake.Client.MotionGoal;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns client, client_details and client_goal. */
@Repository
public class ClientRepository implements ClientOwned {
    private static final String CURRENT = """
            SELECT c.id AS whose, c.recorded_at AS taken_in, c.archived_at, d.id AS details_id, d.*,
                   (SELECT min(recorded_at) FROM client_details same
                     WHERE same.client_id = c.id AND same.beighton = d.beighton
                       AND same.id > ifnull((SELECT max(id) FROM client_details
                                              WHERE client_id = c.id AND beighton IS NOT d.beighton), 0)) AS noted_at
              FROM client c
              JOIN client_details d ON d.id = (SELECT max(id) FROM client_details WHERE client_id = c.id)
            """;
    private static final String INSERT_DETAILS = """
            INSERT INTO client_details
              (client_id, recorded_at, name, birth_date, sex, goal, history, minutes, days, equipment, stature_cm, mass_kg, shank_cm,
               leg_cm, thigh_cm, hip_centres_cm, toe_to_ankle_cm, beighton, block_step_cm)
            VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) RETURNING id
            """;

    private final Sql sql;
    private final IntakeRepository intakes;

    ClientRepository(Sql sql, IntakeRepository intakes) {
        this.sql = sql;
        this.intakes = intakes;
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
        return of(ids());
    }

    /** By name; those that left as well. */
    List<ClientEntry> entries(Collection<String> ids) {
        return sql.list(
                """
                SELECT c.id, d.name, d.goal, c.archived_at FROM client c
                  JOIN client_details d ON d.id = (SELECT max(id) FROM client_details WHERE client_id = c.id)
                 WHERE c.id""" + Sql.AMONG + "ORDER BY d.name, c.id",
                row -> new ClientEntry(
                        row.getString("id"),
                        row.getString("name"),
                        row.getString("goal"),
                        Sql.instantOrNull(row, "archived_at")),
                ids);
    }

    List<String> ids() {
        return sql.list("SELECT id FROM client ORDER BY id", row -> row.getString("id"));
    }

    public Optional<Client> find(String id) {
        return of(List.of(id)).stream().findFirst();
    }

    /** By name. */
    public List<Client> of(Collection<String> ids) {
        var files = new Files(goals(ids), intakes.of(ids));
        return sql.list(CURRENT + " WHERE c.id" + Sql.AMONG + "ORDER BY d.name, c.id", row -> client(row, files), ids);
    }

    /** What a client's details refer to, and what their restrictions follow from. */
    private record Files(Map<Long, List<MotionGoal>> goals, Map<String, IntakeRepository.OnFile> intakes) {}

    /** Under which what was worked out of a client's lines may be kept: it changes with everything that bears on them. */
    public Map<String, Long> stamps(Collection<String> ids) {
        var stamps = new HashMap<String, Long>();
        sql.list(
                "SELECT id, stamp FROM client WHERE id" + Sql.AMONG,
                row -> stamps.put(row.getString("id"), row.getLong("stamp")),
                ids);
        return stamps;
    }

    public void insert(String id, Details details, Instant recordedAt) {
        sql.update("INSERT INTO client (id, recorded_at) VALUES (?, ?)", id, recordedAt);
        addDetails(id, details, recordedAt);
    }

    /** @param at when they left; null when they come again */
    public void archive(String id, @Nullable Instant at) {
        sql.update("UPDATE client SET archived_at = ? WHERE id = ?", at, id);
    }

    public void addDetails(String id, Details d, Instant recordedAt) {
        var detailsId = sql.first(
                        INSERT_DETAILS,
                        row -> row.getLong(1),
                        id,
                        recordedAt,
                        d.name(),
                        d.birthDate() == null ? null : d.birthDate().toString(),
                        d.sex(),
                        d.goal(),
                        d.history(),
                        d.minutes(),
                        d.days().stream().map(DayOfWeek::name).collect(Collectors.joining(";")),
                        String.join(";", d.equipment()),
                        d.statureCm(),
                        d.massKg(),
                        d.lengths().shank(),
                        d.lengths().leg(),
                        d.lengths().thigh(),
                        d.lengths().hipCentres(),
                        d.lengths().toeToAnkle(),
                        d.beighton(),
                        d.blockStepCm())
                .orElseThrow();
        for (var goal : d.goals()) {
            sql.update(
                    "INSERT INTO client_goal (details_id, motion, degrees, replaces_table) VALUES (?, ?, ?, ?)",
                    detailsId,
                    goal.motion(),
                    goal.degrees(),
                    goal.replacesTable());
        }
    }

    private static Client client(ResultSet row, Files files) throws SQLException {
        var id = row.getString("whose");
        var recorded = Sql.instant(row, "taken_in");
        var details = details(row, files.goals().getOrDefault(row.getLong("details_id"), List.of()));
        var noted = details.beighton() == null
                ? null
                : new Intake.Noted(new Beighton(details.beighton()), Sql.instant(row, "noted_at"));
        var intake = files.intakes().getOrDefault(id, IntakeRepository.OnFile.NONE);
        return new Client(
                id, details, intake.with(details.birthDate(), noted), recorded, Sql.instantOrNull(row, "archived_at"));
    }

    private static Details details(ResultSet row, List<MotionGoal> goals) throws SQLException {
        var birth = row.getString("birth_date");
        return new Details(
                row.getString("name"),
                birth == null ? null : LocalDate.parse(birth),
                row.getString("sex"),
                row.getString("goal"),
                row.getString("history"),
                Sql.integer(row, "minutes"),
                words(row.getString("days")).stream().map(DayOfWeek::valueOf).toList(),
                words(row.getString("equipment")),
                Sql.real(row, "stature_cm"),
                Sql.real(row, "mass_kg"),
                new Lengths(
                        Sql.real(row, "shank_cm"),
                        Sql.real(row, "leg_cm"),
                        Sql.real(row, "thigh_cm"),
                        Sql.real(row, "hip_centres_cm"),
                        Sql.real(row, "toe_to_ankle_cm")),
                Sql.integer(row, "beighton"),
                row.getDouble("block_step_cm"),
                goals);
    }

    private Map<Long, List<MotionGoal>> goals(Collection<String> clientIds) {
        var goals = new HashMap<Long, List<MotionGoal>>();
        sql.list(
                """
                SELECT g.details_id, g.motion, g.degrees, g.replaces_table FROM client_goal g
                 WHERE g.details_id IN (SELECT max(id) FROM client_details WHERE client_id
                """ + Sql.AMONG + "GROUP BY client_id) ORDER BY g.details_id, g.motion",
                row -> goals.computeIfAbsent(row.getLong("details_id"), id -> new ArrayList<>())
                        .add(new MotionGoal(
                                row.getString("motion"), row.getDouble("degrees"), row.getInt("replaces_table") == 1)),
                clientIds);
        return goals;
    }

    /** A list kept in one cell, separated by semicolons. */
    public static List<String> words(@Nullable String joined) {
        return joined == null || joined.isEmpty() ? List.of() : Arrays.asList(joined.split(";"));
    }
}
