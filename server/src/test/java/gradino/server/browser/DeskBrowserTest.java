package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.TestServer;
import java.util.regex.Pattern;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Finding somebody, seeing how they are doing, changing a part of their file, letting them go. */
public class DeskBrowserTest {
    private TestServer server;
    private Browser browser;
    private Page page;

    @BeforeClass
    public void start() {
        server = TestServer.demo();
        browser = new Browser(server);
        page = browser.page;
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        browser.close();
        server.close();
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
        past.getByText("Save").click();
        assertThat(past.getByText("Saved")).isVisible();
        page.reload();
        assertThat(history).hasValue("a fall from the ladder");
    }

    @Test
    public void whoLeavesMovesToTheArchiveAndComesBack() {
        page.navigate(server.url("/clients/demo-waller/file"));
        browser.button("Move to the archive");
        assertThat(page.getByText("In the archive since")).isVisible();
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
    }
}
