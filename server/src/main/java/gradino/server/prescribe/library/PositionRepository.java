package gradino.server.prescribe.library;

import gradino.core.figure.OwnPosition;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns studio_position: each saving is a new row, the newest of an id counts. */
@Repository
public class PositionRepository {
    private final Sql sql;
    private final Json json;

    PositionRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /**
     * A position of the studio as it was kept.
     *
     * @param own null when it was removed
     */
    public record StudioPosition(String id, @Nullable OwnPosition own, String accountId, Instant recordedAt) {}

    /** Every saving, oldest first. */
    public List<StudioPosition> all() {
        return sql.list("SELECT id, account_id, recorded_at, body FROM studio_position ORDER BY seq", this::row);
    }

    /** As they are now. */
    List<OwnPosition> now() {
        return sql.list("""
                SELECT body FROM studio_position p
                 WHERE seq = (SELECT max(seq) FROM studio_position WHERE id = p.id) AND body IS NOT NULL ORDER BY seq
                """, row -> json.read(row.getString(1), OwnPosition.class));
    }

    public void insert(StudioPosition kept) {
        sql.update(
                "INSERT INTO studio_position (id, account_id, recorded_at, body) VALUES (?, ?, ?, ?)",
                kept.id(),
                kept.accountId(),
                kept.recordedAt(),
                kept.own() == null ? null : json.write(kept.own()));
    }

    /** Lines that ever were in it. */
    int lines(String positionId) {
        return sql.list("SELECT count(*) FROM line WHERE position = ?", row -> row.getInt(1), positionId)
                .get(0);
    }

    private StudioPosition row(ResultSet row) throws SQLException {
        var body = row.getString("body");
        return new StudioPosition(
                row.getString("id"),
                body == null ? null : json.read(body, OwnPosition.class),
                row.getString("account_id"),
                Sql.instant(row, "recorded_at"));
    }
}
