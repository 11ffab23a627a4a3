package gradino.server.schedule.plan;

import gradino.server.platform.Sql;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Repository;

/** What was done when, for a plan: reads runs that were closed and assessments. */
@Repository
class DoneRepository {
    private final Sql sql;

    DoneRepository(Sql sql) {
        this.sql = sql;
    }

    /** A line that was part of a session which ended. */
    record Done(String clientId, String line, Instant endedAt) {}

    List<Done> lines(Collection<String> clientIds, Instant since) {
        return sql.list(
                """
                SELECT r.client_id, x.line_id, c.happened_at FROM run_close c
                 CROSS JOIN run r ON r.id = c.run_id
                  JOIN run_line x ON x.run_id = r.id
                 WHERE c.happened_at >= ?2 AND r.client_id""" + Sql.AMONG + "ORDER BY c.happened_at",
                row -> new Done(row.getString(1), row.getString(2), Sql.instant(row, "happened_at")),
                clientIds,
                since);
    }

    /** When each client's newest session ended that was closed. */
    Map<String, Instant> last(Collection<String> clientIds) {
        var last = new HashMap<String, Instant>();
        sql.list("""
                SELECT i.value AS client_id, c.happened_at FROM json_each(?1) i JOIN run_close c ON c.run_id =
                  (SELECT r.id FROM run r WHERE r.client_id = i.value AND r.closed = 1 ORDER BY r.happened_at DESC LIMIT 1)
                """, row -> last.put(row.getString("client_id"), Sql.instant(row, "happened_at")), clientIds);
        return last;
    }

    /** When a battery was taken; one that was only opened counts for nothing. */
    List<Instant> assessments(String clientId, String batteryId, Instant since) {
        return sql.list("""
                SELECT a.happened_at FROM assessment a
                 WHERE a.client_id = ? AND a.battery_id = ? AND a.happened_at >= ?
                   AND (EXISTS (SELECT 1 FROM movement_result r WHERE r.assessment_id = a.id)
                     OR EXISTS (SELECT 1 FROM measurement m WHERE m.client_id = a.client_id AND m.assessment_id = a.id))
                 ORDER BY a.happened_at""", row -> Sql.instant(row, "happened_at"), clientId, batteryId, since);
    }
}
