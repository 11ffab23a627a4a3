package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.backup.BackupCommand;
import gradino.server.exchange.RestoreCommand;
import gradino.server.platform.DatabaseFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The power goes in the middle of something large: what is there is the old or the new, whole. */
public class KilledWorkTest {
    private static final int KILLS = Integer.getInteger("gradino.kills", 3);
    private static final String CLIENTS = "SELECT count(*) FROM client";
    private final long seed = System.nanoTime();
    private final Random random = new Random(seed);
    private Path one;
    private Path two;
    private byte[] archive;

    /** What is killed. */
    enum Work {
        RESTORE,
        IMPORT,
        SCHEMA,
        BACKUP
    }

    @BeforeClass
    public void start() throws IOException {
        var directory = TestServer.directory();
        one = directory.resolve("one.db");
        two = directory.resolve("two.db");
        try (var server = TestServer.empty()) {
            new Scene(server).client().measured(36, 30).prescribed();
            DatabaseFile.copy(server.data().resolve("gradino.db"), one);
        }
        try (var demo = TestServer.demo()) {
            DatabaseFile.copy(demo.data().resolve("gradino.db"), two);
            archive = demo.bytes("/api/exchange/gradino.zip");
        }
    }

    @AfterClass(alwaysRun = true)
    public void stop() throws IOException {
        Files.deleteIfExists(two);
    }

    @DataProvider
    public Object[][] kills() {
        var rows = new ArrayList<Object[]>();
        for (int n = 0; n < KILLS; n++) {
            rows.add(new Object[] {Work.values()[n % Work.values().length], random.nextDouble()});
        }
        return rows.toArray(Object[][]::new);
    }

    private static long clients(Path database) {
        return Long.parseLong(DatabaseFile.answer(database, CLIENTS).orElse("-1"));
    }

    private static void killed(List<String> command, long millis) throws IOException, InterruptedException {
        var process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        process.waitFor(millis, TimeUnit.MILLISECONDS);
        process.destroyForcibly().waitFor();
    }

    @Test(dataProvider = "kills")
    public void theOldOrTheNewIsThereWhole(Work work, double when) throws Exception {
        switch (work) {
            case BACKUP -> backup((long) (when * 1_500));
            case RESTORE -> restore((long) (when * 1_500));
            case SCHEMA -> schema((long) (when * 5_000));
            case IMPORT -> imported((long) (when * 1_500));
        }
    }

    private void backup(long millis) throws Exception {
        var data = TestServer.directory();
        Files.copy(two, data.resolve("gradino.db"));
        killed(ServerProcess.java(BackupCommand.class, data, ""), millis);
        assertThat(DatabaseFile.trouble(data.resolve("gradino.db")))
                .as("seed " + seed)
                .isEmpty();
        if (Files.isDirectory(data.resolve("backups"))) {
            try (var files = Files.list(data.resolve("backups"))) {
                for (var file : files.filter(f -> f.toString().endsWith(".db")).toList()) {
                    assertThat(DatabaseFile.trouble(file)).as("seed " + seed).isEmpty();
                }
            }
        }
    }

    private void restore(long millis) throws Exception {
        var data = TestServer.directory();
        var database = data.resolve("gradino.db");
        Files.copy(one, database);
        killed(ServerProcess.java(RestoreCommand.class, data, two), millis);
        assertThat(DatabaseFile.trouble(database)).as("seed " + seed).isEmpty();
        assertThat(clients(database)).as("seed " + seed).isIn(clients(one), clients(two));
        // Tried again it is done, whatever lies about.
        assertThat(gradino.server.exchange.Commands.restore(data, two)).contains("is restored");
        assertThat(clients(database)).isEqualTo(clients(two));
    }

    private void schema(long millis) throws Exception {
        var data = TestServer.directory();
        killed(ServerProcess.command(data, 0, false).command(), millis);
        try (var server = TestServer.on(data)) {
            assertThat(server.get("/api/clients").status()).as("seed " + seed).isEqualTo(200);
        }
    }

    private void imported(long millis) throws Exception {
        var data = TestServer.directory();
        Files.copy(one, data.resolve("gradino.db"));
        var pool = Executors.newSingleThreadExecutor();
        try (var server = new ServerProcess(data, false)) {
            var caller = new Caller(server.port);
            assertThat(caller.signIn("hollis", TestServer.PASSWORD).status()).isEqualTo(200);
            var sent = pool.submit(() -> caller.upload("gradino.zip", archive).status());
            try {
                sent.get(millis, TimeUnit.MILLISECONDS);
            } catch (java.util.concurrent.TimeoutException e) {
                // It is in the middle of it.
            }
            server.kill();
        } finally {
            pool.shutdownNow();
        }
        var database = data.resolve("gradino.db");
        assertThat(DatabaseFile.trouble(database)).as("seed " + seed).isEmpty();
        assertThat(clients(database)).as("seed " + seed).isIn(clients(one), clients(one) + clients(two));
    }
}
