package gradino.server.exchange;

import gradino.server.platform.Sql;
import java.util.Optional;
import org.springframework.stereotype.Repository;

/** What rows of one import were seen, kept beside the database and not in memory: owns a table that goes with the connection. */
@Repository
class SeenRepository {
    private final Sql sql;

    SeenRepository(Sql sql) {
        this.sql = sql;
    }

    /** Inside the import's transaction. */
    void begin() {
        sql.update("""
                CREATE TEMP TABLE IF NOT EXISTS import_row
                  (kind TEXT NOT NULL, id TEXT NOT NULL, cells TEXT NOT NULL, row INTEGER NOT NULL, PRIMARY KEY (kind, id))
                  WITHOUT ROWID
                """);
        end();
    }

    void end() {
        sql.update("DELETE FROM import_row");
    }

    /** A row that was there before. */
    record Seen(String cells, long row) {}

    /** The row of this id before it; empty where this is the first, which is noted. */
    Optional<Seen> before(String kind, String id, String cells, long row) {
        boolean first = sql.update(
                        "INSERT INTO import_row (kind, id, cells, row) VALUES (?, ?, ?, ?) ON CONFLICT DO NOTHING",
                        kind,
                        id,
                        cells,
                        row)
                == 1;
        return first
                ? Optional.empty()
                : sql.first(
                        "SELECT cells, row FROM import_row WHERE kind = ? AND id = ?",
                        r -> new Seen(r.getString(1), r.getLong(2)),
                        kind,
                        id);
    }
}
