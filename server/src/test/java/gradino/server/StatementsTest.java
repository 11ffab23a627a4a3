package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.server.advance.line.LineDoor;
import gradino.server.platform.Json;
import gradino.server.platform.Sql;
import gradino.server.prescribe.program.Program;
import gradino.server.today.TodayService;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.slf4j.LoggerFactory;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** What a page asks of the database does not grow with the studio: as many statements for forty as for four. */
public class StatementsTest {
    private static final List<String> FILES = List.of(
            "clients.csv",
            "lines.csv",
            "measurements.csv",
            "sessions.csv",
            "runs.csv",
            "blocks.csv",
            "mornings.csv",
            "decisions.csv");
    private static final List<String> STUDIO = List.of("/api/today", "/api/decisions", "/api/clients");
    private static final String CLIENT = "/api/clients/" + Scene.CLIENT;
    private static final List<String> OF_A_CLIENT = List.of(
            CLIENT, CLIENT + "/day", CLIENT + "/lines", CLIENT + "/sessions", CLIENT + "/runs", CLIENT + "/ranges");

    private final Logger log = (Logger) LoggerFactory.getLogger(Sql.class);
    private final ListAppender<ILoggingEvent> said = new ListAppender<>();
    private TestServer server;
    private Scene scene;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30).prescribed();
        scene.cleanSession("s1").cleanSession("s2");
        log.setLevel(Level.TRACE);
        said.start();
        log.setAdditive(false);
        log.addAppender(said);
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        log.detachAppender(said);
        log.setAdditive(true);
        log.setLevel(null);
        server.close();
    }

    @Test
    public void theStudiosPagesCostAsMuchForFortyClientsAsForFour() {
        var rows = rows();
        clients(rows, 1, 4);
        var four = costs(STUDIO);
        clients(rows, 4, 40);
        assertThat(costs(STUDIO)).isEqualTo(four);
        assertThat(server.get("/api/today").body().path("clients").size()).isEqualTo(40);
        assertThat(server.get("/api/decisions").body().path("waiting").size()).isEqualTo(80);
    }

    @Test
    public void aClientsPagesCostAsMuchForFortyLinesAsForFour() {
        lines(1, 4);
        var four = costs(OF_A_CLIENT);
        lines(4, 40);
        assertThat(costs(OF_A_CLIENT)).isEqualTo(four);
        assertThat(server.get(CLIENT + "/lines").body().size()).isEqualTo(40);
    }

    @Test
    public void aClientsLoadAndRunsCostAsMuchForMoreSessions() {
        var pages = List.of(CLIENT + "/load", CLIENT + "/runs");
        var two = costs(pages);
        scene.cleanSession("s3").cleanSession("s4").cleanSession("s5");
        assertThat(costs(pages)).isEqualTo(two);
        assertThat(server.get(CLIENT + "/runs").body().size()).isEqualTo(5);
    }

    /** A session of four lines: what is known of the client is gathered once, and nothing again after a block of it. */
    @Test
    public void startingASessionGathersOnceAndABlockOfItDropsNothing() {
        server.bean(LineDoor.class).forget();
        said.list.clear();
        var floor = scene.open("s3");
        assertThat(gatherings()).isEqualTo(1);
        scene.doAll(floor.body());
        said.list.clear();
        assertThat(server.get("/api/today").status()).isEqualTo(200);
        assertThat(gatherings()).isZero();
        scene.close("s3");
        said.list.clear();
        assertThat(server.get("/api/today").status()).isEqualTo(200);
        assertThat(gatherings()).isEqualTo(1);
    }

    /** As at a start, before anybody has asked. */
    @Test
    public void theFirstLookGathersForWhoeverComesNext() {
        server.bean(LineDoor.class).forget();
        server.bean(TodayService.class).lookAtAll();
        said.list.clear();
        for (var page : STUDIO) {
            assertThat(server.get(page).status()).isEqualTo(200);
        }
        assertThat(gatherings()).isZero();
    }

    private long gatherings() {
        return said.list.stream()
                .filter(e -> e.getFormattedMessage().contains("FROM line_version"))
                .count();
    }

    /** Of each page: looked at for the first time, and again. */
    private Map<String, List<Integer>> costs(List<String> pages) {
        var costs = new LinkedHashMap<String, List<Integer>>();
        for (var page : pages) {
            // Who looked is written down the first time alone, and the rules are read once more after that.
            cost(page);
            cost(page);
            server.bean(LineDoor.class).forget();
            costs.put(page, List.of(cost(page), cost(page)));
        }
        return costs;
    }

    private int cost(String page) {
        said.list.clear();
        var answer = server.get(page);
        assertThat(answer.status()).as(page + answer.body()).isEqualTo(200);
        return said.list.size();
    }

    /** What the exported files say of the one client. */
    private Map<String, List<String>> rows() {
        var rows = new HashMap<String, List<String>>();
        for (var file : FILES) {
            var text = new String(server.bytes("/api/exchange/files/" + file), StandardCharsets.UTF_8);
            rows.put(file, List.of(text.split("\r\n")));
        }
        return rows;
    }

    private void clients(Map<String, List<String>> rows, int from, int to) {
        for (var file : FILES) {
            var text = new StringBuilder(rows.get(file).get(0)).append("\r\n");
            for (int n = from; n < to; n++) {
                for (var row : rows.get(file).subList(1, rows.get(file).size())) {
                    text.append(another(file, row, n)).append("\r\n");
                }
            }
            var answer = server.upload(file, text.toString().getBytes(StandardCharsets.UTF_8));
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        }
    }

    /** Every id of a row made another client's. */
    private static String another(String file, String row, int n) {
        var own = row.replace(Scene.CLIENT, Scene.CLIENT + "-" + n)
                .replaceAll("(^|,)s([12])(?=,)", "$1s$2-" + n)
                .replace("daily", "daily-" + n);
        return file.equals("measurements.csv") || file.equals("blocks.csv") || file.equals("mornings.csv")
                ? n + "-" + own
                : own;
    }

    private void lines(int from, int to) {
        var line = server.bean(Json.class).read(scene.line().toString(), LineDraft.class);
        for (int n = from; n < to; n++) {
            server.bean(Program.class).open(Scene.CLIENT, "line-" + n, Plan.of(line), null, server.clock.instant());
        }
    }
}
