package gradino.server.perform.record;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.perform.MorningAnswers.Given;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.Observer;
import gradino.core.perform.SessionRecord;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.method.Dose;
import gradino.core.quantity.Tenths;
import gradino.server.perform.record.BlockRepository.StoredBlock;
import gradino.server.perform.record.RunRepository.Run;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns run_close and morning. */
@Repository
public class RecordRepository {
    private static final String SESSION_CLOSE_COLUMNS =
            "run_id, happened_at, recorded_at, observer, rating, stop_sign, stop_side, note";
    private static final String MORNING_COLUMNS =
            "id, run_id, question, correction, settled, soreness, happened_at, recorded_at";
    private static final String OF_LINES = RunRepository.OF_LINES;
    private static final String CLOSES = """
            SELECT c.run_id, c.happened_at, c.recorded_at, c.observer, c.rating, c.stop_sign, c.stop_side, c.note, r.client_id
              FROM run_close c
            """;
    private static final String CLOSES_OF_CLIENTS =
            CLOSES + "JOIN run r ON r.id = c.run_id WHERE r.client_id" + Sql.AMONG;

    private final Sql sql;

    RecordRepository(Sql sql) {
        this.sql = sql;
    }

    /** How a session was closed. */
    public record Closed(
            String runId,
            Observer observer,
            @Nullable Tenths rating,
            @Nullable StopSign stopSign,
            @Nullable Side stopSide,
            String note,
            Instant happenedAt,
            Instant recordedAt) {}

    /** What was answered the morning after. */
    public record Morning(
            String id,
            String runId,
            MorningQuestion question,
            @Nullable String correction,
            boolean settled,
            @Nullable Tenths soreness,
            Instant happenedAt,
            Instant recordedAt) {
        public Given given() {
            return new Given(question, settled, happenedAt, correction);
        }
    }

    public void close(Closed c) {
        sql.update(
                """
                INSERT INTO run_close
                  (run_id, happened_at, recorded_at, observer, rating, stop_sign, stop_side, note)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (run_id) DO NOTHING
                """,
                c.runId(),
                c.happenedAt(),
                c.recordedAt(),
                c.observer(),
                c.rating() == null ? null : c.rating().value(),
                c.stopSign(),
                c.stopSide(),
                c.note());
    }

    public Optional<Closed> closed(String runId) {
        return sql.first(
                "SELECT " + SESSION_CLOSE_COLUMNS + " FROM run_close WHERE run_id = ?",
                RecordRepository::closed,
                runId);
    }

    public List<Closed> closedOfLines(Collection<String> lineIds) {
        return sql.list(
                "SELECT " + SESSION_CLOSE_COLUMNS + " FROM run_close WHERE run_id IN " + OF_LINES + " ORDER BY run_id",
                RecordRepository::closed,
                lineIds);
    }

    /** Whatever a client did since, in the order of time. */
    public List<Closed> closedSince(String clientId, Instant since) {
        return sql.list(
                CLOSES_OF_CLIENTS + "AND c.happened_at >= ?2 ORDER BY c.happened_at",
                RecordRepository::closed,
                List.of(clientId),
                since);
    }

    /** How each of a client's runs was closed. */
    public Map<String, Closed> closes(String clientId) {
        return sql.list(CLOSES_OF_CLIENTS + "ORDER BY c.run_id", RecordRepository::closed, List.of(clientId)).stream()
                .collect(Collectors.toMap(Closed::runId, c -> c));
    }

    public void addMorning(Morning m) {
        sql.update(
                """
                INSERT INTO morning (id, run_id, question, correction, settled, soreness, happened_at, recorded_at)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING
                """,
                m.id(),
                m.runId(),
                m.question(),
                m.correction(),
                m.settled(),
                m.soreness() == null ? null : m.soreness().value(),
                m.happenedAt(),
                m.recordedAt());
    }

    /** Answers of some lines' sessions, in the order in which they came. */
    public List<Morning> mornings(Collection<String> lineIds) {
        return sql.list(
                "SELECT " + MORNING_COLUMNS + " FROM morning WHERE run_id IN " + OF_LINES + " ORDER BY seq",
                RecordRepository::morning,
                lineIds);
    }

    public List<Morning> mornings(String runId) {
        return sql.list(
                "SELECT " + MORNING_COLUMNS + " FROM morning WHERE run_id = ? ORDER BY seq",
                RecordRepository::morning,
                runId);
    }

    public void eachMorning(Consumer<Morning> to) {
        sql.each("SELECT " + MORNING_COLUMNS + " FROM morning ORDER BY seq", RecordRepository::morning, to);
    }

    public boolean hasMorning(String id) {
        return sql.first("SELECT 1 FROM morning WHERE id = ?", row -> true, id).isPresent();
    }

    /** A session with all that was logged, ready for the fold. */
    public record Held(SessionRecord record, Instant recordedAt) {}

    /** Puts together what one line of a run came to. */
    public static Held held(Run run, Sided<Dose> doses, Closed close, List<StoredBlock> blocks) {
        var recorded = close.recordedAt();
        for (var stored : blocks) {
            recorded = stored.recordedAt().isAfter(recorded) ? stored.recordedAt() : recorded;
        }
        var record = new SessionRecord(
                run.id(),
                run.happenedAt(),
                close.happenedAt(),
                close.observer(),
                doses,
                BlockRepository.latest(blocks),
                close.rating(),
                close.stopSign(),
                close.stopSide(),
                close.note(),
                List.of());
        return new Held(record, recorded);
    }

    private static Closed closed(ResultSet row) throws SQLException {
        var rating = Sql.integer(row, "rating");
        var sign = row.getString("stop_sign");
        var side = row.getString("stop_side");
        return new Closed(
                row.getString("run_id"),
                Observer.valueOf(row.getString("observer")),
                rating == null ? null : Tenths.of(rating),
                sign == null ? null : StopSign.valueOf(sign),
                side == null ? null : Side.valueOf(side),
                row.getString("note"),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }

    private static Morning morning(ResultSet row) throws SQLException {
        var soreness = Sql.integer(row, "soreness");
        return new Morning(
                row.getString("id"),
                row.getString("run_id"),
                MorningQuestion.valueOf(row.getString("question")),
                row.getString("correction"),
                row.getInt("settled") == 1,
                soreness == null ? null : Tenths.of(soreness),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }
}
