package gradino.server;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;

/** A demo server in a process of its own, so that it can be killed as a power cut would. */
public final class ServerProcess implements AutoCloseable {
    private final Path data;
    private final boolean demo;
    public final int port;
    private Process process;

    /** @param data where the demo is told when it was not yet */
    public ServerProcess(Path data) throws IOException, InterruptedException {
        this(data, true);
    }

    ServerProcess(Path data, boolean demo) throws IOException, InterruptedException {
        this.data = data;
        this.demo = demo;
        try (var free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        process = started();
    }

    public void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    public void startAgain() throws IOException, InterruptedException {
        process = started();
    }

    /** What starts a server on a port, with the demo's data or without. */
    static ProcessBuilder command(Path data, int port, boolean demo) {
        return new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-XX:+UnlockDiagnosticVMOptions",
                "-XX:-BytecodeVerificationRemote",
                "-cp",
                System.getProperty("java.class.path"),
                "gradino.server.GradinoServer",
                "--gradino.data=" + data,
                "--gradino.demo=" + demo,
                "--gradino.hash-strength=4",
                "--server.port=" + port);
    }

    private Process started() throws IOException, InterruptedException {
        var begun = command(data, port, demo).redirectErrorStream(true).start();
        var lines = new BufferedReader(new InputStreamReader(begun.getInputStream(), StandardCharsets.UTF_8));
        for (var line = lines.readLine(); line != null; line = lines.readLine()) {
            if (line.startsWith("Gradino is ready")) {
                return begun;
            }
        }
        throw new IllegalStateException("the server did not start, exit " + begun.waitFor());
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
