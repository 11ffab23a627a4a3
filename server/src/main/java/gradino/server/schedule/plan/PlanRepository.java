package gradino.server.schedule.plan;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gradino.server.advance.line.PlannedDays;
import gradino.server.platform.InMemory;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns planned_week: each planning is a new row, the newest of a Monday counts. */
@Repository
public class PlanRepository implements PlannedDays, InMemory {
    private static final String COLUMNS = "client_id, monday, account_id, recorded_at, body";

    private static final int MOST_READ = 5_000;

    private final Sql sql;
    private final Json json;
    /** By their number: a row never changes, and pages look at all of them again and again. */
    private final Cache<Long, Stored> read =
            Caffeine.newBuilder().maximumSize(MOST_READ).build();

    PlanRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /** @param accountId who changed it by hand; null where it was planned */
    record Stored(
            String clientId, LocalDate monday, @Nullable String accountId, Instant recordedAt, WeekPlan plan) {}

    void add(Stored s) {
        add(new Written(s.clientId(), s.monday(), s.accountId(), s.recordedAt(), json.write(s.plan())));
    }

    /** As it goes out and comes in. */
    public record Written(
            String clientId, LocalDate monday, @Nullable String accountId, Instant recordedAt, String body) {}

    public void add(Written w) {
        sql.update(
                "INSERT INTO planned_week (client_id, monday, account_id, recorded_at, body) VALUES (?, ?, ?, ?, ?)",
                w.clientId(),
                w.monday().toString(),
                w.accountId(),
                w.recordedAt(),
                w.body());
    }

    /** Of each client and Monday from one on the newest, in the order of the Mondays. */
    List<Stored> newest(Collection<String> clientIds, LocalDate from, LocalDate until) {
        var rows = sql.list(
                """
                SELECT client_id, monday, max(seq) AS newest FROM planned_week
                 WHERE monday >= ?2 AND monday <= ?3 AND client_id""" + Sql.AMONG + "GROUP BY client_id, monday",
                row -> row.getLong("newest"),
                clientIds,
                from.toString(),
                until.toString());
        var found = new HashMap<>(read.getAllPresent(rows));
        var unknown = rows.stream().filter(seq -> !found.containsKey(seq)).toList();
        if (!unknown.isEmpty()) {
            var missing = new HashMap<Long, Stored>();
            sql.list(
                    "SELECT seq, " + COLUMNS + " FROM planned_week WHERE seq" + Sql.AMONG,
                    row -> missing.put(row.getLong("seq"), stored(row)),
                    unknown);
            read.putAll(missing);
            found.putAll(missing);
        }
        return found.values().stream()
                .sorted(Comparator.comparing(Stored::monday))
                .toList();
    }

    @Override
    public void forget() {
        read.invalidateAll();
    }

    /** A week that has passed in part counts as it was planned. */
    @Override
    public Map<String, Integer> ofWeek(Collection<String> clientIds, LocalDate day) {
        var monday = WeekPlans.monday(day);
        var days = new HashMap<String, Integer>();
        for (var stored : newest(clientIds, monday, monday)) {
            stored.plan().daysOfLines().forEach((line, set) -> days.put(line, set.size()));
        }
        return days;
    }

    /** Every row of some weeks, each week's in the order in which they were made. */
    List<Stored> since(String clientId, LocalDate from, LocalDate until) {
        return sql.list(
                "SELECT " + COLUMNS
                        + " FROM planned_week WHERE client_id = ? AND monday >= ? AND monday <= ? ORDER BY monday, seq",
                this::stored,
                clientId,
                from.toString(),
                until.toString());
    }

    /** All of one week, the newest first. */
    List<Stored> history(String clientId, LocalDate monday) {
        return sql.list(
                "SELECT " + COLUMNS + " FROM planned_week WHERE client_id = ? AND monday = ? ORDER BY seq DESC",
                this::stored,
                clientId,
                monday.toString());
    }

    public boolean has(Written w) {
        return sql.first(
                        "SELECT 1 FROM planned_week WHERE client_id = ? AND monday = ? AND recorded_at = ? AND body = ?",
                        row -> true,
                        w.clientId(),
                        w.monday().toString(),
                        w.recordedAt(),
                        w.body())
                .isPresent();
    }

    public void each(Consumer<Written> to) {
        sql.each("SELECT " + COLUMNS + " FROM planned_week ORDER BY seq", PlanRepository::written, to);
    }

    /** As what a row's body is read. */
    public static Class<?> bodyType() {
        return WeekPlan.class;
    }

    private Stored stored(ResultSet row) throws SQLException {
        var w = written(row);
        return new Stored(w.clientId(), w.monday(), w.accountId(), w.recordedAt(), json.read(w.body(), WeekPlan.class));
    }

    private static Written written(ResultSet row) throws SQLException {
        return new Written(
                row.getString("client_id"),
                LocalDate.parse(row.getString("monday")),
                row.getString("account_id"),
                Sql.instant(row, "recorded_at"),
                row.getString("body"));
    }
}
