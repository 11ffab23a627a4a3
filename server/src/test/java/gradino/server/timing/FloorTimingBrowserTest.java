package gradino.server.timing;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.Scene;
import gradino.server.TestServer;
import gradino.server.browser.Browser;
import gradino.server.timing.PlainChromium.Tab;
import java.io.IOException;
import java.util.List;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * Minutes at real speed (by {@code ./gradino test --long}), the page hidden for more than one of them: every
 * phase is shown, sounded and spoken within 0.1 s of the compiled timeline. What is checked is that the floor is right by the clock, not how fast the machine is.
 */
public class FloorTimingBrowserTest {
    private static final int SECONDS = Integer.getInteger("gradino.floor.seconds", 300);
    private static final int HIDDEN_FROM = 20;
    private static final int HIDDEN_SECONDS = 60;
    private static final double TOLERANCE_MS = 100;

    private TestServer server;
    private PlainChromium browser;

    @BeforeClass
    public void start() throws IOException {
        server = TestServer.empty();
        new Scene(server).client().measured(36, 30).prescribed().open("timed");
        browser = new PlainChromium();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        browser.close();
        server.close();
    }

    @Test
    public void everyPhaseStartsWithinATenthOfASecond() {
        var floor = browser.open();
        browser.beforeEachPage(floor, Browser.LISTEN);
        browser.cookie(floor, server.url("/"), "gradino", server.me().cookie("gradino"));
        browser.front(floor);
        browser.navigate(floor, server.url("/runs/timed"));
        assertThat(until(floor, "[...document.querySelectorAll('button')].find((b) => b.textContent === 'Start')"))
                .isTrue();
        browser.evaluate(
                floor, "[...document.querySelectorAll('button')].find((b) => b.textContent === 'Start').click()");
        int hiddenFrom = toldFrom(floor, HIDDEN_FROM);
        var other = browser.open();
        browser.front(other);
        assertThat(browser.evaluate(floor, "document.visibilityState").asString())
                .isEqualTo("hidden");
        toldFrom(floor, hiddenFrom + HIDDEN_SECONDS);
        assertThat(browser.evaluate(floor, "document.visibilityState").asString())
                .isEqualTo("hidden");
        browser.front(floor);
        toldFrom(floor, SECONDS);
        check(floor);
    }

    private void check(Tab floor) {
        var phases = marks(floor, "phase");
        double zero = phases.get(0).at() - 1000 * phases.get(0).second();
        var compiled = server.get("/api/runs/timed")
                .body()
                .at("/timeline/phases")
                .valueStream()
                .map(p -> p.path("startSecond").asDouble())
                .toList();
        assertThat(phases.stream().map(Mark::second).toList()).isEqualTo(compiled.subList(0, phases.size()));
        assertThat(phases.get(phases.size() - 1).second()).isGreaterThanOrEqualTo(SECONDS);
        within("shown", phases, zero);
        var tones = marks(floor, "tone");
        assertThat(tones).hasSizeGreaterThanOrEqualTo(phases.size() - 1);
        within("sounded", tones, zero);
        var spoken = marks(floor, "speak");
        assertThat(spoken).hasSize(phases.size());
        for (int i = 0; i < spoken.size(); i++) {
            assertThat(spoken.get(i).at())
                    .isBetween(phases.get(i).at() - 1, phases.get(i).at() + TOLERANCE_MS);
        }
        double worst = phases.stream()
                .mapToDouble(m -> Math.abs(m.at() - zero - m.second() * 1000))
                .max()
                .orElse(0);
        System.out.printf("floor timing: worst of %d phases %.1f ms%n", phases.size(), worst);
    }

    /** The page itself says when: no sleeping here. */
    private boolean until(Tab tab, String condition) {
        for (int tries = 0; tries < 200; tries++) {
            if (browser.evaluate(tab, "new Promise((done) => setTimeout(() => done(Boolean(" + condition + ")), 50))")
                    .asBoolean()) {
                return true;
            }
        }
        return false;
    }

    /** Resolves with the first phase at or after a second of the timeline. Steps of one phase, so that no answer is awaited long. */
    private int toldFrom(Tab tab, int second) {
        for (int phases = 0; phases < 200; phases++) {
            var at = browser.evaluate(tab, """
                    told.phase.at(-1).second >= %d ? told.phase.at(-1).second : new Promise((done) =>
                      addEventListener('floor:phase', () => done(told.phase.at(-1).second), { once: true }))
                    """.formatted(second));
            if (at.asInt() >= second) {
                return at.asInt();
            }
        }
        throw new AssertionError("the floor never came to second " + second);
    }

    private record Mark(double second, double at) {}

    private static void within(String what, List<Mark> marks, double zero) {
        for (var mark : marks) {
            assertThat(mark.at() - zero)
                    .as("%s at second %s".formatted(what, mark.second()))
                    .isBetween(mark.second() * 1000 - TOLERANCE_MS, mark.second() * 1000 + TOLERANCE_MS);
        }
    }

    private List<Mark> marks(Tab tab, String what) {
        return browser.evaluate(tab, "told." + what + ".map((m) => ({ second: m.second ?? 0, at: m.at }))")
                .valueStream()
                .map(m -> new Mark(m.path("second").asDouble(), m.path("at").asDouble()))
                .toList();
    }
}
