package gradino.server.schedule.plan;

import gradino.core.schedule.calendar.StudioHours;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.util.List;
import org.springframework.stereotype.Repository;

/** Owns studio_hours. */
@Repository
class HoursRepository {
    private final Sql sql;
    private final Json json;

    HoursRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    StudioHours of(String accountId) {
        return sql.first(
                        "SELECT body FROM studio_hours WHERE account_id = ?",
                        row -> json.read(row.getString("body"), StudioHours.class),
                        accountId)
                .orElseGet(() -> new StudioHours(List.of()));
    }

    void keep(String accountId, StudioHours hours) {
        sql.update(
                "INSERT INTO studio_hours (account_id, body) VALUES (?, ?) ON CONFLICT (account_id) DO UPDATE SET body = excluded.body",
                accountId,
                json.write(hours));
    }
}
