package gradino.server.perform.force;

import gradino.core.body.Side;
import gradino.core.effort.TraceAnalysis;
import gradino.core.effort.TraceCode;
import gradino.core.effort.TraceCode.Samples;
import gradino.core.perform.MeasuredEffort;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Degrees;
import gradino.server.perform.record.RunRepository;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns trace and reference_contraction. */
@Repository
public class TraceRepository {
    private static final String TRACE_COLUMNS =
            "id, run_id, block_id, side, reference_newtons, phase_seconds, force, analysis, "
                    + "effort_within, near_max_peak, happened_at, recorded_at";
    private static final String REFERENCE_CONTRACTION_COLUMNS =
            "id, client_id, run_id, motion, position, side, direction, degrees, newtons, tries, "
                    + "happened_at, recorded_at";
    private final Sql sql;
    private final Json json;

    TraceRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /**
     * What a gauge gave over one block.
     *
     * @param samples from the block's start, by the floor's clock
     * @param phaseSeconds how long each phase of the block lasted
     */
    public record StoredTrace(
            String id,
            String runId,
            BlockId blockId,
            Side side,
            @Nullable Double referenceNewtons,
            List<Double> phaseSeconds,
            Samples samples,
            @Nullable TraceAnalysis analysis,
            Instant happenedAt,
            Instant recordedAt) {
        Optional<MeasuredEffort> effort(@Nullable TraceAnalysis by) {
            return Optional.ofNullable(by).flatMap(a -> MeasuredEffort.of(blockId, side, a));
        }
    }

    /** What 100 % was. */
    public record StoredReference(
            String id,
            String clientId,
            @Nullable String runId,
            String motion,
            String position,
            Side side,
            Direction direction,
            Degrees angle,
            double newtons,
            Samples tries,
            Instant happenedAt,
            Instant recordedAt) {}

    /** @return whether it was new */
    public boolean add(StoredTrace t) {
        var effort = t.effort(t.analysis());
        return sql.update(
                        """
                INSERT INTO trace
                  (id, run_id, block_id, side, reference_newtons, phase_seconds, force, analysis, effort_within,
                   near_max_peak, happened_at, recorded_at)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING
                """,
                        t.id(),
                        t.runId(),
                        t.blockId().toString(),
                        t.side(),
                        t.referenceNewtons(),
                        json.write(t.phaseSeconds()),
                        TraceCode.pack(t.samples()),
                        t.analysis() == null ? null : json.write(t.analysis()),
                        effort.map(MeasuredEffort::within).orElse(null),
                        effort.map(MeasuredEffort::nearMaxPeak).orElse(null),
                        t.happenedAt(),
                        t.recordedAt())
                == 1;
    }

    public List<StoredTrace> of(String runId) {
        return sql.list("SELECT " + TRACE_COLUMNS + " FROM trace WHERE run_id = ? ORDER BY rowid", this::trace, runId);
    }

    /** What gauges said in a line's sessions, by session, with when that came in; without the traces themselves. */
    public List<Judged> judged(Collection<String> lineIds) {
        return sql.list(
                """
                SELECT t.run_id, t.block_id, t.side, t.effort_within, t.near_max_peak, t.recorded_at
                  FROM trace t
                 WHERE (t.effort_within IS NOT NULL OR t.near_max_peak IS NOT NULL) AND t.run_id IN
                """ + RunRepository.OF_LINES + " ORDER BY t.rowid",
                row -> new Judged(
                        row.getString("run_id"),
                        new MeasuredEffort(
                                BlockId.parse(row.getString("block_id")),
                                Side.valueOf(row.getString("side")),
                                Sql.real(row, "effort_within"),
                                Sql.real(row, "near_max_peak")),
                        Sql.instant(row, "recorded_at")),
                lineIds);
    }

    /** What one trace says of the effort. */
    public record Judged(String runId, MeasuredEffort effort, Instant recordedAt) {}

    /** Traces that came in by a file and were not held against their staircase yet. */
    /** A few at a time, after the last one that was looked at. */
    List<StoredTrace> unjudgedAfter(long seq, int most) {
        return sql.list(
                "SELECT " + TRACE_COLUMNS
                        + " FROM trace WHERE analysis IS NULL AND reference_newtons IS NOT NULL AND rowid > ? ORDER BY rowid LIMIT ?",
                this::trace,
                seq,
                most);
    }

    long seq(String id) {
        return sql.first("SELECT rowid FROM trace WHERE id = ?", row -> row.getLong(1), id)
                .orElseThrow();
    }

    void judge(StoredTrace trace, TraceAnalysis analysis) {
        var effort = trace.effort(analysis);
        sql.update(
                "UPDATE trace SET analysis = ?, effort_within = ?, near_max_peak = ? WHERE id = ?",
                json.write(analysis),
                effort.map(MeasuredEffort::within).orElse(null),
                effort.map(MeasuredEffort::nearMaxPeak).orElse(null),
                trace.id());
    }

    public void each(Consumer<StoredTrace> to) {
        sql.each("SELECT " + TRACE_COLUMNS + " FROM trace ORDER BY run_id, rowid", this::trace, to);
    }

    /** @return whether it was new */
    public boolean add(StoredReference r) {
        return sql.update(
                        """
                INSERT INTO reference_contraction
                  (id, client_id, run_id, motion, position, side, direction, degrees, newtons, tries, happened_at,
                   recorded_at)
                VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING
                """,
                        r.id(),
                        r.clientId(),
                        r.runId(),
                        r.motion(),
                        r.position(),
                        r.side(),
                        r.direction(),
                        r.angle().value(),
                        r.newtons(),
                        TraceCode.pack(r.tries()),
                        r.happenedAt(),
                        r.recordedAt())
                == 1;
    }

    /** The newest of a motion in a position. */
    Optional<StoredReference> newest(String clientId, String motion, String position, Side side, Direction direction) {
        return sql.first(
                "SELECT " + REFERENCE_CONTRACTION_COLUMNS + """
                 FROM reference_contraction
                 WHERE client_id = ? AND motion = ? AND position = ? AND side = ? AND direction = ?
                 ORDER BY happened_at DESC, rowid DESC
                """,
                TraceRepository::reference,
                clientId,
                motion,
                position,
                side,
                direction);
    }

    List<StoredReference> references(Collection<String> runIds) {
        return sql.list(
                "SELECT " + REFERENCE_CONTRACTION_COLUMNS + " FROM reference_contraction WHERE run_id" + Sql.AMONG
                        + "ORDER BY rowid",
                TraceRepository::reference,
                runIds);
    }

    public List<StoredReference> allReferences() {
        return sql.list(
                "SELECT " + REFERENCE_CONTRACTION_COLUMNS
                        + " FROM reference_contraction ORDER BY client_id, happened_at, rowid",
                TraceRepository::reference);
    }

    private StoredTrace trace(ResultSet row) throws SQLException {
        var analysis = row.getString("analysis");
        return new StoredTrace(
                row.getString("id"),
                row.getString("run_id"),
                BlockId.parse(row.getString("block_id")),
                Side.valueOf(row.getString("side")),
                Sql.real(row, "reference_newtons"),
                Arrays.asList(json.read(row.getString("phase_seconds"), Double[].class)),
                TraceCode.unpack(row.getBytes("force")),
                analysis == null ? null : json.read(analysis, TraceAnalysis.class),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }

    private static StoredReference reference(ResultSet row) throws SQLException {
        return new StoredReference(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("run_id"),
                row.getString("motion"),
                row.getString("position"),
                Side.valueOf(row.getString("side")),
                Direction.valueOf(row.getString("direction")),
                Degrees.of(row.getDouble("degrees")),
                row.getDouble("newtons"),
                TraceCode.unpack(row.getBytes("tries")),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"));
    }
}
