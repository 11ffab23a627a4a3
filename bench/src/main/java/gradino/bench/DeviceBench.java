package gradino.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Pattern;

/** Many gauges at once: what the server spends on streaming them, as a share of one core. */
final class DeviceBench {
    private static final int STREAMS = 200;
    private static final int HERTZ = 50;
    private static final int WARM_UP_SECONDS = 5;
    private static final int SECONDS = 10;
    private static final double LEAST_HEARD = 0.95;
    private static final Pattern TENTHS = Pattern.compile("\"tenths\":\\[([^\\]]*)]");

    private DeviceBench() {}

    static List<Measured> streams() throws Exception {
        var data = Files.createTempDirectory("gradino-bench");
        try (var server = Running.start(data)) {
            server.visitor().signIn();
            var heard = new AtomicLong();
            var http = HttpClient.newHttpClient();
            for (int n = 0; n < STREAMS; n++) {
                connect(server, n);
                listen(http, server, n, heard);
            }
            pause(WARM_UP_SECONDS);
            long before = heard.get();
            var cpu = cpu(server);
            pause(SECONDS);
            double cores = (cpu(server).toNanos() - cpu.toNanos()) / 1e9 / SECONDS;
            double share = (heard.get() - before) / (double) (STREAMS * HERTZ * SECONDS);
            if (share < LEAST_HEARD) {
                throw new IllegalStateException("only %.0f %% of the samples came".formatted(100 * share));
            }
            return List.of(new Measured("streams-200-at-50-hz", cores, "cores", 1));
        }
    }

    private static void connect(Running server, int n) throws IOException, InterruptedException {
        server.visitor().post("/api/devices/page" + n, "application/json", """
                        {"id":"g","gauge":{"side":"LEFT","manner":"GOOD","strengthNewtons":200,"seed":%d}}
                        """.formatted(n));
    }

    private static void listen(HttpClient http, Running server, int n, AtomicLong heard) {
        var request = HttpRequest.newBuilder(
                        URI.create("http://localhost:%d/api/devices/page%d/stream".formatted(server.port(), n)))
                .header("Cookie", "gradino=" + server.visitor().cookie())
                .build();
        var unused = http.sendAsync(request, BodyHandlers.ofLines())
                .thenAccept(answer -> answer.body()
                        .forEach(line -> TENTHS.matcher(line)
                                .results()
                                .forEach(m -> heard.addAndGet(
                                        m.group(1).isEmpty() ? 0 : m.group(1).split(",").length))));
    }

    private static Duration cpu(Running server) {
        return server.process().toHandle().info().totalCpuDuration().orElseThrow();
    }

    private static void pause(int seconds) {
        LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(seconds));
    }
}
