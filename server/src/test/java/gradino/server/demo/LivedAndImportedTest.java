package gradino.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.TestServer;
import gradino.server.platform.StudioClock;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** What was lived through here and what files bring are judged alike; the long form takes a year of forty clients. */
public class LivedAndImportedTest {
    private static final boolean LONG = Boolean.getBoolean("gradino.long");
    private static final int WEEKS = LONG ? 52 : 5;
    private static final int CLIENTS = LONG ? 40 : 6;
    private static final List<String> FILES = List.of(
            "clients.csv",
            "screenings.csv",
            "clearances.csv",
            "lines.csv",
            "measurements.csv",
            "sessions.csv",
            "runs.csv",
            "blocks.csv",
            "mornings.csv",
            "traces.csv",
            "reference-contractions.csv",
            "decisions.csv");

    private TestServer lived;
    private TestServer copy;
    private List<String> lives;

    @BeforeClass
    public void live() {
        lived = TestServer.empty();
        copy = TestServer.empty();
        var now = StudioClock.moment(lived.clock);
        var all = DemoLives.lives(now.day(now.instant())).stream()
                .filter(life -> life.weeks() > 0 && life.course().equals(DemoLife.Course.USUAL))
                .map(life -> life.through(WEEKS))
                .toList();
        lives = all.stream().map(DemoLife::id).toList();
        var teller = lived.bean(DemoTeller.class);
        new TransactionTemplate(lived.bean(PlatformTransactionManager.class))
                .executeWithoutResult(tx -> all.forEach(life -> teller.tell(life, now)));
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        lived.close();
        copy.close();
    }

    /** The lives are told once; the files tell each again for every invented client, under ids of their own. */
    @Test
    public void theFilesGiveTheProposalsThatLivingGave() {
        for (var file : FILES) {
            var answer = copy.upload(file, many(file).getBytes(StandardCharsets.UTF_8));
            assertThat(answer.status()).as(file + answer.body()).isEqualTo(200);
        }
        for (int n = 0; n < CLIENTS; n++) {
            var life = lives.get(n % lives.size());
            var here = lived.get("/api/lines/" + life + "-line/proposals").body();
            var there =
                    copy.get("/api/lines/" + id(n) + "-line/proposals").body().toString();
            assertThat(there).isEqualTo(here.toString().replace(life, id(n)));
            assertThat(here.path("sides").path("left").path("evidence")).isNotEmpty();
        }
        assertThat(copy.get("/api/today").body().path("clients").size()).isEqualTo(CLIENTS);
    }

    private String id(int n) {
        return lives.get(n % lives.size()) + "-" + n;
    }

    private String many(String file) {
        var rows = new String(lived.bytes("/api/exchange/files/" + file), StandardCharsets.UTF_8).split("\r\n");
        var text = new StringBuilder(rows[0]).append("\r\n");
        for (int n = 0; n < CLIENTS; n++) {
            var life = lives.get(n % lives.size());
            for (int i = 1; i < rows.length; i++) {
                if (rows[i].contains(life)) {
                    text.append(rows[i].replace(life, id(n))).append("\r\n");
                }
            }
        }
        return text.toString();
    }
}
