package gradino.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;

/** One server on loopback, ended with its scope. */
record Running(Process process, int port, Visitor visitor, double secondsToAnswer, Path data) implements AutoCloseable {
    static Running start(Path data) throws IOException, InterruptedException {
        return start("run", data, Map.of());
    }

    /** @param settings of the server, as environment variables */
    static Running start(Path data, Map<String, String> settings) throws IOException, InterruptedException {
        return start("run", data, settings);
    }

    static Running demo(Path data) throws IOException, InterruptedException {
        return start("demo", data, Map.of());
    }

    private static Running start(String command, Path data, Map<String, String> settings)
            throws IOException, InterruptedException {
        int port;
        try (var free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        long before = System.nanoTime();
        var builder = new ProcessBuilder(
                        ServerBench.ROOT.resolve("gradino").toString(),
                        command,
                        "--port",
                        String.valueOf(port),
                        "--data",
                        data.toString())
                .redirectErrorStream(true);
        builder.environment().putAll(settings);
        var process = builder.start();
        var code = "";
        var lines = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        for (var line = lines.readLine(); line != null; line = lines.readLine()) {
            if (line.contains("code for the first owner")) {
                code = line.replaceAll(".* ", "");
            }
            if (line.startsWith("Gradino is ready")) {
                var visitor = new Visitor(port, code);
                visitor.get("/api/sign-in");
                return new Running(process, port, visitor, (System.nanoTime() - before) / 1e9, data);
            }
        }
        throw new IllegalStateException("the server did not start, exit " + process.waitFor());
    }

    Path database() {
        return data.resolve("gradino.db");
    }

    /** The most that the server itself, a child of the script, ever had in memory. */
    double mostMegabytes() throws IOException {
        var server = process.children().findFirst().orElseThrow();
        return Files.readAllLines(Path.of("/proc/" + server.pid() + "/status")).stream()
                .filter(l -> l.startsWith("VmHWM"))
                .mapToDouble(l -> Double.parseDouble(l.replaceAll("\\D", "")) / 1024)
                .findFirst()
                .orElseThrow();
    }

    @Override
    public void close() {
        process.destroy();
        try {
            process.waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
