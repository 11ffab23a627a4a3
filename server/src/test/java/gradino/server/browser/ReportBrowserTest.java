package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.TestServer;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.annotations.Test;

/** The report as a coach makes it, and as a client reads it. */
public class ReportBrowserTest extends InBrowser {
    private static final String REPORT = "/clients/demo-rower/report";

    public ReportBrowserTest() {
        super(TestServer::demo);
    }

    private void heading(String words) {
        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(words).setExact(true)))
                .isVisible();
    }

    @Test
    public void isToldAnewForAnotherReaderByOneKeyAndTheAddressKeepsIt() {
        page.navigate(server.url(REPORT));
        heading("Progress report");
        assertThat(page.getByRole(AriaRole.TABLE).first()).isVisible();
        page.keyboard().press("c");
        heading("How it is going");
        Assertions.assertThat(page.url()).contains("audience=CLIENT");
        page.reload();
        heading("How it is going");
        page.keyboard().press("k");
        heading("Progress report");
    }

    @Test
    public void partsCanBeLeftOutButNotWhatWasHard() {
        page.navigate(server.url(REPORT));
        heading("How did it climb?");
        browser.button("Climbed");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("How did it climb?")))
                .hasCount(0);
        heading("What was hard?");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("ard"))))
                .hasCount(0);
    }

    @Test
    public void aNoteIsSavedAboveItAndTwoBlocksStandBesideEachOther() {
        page.navigate(server.url(REPORT));
        page.getByLabel("Your note above the report").fill("Well rowed.");
        browser.button("Save the note");
        assertThat(page.locator("article").getByText("Well rowed.")).isVisible();
        page.getByLabel("First", new Page.GetByLabelOptions().setExact(true)).selectOption("0");
        assertThat(page.getByText("Second − first")).isVisible();
    }

    @Test
    public void wrongDaysAreToldBesideTheirField() {
        page.navigate(server.url(REPORT + "?period=DATES&from=2026-03-02&to=2026-03-01"));
        assertThat(page.getByText("It cannot end before it begins.").first()).isVisible();
    }

    @Test
    public void theClientReadsItByALinkOfItsOwn() {
        page.navigate(server.url(REPORT));
        browser.button("Make the link");
        var address = page.getByText(Pattern.compile("/report#")).innerText();
        var path = address.substring(address.indexOf("/report#"));

        var visitor = browser.page.context().browser().newContext().newPage();
        visitor.navigate(server.url(path));
        assertThat(visitor.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("How it is going")))
                .isVisible();
        assertThat(visitor.getByRole(AriaRole.TABLE)).hasCount(0);
        visitor.context().close();
    }
}
