package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.List;
import java.util.stream.Stream;
import org.testng.annotations.Test;

/** A start that can only fail says why in one sentence and changes nothing. */
public class StartTest {
    private record Said(int exit, String text) {}

    private static Said start(Path data, int port, String... more) throws IOException, InterruptedException {
        var builder = ServerProcess.command(data, port, false).redirectErrorStream(true);
        builder.command().addAll(List.of(more));
        var process = builder.start();
        process.getOutputStream().close();
        var text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Said(process.waitFor(), text);
    }

    @Test
    public void aPortInUseIsNamed() throws Exception {
        var data = TestServer.directory();
        try (var taken = new ServerSocket(0, 1, InetAddress.getByName("127.0.0.1"))) {
            var said = start(data, taken.getLocalPort());
            assertThat(said.exit()).isEqualTo(1);
            assertThat(said.text())
                    .isEqualTo("gradino: port %d is in use: is Gradino running already? --port N takes another\n"
                            .formatted(taken.getLocalPort()));
        }
        assertThat(data).isEmptyDirectory();
    }

    @Test
    public void aDataDirectoryThatCannotBeWrittenIsNamed() throws Exception {
        var file = Files.writeString(TestServer.directory().resolve("notes.txt"), "mine");
        var said = start(file.resolve("data"), 0);
        assertThat(said.exit()).isEqualTo(1);
        assertThat(said.text()).isEqualTo("gradino: the data directory " + file + "/data cannot be written\n");
        assertThat(file).hasContent("mine");
    }

    @Test
    public void aDatabaseOfANewerVersionIsLeftAsItIs() throws Exception {
        var data = TestServer.directory();
        var database = data.resolve("gradino.db");
        try (var connection = DriverManager.getConnection("jdbc:sqlite:" + database);
                var statement = connection.createStatement()) {
            statement.execute("CREATE TABLE flyway_schema_history (version TEXT, success INTEGER)");
            statement.execute("INSERT INTO flyway_schema_history VALUES ('1', 1), ('999', 1)");
        }
        var before = Files.readAllBytes(database);
        var said = start(data, 0);
        assertThat(said.exit()).isEqualTo(1);
        assertThat(said.text())
                .startsWith("gradino: the database ")
                .contains("newer version")
                .containsOnlyOnce("\n");
        assertThat(Files.readAllBytes(database)).isEqualTo(before);
        try (Stream<Path> files = Files.list(data)) {
            assertThat(files).containsExactly(database);
        }
        Files.writeString(database, "no database at all, only a longer text than a header has");
        assertThat(start(data, 0).text()).contains("cannot be read");
    }

    @Test
    public void dataThatAnotherHasAreNamed() throws Exception {
        try (var running = TestServer.ownerless()) {
            var said = start(running.data(), 0);
            assertThat(said.exit()).isEqualTo(1);
            assertThat(said.text())
                    .isEqualTo("gradino: the data directory " + running.data()
                            + " is in use: is Gradino running already?\n");
        }
    }

    @Test
    public void nobodyReachesItFromOutsideBeforeItHasAnOwner() throws Exception {
        var said = start(TestServer.directory(), 0, "--gradino.host=studio.quay.test");
        assertThat(said.exit()).isEqualTo(1);
        assertThat(said.text()).startsWith("gradino: nobody is its owner yet").containsOnlyOnce("\n");
    }
}
