package gradino.server.exchange;

import gradino.server.platform.Sql;
import java.util.List;
import org.springframework.stereotype.Repository;

/** Knows every table that holds something of a client's. */
@Repository
class ErasureRepository {
    private static final String OWN_RUNS = "(SELECT id FROM run WHERE client_id = ?1)";
    private static final String OWN_LINES = "(SELECT id FROM line WHERE client_id = ?1)";

    /** What refers to others before what is referred to. */
    private static final List<String> TABLES = List.of(
            "home_visit WHERE link_id IN (SELECT id FROM home_link WHERE client_id = ?1)",
            "home_link WHERE client_id = ?1",
            "home_note WHERE client_id = ?1",
            "client_note WHERE client_id = ?1",
            "reference_contraction WHERE client_id = ?1",
            "trace WHERE run_id IN " + OWN_RUNS,
            "morning WHERE run_id IN " + OWN_RUNS,
            "run_close WHERE run_id IN " + OWN_RUNS,
            "run_block WHERE run_id IN " + OWN_RUNS,
            "run_line WHERE run_id IN " + OWN_RUNS,
            "movement_result WHERE client_id = ?1",
            "run WHERE client_id = ?1",
            "decision_undo WHERE decision_id IN (SELECT id FROM decision WHERE line_id IN " + OWN_LINES + ")",
            "decision WHERE line_id IN " + OWN_LINES,
            "line_version WHERE line_id IN " + OWN_LINES,
            "line WHERE client_id = ?1",
            "session WHERE client_id = ?1",
            "assessment WHERE client_id = ?1",
            "battery WHERE client_id = ?1",
            "measurement WHERE client_id = ?1",
            "clearance WHERE client_id = ?1",
            "coach_restriction WHERE client_id = ?1",
            "screening WHERE client_id = ?1",
            "calendar_link WHERE client_id = ?1",
            "calendar_entry WHERE client_id = ?1",
            "planned_week WHERE client_id = ?1",
            "client_pause WHERE client_id = ?1",
            "client_goal WHERE details_id IN (SELECT id FROM client_details WHERE client_id = ?1)",
            "client_details WHERE client_id = ?1",
            "client_access WHERE client_id = ?1",
            "client WHERE id = ?1");

    private final Sql sql;

    ErasureRepository(Sql sql) {
        this.sql = sql;
    }

    /** What takes a client out of a database, each with the client's id. */
    static List<String> deletions() {
        return TABLES.stream().map(table -> "DELETE FROM " + table).toList();
    }

    boolean has(String clientId) {
        return sql.first("SELECT id FROM client WHERE id = ?", row -> row.getString("id"), clientId)
                .isPresent();
    }

    /**
     * What was written over in the file stands in the log beside it no longer.
     *
     * @return false where somebody went on reading for longer than is waited
     */
    boolean emptyLog() {
        return sql.first("PRAGMA wal_checkpoint(TRUNCATE)", row -> row.getInt(1) == 0)
                .orElseThrow();
    }

    void delete(String clientId) {
        deletions().forEach(deletion -> sql.update(deletion, clientId));
    }
}
