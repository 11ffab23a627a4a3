package gradino.bench;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.prescribe.program.LibrarySearch;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** A whole hour, both sides, while it is composed: on the server, and from a key to the drawn score. */
final class ComposeBench {
    private static final Random RANDOM = new Random();
    private static final int POSITIONS = 500;
    private static final int PREVIEWS = 800;
    private static final int WARM_UP = 300;
    private static final int KEYS = 60;
    private static final int KEYS_OF_WARM_UP = 20;

    /** Waits until the minutes say something else, then for the frame that shows it. */
    private static final String NEXT_FRAME = """
            (key) => new Promise((done) => {
              const minutes = document.querySelector('[data-testid=minutes]');
              const from = performance.now();
              const field = document.querySelector('section[aria-label=Block] input[inputmode=decimal]');
              new MutationObserver((_, seen) => {
                seen.disconnect();
                requestAnimationFrame(() => setTimeout(() => done(performance.now() - from)));
              }).observe(minutes, { characterData: true, childList: true, subtree: true });
              field.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
            })
            """;

    private ComposeBench() {}

    static List<Measured> library() {
        var trained = Catalogue.positions().stream().filter(Position::trains).toList();
        var many = new ArrayList<Position>();
        while (many.size() < POSITIONS) {
            many.add(trained.get(many.size() % trained.size()));
        }
        Collections.shuffle(many, RANDOM);
        var query = new LibrarySearch.Query(
                "hip front",
                "",
                Set.of("block", "strap", "wall", "bench"),
                "",
                List.of("hip-extension", "hip-flexion"));
        var times = new ArrayList<Double>();
        for (int run = 0; run < 60; run++) {
            long before = System.nanoTime();
            int found = LibrarySearch.find(many, query).size();
            times.add((System.nanoTime() - before) / 1e6);
            if (found == 0) {
                throw new IllegalStateException("nothing found");
            }
        }
        return List.of(new Measured("library-search", Bench.median(times), "ms", 20));
    }

    static List<Measured> score() throws Exception {
        var data = Files.createTempDirectory("gradino-bench");
        var log = Files.createTempDirectory("gradino-bench-log");
        try (var server = Running.start(data, timesInto(log))) {
            server.visitor().signIn();
            ServerBench.upload(server.visitor(), "clients.csv", ServerBench.clients());
            var figures = new ArrayList<>(previews(server, log));
            server.visitor().put("/api/clients/c/sessions/hour", "{\"name\":\"Hour\",\"draft\":%s}".formatted(hour(0)));
            figures.add(pdf(server));
            figures.add(new Measured("key-to-score", Bench.median(keys(server, "c", "hour")), "ms", 40));
            return figures;
        }
    }

    /** The server writes how long each request took it, in microseconds, until the answer was handed over. */
    private static Map<String, String> timesInto(Path log) {
        return Map.of(
                "SERVER_TOMCAT_ACCESSLOG_ENABLED", "true",
                "SERVER_TOMCAT_ACCESSLOG_BUFFERED", "false",
                "SERVER_TOMCAT_ACCESSLOG_DIRECTORY", log.toString(),
                "SERVER_TOMCAT_ACCESSLOG_PATTERN", "%D %U");
    }

    private static List<Measured> previews(Running server, Path log) throws Exception {
        for (int run = 0; run < PREVIEWS; run++) {
            server.visitor().post("/api/clients/c/score/preview", "application/json", hour(run % 20));
        }
        // The first ones warm the process up, as a few minutes of dragging would.
        var times = microseconds(log).stream()
                .skip(WARM_UP)
                .sorted()
                .map(us -> us / 1e3)
                .toList();
        double high = times.get((int) (times.size() * 0.99));
        return List.of(
                new Measured("preview-60-min", Bench.median(new ArrayList<>(times)), "ms", 8),
                new Measured("preview-60-min-p99", high, "ms", 20));
    }

    private static List<Long> microseconds(Path log) throws IOException {
        try (var files = Files.list(log)) {
            return Files.readAllLines(files.findFirst().orElseThrow()).stream()
                    .filter(line -> line.endsWith("/score/preview"))
                    .map(line -> Long.parseLong(line.substring(0, line.indexOf(' '))))
                    .toList();
        }
    }

    private static Measured pdf(Running server) throws Exception {
        var times = new ArrayList<Double>();
        for (int run = 0; run < 5; run++) {
            long before = System.nanoTime();
            var answer = server.visitor().get("/api/clients/c/sessions/hour/handout.pdf");
            times.add((System.nanoTime() - before) / 1e9);
            if (!new String(answer.body(), 0, 4, StandardCharsets.ISO_8859_1).equals("%PDF")) {
                throw new IllegalStateException("no PDF");
            }
        }
        return new Measured("handout-pdf", Bench.median(times), "s", 1);
    }

    /** From each key to the frame that shows it, in milliseconds, on the page of a client's session. */
    static List<Double> keys(Running server, String client, String session) {
        var times = new ArrayList<Double>();
        try (var playwright = Playwright.create();
                var browser = DrawBench.chromium(playwright)) {
            Page page = DrawBench.page(browser, server);
            page.navigate("http://localhost:" + server.port() + "/clients/" + client + "/compose/" + session);
            page.waitForSelector("section[aria-label=Block] input[inputmode=decimal]");
            page.waitForSelector("[data-testid=minutes]");
            for (int run = 0; run < KEYS; run++) {
                double time =
                        ((Number) page.evaluate(NEXT_FRAME, run % 2 == 0 ? "ArrowDown" : "ArrowUp")).doubleValue();
                if (run >= KEYS_OF_WARM_UP) {
                    times.add(time);
                }
            }
        }
        return times;
    }

    /** Six lines of about ten minutes, both sides; the seed makes each one another. */
    static String hour(int seed) {
        var lines = new ArrayList<String>();
        for (int n = 0; n < 6; n++) {
            var motion = n % 2 == 0 ? "hip-internal-rotation" : "hip-external-rotation";
            lines.add(line("l" + n, motion, "prone-knee-bent", 60 - seed));
        }
        return "{\"warmUp\":[],\"stations\":[%s]}".formatted(String.join(",", lines));
    }

    /** A station of one line. */
    static String line(String id, String motion, String position, int holdSeconds) {
        var blocks = """
                [{"form":"SUPPORTED_HOLD","numbers":{"seconds":%d},"words":{},"steps":[],"blocks":[]},
                 {"form":"GRADED_SET","numbers":{"ceiling":50,"sets":2,"settle":36,"rest":15},"words":{},
                  "steps":[{"effort":20,"seconds":5},{"effort":40,"seconds":5},{"effort":60,"seconds":5}],"blocks":[]},
                 {"form":"HANDS_OFF_HOLD","numbers":{"repetitions":3,"hold":10},"words":{},"steps":[],"blocks":[]}]
                """.formatted(holdSeconds);
        return """
                {"lines":[{"id":"%s","motion":"%s","position":"%s","method":"ramp-both-ways",
                 "sides":"ONE_AFTER_OTHER","firstSide":"LEFT","angles":{"left":20,"right":20},"left":%s,"right":%s,
                 "setUpSeconds":30,"sideChangeSeconds":30,"sessionsPerWeek":3,"unequalReason":""}],
                 "rounds":1,"restSeconds":0,"oneSetUp":false}
                """.formatted(id, motion, position, blocks, blocks);
    }
}
