package gradino.server.perform.record;

import gradino.core.body.Side;
import gradino.core.perform.MorningAnswers;
import gradino.core.perform.MorningAnswers.Given;
import gradino.core.perform.MorningQuestion;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.Variants.Variant;
import gradino.core.prescribe.timeline.Timeline;
import gradino.server.account.people.ClientOwned;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns run and run_line. */
@Repository
public class RunRepository implements ClientOwned {
    /** Runs that any of some lines is part of. */
    public static final String OF_LINES = "(SELECT run_id FROM run_line WHERE line_id" + Sql.AMONG + ")";

    private static final String COLUMNS =
            "r.id, r.client_id, r.session_id, r.name, r.draft, r.happened_at, r.recorded_at";

    private final Sql sql;
    private final Json json;

    RunRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /**
     * A session as it was run: what was prescribed that day is kept with it.
     *
     * @param sessionId null for a line alone
     */
    public record Run(
            String id,
            String clientId,
            @Nullable String sessionId,
            String name,
            SessionDraft draft,
            Instant happenedAt,
            Instant recordedAt) {
        /** A line of it; empty for another's. */
        public Optional<LineDraft> line(String lineId) {
            return draft.lines().stream().filter(l -> l.id().equals(lineId)).findFirst();
        }

        /** By which number the run's blocks name a line; 0 for one that is not in it. */
        public int number(String lineId) {
            return draft.lines().stream().map(LineDraft::id).toList().indexOf(lineId) + 1;
        }
    }

    @Override
    public String variable() {
        return "runId";
    }

    @Override
    public Optional<String> clientOf(String id) {
        return sql.first("SELECT client_id FROM run WHERE id = ?", row -> row.getString(1), id);
    }

    public void open(Run run, @Nullable Timeline timeline) {
        sql.update(
                """
                INSERT INTO run (id, client_id, session_id, name, draft, timeline, happened_at, recorded_at)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?)
                """,
                run.id(),
                run.clientId(),
                run.sessionId(),
                run.name(),
                json.write(run.draft()),
                timeline == null ? null : json.write(timeline),
                run.happenedAt(),
                run.recordedAt());
        var rows = new ArrayList<@Nullable Object[]>();
        for (var line : run.draft().lines()) {
            rows.add(new @Nullable Object[] {
                line.id(),
                run.id(),
                run.number(line.id()),
                line.effortClass(Side.LEFT).orElse(null),
                line.effortClass(Side.RIGHT).orElse(null)
            });
        }
        sql.batch(
                "INSERT INTO run_line (line_id, run_id, number, left_class, right_class) VALUES (?, ?, ?, ?, ?)", rows);
    }

    public Optional<Run> find(String id) {
        return sql.first("SELECT " + COLUMNS + " FROM run r WHERE r.id = ?", this::run, id);
    }

    Optional<Timeline> timeline(String id) {
        return text("SELECT timeline FROM run WHERE id = ?", id).map(t -> json.read(t, Timeline.class));
    }

    public void addVariants(String id, List<Variant> variants) {
        sql.update("UPDATE run SET variants = ? WHERE id = ?", json.write(variants), id);
    }

    List<Variant> variants(String id) {
        return text("SELECT variants FROM run WHERE id = ?", id)
                .map(t -> List.of(json.read(t, Variant[].class)))
                .orElse(List.of());
    }

    private Optional<String> text(String query, String id) {
        return sql.first(query, row -> Optional.ofNullable(row.getString(1)), id)
                .flatMap(text -> text);
    }

    /** Imported ones never are. */
    private static final String OPEN = "r.closed = 0 AND r.timeline IS NOT NULL";

    private static final String UNCLOSED = " FROM run r WHERE " + OPEN + " ";

    /** The newest run of a session that nobody closed. */
    public Optional<Run> unclosed(String clientId, String sessionId) {
        return sql.first(
                "SELECT " + COLUMNS + UNCLOSED
                        + "AND r.client_id = ? AND r.session_id = ? ORDER BY r.happened_at DESC LIMIT 1",
                this::run,
                clientId,
                sessionId);
    }

    /** The newest run of a line alone that nobody closed. */
    public Optional<Run> unclosedAlone(String lineId) {
        return sql.first(
                "SELECT " + COLUMNS + UNCLOSED + "AND r.session_id IS NULL AND r.id IN " + OF_LINES
                        + " ORDER BY r.happened_at DESC LIMIT 1",
                this::run,
                List.of(lineId));
    }

    /** Of each line the id of the newest run with it that nobody closed. */
    public Map<String, String> unclosedWith(Collection<String> lineIds) {
        var newest = new HashMap<String, String>();
        sql.list(
                "SELECT x.line_id, r.id FROM run r CROSS JOIN run_line x ON x.run_id = r.id WHERE " + OPEN
                        + " AND x.line_id" + Sql.AMONG + "ORDER BY r.happened_at",
                row -> newest.put(row.getString("line_id"), row.getString("id")),
                lineIds);
        return newest;
    }

    /** A client's runs, newest first. */
    public List<Run> of(String clientId) {
        return sql.list(
                "SELECT " + COLUMNS + " FROM run r WHERE r.client_id = ? ORDER BY r.happened_at DESC, r.id",
                this::run,
                clientId);
    }

    /** Every run with any of some lines in it, in the order of time. */
    public List<Run> ofLines(Collection<String> lineIds) {
        var drafts = json.reader(SessionDraft.class);
        return sql.list(
                "SELECT " + COLUMNS + " FROM run r WHERE r.id IN " + OF_LINES + " ORDER BY r.happened_at, r.id",
                row -> run(row, drafts.apply(row.getString("draft"))),
                lineIds);
    }

    /** Whether a run with a line in it began after a moment. */
    public boolean isBegunSince(String lineId, Instant moment) {
        return sql.first(
                        "SELECT id FROM run WHERE id IN " + OF_LINES + " AND happened_at > ?2 LIMIT 1",
                        row -> row.getString("id"),
                        List.of(lineId),
                        moment)
                .isPresent();
    }

    /** A run that was closed, with what was answered after it. */
    public record Answered(String id, String clientId, String name, MorningAnswers answers) {
        private Answered and(Answered other) {
            var all = Stream.of(this, other)
                    .flatMap(a -> a.answers().given().stream())
                    .toList();
            return new Answered(id, clientId, name, new MorningAnswers(answers.end(), all));
        }
    }

    public List<Answered> answered(Collection<String> clientIds, Instant since) {
        var rows = sql.list(
                "SELECT r.id, r.client_id, r.name, c.happened_at AS ended_at,"
                        + " m.question, m.settled, m.happened_at, m.correction"
                        + " FROM run_close c CROSS JOIN run r ON r.id = c.run_id LEFT JOIN morning m ON m.run_id = r.id"
                        + " WHERE r.client_id" + Sql.AMONG
                        + "AND c.happened_at >= ?2 ORDER BY c.happened_at, r.id, m.seq",
                RunRepository::answered,
                clientIds,
                since);
        return List.copyOf(rows.stream()
                .collect(Collectors.toMap(Answered::id, Function.identity(), Answered::and, LinkedHashMap::new))
                .values());
    }

    private static Answered answered(ResultSet row) throws SQLException {
        var question = row.getString("question");
        var given = question == null
                ? List.<Given>of()
                : List.of(new Given(
                        MorningQuestion.valueOf(question),
                        row.getInt("settled") == 1,
                        Sql.instant(row, "happened_at"),
                        row.getString("correction")));
        return new Answered(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("name"),
                new MorningAnswers(Sql.instant(row, "ended_at"), given));
    }

    public void each(Consumer<Run> to) {
        sql.each("SELECT " + COLUMNS + " FROM run r ORDER BY r.client_id, r.happened_at, r.id", this::run, to);
    }

    public void eachId(Consumer<String> to) {
        sql.each("SELECT id FROM run", row -> row.getString(1), to);
    }

    private Run run(ResultSet row) throws SQLException {
        return run(row, json.read(row.getString("draft"), SessionDraft.class));
    }

    private static Run run(ResultSet row, SessionDraft draft) throws SQLException {
        return new Run(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("session_id"),
                row.getString("name"),
                draft,
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }
}
