package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.backup.BackupService;
import gradino.server.exchange.Commands;
import gradino.server.intake.ErasedClients;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** A backup is proved by putting it back. */
public class BackupTest {
    private static final String CLIENT = "/api/clients/" + Scene.CLIENT;
    private TestServer server;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        new Scene(server).client().measured(36, 30).prescribed();
        server.me()
                .post(
                        "/api/clients",
                        "{\"id\":\"goner\",\"details\":%s}"
                                .formatted(Scene.DETAILS.replace("Perrin Vale", "Goner Byname")));
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private static List<Path> files(Path directory) throws IOException {
        try (var files = Files.walk(directory)) {
            return files.filter(Files::isRegularFile).toList();
        }
    }

    private static boolean holds(Path file, String text) throws IOException {
        var bytes = new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1);
        return bytes.contains(text);
    }

    private Path newest() {
        var made = server.me().post("/api/backups", "{}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        return server.data().resolve("backups").resolve(made.body().path("file").asString());
    }

    /** Put back into a directory of its own, where it is started. */
    @Test
    public void whatIsPutBackIsWhatWasThere() throws IOException {
        var backup = newest();
        var before = server.get(CLIENT).body();
        server.me().put(CLIENT + "/details", Scene.DETAILS.replace("climb to the lamp", "another goal since"));
        var elsewhere = TestServer.directory();
        assertThat(Commands.restore(elsewhere, backup)).contains("is restored");
        try (var restored = TestServer.on(elsewhere)) {
            assertThat(restored.get(CLIENT).body()).isEqualTo(before);
            assertThat(restored.get("/api/lines/" + Scene.LINE + "/proposals").status())
                    .isEqualTo(200);
        }
        // Once more over it: what is replaced stays, whole.
        assertThat(Commands.restore(elsewhere, backup)).contains("is restored");
        assertThat(files(elsewhere)).anyMatch(f -> f.toString().matches(".*replaced-[^/]+/gradino.db"));
    }

    @Test
    public void whoWasErasedSinceStaysErasedAndIsInNoOtherFile() throws IOException {
        var backup = newest();
        // What an earlier restore replaced is no backup: nothing of them stays in it either.
        var aside = Files.createDirectory(server.data().resolve("replaced-2026-01-01T000000Z"));
        Files.copy(backup, aside.resolve("gradino.db"));
        assertThat(holds(aside.resolve("gradino.db"), "Goner Byname")).isTrue();
        var erased = server.me().post("/api/clients/goner/erasure", "{\"name\":\"Goner Byname\"}");
        assertThat(erased.body().path("backupsUntil").asString()).isEqualTo("2027-03-01");
        for (var file : files(server.data())) {
            boolean isBackup = file.startsWith(server.data().resolve("backups"));
            assertThat(holds(file, "Goner Byname")).as(file.toString()).isEqualTo(isBackup);
        }
        var elsewhere = TestServer.directory();
        Files.copy(server.data().resolve("erased-clients.txt"), elsewhere.resolve("erased-clients.txt"));
        assertThat(Commands.restore(elsewhere, backup)).contains("is restored");
        for (var file : files(elsewhere)) {
            assertThat(holds(file, "Goner Byname")).as(file.toString()).isFalse();
        }
    }

    /** Else somebody would be told that they are gone while a file still holds them. */
    @Test
    public void nobodyIsErasedWhileADatabaseThatWasSetAsideCannotBeChanged() throws IOException {
        var aside = Files.createDirectory(server.data().resolve("replaced-2026-01-02T000000Z"));
        var unreadable = Files.writeString(aside.resolve("gradino.db"), "no database ".repeat(500));
        var name = server.get(CLIENT).body().at("/details/name").asString();
        var refused = server.me().post(CLIENT + "/erasure", "{\"name\":\"%s\"}".formatted(name));
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.body().toString()).contains("replaced-2026-01-02T000000Z");
        assertThat(server.get(CLIENT).status()).isEqualTo(200);
        assertThat(server.bean(ErasedClients.class).all()).doesNotContain(Scene.CLIENT);
        Files.delete(unreadable);
        Files.delete(aside);
    }

    @Test
    public void whatIsNoBackupOrNewerOrInUseIsRefused() throws IOException {
        var backup = newest();
        assertThat(Commands.restore(server.data(), backup)).contains("stop it first");
        var elsewhere = TestServer.directory();
        assertThat(Commands.restore(elsewhere, elsewhere.resolve("none.db"))).contains("there is no file");
        var bytes = Files.readAllBytes(backup);
        java.util.Arrays.fill(bytes, 8192, 8192 + 4096, (byte) 7);
        var damaged = Files.write(elsewhere.resolve("damaged.db"), bytes);
        assertThat(Commands.restore(elsewhere, damaged)).contains("is not put back");
        var newer = Files.copy(backup, elsewhere.resolve("newer.db"));
        Commands.makeNewer(newer);
        assertThat(Commands.restore(elsewhere, newer)).contains("newer version");
        assertThat(elsewhere.resolve("gradino.db")).doesNotExist();
    }

    @Test
    public void onceADayAndThreeDaysWithoutAreToldTheOwner() {
        var backups = server.bean(BackupService.class);
        backups.daily();
        int made = server.get("/api/backups").body().path("all").size();
        backups.daily();
        assertThat(server.get("/api/backups").body().path("all").size()).isEqualTo(made);
        assertThat(server.get("/api/today").body().has("backupWarning")).isFalse();
        server.clock.move(Duration.ofDays(3));
        server.me().signIn("hollis", TestServer.PASSWORD);
        assertThat(server.get("/api/today").body().path("backupWarning").asString())
                .startsWith("No backup for 3 days");
        server.me().post("/api/accounts", TestServer.account("coach", "Somebody", "coach", "COACH"));
        var coach = server.signedIn("coach");
        assertThat(coach.get("/api/today").body().has("backupWarning")).isFalse();
        assertThat(coach.get("/api/backups").status()).isEqualTo(403);
        backups.daily();
        assertThat(server.get("/api/today").body().has("backupWarning")).isFalse();
        // Set back by a day: what lies ahead is kept, and counts for nothing.
        server.clock.move(Duration.ofDays(-1));
        server.me().signIn("hollis", TestServer.PASSWORD);
        int ahead = server.get("/api/backups").body().path("all").size();
        backups.daily();
        assertThat(server.get("/api/backups").body().path("all").size()).isEqualTo(ahead + 1);
    }

    @Test
    public void theDoctorSaysWhatToDo() throws IOException {
        newest();
        assertThat(Commands.doctor(server.data(), server.clock.instant()))
                .contains("Database: whole", "can be opened and is whole", "Java ")
                .doesNotContain("none yet");
        assertThat(Commands.doctor(server.data(), server.clock.instant().minus(Duration.ofDays(400))))
                .contains("LOOK  Clock")
                .contains("set it");
        assertThat(Commands.doctor(TestServer.directory(), server.clock.instant()))
                .contains("LOOK  Database: none");
    }
}
