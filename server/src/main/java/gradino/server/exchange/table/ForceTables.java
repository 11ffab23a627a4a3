package gradino.server.exchange.table;

import gradino.core.body.Side;
import gradino.core.effort.TraceCode.Samples;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Degrees;
import gradino.server.perform.force.TraceRepository.StoredReference;
import gradino.server.perform.force.TraceRepository.StoredTrace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** What force gauges gave: what 100 % was, and a trace a block. */
public final class ForceTables {
    private static final Samples EMPTY = new Samples(List.of(), List.of());

    private ForceTables() {}

    public static final CsvTable<StoredReference> REFERENCES = new CsvTable<>(
            "reference-contractions.csv",
            List.of(
                    "reference_id",
                    "client_id",
                    "run_id",
                    "motion",
                    "position",
                    "side",
                    "direction",
                    "degrees",
                    "newtons",
                    "tries",
                    "happened_at",
                    "recorded_at"),
            r -> Arrays.asList(
                    r.id(),
                    r.clientId(),
                    r.runId(),
                    r.motion(),
                    r.position(),
                    CsvRow.word(r.side()),
                    CsvRow.word(r.direction()),
                    r.angle().value(),
                    r.newtons(),
                    text(r.tries()),
                    r.happenedAt(),
                    r.recordedAt()),
            r -> {
                var happened = r.instant("happened_at");
                return new StoredReference(
                        r.required("reference_id"),
                        r.required("client_id"),
                        r.isEmpty("run_id") ? null : r.text("run_id"),
                        r.required("motion"),
                        r.required("position"),
                        r.choice("side", Side.LEFT),
                        r.choice("direction", Direction.PRESS),
                        r.read("degrees", Degrees.of(0), text -> Degrees.of(Double.parseDouble(text))),
                        r.read("newtons", 0.0, ForceTables::newtons),
                        r.read("tries", EMPTY, ForceTables::samples),
                        happened,
                        r.instant("recorded_at", happened));
            });

    public static final CsvTable<StoredTrace> TRACES = new CsvTable<>(
            "traces.csv",
            List.of(
                    "trace_id",
                    "run_id",
                    "block",
                    "side",
                    "reference_newtons",
                    "phase_seconds",
                    "samples",
                    "happened_at",
                    "recorded_at"),
            t -> Arrays.<@Nullable Object>asList(
                    t.id(),
                    t.runId(),
                    t.blockId().toString(),
                    CsvRow.word(t.side()),
                    t.referenceNewtons(),
                    t.phaseSeconds().stream().map(String::valueOf).collect(Collectors.joining(" ")),
                    text(t.samples()),
                    t.happenedAt(),
                    t.recordedAt()),
            r -> {
                var happened = r.instant("happened_at");
                return new StoredTrace(
                        r.required("trace_id"),
                        r.required("run_id"),
                        r.read("block", RecordTables.NO_BLOCK, BlockId::parse),
                        r.choice("side", Side.LEFT),
                        r.optional("reference_newtons", ForceTables::newtons),
                        r.read("phase_seconds", List.of(), ForceTables::seconds),
                        r.read("samples", EMPTY, ForceTables::samples),
                        null,
                        happened,
                        r.instant("recorded_at", happened));
            });

    /** Milliseconds and tenths of a newton: {@code 0:12 20:15}. */
    private static String text(Samples samples) {
        return IntStream.range(0, samples.millis().size())
                .mapToObj(i -> samples.millis().get(i) + ":" + samples.tenths().get(i))
                .collect(Collectors.joining(" "));
    }

    private static Samples samples(String text) {
        var millis = new ArrayList<Long>();
        var tenths = new ArrayList<Integer>();
        for (var pair : text.split(" ")) {
            int colon = pair.indexOf(':');
            if (colon < 0) {
                throw new IllegalArgumentException("a sample is milliseconds:tenths");
            }
            millis.add(Long.parseLong(pair.substring(0, colon)));
            tenths.add(Integer.parseInt(pair.substring(colon + 1)));
        }
        var samples = new Samples(millis, tenths);
        samples.read().findings().stream().filter(f -> f.blocks()).findFirst().ifPresent(f -> {
            throw new IllegalArgumentException(f.message());
        });
        return samples;
    }

    private static List<Double> seconds(String text) {
        var seconds = Arrays.stream(text.split(" ")).map(Double::valueOf).toList();
        if (seconds.stream().anyMatch(s -> !(s >= 0 && s <= 36_000))) {
            throw new IllegalArgumentException("a phase lasts 0 to 36,000 s");
        }
        return seconds;
    }

    private static Double newtons(String text) {
        double newtons = Double.parseDouble(text);
        if (!(newtons >= 5 && newtons <= 5000)) {
            throw new IllegalArgumentException("a reference is 5 to 5000 N");
        }
        return newtons;
    }
}
