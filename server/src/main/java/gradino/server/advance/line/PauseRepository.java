package gradino.server.advance.line;

import gradino.core.advance.state.Event.PauseKind;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns client_pause. */
@Repository
public class PauseRepository {
    private static final String COLUMNS = "id, client_id, kind, from_day, until_day, note, recorded_at";
    private final Sql sql;

    PauseRepository(Sql sql) {
        this.sql = sql;
    }

    /** @param until the first day of training again; null while it lasts */
    public record StoredPause(
            String id,
            String clientId,
            PauseKind kind,
            LocalDate from,
            @Nullable LocalDate until,
            String note,
            Instant recordedAt) {}

    /** @return whether it was new; a later row of the same id corrects an earlier one */
    public boolean add(StoredPause p) {
        return sql.update(
                        """
                        INSERT INTO client_pause (id, client_id, kind, from_day, until_day, note, recorded_at)
                        VALUES (?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id, recorded_at) DO NOTHING
                        """,
                        p.id(),
                        p.clientId(),
                        p.kind(),
                        p.from().toString(),
                        p.until() == null ? null : p.until().toString(),
                        p.note(),
                        p.recordedAt())
                > 0;
    }

    /** As they stand, newest first. */
    public List<StoredPause> of(Collection<String> clientIds) {
        return sql.list(
                "SELECT " + COLUMNS + """
                 FROM client_pause p WHERE seq = (SELECT max(seq) FROM client_pause q WHERE q.id = p.id) AND client_id
                """ + Sql.AMONG + "ORDER BY from_day DESC, seq DESC",
                PauseRepository::pause,
                clientIds);
    }

    /** Whose a pause is. */
    public Optional<String> clientOf(String id) {
        return sql.first("SELECT client_id FROM client_pause WHERE id = ?", row -> row.getString("client_id"), id);
    }

    /** Every row, corrected ones too. */
    public List<StoredPause> all() {
        return sql.list("SELECT " + COLUMNS + " FROM client_pause ORDER BY client_id, seq", PauseRepository::pause);
    }

    private static StoredPause pause(ResultSet row) throws SQLException {
        var until = row.getString("until_day");
        return new StoredPause(
                row.getString("id"),
                row.getString("client_id"),
                PauseKind.valueOf(row.getString("kind")),
                LocalDate.parse(row.getString("from_day")),
                until == null ? null : LocalDate.parse(until),
                row.getString("note"),
                Sql.instant(row, "recorded_at"));
    }
}
