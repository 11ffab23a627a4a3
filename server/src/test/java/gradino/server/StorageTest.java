package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.zaxxer.hikari.HikariDataSource;
import gradino.server.platform.Sql;
import gradino.server.platform.StorageException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** What SQLite is set to, on every connection: an unknown setting in the address is taken silently. */
public class StorageTest {
    private TestServer server;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private HikariDataSource pool(String name) {
        return server.bean(name, HikariDataSource.class);
    }

    private static String pragma(Connection connection, String name) throws SQLException {
        try (var statement = connection.createStatement();
                var result = statement.executeQuery("PRAGMA " + name)) {
            return result.getString(1);
        }
    }

    @Test
    public void everyConnectionHasItsSettings() throws SQLException {
        for (var name : List.of("writer", "readers")) {
            var open = new ArrayList<Connection>();
            for (int n = 0; n < pool(name).getMaximumPoolSize(); n++) {
                open.add(pool(name).getConnection());
            }
            for (var connection : open) {
                assertThat(pragma(connection, "journal_mode")).isEqualTo("wal");
                assertThat(pragma(connection, "foreign_keys")).isEqualTo("1");
                assertThat(pragma(connection, "synchronous")).isEqualTo("2");
                assertThat(pragma(connection, "busy_timeout")).isEqualTo("5000");
                assertThat(pragma(connection, "query_only")).isEqualTo(name.equals("readers") ? "1" : "0");
                connection.close();
            }
        }
        assertThat(pool("writer").getMaximumPoolSize()).isEqualTo(1);
    }

    /** So that nothing is looked for row by row when what it belongs to is asked for or erased. */
    @Test
    public void everyKeyIntoAnotherTableHasAnIndex() {
        var bare = server.bean(Sql.class).list("""
                        SELECT t.name || '.' || k."from" FROM pragma_table_list t, pragma_foreign_key_list(t.name) k
                         WHERE t.schema = 'main' AND k.seq = 0
                           AND NOT EXISTS (SELECT 1 FROM pragma_index_list(t.name) i, pragma_index_info(i.name) c
                                            WHERE c.seqno = 0 AND c.name = k."from")
                           AND NOT EXISTS (SELECT 1 FROM pragma_table_info(t.name) c
                                            WHERE c.pk = 1 AND c.name = k."from")
                        """, row -> row.getString(1));
        assertThat(bare).isEmpty();
    }

    @Test
    public void everyStatementNamesItsColumns() throws IOException {
        try (var files = Files.walk(Path.of("src/main/java"))) {
            var loose = files.filter(f -> f.toString().endsWith(".java"))
                    .filter(StorageTest::asksForAll)
                    .toList();
            assertThat(loose).isEmpty();
        }
    }

    private static boolean asksForAll(Path file) {
        try {
            return Files.readString(file).contains("SELECT *");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    public void aReaderCannotWrite() throws SQLException {
        try (var connection = pool("readers").getConnection();
                var statement = connection.createStatement()) {
            assertThatThrownBy(() ->
                            statement.executeUpdate("INSERT INTO client (id, recorded_at, stamp) VALUES ('x', 1, 0)"))
                    .hasMessageContaining("readonly");
        }
    }

    @Test
    public void tablesAreStrictAndKeepTheirKeys() {
        var sql = server.bean(Sql.class);
        var loose = sql.list(
                "SELECT name FROM pragma_table_list WHERE schema = 'main' AND type = 'table' AND strict = 0 AND name NOT LIKE 'sqlite%' AND name NOT LIKE 'flyway%'",
                row -> row.getString(1));
        assertThat(loose).isEmpty();
        assertThatThrownBy(
                        () -> sql.update(
                                "INSERT INTO line (id, client_id, motion, position, happened_at, recorded_at) VALUES ('l', 'nobody', 'm', 'p', 1, 1)"))
                .isInstanceOf(StorageException.class)
                .hasMessageContaining("FOREIGN KEY");
        assertThatThrownBy(() -> sql.update("INSERT INTO client (id, recorded_at, stamp) VALUES ('x', 'noon', 0)"))
                .isInstanceOf(StorageException.class);
        sql.update("INSERT INTO client (id, recorded_at, stamp) VALUES ('twice', 1, 0)");
        assertThatThrownBy(() -> sql.update("INSERT INTO client (id, recorded_at, stamp) VALUES ('twice', 1, 0)"))
                .isInstanceOfSatisfying(
                        StorageException.class, e -> assertThat(e.kind()).isEqualTo(StorageException.Kind.DUPLICATE));
    }
}
