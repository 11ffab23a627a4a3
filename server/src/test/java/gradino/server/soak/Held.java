package gradino.server.soak;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;

/**
 * What a process runs out of, seen from outside.
 *
 * @param live megabytes that are still held after a collection
 * @param resident megabytes of the machine's memory
 */
record Held(Duration at, long files, long threads, long live, long resident) {
    private static final long KILO = 1024;

    static Held now(Duration at, ProcessHandle process) throws IOException {
        var place = Path.of("/proc", String.valueOf(process.pid()));
        long live = live(process);
        try (var files = Files.list(place.resolve("fd"))) {
            return new Held(at, files.count(), status(place, "Threads"), live, status(place, "VmRSS") / KILO);
        }
    }

    private static long status(Path place, String name) throws IOException {
        return Files.readAllLines(place.resolve("status")).stream()
                .filter(line -> line.startsWith(name + ":"))
                .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")))
                .findFirst()
                .orElseThrow();
    }

    /** Counting what lives collects first; the sum stands in the last line. */
    private static long live(ProcessHandle process) throws IOException {
        var jcmd = Path.of(System.getProperty("java.home"), "bin", "jcmd").toString();
        var counting = new ProcessBuilder(jcmd, String.valueOf(process.pid()), "GC.class_histogram").start();
        var lines = new String(counting.getInputStream().readAllBytes(), StandardCharsets.UTF_8)
                .strip()
                .split("\n");
        var sum = lines[lines.length - 1].strip().split("\\s+");
        return Long.parseLong(sum[sum.length - 1]) / KILO / KILO;
    }
}
