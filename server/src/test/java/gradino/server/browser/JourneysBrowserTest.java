package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import gradino.server.TestServer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.annotations.Test;

/** The journeys of the demo that are not the main one. */
public class JourneysBrowserTest extends InBrowser {

    public JourneysBrowserTest() {
        super(TestServer::demo);
    }

    @Test
    public void theScreeningIsAnsweredByKeysAndLeadsToItsRestrictions() {
        page.navigate(server.url("/clients/demo-puppeteer/screening"));
        assertThat(page.getByText("Has a doctor ever found something with your heart?"))
                .isVisible();
        for (var topic : List.of("nnnn", "nn", "nnyn", "n", "nnnn", "nn")) {
            for (var key : topic.split("")) {
                page.keyboard().press(key);
            }
            if (topic.contains("y")) {
                assertThat(page.getByText("Hernia: refer first")).isVisible();
            }
            page.keyboard().press("Enter");
        }
        browser.click(AriaRole.BUTTON, "What follows");
        assertThat(page.getByText("A hernia, of groin, navel or belly wall?")).isVisible();
        browser.button("Save these answers");
        assertThat(page.getByText("No isometrics until cleared in writing").first())
                .isVisible();
        assertThat(page.getByText("Not screened yet")).hasCount(0);
    }

    @Test
    public void aNewClientIsTakenInAndLeadsToTheScreening() {
        page.navigate(server.url("/clients/new"));
        page.getByLabel("Goal, in the client's words").fill("ring the noon bell without a twist");
        page.getByText("Time, equipment and lengths (may wait)").click();
        page.getByLabel("Stature").fill("12");
        browser.button("Save and start screening");
        assertThat(page.getByText("A name of up to 120 letters.")).isVisible();
        assertThat(page.getByText("Between 50 and 250 cm.")).isVisible();
        assertThat(page.getByLabel("Goal, in the client's words")).hasValue("ring the noon bell without a twist");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Wenna Quill");
        page.getByLabel("Stature").fill("170");
        browser.button("Save and start screening");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Wenna Quill")))
                .isVisible();
        Assertions.assertThat(page.url()).endsWith("/screening");
    }

    @Test
    public void tapeReadsLiveWithItsUncertaintyAndNamesWhatDisagrees() {
        page.navigate(
                server.url(
                        "/clients/demo-waller/measure/bench?motion=hip-internal-rotation&position=seated-90-90-rear&instrument=TAPE"));
        page.getByLabel("Reading at the zero").fill("4");
        page.getByLabel("Trial 1", new Page.GetByLabelOptions().setExact(true)).fill("25");
        assertThat(page.getByText("29.2°").first()).isVisible();
        assertThat(page.getByText(Pattern.compile("± \\d\\.\\d°")).first()).isVisible();
        page.getByLabel("Trial 1", new Page.GetByLabelOptions().setExact(true)).fill("60");
        assertThat(page.getByText("56.0 cm across does not fit 43.0 cm, knee to ankle bone"))
                .isVisible();
        assertThat(page.getByLabel("Trial 1", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("60");
    }

    @Test
    public void aDeclinedDecisionKeepsItsReasonAndLeavesTheQueue() {
        page.navigate(server.url("/clients/demo-bell-ringer/advance"));
        assertThat(page.getByText("Step down").first()).isVisible();
        assertThat(page.getByText("Pain 6/10 during the session").first()).isVisible();
        page.keyboard().press("d");
        browser.click(AriaRole.BUTTON, "Decline");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Decline").setExact(true))
                .last()
                .click();
        assertThat(page.getByText("Say why not: it goes on record.")).isVisible();
        page.getByLabel("Why", new Page.GetByLabelOptions().setExact(true))
                .fill("a fall from the ladder, not the training");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Decline").setExact(true))
                .last()
                .click();
        assertThat(page.getByText("because a fall from the ladder, not the training"))
                .isVisible();
        assertThat(page.getByText("nothing waits")).isVisible();
    }

    @Test
    public void aBrokenFileIsNamedAndTheGoodOneTaken() {
        page.navigate(server.url("/studio"));
        var header = "answer_id,run_id,question,correction,settled,soreness,happened_at,recorded_at\r\n";
        choose("mornings.csv", header + "a1,nothing,,,perhaps,3,2026-02-01T08:00:00Z,\r\n");
        browser.button("Import");
        assertThat(page.getByText("mornings.csv, row 2, column settled")).isVisible();
        var run = server.get("/api/today").body().at("/mornings/0/runId").asString();
        choose("mornings.csv", header + "a1," + run + ",NEXT_MORNING,,yes,3,2026-02-28T08:00:00Z,\r\n");
        browser.button("Import");
        assertThat(page.getByText("1 rows read, 1 new")).isVisible();
    }

    private void choose(String name, String content) {
        page.getByLabel("Files to import")
                .setInputFiles(new FilePayload(name, "text/csv", content.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    public void theKeysAreOnTheirSheetAndTheThemeStays() {
        page.navigate(server.url("/clients/demo-rower"));
        assertThat(page.getByText("Next session")).isVisible();
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("stop sign");
        page.keyboard().press("Escape");
        page.keyboard().press("3");
        assertThat(page.getByText("New session")).isVisible();
        browser.button("Dark theme");
        page.reload();
        Assertions.assertThat(page.evaluate("document.documentElement.dataset.theme"))
                .isEqualTo("dark");
        browser.button("Light theme");
    }
}
