package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Whoever wants to be forgotten is. */
public class ErasureTest {
    private static final String ROWER = "/api/clients/demo-rower";
    private TestServer server;

    @BeforeMethod
    public void start() {
        server = TestServer.demo();
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private String nameOf(String clientId) {
        return server.get("/api/clients/" + clientId).body().at("/details/name").asString();
    }

    private TestServer.Answer erase(Caller who, String clientId, String name) {
        return who.post("/api/clients/" + clientId + "/erasure", "{\"name\":\"" + name + "\"}");
    }

    private List<String> query(String sql) throws SQLException {
        try (var connection = server.bean("writer", DataSource.class).getConnection();
                var statement = connection.createStatement()) {
            var found = new ArrayList<String>();
            if (statement.execute(sql)) {
                var rows = statement.getResultSet();
                while (rows.next()) {
                    found.add(rows.getString(1));
                }
            }
            return found;
        }
    }

    @Test
    public void afterAllClientsAreErasedNothingOfTheirsIsInTheFile() throws Exception {
        var names = new ArrayList<String>();
        var guest = server.visitor().atHome();
        var link = server.post(ROWER + "/home-links", "{\"id\":\"l\",\"days\":9}");
        var enter = "{\"token\":\"" + link.body().path("token").asString() + "\"}";
        assertThat(guest.post("/api/home/enter", enter).status()).isEqualTo(204);
        guest.post("/api/home/notes", "{\"id\":\"n\",\"text\":\"a secret of the quay\"}");
        for (var client : server.get("/api/clients").body()) {
            var id = client.path("id").asString();
            names.add(nameOf(id));
            assertThat(erase(server.me(), id, nameOf(id)).status()).isEqualTo(200);
        }
        assertThat(names).hasSizeGreaterThan(3);
        assertThat(server.get("/api/today").body().path("clients").size()).isZero();
        assertThat(guest.get("/api/home/plan").status()).isEqualTo(401);
        assertThat(server.visitor().atHome().post("/api/home/enter", enter).body())
                .isEqualTo(server.visitor()
                        .atHome()
                        .post("/api/home/enter", "{\"token\":\"guessed\"}")
                        .body());
        for (var table : query("""
                WITH RECURSIVE theirs(name) AS (
                  SELECT 'client' UNION
                  SELECT t.name FROM sqlite_master t, pragma_foreign_key_list(t.name) k, theirs
                   WHERE t.type = 'table' AND k."table" = theirs.name)
                SELECT name FROM theirs
                """)) {
            assertThat(query("SELECT count(*) FROM " + table)).as(table).containsExactly("0");
        }
        query("PRAGMA wal_checkpoint(TRUNCATE)");
        var file = Files.readString(server.data().resolve("gradino.db"), StandardCharsets.ISO_8859_1);
        assertThat(names).noneMatch(file::contains);
        assertThat(file).doesNotContain("a secret of the quay");
    }

    @Test
    public void onlyAnOwnerWhoTypesTheNameErases() {
        var name = nameOf("demo-rower");
        server.post("/api/accounts", TestServer.account("c", "Wren Tolley", "wren", "COACH"));
        server.put(ROWER + "/sharing/c", "{\"on\":true}");
        assertThat(erase(server.signedIn("wren"), "demo-rower", name).status()).isEqualTo(403);
        var other = erase(server.me(), "demo-rower", name + "s");
        assertThat(other.codes()).containsExactly("other-name");
        assertThat(other.paths()).containsExactly("name");
        assertThat(server.get(ROWER).status()).isEqualTo(200);
    }

    @Test
    public void aCopyOfTheDatabaseBringsNobodyBack() throws Exception {
        var copied = TestServer.directory();
        query("VACUUM INTO '" + copied.resolve("gradino.db") + "'");
        var archive = server.bytes("/api/exchange/gradino.zip");
        assertThat(erase(server.me(), "demo-rower", nameOf("demo-rower")).status())
                .isEqualTo(200);
        var anew = "{\"id\":\"demo-rower\",\"details\":" + Scene.DETAILS + "}";
        assertThat(server.post("/api/clients", anew).body().toString()).contains("was erased");
        assertThat(server.upload("gradino.zip", archive).codes()).contains("erased");
        Files.copy(server.data().resolve("erased-clients.txt"), copied.resolve("erased-clients.txt"));
        try (var again = TestServer.demoIn(copied)) {
            assertThat(again.get(ROWER).status()).isEqualTo(404);
            assertThat(again.get("/api/clients/demo-waller").status()).isEqualTo(200);
        }
    }
}
