package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.backup.BackupCommand;
import gradino.server.platform.DatabaseFile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** There is no room for something large: it is said, nothing is half done, and what is small goes on. */
public class FullDiskTest {
    private static final String CLIENTS = "SELECT count(*) FROM client";
    /** A server starts in it; what is brought in takes more. */
    private static final long ROOM = 2 << 20;

    private static final String LONG_STORY = "moved house ".repeat(60);

    private Path database;

    @BeforeClass
    public void start() throws IOException {
        database = TestServer.directory().resolve("demo.db");
        try (var demo = TestServer.demo()) {
            DatabaseFile.copy(demo.data().resolve("gradino.db"), database);
        }
    }

    @Test
    public void aBackupThatDoesNotFitIsNoBackup() throws Exception {
        var data = TestServer.directory();
        var copy = Files.copy(database, data.resolve("gradino.db"));
        var process = ServerProcess.small(
                        new ProcessBuilder(ServerProcess.java(BackupCommand.class, data, "")), Files.size(copy) / 2)
                .redirectErrorStream(true)
                .start();
        var said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isEqualTo(1);
        assertThat(said).contains("the backup could not be made");
        try (var left = Files.list(data.resolve("backups"))) {
            assertThat(left).isEmpty();
        }
        assertThat(DatabaseFile.trouble(copy)).isEmpty();
    }

    /** Rows of one file, and what is said of as many: they fit unpacked but not into the database, or not even unpacked. */
    @DataProvider
    public Object[][] archives() {
        return new Object[][] {{2_400, 507, "nothing was half-saved"}, {15_000, 422, "than the disk has left"}};
    }

    @Test(dataProvider = "archives")
    public void anImportThatDoesNotFitChangesNothingAndWhatIsSmallIsSaved(int rows, int status, String said)
            throws Exception {
        var data = TestServer.directory();
        byte[] header;
        try (var empty = TestServer.empty()) {
            DatabaseFile.copy(empty.data().resolve("gradino.db"), data.resolve("gradino.db"));
            header = empty.bytes("/api/exchange/files/clients.csv");
        }
        try (var server = ServerProcess.small(data, ROOM)) {
            var caller = new Caller(server.port);
            assertThat(caller.signIn("hollis", TestServer.PASSWORD).status()).isEqualTo(200);
            var refused = caller.upload("clients.zip", clients(new String(header, StandardCharsets.UTF_8), rows));
            assertThat(refused.status()).as(refused.body().toString()).isEqualTo(status);
            assertThat(refused.body().toString()).contains(said);
            assertThat(caller.get("/api/clients").body().size()).isZero();
            var client = "{\"id\":\"small\",\"details\":%s}".formatted(Scene.DETAILS);
            assertThat(caller.post("/api/clients", client).status()).isEqualTo(200);
            server.kill();
        }
        assertThat(DatabaseFile.trouble(data.resolve("gradino.db"))).isEmpty();
        assertThat(DatabaseFile.answer(data.resolve("gradino.db"), CLIENTS)).contains("1");
    }

    private static byte[] clients(String header, int rows) throws IOException {
        int columns = header.strip().split(",").length;
        var bytes = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("clients.csv"));
            zip.write(header.getBytes(StandardCharsets.UTF_8));
            for (int n = 0; n < rows; n++) {
                var row = "c%d,Invented Person,,,,,%s%s,1,2024-12-01T00:00:00Z,\r\n"
                        .formatted(n, LONG_STORY, ",".repeat(columns - 10));
                zip.write(row.getBytes(StandardCharsets.UTF_8));
            }
        }
        return bytes.toByteArray();
    }
}
