package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.Scene;
import gradino.server.TestServer;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** What a coach does with a record afterwards: corrects the morning, ends a link, erases a client. */
public class RecordBrowserTest {
    private TestServer server;
    private Browser browser;
    private Page page;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        new Scene(server).client().measured(36, 30).prescribed().cleanSession("s1");
        browser = new Browser(server);
        page = browser.page;
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        browser.close();
        server.close();
    }

    @Test
    public void theMorningsAnswerIsCorrectedInTheRecord() {
        page.navigate(server.url("/runs/s1/close"));
        assertThat(page.getByText("Pain was back to usual")).isVisible();
        assertThat(page.getByText(Pattern.compile("Load"))).isVisible();
        browser.button("Correct the answer");
        browser.button("No");
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("6")).click();
        page.getByLabel("Why was the first answer wrong?").fill("a wrong tap");
        browser.button("Save the correction");
        assertThat(page.getByText("Pain was not back to usual, soreness 6/10.")).isVisible();
        var morning = server.get("/api/runs/s1/summary").body().at("/mornings/1");
        Assertions.assertThat(morning.path("settled").asBoolean()).isFalse();
    }

    @Test
    public void aLinkIsMadeShownOnceAndEnded() {
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/home"));
        assertThat(page.getByText("this client has no way in from home")).isVisible();
        page.getByLabel("Good for").fill("900");
        browser.button("Make the link");
        assertThat(page.getByText("Between 1 and 365 days.")).isVisible();
        page.getByLabel("Good for").fill("30");
        browser.button("Make the link");
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("The link as a code")))
                .isVisible();
        assertThat(page.getByText("works until")).isVisible();
        browser.button("End it");
        assertThat(page.getByText("ended", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
    }

    @Test
    public void whoeverTypesTheNameErasesTheClient() {
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/sharing"));
        browser.button("Erase this client");
        var name = page.getByLabel("Type the name to confirm");
        name.fill("Perrin Veil");
        browser.button("Erase for good");
        assertThat(page.getByText("This is not the name in the file.")).isVisible();
        assertThat(name).hasValue("Perrin Veil");
        name.fill("Perrin Vale");
        browser.button("Erase for good");
        assertThat(page.getByText("Perrin Vale is erased")).isVisible();
        assertThat(page.getByText("Gradino has no backup that includes them")).isVisible();
        browser.button("To today");
        page.waitForURL(server.url("/"));
        assertThat(page.getByText("Perrin Vale")).hasCount(0);
        Assertions.assertThat(server.get("/api/clients/" + Scene.CLIENT).status())
                .isEqualTo(404);
    }
}
