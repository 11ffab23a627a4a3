package gradino.bench;

import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/** A large studio in 256 MB: five hundred clients, a year of three sessions a week, gauges in one session of ten. */
final class StudioBench {
    private static final int FILES = 20;
    private static final int BLOCKS_A_RUN = 16;
    private static final int TRACED = 10;
    private static final int SAMPLES = 1_600;
    private static final int WRITES_A_SECOND = 50;
    private static final Instant START = Instant.parse("2024-10-01T08:00:00Z");
    private static final double MB = 1024 * 1024;

    private final Random random = new Random(1);

    private final int clients;
    private final int runsOfEach;

    StudioBench(int clients, int runsOfEach) {
        this.clients = clients;
        this.runsOfEach = runsOfEach;
    }

    static List<Measured> exchange() throws Exception {
        var zip = new StudioBench(500, 156).archive();
        var figures = new ArrayList<Measured>();
        try (var server = Running.start(Files.createTempDirectory("gradino-bench"))) {
            server.visitor().signIn();
            long before = System.nanoTime();
            server.visitor().uploadFile("gradino.zip", zip);
            figures.add(new Measured("import-500-clients", seconds(before), "s", 300));
            before = System.nanoTime();
            long bytes = server.visitor().unpacked("/api/exchange/gradino.zip", FILES);
            figures.add(new Measured("export-500-clients", seconds(before), "s", 300));
            figures.add(new Measured("archive-unpacked", bytes / MB, "MB", 4096));
            figures.add(new Measured("memory-at-most", server.mostMegabytes(), "MB", 450));
            figures.addAll(backup(server));
        } finally {
            Files.deleteIfExists(zip);
        }
        return figures;
    }

    /** Backups of what was brought in, while fifty writes a second go on. */
    private static List<Measured> backup(Running server) throws Exception {
        var pool = Executors.newScheduledThreadPool(8);
        var worst = new AtomicLong();
        var n = new AtomicLong();
        Runnable write = () -> {
            long at = System.nanoTime();
            try {
                server.visitor()
                        .put(
                                "/api/clients/c0/pauses/p" + n.incrementAndGet(),
                                "{\"kind\":\"OTHER\",\"from\":\"2025-01-01\",\"until\":\"2025-01-02\",\"note\":\"\"}");
            } catch (IOException | InterruptedException e) {
                throw new IllegalStateException(e);
            }
            worst.accumulateAndGet(System.nanoTime() - at, Math::max);
        };
        for (int i = 0; i < 100; i++) {
            write.run();
        }
        worst.set(0);
        var going = new ArrayList<java.util.concurrent.ScheduledFuture<?>>();
        for (int i = 0; i < 8; i++) {
            long every = 8L * 1_000_000 / WRITES_A_SECOND;
            going.add(pool.scheduleAtFixedRate(write, i * every / 8, every, TimeUnit.MICROSECONDS));
        }
        long before = System.nanoTime();
        server.visitor().post("/api/backups", "application/json", "{}");
        double took = seconds(before);
        going.forEach(g -> g.cancel(false));
        pool.shutdown();
        double megabytes = Files.size(server.database()) / MB;
        return List.of(
                new Measured("backup-of-%.0f-MB".formatted(megabytes), took, "s", 10 * Math.max(1, megabytes / 500)),
                new Measured("write-beside-backup", worst.get() / 1e6, "ms", 400));
    }

    private static double seconds(long since) {
        return (System.nanoTime() - since) / 1e9;
    }

    Path archive() throws IOException {
        var file = Files.createTempFile("gradino-bench", ".zip");
        try (var zip = new ZipOutputStream(Files.newOutputStream(file));
                var out = new PrintWriter(new OutputStreamWriter(zip, StandardCharsets.UTF_8))) {
            entry(zip, out, "clients.csv", this::clients);
            entry(zip, out, "lines.csv", this::lines);
            entry(zip, out, "runs.csv", this::runs);
            entry(zip, out, "blocks.csv", this::blocks);
            entry(zip, out, "traces.csv", this::traces);
        }
        return file;
    }

    @FunctionalInterface
    private interface Rows {
        void write(PrintWriter out);
    }

    private static void entry(ZipOutputStream zip, PrintWriter out, String name, Rows rows) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        rows.write(out);
        out.flush();
        zip.closeEntry();
    }

    private void clients(PrintWriter out) {
        var lines = ServerBench.clients().split("\r\n");
        out.print(lines[0] + "\r\n");
        for (int c = 0; c < clients; c++) {
            out.print(lines[1].replaceFirst("^c,Invented Person", "c" + c + ",Invented Person " + c) + "\r\n");
        }
    }

    private void lines(PrintWriter out) {
        var lines = ServerBench.lines().split("\r\n");
        out.print(lines[0] + "\r\n");
        for (int c = 0; c < clients; c++) {
            out.print(lines[1].replaceFirst("^l,c,", "l" + c + ",c" + c + ",") + "\r\n");
        }
    }

    private static Instant at(int run) {
        return START.plusSeconds(run * 200_000L);
    }

    private void runs(PrintWriter out) {
        out.print(ServerBench.RUN_HEADER);
        for (int c = 0; c < clients; c++) {
            var session = ServerBench.cell(ServerBench.session("l" + c));
            for (int r = 0; r < runsOfEach; r++) {
                out.print("r%d-%d,c%d,,Hip,%s,%s,,%s,,coach,5,,,\r\n"
                        .formatted(c, r, c, session, at(r), at(r).plusSeconds(600)));
            }
        }
    }

    private void blocks(PrintWriter out) {
        out.print(ServerBench.BLOCK_HEADER);
        for (int c = 0; c < clients; c++) {
            for (int r = 0; r < runsOfEach; r++) {
                for (int b = 0; b < BLOCKS_A_RUN; b++) {
                    var side = b % 2 == 0 ? "left" : "right";
                    out.print(String.format(
                            Locale.ROOT,
                            "b%d-%d-%d,r%d-%d,l1-%s-%d-press,%s,press,%s,,STEP:5:%.2f;STEP:5:5;TOP_HOLD:10:%.2f,5,,,0,no,,\r\n",
                            c,
                            r,
                            b,
                            c,
                            r,
                            side,
                            1 + b / 2,
                            side,
                            at(r),
                            5 - random.nextDouble(),
                            10 - random.nextDouble()));
                }
            }
        }
    }

    private void traces(PrintWriter out) {
        out.print("trace_id,run_id,block,side,reference_newtons,phase_seconds,samples,happened_at,recorded_at\r\n");
        for (int c = 0; c < clients; c++) {
            for (int r = 0; r < runsOfEach; r += TRACED) {
                for (var side : new String[] {"left", "right"}) {
                    out.print("t%d-%d-%s,r%d-%d,l1-%s-1-press,%s,200,5 5 10,".formatted(c, r, side, c, r, side, side));
                    for (int s = 0; s < SAMPLES; s++) {
                        out.print((s == 0 ? "" : " ") + s * 12 + ":" + (400 + random.nextInt(600)));
                    }
                    out.print("," + at(r) + ",\r\n");
                }
            }
        }
    }
}
