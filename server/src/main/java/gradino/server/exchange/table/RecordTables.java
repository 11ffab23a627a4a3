package gradino.server.exchange.table;

import gradino.core.body.Side;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.Observer;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.PropUsed;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.block.Apparatus;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import gradino.server.perform.record.BlockRepository;
import gradino.server.perform.record.BlockRepository.StoredBlock;
import gradino.server.perform.record.RecordRepository.Closed;
import gradino.server.perform.record.RecordRepository.Morning;
import gradino.server.platform.Joined;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What was logged in runs: how they ended, their blocks and the mornings after. */
public final class RecordTables {
    private RecordTables() {}

    /** Apparatuses in for an id that could not be read. */
    static final BlockId NO_BLOCK = BlockId.parse("l1-left-rest");

    /** How it ended; empty for one that nobody closed. */
    static List<@Nullable Object> cells(@Nullable Closed c) {
        if (c == null) {
            return Collections.nCopies(7, null);
        }
        var rating = c.rating();
        return Arrays.asList(
                c.happenedAt(),
                c.recordedAt(),
                CsvRow.word(c.observer()),
                rating == null ? null : rating.value(),
                CsvRow.word(c.stopSign()),
                CsvRow.word(c.stopSide()),
                c.note());
    }

    static Closed closed(CsvRow r, Instant started) {
        var ended = r.instant("ended_at");
        if (ended.isBefore(started)) {
            r.finding("ended_at", "before-start", "a session cannot end before it starts.");
        }
        return new Closed(
                r.text("run_id"),
                r.choice("observer", Observer.NOBODY),
                r.optional("rating", text -> Tenths.of(Integer.parseInt(text))),
                r.optionalChoice("stop_sign", StopSign.class),
                r.optionalChoice("stop_side", Side.class),
                r.text("note"),
                ended,
                r.instant("close_recorded_at", ended));
    }

    public static final CsvTable<StoredBlock> BLOCKS = new CsvTable<>(
            "blocks.csv",
            List.of(
                    "record_id",
                    "run_id",
                    "block",
                    "side",
                    "kind",
                    "happened_at",
                    "recorded_at",
                    "phases",
                    "effort_rating",
                    "faults",
                    "pains",
                    "cramps",
                    "effort_missed",
                    "skipped",
                    "note",
                    "used_degrees",
                    "used_stack_cm",
                    "used_apparatus"),
            3,
            RecordTables::blockCells,
            RecordTables::block);

    private static List<@Nullable Object> blockCells(StoredBlock stored) {
        var b = stored.block();
        return Arrays.asList(
                stored.id(),
                stored.runId(),
                b.blockId().toString(),
                CsvRow.word(b.side()),
                CsvRow.word(b.kind()),
                stored.happenedAt(),
                stored.recordedAt(),
                BlockRepository.phases(b.phases()),
                b.effortRating() == null ? null : b.effortRating().value(),
                Joined.join(b.faults()),
                Joined.join(b.pains().stream()
                        .map(p -> p.score().value() + ":" + CsvRow.word(p.kind()) + ":" + p.where())
                        .toList()),
                b.cramps(),
                CsvRow.flag(b.effortMissed()),
                b.skippedBecause(),
                b.note(),
                b.prop() == null ? null : b.prop().angle().value(),
                b.prop() == null || b.prop().stack() == null
                        ? null
                        : b.prop().stack().value(),
                b.prop() == null || b.prop().apparatus() == null
                        ? null
                        : CellJson.write(b.prop().apparatus()));
    }

    private static StoredBlock block(CsvRow r) {
        var happened = r.instant("happened_at");
        var block = new BlockRecord(
                r.read("block", NO_BLOCK, BlockId::parse),
                r.choice("side", Side.LEFT),
                r.choice("kind", BlockKind.PRESS),
                r.read("phases", List.of(), BlockRepository::phases),
                r.optional("effort_rating", text -> Tenths.of(Integer.parseInt(text))),
                Joined.split(r.text("faults")),
                r.isEmpty("pains") ? List.of() : r.read("pains", List.of(), RecordTables::pains),
                r.read("cramps", 0, RecordTables::cramps),
                r.flag("effort_missed"),
                r.isEmpty("skipped") ? null : r.text("skipped"),
                r.text("note"),
                prop(r));
        return new StoredBlock(
                r.required("record_id"), r.required("run_id"), block, happened, r.instant("recorded_at", happened));
    }

    private static @Nullable PropUsed prop(CsvRow r) {
        var angle = r.<Degrees>optional("used_degrees", text -> Degrees.of(Double.parseDouble(text)));
        var stack = r.<Centimetres>optional("used_stack_cm", text -> Centimetres.of(Double.parseDouble(text)));
        var apparatus = r.<Apparatus>optional("used_apparatus", text -> CellJson.read(text, Apparatus.class));
        if (angle == null && (stack != null || apparatus != null)) {
            r.finding("used_degrees", "missing", "is needed beside what was used.");
        }
        return angle == null ? null : new PropUsed(angle, stack, apparatus);
    }

    private static int cramps(String text) {
        int cramps = text.isEmpty() ? 0 : Integer.parseInt(text);
        if (cramps < 0 || cramps > 50) {
            throw new IllegalArgumentException("cramps are 0 to 50");
        }
        return cramps;
    }

    private static List<Pain> pains(String text) {
        return Joined.split(text).stream().map(RecordTables::pain).toList();
    }

    private static Pain pain(String text) {
        var parts = text.split(":", 3);
        if (parts.length != 3) {
            throw new IllegalArgumentException("a pain is score:kind:where");
        }
        var kind = Arrays.stream(PainKind.values())
                .filter(k -> CsvRow.word(k).equals(parts[1]))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no kind of pain called " + parts[1]));
        return new Pain(PainScore.of(Integer.parseInt(parts[0])), kind, parts[2]);
    }

    public static final CsvTable<Morning> MORNINGS = new CsvTable<>(
            "mornings.csv",
            List.of(
                    "answer_id",
                    "run_id",
                    "question",
                    "correction",
                    "settled",
                    "soreness",
                    "happened_at",
                    "recorded_at"),
            m -> Arrays.asList(
                    m.id(),
                    m.runId(),
                    m.question(),
                    m.correction(),
                    CsvRow.flag(m.settled()),
                    m.soreness() == null ? null : m.soreness().value(),
                    m.happenedAt(),
                    m.recordedAt()),
            r -> {
                var happened = r.instant("happened_at");
                return new Morning(
                        r.required("answer_id"),
                        r.required("run_id"),
                        r.read("question", MorningQuestion.NEXT_MORNING, MorningQuestion::valueOf),
                        r.optional("correction", text -> text),
                        r.flag("settled"),
                        r.optional("soreness", text -> Tenths.of(Integer.parseInt(text))),
                        happened,
                        r.instant("recorded_at", happened));
            });
}
