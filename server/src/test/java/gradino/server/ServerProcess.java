package gradino.server;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.IntFunction;
import java.util.stream.Stream;

/** A server in a process of its own, so that it can be killed as a power cut would. */
public final class ServerProcess implements AutoCloseable {
    private static final List<String> QUICK_TO_START =
            List.of("-XX:TieredStopAtLevel=1", "-XX:+UnlockDiagnosticVMOptions", "-XX:-BytecodeVerificationRemote");

    public final int port;
    private final ProcessBuilder command;
    private final Queue<String> complaints = new ConcurrentLinkedQueue<>();
    private Process process;

    /** @param data where the demo is told when it was not yet */
    public ServerProcess(Path data) throws IOException, InterruptedException {
        this(data, true);
    }

    ServerProcess(Path data, boolean demo) throws IOException, InterruptedException {
        this(port -> command(data, port, demo));
    }

    private ServerProcess(IntFunction<ProcessBuilder> command) throws IOException, InterruptedException {
        try (var free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        this.command = command.apply(port).redirectErrorStream(true);
        process = started();
    }

    /** A server none of whose files may grow beyond a size, as on a disk that is full. */
    static ServerProcess small(Path data, long mostBytes) throws IOException, InterruptedException {
        return new ServerProcess(port -> small(command(data, port, false), mostBytes));
    }

    /** The same command, with no file of it beyond a size. */
    static ProcessBuilder small(ProcessBuilder builder, long mostBytes) {
        var words = new ArrayList<>(List.of("bash", "-c", "ulimit -f " + mostBytes / 1024 + "; exec \"$0\" \"$@\""));
        words.addAll(builder.command());
        return builder.command(words);
    }

    /** A server as it is run: with the memory and the flags that the script gives it, saying what goes wrong. */
    public static ServerProcess asRun(Path data, List<String> flags) throws IOException, InterruptedException {
        return new ServerProcess(port -> command(data, port, true, flags));
    }

    public ProcessHandle handle() {
        return process.toHandle();
    }

    public void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    public void startAgain() throws IOException, InterruptedException {
        process = started();
    }

    /** What starts a server on a port, with the demo's data or without. */
    static ProcessBuilder command(Path data, int port, boolean demo) {
        return command(data, port, demo, QUICK_TO_START);
    }

    private static ProcessBuilder command(Path data, int port, boolean demo, List<String> flags) {
        return new ProcessBuilder(java(
                flags,
                "gradino.server.GradinoServer",
                "--gradino.data=" + data,
                "--gradino.demo=" + demo,
                "--gradino.hash-strength=4",
                "--server.port=" + port));
    }

    /** What starts one of the commands that work beside a server. */
    static List<String> java(Class<?> command, Object... arguments) {
        return java(QUICK_TO_START, command.getName(), arguments);
    }

    private static List<String> java(List<String> flags, String main, Object... arguments) {
        var words = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-XX:+UseSerialGC"));
        words.addAll(flags);
        words.addAll(List.of("-cp", System.getProperty("java.class.path"), main));
        Stream.of(arguments).map(Object::toString).forEach(words::add);
        return words;
    }

    private Process started() throws IOException, InterruptedException {
        var begun = command.start();
        var lines = new BufferedReader(new InputStreamReader(begun.getInputStream(), StandardCharsets.UTF_8));
        for (var line = lines.readLine(); line != null; line = lines.readLine()) {
            if (line.startsWith("Gradino is ready")) {
                var rest = new Thread(() -> listen(lines));
                rest.setDaemon(true);
                rest.start();
                return begun;
            }
        }
        throw new IllegalStateException("the server did not start, exit " + begun.waitFor());
    }

    /** Read to its end, or the server would wait for room to say something. */
    private void listen(BufferedReader lines) {
        try {
            for (var line = lines.readLine(); line != null; line = lines.readLine()) {
                if (line.contains(" ERROR ") || line.contains(" WARN ")) {
                    complaints.add(line);
                }
            }
        } catch (IOException killed) {
            // Whoever was killed says nothing more.
        }
    }

    /** Warnings and errors since its start. */
    public Collection<String> complaints() {
        return complaints;
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
