package gradino.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** What others have worked out must not make anybody wait: twenty backtests at once, and somebody who goes on with their day. */
final class HeavyBench {
    private static final int AT_ONCE = 20;
    private static final int FEWEST_PAGES = 100;
    private static final List<String> DAY = List.of(
            "/api/today",
            "/api/decisions",
            "/api/clients/demo-waller",
            "/api/clients/demo-waller/day",
            "/api/clients/demo-waller/sessions",
            "/api/clients/demo-rower/lines");

    private HeavyBench() {}

    static List<Measured> backtests() throws Exception {
        try (var server = Running.demo(Files.createTempDirectory("gradino-bench"))) {
            var owner = server.visitor();
            owner.signIn("maren", "lantern quay studio");
            owner.put(
                    "/api/policies/careful", "{\"name\":\"Careful\",\"note\":\"\",\"values\":{\"SESSIONS_NEEDED\":3}}");
            var askers = new ArrayList<Visitor>();
            for (int n = 0; n < AT_ONCE; n++) {
                askers.add(joined(server, owner, n));
            }
            day(owner);
            return together(askers, owner);
        }
    }

    /** Somebody who sees every client, so that each backtest goes through all of them. */
    private static Visitor joined(Running server, Visitor owner, int n) throws IOException, InterruptedException {
        owner.post("/api/accounts", "application/json", """
                {"id":"asker-%1$d","name":"Asker %1$d","signIn":"asker%1$d","role":"OWNER","password":"%2$s"}
                """.formatted(n, Visitor.PASSWORD));
        var asker = new Visitor(server.port(), "");
        asker.get("/api/sign-in");
        asker.signIn("asker" + n, Visitor.PASSWORD);
        return asker;
    }

    private static List<Measured> together(List<Visitor> askers, Visitor owner) throws Exception {
        var pool = Executors.newFixedThreadPool(AT_ONCE);
        try {
            long before = System.nanoTime();
            var going = new ArrayList<Future<Boolean>>();
            for (var asker : askers) {
                Callable<Boolean> backtest = () -> worked(asker);
                going.add(pool.submit(backtest));
            }
            double worst = 0;
            int pages = 0;
            while (!going.stream().allMatch(Future::isDone) || pages < FEWEST_PAGES) {
                worst = Math.max(worst, day(owner));
                pages += DAY.size();
            }
            for (var one : going) {
                if (!one.get()) {
                    throw new IllegalStateException("a backtest was refused");
                }
            }
            return List.of(
                    new Measured("page-beside-20-backtests", worst, "ms", 500),
                    new Measured("20-backtests", (System.nanoTime() - before) / 1e9, "s", 300));
        } finally {
            pool.shutdownNow();
        }
    }

    private static boolean worked(Visitor asker) throws IOException, InterruptedException {
        var answer = asker.get("/api/backtests/careful");
        return answer.statusCode() == 200;
    }

    /** The slowest page of a walk through the day, in milliseconds. */
    private static double day(Visitor visitor) throws IOException, InterruptedException {
        double worst = 0;
        for (var page : DAY) {
            long before = System.nanoTime();
            var answer = visitor.get(page);
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(page + ": " + new String(answer.body(), StandardCharsets.UTF_8));
            }
            worst = Math.max(worst, (System.nanoTime() - before) / 1e6);
        }
        return worst;
    }
}
