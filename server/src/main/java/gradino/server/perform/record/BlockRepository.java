package gradino.server.perform.record;

import gradino.core.body.Side;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Pain;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.PropUsed;
import gradino.core.prescribe.block.Apparatus;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.Tenths;
import gradino.server.platform.Joined;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns run_block. */
@Repository
public class BlockRepository {
    private static final String COLUMNS =
            "id, run_id, block_id, side, kind, happened_at, recorded_at, phases, effort_rating, faults, "
                    + "pains, cramps, effort_missed, skipped, note, used_degrees, used_stack_cm, used_apparatus";
    private static final String INSERT = """
            INSERT INTO run_block
              (id, run_id, block_id, side, kind, happened_at, recorded_at, phases, effort_rating, faults, pains,
               cramps, effort_missed, skipped, note, used_degrees, used_stack_cm, used_apparatus)
            VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            ON CONFLICT (id) DO NOTHING
            """;

    private final Sql sql;
    private final Json json;

    BlockRepository(Sql sql, Json json) {
        this.sql = sql;
        this.json = json;
    }

    /** A finished block with the id its device made. */
    public record StoredBlock(String id, String runId, BlockRecord block, Instant happenedAt, Instant recordedAt) {}

    public void addBlocks(List<StoredBlock> blocks) {
        sql.batch(INSERT, blocks.stream().map(this::columns).toList());
    }

    public List<StoredBlock> blocks(String runId) {
        return sql.list("SELECT " + COLUMNS + " FROM run_block WHERE run_id = ? ORDER BY seq", this::block, runId);
    }

    /** Of several runs, by their ids. */
    public Map<String, List<StoredBlock>> blocks(Collection<String> runIds) {
        return sql
                .list(
                        "SELECT " + COLUMNS + " FROM run_block WHERE run_id" + Sql.AMONG + "ORDER BY run_id, seq",
                        this::block,
                        runIds)
                .stream()
                .collect(Collectors.groupingBy(StoredBlock::runId));
    }

    public List<StoredBlock> blocksOfLines(Collection<String> lineIds) {
        // The same few names in every run.
        var ids = new HashMap<String, BlockId>();
        return sql.list(
                "SELECT " + COLUMNS + " FROM run_block WHERE run_id IN " + RunRepository.OF_LINES
                        + " ORDER BY run_id, seq",
                row -> block(row, ids.computeIfAbsent(row.getString("block_id"), BlockId::parse)),
                lineIds);
    }

    public void eachBlock(Consumer<StoredBlock> to) {
        sql.each("SELECT " + COLUMNS + " FROM run_block ORDER BY run_id, seq", this::block, to);
    }

    public boolean has(String id) {
        return sql.first("SELECT 1 FROM run_block WHERE id = ?", row -> true, id)
                .isPresent();
    }

    /** The last record of each block counts. */
    public static List<BlockRecord> latest(List<StoredBlock> blocks) {
        var latest = new LinkedHashMap<BlockId, BlockRecord>();
        blocks.forEach(b -> latest.put(b.block().blockId(), b.block()));
        return List.copyOf(latest.values());
    }

    @Nullable
    Object[] columns(StoredBlock stored) {
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
            Joined.join(b.faults()),
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
                Joined.split(faults),
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

    /** {@code KIND:planned:done}, separated by semicolons; the CSV files use the same. */
    public static String phases(List<PhaseDone> phases) {
        return phases.stream()
                .map(p -> p.kind() + ":" + p.plannedSeconds() + ":" + p.doneSeconds())
                .collect(Collectors.joining(";"));
    }

    public static List<PhaseDone> phases(String text) {
        return text.isEmpty()
                ? List.of()
                : Arrays.stream(text.split(";")).map(BlockRepository::phase).toList();
    }

    private static PhaseDone phase(String text) {
        var parts = text.split(":");
        if (parts.length != 3) {
            throw new IllegalArgumentException("a phase is KIND:planned:done, was '" + text + "'");
        }
        return new PhaseDone(PhaseKind.valueOf(parts[0]), Double.parseDouble(parts[1]), Double.parseDouble(parts[2]));
    }
}
