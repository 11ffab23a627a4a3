package gradino.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;

/** Today over a whole studio of trained clients, each with several lines: first after a start, and warm. */
final class TodayBench {
    private static final int CLIENTS = 72;
    private static final int LINES = 4;
    private static final int PART = 12;
    private static final int ASKED = 120;
    private static final int COUNTED = 20;
    /** What belongs to the client and not to a line. */
    private static final List<String> OF_CLIENT = List.of("clients.csv", "measurements.csv");

    private TodayBench() {}

    static List<Measured> today() throws Exception {
        var data = Files.createTempDirectory("gradino-bench");
        var rower = AdvanceBench.rower();
        try (var server = Running.start(data)) {
            var visitor = server.visitor();
            visitor.signIn();
            for (var file : AdvanceBench.FILES) {
                if (!file.equals("sessions.csv")) {
                    studio(visitor, file, rower.getOrDefault(file, List.of()));
                }
            }
        }
        try (var server = Running.start(data)) {
            var visitor = server.visitor();
            visitor.signIn();
            double first = millis(visitor);
            var warm = new ArrayList<Double>();
            for (int run = 0; run < ASKED; run++) {
                double millis = millis(visitor);
                // Before, the compiler is still at work beside it.
                if (run >= ASKED - COUNTED) {
                    warm.add(millis);
                }
            }
            return List.of(
                    new Measured("today-first", first, "ms", 300),
                    new Measured("today-warm", Bench.median(warm), "ms", 80));
        }
    }

    private static double millis(Visitor visitor) throws IOException, InterruptedException {
        long before = System.nanoTime();
        var answer = visitor.get("/api/today");
        double millis = (System.nanoTime() - before) / 1e6;
        if (answer.statusCode() != 200) {
            throw new IllegalStateException("Today answered " + answer.statusCode());
        }
        return millis;
    }

    /** The rower's rows once for every client, those of the line once for every line; in parts, as files have a size. */
    private static void studio(Visitor visitor, String file, List<String> rows)
            throws IOException, InterruptedException {
        int lines = OF_CLIENT.contains(file) ? 1 : LINES;
        for (int first = 0; first < CLIENTS; first += PART) {
            var text = new StringBuilder(rows.get(0)).append("\r\n");
            for (int client = first; client < first + PART; client++) {
                for (int line = 0; line < lines; line++) {
                    for (var row : rows.subList(1, rows.size())) {
                        text.append(renamed(row, client, line)).append("\r\n");
                    }
                }
            }
            ServerBench.upload(visitor, file, text.toString());
        }
    }

    private static String renamed(String row, int client, int line) {
        return row.replace("demo-rower-", "client-" + client + "-" + line + "-")
                .replace("demo-rower", "client-" + client)
                .replace("Tamsin Hale", "Invented " + client);
    }
}
