package gradino.server.perform.record;

import gradino.core.advance.state.Beside;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.Pain;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.PropUsed;
import gradino.core.perform.SessionRecord;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.block.Apparatus;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.Tenths;
import gradino.server.intake.Flags;
import gradino.server.perform.record.RunRepository.Run;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns run_block, run_close and morning. */
@Repository
public class RecordRepository implements Flags {
    private static final String SESSION_BLOCK_COLUMNS =
            "id, run_id, block_id, side, kind, happened_at, recorded_at, phases, effort_rating, faults, "
                    + "pains, cramps, effort_missed, skipped, note, used_degrees, used_stack_cm, used_apparatus";
    private static final String SESSION_CLOSE_COLUMNS =
            "run_id, happened_at, recorded_at, observer, rating, stop_sign, stop_side, note";
    private static final String MORNING_COLUMNS = "id, run_id, settled, soreness, happened_at, recorded_at";
    private static final String INSERT_BLOCK = """
            INSERT INTO run_block
              (id, run_id, block_id, side, kind, happened_at, recorded_at, phases, effort_rating, faults, pains,
               cramps, effort_missed, skipped, note, used_degrees, used_stack_cm, used_apparatus)
            VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            ON CONFLICT (id) DO NOTHING
            """;

    private static final String OF_LINES = RunRepository.OF_LINES;
    private static final String CLOSES = """
            SELECT c.run_id, c.happened_at, c.recorded_at, c.observer, c.rating, c.stop_sign, c.stop_side, c.note, r.client_id
              FROM run_close c
            """;
    private static final String CLOSES_OF_CLIENTS =
            CLOSES + "JOIN run r ON r.id = c.run_id WHERE r.client_id" + Sql.AMONG;

    /** From the few stops to their clients, not the other way round. */
    private static final String STOPS_OF_CLIENTS = CLOSES
            + "CROSS JOIN run r ON r.id = c.run_id WHERE c.stop_sign IS NOT NULL AND r.client_id" + Sql.AMONG
            + "ORDER BY c.happened_at, c.run_id";

    private final Sql sql;
    private final Json json;

    RecordRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /** A finished block with the id its device made. */
    public record StoredBlock(String id, String runId, BlockRecord block, Instant happenedAt, Instant recordedAt) {}

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
            boolean settled,
            @Nullable Tenths soreness,
            Instant happenedAt,
            Instant recordedAt) {}

    public void addBlocks(List<StoredBlock> blocks) {
        sql.batch(INSERT_BLOCK, blocks.stream().map(this::columns).toList());
    }

    public List<StoredBlock> blocks(String runId) {
        return sql.list(
                "SELECT " + SESSION_BLOCK_COLUMNS + " FROM run_block WHERE run_id = ? ORDER BY seq",
                this::block,
                runId);
    }

    /** Of several runs, by their ids. */
    public Map<String, List<StoredBlock>> blocks(Collection<String> runIds) {
        return sql
                .list(
                        "SELECT " + SESSION_BLOCK_COLUMNS + " FROM run_block WHERE run_id" + Sql.AMONG
                                + "ORDER BY run_id, seq",
                        this::block,
                        runIds)
                .stream()
                .collect(Collectors.groupingBy(StoredBlock::runId));
    }

    public List<StoredBlock> blocksOfLines(Collection<String> lineIds) {
        // The same few names in every run.
        var ids = new HashMap<String, BlockId>();
        return sql.list(
                "SELECT " + SESSION_BLOCK_COLUMNS + " FROM run_block WHERE run_id IN " + OF_LINES
                        + " ORDER BY run_id, seq",
                row -> block(row, ids.computeIfAbsent(row.getString("block_id"), BlockId::parse)),
                lineIds);
    }

    public List<StoredBlock> allBlocks() {
        return sql.list("SELECT " + SESSION_BLOCK_COLUMNS + " FROM run_block ORDER BY run_id, seq", this::block);
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

    /** Closes with a stop sign in any line of each client. */
    @Override
    public Map<String, Instant> lastFlags(Collection<String> clientIds) {
        var last = new HashMap<String, Instant>();
        stops(clientIds)
                .forEach((client, stops) -> stops.stream()
                        .map(Closed::happenedAt)
                        .max(Comparator.naturalOrder())
                        .ifPresent(at -> last.put(client, at)));
        return last;
    }

    /** What each client's sessions were stopped for. */
    public Map<String, List<Closed>> stops(Collection<String> clientIds) {
        var stops = new HashMap<String, List<Closed>>();
        sql.list(
                STOPS_OF_CLIENTS,
                row -> stops.computeIfAbsent(row.getString("client_id"), id -> new ArrayList<>())
                        .add(closed(row)),
                clientIds);
        return stops;
    }

    /** Runs since a moment that had the motion of each line in others of the client's lines, and not that line. */
    public Map<String, Beside> closedBeside(Collection<String> lineIds, Instant since) {
        var rows = sql.list("""
                SELECT l.id, x.run_id, x.left_class, x.right_class FROM run_close c
                 CROSS JOIN run_line x ON x.run_id = c.run_id
                 CROSS JOIN line o ON o.id = x.line_id
                  JOIN line l ON l.client_id = o.client_id AND l.motion = o.motion AND l.id <> o.id
                 WHERE c.happened_at > ?2
                   AND NOT EXISTS (SELECT 1 FROM run_line y WHERE y.run_id = x.run_id AND y.line_id = l.id)
                   AND l.id""" + Sql.AMONG + "ORDER BY l.id, x.run_id", RecordRepository::done, lineIds, since);
        var beside = new HashMap<String, Beside>();
        hardest(rows)
                .forEach((run, classes) -> classes.forEach((side, in) ->
                        beside.merge(run.lineId(), Beside.NONE.plus(side, in), (known, one) -> known.plus(side, in))));
        return beside;
    }

    private record RunBeside(String lineId, String runId) {}

    private record Done(
            RunBeside run,
            @Nullable EffortClass left,
            @Nullable EffortClass right) {}

    private static Done done(ResultSet row) throws SQLException {
        return new Done(
                new RunBeside(row.getString("id"), row.getString("run_id")),
                effortClass(row.getString("left_class")),
                effortClass(row.getString("right_class")));
    }

    private static @Nullable EffortClass effortClass(@Nullable String name) {
        return name == null ? null : EffortClass.valueOf(name);
    }

    /** Two lines of one run are one session, of the harder class. */
    private static Map<RunBeside, Map<Side, EffortClass>> hardest(List<Done> rows) {
        var found = new HashMap<RunBeside, Map<Side, EffortClass>>();
        for (var row : rows) {
            var classes = found.computeIfAbsent(row.run(), r -> new EnumMap<>(Side.class));
            Stream.ofNullable(row.left()).forEach(c -> classes.merge(Side.LEFT, c, RecordRepository::harder));
            Stream.ofNullable(row.right()).forEach(c -> classes.merge(Side.RIGHT, c, RecordRepository::harder));
        }
        return found;
    }

    private static EffortClass harder(EffortClass one, EffortClass other) {
        return one.compareTo(other) >= 0 ? one : other;
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

    public List<Closed> allClosed() {
        return sql.list(
                "SELECT " + SESSION_CLOSE_COLUMNS + " FROM run_close ORDER BY run_id", RecordRepository::closed);
    }

    public void addMorning(Morning m) {
        sql.update(
                """
                INSERT INTO morning (id, run_id, settled, soreness, happened_at, recorded_at)
                VALUES (?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING
                """,
                m.id(),
                m.runId(),
                m.settled(),
                m.soreness() == null ? null : m.soreness().value(),
                m.happenedAt(),
                m.recordedAt());
    }

    /** Answers of some lines' sessions; a later one for the same session corrects an earlier one. */
    public List<Morning> mornings(Collection<String> lineIds) {
        return sql.list(
                "SELECT " + MORNING_COLUMNS + " FROM morning WHERE run_id IN " + OF_LINES + " ORDER BY seq",
                RecordRepository::morning,
                lineIds);
    }

    /** The newest answer holds; those before it are kept. */
    public Optional<Morning> lastMorning(String runId) {
        return sql.first(
                "SELECT " + MORNING_COLUMNS + " FROM morning WHERE run_id = ? ORDER BY seq DESC",
                RecordRepository::morning,
                runId);
    }

    public List<Morning> allMornings() {
        return sql.list("SELECT " + MORNING_COLUMNS + " FROM morning ORDER BY seq", RecordRepository::morning);
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
                latest(blocks),
                close.rating(),
                close.stopSign(),
                close.stopSide(),
                close.note(),
                List.of());
        return new Held(record, recorded);
    }

    /** The last record of each block counts. */
    public static List<BlockRecord> latest(List<StoredBlock> blocks) {
        var latest = new LinkedHashMap<BlockId, BlockRecord>();
        blocks.forEach(b -> latest.put(b.block().blockId(), b.block()));
        return List.copyOf(latest.values());
    }

    private @Nullable Object[] columns(StoredBlock stored) {
        var b = stored.block();
        return new @Nullable Object[] {
            stored.id(),
            stored.runId(),
            b.blockId().toString(),
            b.side(),
            b.kind(),
            stored.happenedAt(),
            stored.recordedAt(),
            phases(b.phases()),
            b.effortRating() == null ? null : b.effortRating().value(),
            String.join(";", b.faults()),
            b.pains().isEmpty() ? "[]" : json.write(b.pains()),
            b.cramps(),
            b.effortMissed(),
            b.skippedBecause(),
            b.note(),
            b.prop() == null ? null : b.prop().angle().value(),
            b.prop() == null || b.prop().stack() == null
                    ? null
                    : b.prop().stack().value(),
            b.prop() == null || b.prop().apparatus() == null
                    ? null
                    : json.write(b.prop().apparatus())
        };
    }

    private StoredBlock block(ResultSet row) throws SQLException {
        return block(row, BlockId.parse(row.getString("block_id")));
    }

    private StoredBlock block(ResultSet row, BlockId id) throws SQLException {
        var rating = Sql.integer(row, "effort_rating");
        var faults = row.getString("faults");
        var pains = row.getString("pains");
        var block = new BlockRecord(
                id,
                Side.valueOf(row.getString("side")),
                BlockKind.valueOf(row.getString("kind")),
                phases(row.getString("phases")),
                rating == null ? null : Tenths.of(rating),
                faults.isEmpty() ? List.of() : List.of(faults.split(";")),
                pains.equals("[]") ? List.of() : json.readList(pains, Pain.class),
                row.getInt("cramps"),
                row.getInt("effort_missed") == 1,
                row.getString("skipped"),
                row.getString("note"),
                prop(row));
        return new StoredBlock(
                row.getString("id"),
                row.getString("run_id"),
                block,
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }

    private @Nullable PropUsed prop(ResultSet row) throws SQLException {
        var degrees = Sql.real(row, "used_degrees");
        var stack = Sql.real(row, "used_stack_cm");
        var apparatus = row.getString("used_apparatus");
        return degrees == null
                ? null
                : new PropUsed(
                        Degrees.of(degrees),
                        stack == null ? null : Centimetres.of(stack),
                        apparatus == null ? null : json.read(apparatus, Apparatus.class));
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
                row.getInt("settled") == 1,
                soreness == null ? null : Tenths.of(soreness),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }

    /** {@code KIND:planned:done}, separated by semicolons; the CSV files use the same. */
    public static String phases(List<PhaseDone> phases) {
        return phases.stream()
                .map(p -> p.kind() + ":" + p.plannedSeconds() + ":" + p.doneSeconds())
                .collect(Collectors.joining(";"));
    }

    public static List<PhaseDone> phases(String text) {
        return text.isEmpty()
                ? List.of()
                : Arrays.stream(text.split(";")).map(RecordRepository::phase).toList();
    }

    private static PhaseDone phase(String text) {
        var parts = text.split(":");
        if (parts.length != 3) {
            throw new IllegalArgumentException("a phase is KIND:planned:done, was '" + text + "'");
        }
        return new PhaseDone(PhaseKind.valueOf(parts[0]), Double.parseDouble(parts[1]), Double.parseDouble(parts[2]));
    }
}
