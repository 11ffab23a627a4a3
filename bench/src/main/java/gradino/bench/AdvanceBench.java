package gradino.bench;

import gradino.core.advance.Advance;
import gradino.core.advance.look.Backtest;
import gradino.core.advance.look.Rehearsal;
import gradino.core.advance.look.Trait;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.body.Side;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;

/** Decisions: one proposal from a cold start, a fold step, another policy over a whole studio, a rehearsal, the queue. */
final class AdvanceBench {
    private static final int RUNS = 200;
    private static final int WARM_UP = 800;
    private static final int HISTORIES = 60;
    private static final int LINES = 6_000;
    private static final int THREADS = 2;
    private static final int SESSIONS = 100;
    private static final int READINGS = 500;
    private static final int WAITING_CLIENTS = 100;
    static final List<String> FILES = List.of(
            "clients.csv",
            "lines.csv",
            "measurements.csv",
            "sessions.csv",
            "runs.csv",
            "blocks.csv",
            "mornings.csv",
            "decisions.csv");

    private AdvanceBench() {}

    static List<Measured> proposal() {
        var history = CoreBench.history(SESSIONS, READINGS);
        var start = CoreBench.open();
        var policy = Policy.house();
        var cold = new ArrayList<Double>();
        var steps = new ArrayList<Double>();
        for (int run = 0; run < WARM_UP + RUNS; run++) {
            long before = System.nanoTime();
            var state = LineState.fold(start, history, policy.noise());
            long folded = System.nanoTime();
            Advance.propose(state, Side.LEFT, policy, now());
            double millis = (System.nanoTime() - before) / 1e6;
            // Unfolded each time; the process is warm, as in a morning's work.
            if (run >= WARM_UP) {
                cold.add(millis);
                steps.add((folded - before) / 1e3 / history.size());
            }
        }
        return List.of(
                new Measured("proposal-cold", Bench.median(cold), "ms", 1),
                new Measured("fold-step", Bench.median(steps), "us", 20));
    }

    private static Moment now() {
        // A region, as a studio has one.
        return new Moment(CoreBench.NOW, ZoneId.of("Europe/Lisbon"));
    }

    /** 1,000 clients × 6 lines × 2 sides × 100 sessions on two threads. */
    static List<Measured> backtest() throws Exception {
        var histories = new ArrayList<List<Event>>();
        for (int i = 0; i < HISTORIES; i++) {
            histories.add(CoreBench.history(SESSIONS, SESSIONS));
        }
        var house = Policy.house();
        var strict = house.with("strict-1", Map.of(Threshold.SESSIONS_NEEDED, 3.0));
        var pool = Executors.newFixedThreadPool(THREADS);
        try {
            long before = System.nanoTime();
            var tasks = new ArrayList<Callable<Integer>>();
            for (int thread = 0; thread < THREADS; thread++) {
                int first = thread;
                tasks.add(() -> {
                    int differences = 0;
                    for (int line = first; line < LINES; line += THREADS) {
                        var history = histories.get(line % HISTORIES);
                        differences += Backtest.of(CoreBench.open(), history, now(), house, strict)
                                .differences()
                                .size();
                    }
                    return differences;
                });
            }
            int differences = 0;
            for (var answer : pool.invokeAll(tasks)) {
                differences += answer.get();
            }
            double seconds = (System.nanoTime() - before) / 1e9;
            if (differences == 0) {
                throw new IllegalStateException("the policies never differed");
            }
            return List.of(new Measured("backtest", seconds, "s", 8));
        } finally {
            pool.shutdownNow();
        }
    }

    static List<Measured> rehearsal() {
        var times = new ArrayList<Double>();
        for (int seed = 0; seed < 40; seed++) {
            var cast = new Rehearsal.Cast(Set.of(Trait.SORE), seed, 0.9, Rehearsal.MOST_WEEKS, 3, 32, 35);
            long before = System.nanoTime();
            Rehearsal.of(cast, Policy.house());
            times.add((System.nanoTime() - before) / 1e6);
        }
        return List.of(new Measured("rehearsal", Bench.median(times), "ms", 200));
    }

    /** The decisions view over a hundred clients' two sides, made from the demo's rower. */
    static List<Measured> queue() throws Exception {
        var rower = rower();
        var data = Files.createTempDirectory("gradino-bench");
        try (var server = Running.start(data)) {
            var visitor = server.visitor();
            visitor.signIn();
            for (var file : FILES) {
                ServerBench.upload(visitor, file, many(rower.getOrDefault(file, List.of())));
            }
            return List.of(new Measured("decisions-view", median(visitor), "ms", 300));
        }
    }

    private static double median(Visitor visitor) throws IOException, InterruptedException {
        var times = new ArrayList<Double>();
        for (int run = 0; run < 30; run++) {
            long before = System.nanoTime();
            int status = visitor.get("/api/decisions").statusCode();
            // The first ones warm the process up, as a morning's work would.
            if (run >= 10) {
                times.add((System.nanoTime() - before) / 1e6);
            }
            if (status != 200) {
                throw new IllegalStateException("the queue answered " + status);
            }
        }
        return Bench.median(times);
    }

    /** The rower's rows once for every invented client. */
    private static String many(List<String> rows) {
        var text = new StringBuilder(rows.get(0)).append("\r\n");
        for (int client = 0; client < WAITING_CLIENTS; client++) {
            var id = "client-" + client;
            for (var row : rows.subList(1, rows.size())) {
                text.append(row.replace("demo-rower", id).replace("Tamsin Hale", "Invented " + id))
                        .append("\r\n");
            }
        }
        return text.toString();
    }

    /** Every file's header with the rower's rows. */
    static Map<String, List<String>> rower() throws Exception {
        var rows = new java.util.HashMap<String, List<String>>();
        try (var demo = Running.demo(Files.createTempDirectory("gradino-bench"))) {
            demo.visitor().post("/api/sign-in", "application/json", """
                    {"signIn":"maren","password":"lantern quay studio"}
                    """);
            for (var file : FILES) {
                var all = new String(
                                demo.visitor()
                                        .plain("/api/exchange/files/" + file)
                                        .body(),
                                StandardCharsets.UTF_8)
                        .split("\r\n");
                var kept = new ArrayList<String>(List.of(all[0]));
                for (int i = 1; i < all.length; i++) {
                    if (all[i].contains("demo-rower")) {
                        kept.add(all[i]);
                    }
                }
                rows.put(file, kept);
            }
        }
        return rows;
    }
}
