package gradino.bench;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;

/** A week of twelve lines as a coach meets it: over HTTP, after a start, while it is dragged, and beside somebody who composes. */
final class WeekServerBench {
    private static final int LINES = 12;
    private static final int WARM_UP = 5;
    private static final int RUNS = 20;
    private static final String CLIENT = "/api/clients/c";
    private static final String OTHER = """
            {"id":"other","details":{"name":"Invented Other","goal":"","history":"","days":[],"equipment":[],"lengths":{},
             "blockStepCm":1,"goals":[]}}""";
    private static final Pattern UNIT = Pattern.compile("\"units\":\\[\\{\"id\":\"([^\"]+)\"");

    private final Running server;
    private int changes;

    private WeekServerBench(Running server) {
        this.server = server;
    }

    static List<Measured> weeks() throws Exception {
        var data = Files.createTempDirectory("gradino-bench");
        try (var server = Running.start(data)) {
            server.visitor().signIn();
            ServerBench.upload(server.visitor(), "clients.csv", ServerBench.clients());
            server.visitor().post("/api/clients", "application/json", OTHER);
            new WeekServerBench(server).lines();
            server.visitor()
                    .put(
                            "/api/clients/other/sessions/hour",
                            "{\"name\":\"Hour\",\"draft\":%s}".formatted(ComposeBench.hour(0)));
        }
        try (var server = Running.start(data)) {
            server.visitor().signIn();
            return new WeekServerBench(server).measured();
        }
    }

    /** One after the other of the trained positions, as many as the method can be done in. */
    private void lines() throws IOException, InterruptedException {
        int kept = 0;
        for (var position :
                Catalogue.positions().stream().filter(Position::trains).toList()) {
            kept += kept < LINES && isKept(position, kept) ? 1 : 0;
        }
        if (kept < LINES) {
            throw new IllegalStateException("only " + kept + " lines");
        }
    }

    private boolean isKept(Position position, int number) throws IOException, InterruptedException {
        var draft = ComposeBench.line("w" + number, position.motions().get(0), position.id(), 60);
        try {
            server.visitor()
                    .put(
                            CLIENT + "/sessions/s" + number,
                            "{\"name\":\"Session %d\",\"draft\":{\"warmUp\":[],\"stations\":[%s]}}"
                                    .formatted(number, draft));
            return true;
        } catch (IllegalStateException refused) {
            return false;
        }
    }

    private List<Measured> measured() throws Exception {
        double first = planned();
        var plans = new ArrayList<Double>();
        var drags = new ArrayList<Double>();
        for (int run = 0; run < WARM_UP + RUNS; run++) {
            double plan = planned();
            double drag = dragged();
            if (run >= WARM_UP) {
                plans.add(plan);
                drags.add(drag);
            }
        }
        return List.of(
                new Measured("week-after-a-start", first, "ms", 1_000),
                new Measured("week-planned-again", Bench.median(plans), "ms", 400),
                new Measured("week-dragged", Bench.median(drags), "ms", 50),
                new Measured("key-beside-planning", Bench.median(keysBeside()), "ms", 60));
    }

    private static String week() {
        return CLIENT + "/weeks/"
                + LocalDate.now(ZoneId.systemDefault())
                        .with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY))
                        .plusWeeks(1);
    }

    /** With other minutes than before, so that every week is solved again. */
    private double planned() throws IOException, InterruptedException {
        int minutes = 25 + changes++ % 15;
        var day = "{\"minutes\":%d,\"at\":\"18:00:00\",\"place\":\"HOME\"}".formatted(minutes);
        var days = String.join(",", List.of(day, day, day, day, day, day, day));
        server.visitor().put(CLIENT + "/calendar/usual", "{\"days\":[%s],\"travelEquipment\":[]}".formatted(days));
        return millis(week());
    }

    private double dragged() throws IOException, InterruptedException {
        var unit = UNIT.matcher(new String(server.visitor().plain(week()).body(), StandardCharsets.UTF_8));
        if (!unit.find()) {
            throw new IllegalStateException("nothing is planned");
        }
        return millis(week() + "/targets?from=-1&unit=" + unit.group(1));
    }

    private double millis(String path) throws IOException, InterruptedException {
        long before = System.nanoTime();
        var answer = server.visitor().get(path);
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(path + ": " + answer.statusCode());
        }
        return (System.nanoTime() - before) / 1e6;
    }

    /** Somebody composes while weeks are planned again and again without a pause. */
    private List<Double> keysBeside() throws Exception {
        var over = new AtomicBoolean();
        var pool = Executors.newSingleThreadExecutor();
        try {
            var planning = pool.submit(() -> {
                while (!over.get()) {
                    planned();
                }
                return changes;
            });
            var keys = ComposeBench.keys(server, "other", "hour");
            over.set(true);
            planning.get();
            return keys;
        } finally {
            pool.shutdownNow();
        }
    }
}
