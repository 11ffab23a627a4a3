package gradino.server.schedule.calendar;

import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns calendar_entry: each saving is a new row, the newest of a client's kind and id counts. */
@Repository
public class CalendarRepository {
    private static final String COLUMNS = """
            id, client_id, kind, account_id, recorded_at, body, (SELECT count(*) FROM calendar_entry o
              WHERE o.client_id = e.client_id AND o.kind = e.kind AND o.id = e.id AND o.seq <= e.seq) AS savings
            """;

    private final Sql sql;

    CalendarRepository(Sql sql) {
        this.sql = sql;
    }

    /** What an entry is; its body is of the type that {@link CalendarService} reads it as. */
    public enum Kind {
        USUAL,
        DATES,
        BUSY,
        APPOINTMENT,
        EVERY_SECOND_WEEK,
        BLOCK
    }

    /**
     * @param body JSON; null for one that was removed
     * @param savings how often it was saved, this one counted
     */
    public record Entry(
            String id,
            String clientId,
            Kind kind,
            @Nullable String accountId,
            Instant recordedAt,
            @Nullable String body,
            int savings) {}

    public void add(Entry e) {
        sql.update(
                "INSERT INTO calendar_entry (id, client_id, kind, account_id, recorded_at, body) VALUES (?, ?, ?, ?, ?, ?)",
                e.id(),
                e.clientId(),
                e.kind(),
                e.accountId(),
                e.recordedAt(),
                e.body());
    }

    /** As they are now, the oldest first; removed ones too. */
    public List<Entry> newest(Collection<String> clientIds) {
        return sql.list("SELECT " + COLUMNS + """
                 FROM calendar_entry e WHERE seq = (SELECT max(seq) FROM calendar_entry
                   WHERE client_id = e.client_id AND kind = e.kind AND id = e.id) AND client_id
                """ + Sql.AMONG + "ORDER BY seq", CalendarRepository::entry, clientIds);
    }

    /** Every saving of a client's entries of one kind that was not a removal, the oldest first. */
    List<String> bodies(String clientId, Kind kind) {
        return sql.list(
                "SELECT body FROM calendar_entry WHERE client_id = ? AND kind = ? AND body IS NOT NULL ORDER BY seq",
                row -> row.getString("body"),
                clientId,
                kind);
    }

    /** What a removed entry was. */
    Optional<String> lastBody(String clientId, Kind kind, String id) {
        return sql.first("""
                SELECT body FROM calendar_entry WHERE client_id = ? AND kind = ? AND id = ? AND body IS NOT NULL
                 ORDER BY seq DESC LIMIT 1
                """, row -> row.getString("body"), clientId, kind, id);
    }

    public boolean has(Entry e) {
        return sql.first("""
                        SELECT 1 FROM calendar_entry WHERE client_id = ? AND kind = ? AND id = ? AND recorded_at = ?
                           AND body IS ?
                        """, row -> true, e.clientId(), e.kind(), e.id(), e.recordedAt(), e.body())
                .isPresent();
    }

    /** Every saving, in the order in which they were made. */
    public void each(Consumer<Entry> to) {
        sql.each("SELECT " + COLUMNS + " FROM calendar_entry e ORDER BY seq", CalendarRepository::entry, to);
    }

    private static Entry entry(ResultSet row) throws SQLException {
        return new Entry(
                row.getString("id"),
                row.getString("client_id"),
                Kind.valueOf(row.getString("kind")),
                row.getString("account_id"),
                Sql.instant(row, "recorded_at"),
                row.getString("body"),
                row.getInt("savings"));
    }
}
