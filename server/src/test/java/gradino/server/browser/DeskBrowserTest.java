package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.TestServer;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Finding somebody, seeing how they are doing, changing a part of their file, letting them go. */
public class DeskBrowserTest extends InBrowser {

    public DeskBrowserTest() {
        super(TestServer::demo);
    }

    @Test
    public void aFewLettersAndEnterGoToAClientAPageOrAPosition() {
        page.navigate(server.url("/"));
        assertThat(page.getByRole(AriaRole.HEADING).first()).isVisible();
        find("tams");
        assertThat(page.getByText("Next session")).isVisible();
        find("week");
        assertThat(page).hasURL(Pattern.compile("/clients/demo-rower/week"));
        find("lying face");
        assertThat(page).hasURL(Pattern.compile("/library"));
        page.keyboard().press("/");
        page.getByRole(AriaRole.COMBOBOX).fill("nothing like it");
        assertThat(page.getByText("Nothing is called that.")).isVisible();
        page.keyboard().press("Escape");
    }

    private void find(String letters) {
        page.keyboard().press("/");
        page.getByRole(AriaRole.COMBOBOX).fill(letters);
        assertThat(page.getByRole(AriaRole.OPTION).first()).isVisible();
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    }

    @Test
    public void aPartOfTheFileIsSavedOnItsOwnAndTheOthersKeepWhatWasTyped() {
        page.navigate(server.url("/clients/demo-puppeteer/file"));
        var history = page.getByLabel("History: what was");
        history.fill("a fall from the ladder");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill(" ");
        var who = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Who"));
        who.getByText("Save").click();
        assertThat(page.getByText("A name of up to 120 letters.")).isVisible();
        assertThat(history).hasValue("a fall from the ladder");
        who.getByText("Cancel").click();
        var past = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("History"));
        var usual = ",{\"minutes\":47,\"at\":\"18:00:00\",\"place\":\"HOME\"}"
                .repeat(7)
                .substring(1);
        var calendar = "/api/clients/demo-puppeteer/calendar/usual";
        assertEquals(
                server.put(calendar, "{\"days\":[%s],\"travelEquipment\":[]}".formatted(usual))
                        .status(),
                200);
        past.getByText("Save").click();
        assertThat(past.getByText("Saved")).isVisible();
        var details = server.get("/api/clients/demo-puppeteer").body().get("details");
        assertEquals(details.get("minutes").asInt(), 47, "what the calendar said meanwhile");
        page.reload();
        assertThat(history).hasValue("a fall from the ladder");
    }

    /** 1 in is 2.54 cm, 1 lb 0.45359237 kg: international yard and pound, 1959 (value from memory). */
    @Test
    public void aLengthIsReadWithItsUnitAndShownInTheAccountsOwn() {
        page.navigate(server.url("/clients/demo-puppeteer/file"));
        var part = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Lengths and weight"));
        var stature = part.getByLabel("Stature");
        stature.fill("5'7\"");
        stature.blur();
        assertThat(stature).hasValue("170.18");
        stature.fill("1,702 m");
        assertThat(part.getByText("Save")).isVisible();
        stature.blur();
        assertThat(stature).hasValue("170.2");
        stature.fill("tall");
        assertThat(part.getByText("This is not a number, in cm.")).isVisible();
        stature.fill("170.18");
        part.getByText("Save").click();
        assertThat(part.getByText("Saved")).isVisible();
        units("in, lb");
        assertThat(stature).hasValue("67");
        // What the server says is written in the account's units too.
        var weight = part.getByLabel("Weight");
        weight.fill("1");
        part.getByText("Save").click();
        assertThat(part.getByText("Between 44.1 and 551.2 lb.")).isVisible();
        part.getByText("Cancel").click();
        units("cm, kg");
        assertThat(stature).hasValue("170.18");
    }

    private void units(String which) {
        browser.button("Maren Coyle");
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(which))
                .click();
        assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    }

    @Test
    public void whoLeavesMovesToTheArchiveAndComesBack() {
        server.post("/api/clients/demo-waller/home-links", "{\"id\":\"l\",\"days\":9}");
        page.navigate(server.url("/clients/demo-waller/file"));
        browser.button("Move to the archive");
        assertThat(page.getByText("In the archive since")).isVisible();
        var links = server.get("/api/clients/demo-waller/home-links").body();
        assertEquals(links.at("/0/state").asString(), "ended");
        page.navigate(server.url("/clients?archive"));
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Archive")))
                .containsText("Bryn Tolliver");
        page.navigate(server.url("/clients"));
        page.getByLabel("Search by name").fill("tolliver");
        assertThat(page.getByText("Nobody fits.")).isVisible();
        page.navigate(server.url("/clients/demo-waller/file"));
        browser.button("Bring back from the archive");
        assertThat(page.getByText("A client who no longer comes")).isVisible();
    }

    @Test
    public void aNoteIsDatedAndSigned() {
        page.navigate(server.url("/clients/demo-rower"));
        page.getByLabel("New note").fill("Rows on Saturday, so light on Friday.");
        browser.button("Save note");
        assertThat(page.getByText("Rows on Saturday, so light on Friday.")).isVisible();
        assertThat(page.getByLabel("New note")).hasValue("");
        browser.button("Edit");
        page.getByLabel("Edit note").fill("Rows on Sunday.");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Save").setExact(true))
                .click();
        assertThat(page.getByText("Rows on Sunday.")).isVisible();
        browser.button("Remove");
        assertThat(page.getByText("Rows on Sunday.")).hasCount(0);
        browser.button("Undo");
        assertThat(page.getByText("Rows on Sunday.")).isVisible();
    }

    @Test
    public void aFigureIsTurnedWithTheArrowKeysAndBackAgain() {
        page.navigate(server.url("/library?find=seated%2090-90,%20rear"));
        var turning = page.getByRole(AriaRole.APPLICATION).first();
        var body = turning.locator("path").first();
        assertThat(body).isVisible();
        var before = body.getAttribute("d");
        turning.focus();
        page.keyboard().press("ArrowRight");
        assertThat(body).not().hasAttribute("d", before);
        turning.dblclick();
        assertThat(body).hasAttribute("d", before);
    }

    @Test
    public void aShippedPositionIsCopiedPosedAndKeptAsOurs() {
        page.navigate(server.url("/library/standing-knee-hug"));
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Knee hug at the capstan");
        var knee =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^wrist, other")));
        var before = knee.getAttribute("cy");
        knee.focus();
        page.keyboard().press("ArrowUp");
        assertThat(knee).not().hasAttribute("cy", before);
        page.getByLabel("Set-up, as a client hears it").fill("");
        browser.button("Save");
        assertThat(page.getByText("How is it set up?")).isVisible();
        page.getByLabel("Set-up, as a client hears it").fill("Stand at the capstan.");
        assertThat(page.getByText("How is it set up?")).hasCount(0);
        browser.button("Save");
        assertThat(page.getByText("(ours)")).isVisible();
        page.getByText("Change", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("Knee hug at the capstan");
        browser.button("Remove");
        assertThat(page.getByText("(ours)")).hasCount(0);
    }

    @Test
    public void whatACoachWroteIsSavedAsItWasWrittenWhateverTheUnits() {
        var sessions = "/api/clients/demo-rower/sessions";
        var session = server.get(sessions).body().get(0).path("id").asString();
        var draft = server.get("/api/clients/demo-rower/score/suggestion")
                .body()
                .path("draft")
                .toString();
        var spoken = draft.replaceFirst("\"words\":\\{\\}", "\"words\":{\"cue\":\"up 2.5 cm\"}");
        server.put(sessions + "/written", "{\"name\":\"Written\",\"draft\":%s}".formatted(spoken));
        server.put("/api/me/units", "{\"units\":\"IMPERIAL\"}");
        page.navigate(server.url("/clients/demo-rower/compose/written"));
        page.getByLabel("Session", new Page.GetByLabelOptions().setExact(true)).fill("Written again");
        browser.button("Save the session");
        assertThat(page.getByText("Saved.")).isVisible();
        server.put("/api/me/units", "{\"units\":\"METRIC\"}");
        var kept = server.get(sessions + "/written").body().toString();
        assertTrue(kept.contains("up 2.5 cm") && kept.contains("Written again"), session + kept);
    }
}
