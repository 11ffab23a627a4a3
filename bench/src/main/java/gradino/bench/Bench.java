package gradino.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** {@code bench [NAME…] [--json FILE]}: runs the named measurements, or all. Inputs differ from run to run. */
public final class Bench {
    private Bench() {}

    /** A measurement that may fail for any reason; it then has no figure. */
    interface Measurement {
        List<Measured> run() throws Exception;
    }

    public static void main(String[] args) throws Exception {
        var names = new ArrayList<String>();
        Path json = null;
        for (int i = 0; i < args.length; i++) {
            if (args[i].equals("--json") && i + 1 < args.length) {
                json = Path.of(args[++i]);
            } else {
                names.add(args[i]);
            }
        }
        System.exit(run(names, json));
    }

    private static int run(List<String> names, @Nullable Path json) throws Exception {
        var all = all();
        var unknown = names.stream().filter(n -> !all.containsKey(n)).toList();
        if (!unknown.isEmpty()) {
            System.err.println("no measurement called " + unknown + "; there are " + all.keySet());
            return 2;
        }
        var figures = new ArrayList<Measured>();
        for (var entry : all.entrySet()) {
            if (names.isEmpty() || names.contains(entry.getKey())) {
                for (var figure : entry.getValue().run()) {
                    System.out.println(figure.line());
                    figures.add(figure);
                }
            }
        }
        if (json != null) {
            var rows = figures.stream().map(Measured::json).collect(Collectors.joining(",\n  ", "[\n  ", "\n]\n"));
            Files.writeString(json, rows);
        }
        return figures.stream().allMatch(Measured::met) ? 0 : 1;
    }

    private static Map<String, Measurement> all() {
        Map<String, Measurement> all = new LinkedHashMap<>();
        all.put("compile", CoreBench::compile);
        all.put("proposals", CoreBench::proposals);
        all.put("proposal", AdvanceBench::proposal);
        all.put("backtest", AdvanceBench::backtest);
        all.put("rehearsal", AdvanceBench::rehearsal);
        all.put("queue", AdvanceBench::queue);
        all.put("today", TodayBench::today);
        all.put("trace", CoreBench::trace);
        all.put("import", ServerBench::imports);
        all.put("exchange", StudioBench::exchange);
        all.put("backtests", HeavyBench::backtests);
        all.put("week", WeekBench::plan);
        all.put("week-server", WeekServerBench::weeks);
        all.put("report", ReportBench::report);
        all.put("studio-report", ReportBench::studio);
        all.put("finder", DeskBench::finder);
        all.put("estimate", RangeBench::estimate);
        all.put("ranges", ServerBench::ranges);
        all.put("draw", DrawBench::rangeMap);
        all.put("figures", FigureBench::figures);
        all.put("library", ComposeBench::library);
        all.put("score", ComposeBench::score);
        all.put("streams", DeviceBench::streams);
        all.put("gauges", FloorBench::gauges);
        all.put("start", ServerBench::start);
        all.put("sign-in", ServerBench::signIn);
        all.put("bundle", ServerBench::bundle);
        return all;
    }

    static double median(List<Double> values) {
        var sorted = values.stream().sorted().toList();
        int n = sorted.size();
        return n % 2 == 1 ? sorted.get(n / 2) : (sorted.get(n / 2 - 1) + sorted.get(n / 2)) / 2;
    }
}
