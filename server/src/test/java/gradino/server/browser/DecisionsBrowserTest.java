package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.Scene;
import gradino.server.TestServer;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** The coach's evening: the queue by keyboard, taking back, the flight, a policy of one's own, looking back, rehearsing. */
public class DecisionsBrowserTest {
    private TestServer server;
    private Scene scene;
    private Browser browser;
    private Page page;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server)
                .client()
                .measured(36, 30)
                .prescribed()
                .cleanSession("s1")
                .cleanSession("s2");
        browser = new Browser(server);
        page = browser.page;
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        browser.close();
        server.close();
    }

    @Test
    public void theQueueIsGoneThroughByKeyboardAndADecisionIsTakenBack() {
        page.navigate(server.url("/decisions"));
        assertThat(page.getByText("2 to look at")).isVisible();
        assertThat(page.getByText("Gates, in order")).isVisible();
        page.keyboard().press("e");
        assertThat(page.getByTestId("evidence")).containsText("100 %");
        page.keyboard().press("j");
        assertThat(page.getByText(", right").last()).isVisible();
        page.keyboard().press("k");
        page.keyboard().press("a");
        assertThat(page.getByText("1 to look at")).isVisible();
        page.keyboard().press("u");
        assertThat(page.getByText("2 to look at")).isVisible();
        page.keyboard().press("p");
        assertThat(page.getByText("Nothing waits.")).isVisible();
    }

    @Test
    public void aLineOfASessionIsChangedBlockByBlock() {
        scene.eveningOf(scene.suggestedLine("hip-internal-rotation", "prone-knee-bent", "contract-relax-linger"))
                .cleanRun("r1")
                .cleanRun("r2");
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/advance"));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("in “Evening”"))
                .click();
        assertThat(page.getByText("Contraction: 3 s → 4 s").first()).isVisible();
        browser.button("Change");
        var contract = page.getByLabel("Contract", new Page.GetByLabelOptions().setExact(true));
        contract.fill("99");
        browser.button("Set this dose");
        assertThat(page.getByText("Contract: between 1 and 60 s.")).isVisible();
        assertThat(contract).hasValue("99");
        contract.fill("7");
        page.getByLabel("Why (needed").fill("strong today");
        browser.button("Set this dose");
        assertThat(page.getByText("contract–relax, contract 3 s → 7 s").first()).isVisible();
    }

    @Test
    public void theFlightShowsWhereALineHasBeen() {
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/advance"));
        browser.button("Accept");
        assertThat(page.getByText("The flight so far")).isVisible();
        assertThat(page.getByText("step up, accepted")).isVisible();
        page.keyboard().press("ArrowLeft");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("step up, too early to say")))
                .isVisible();
        assertThat(page.getByText("graded set, hold on top 10 s → 15 s").first())
                .isVisible();
        assertThat(page.getByText("in the last seven days")).isVisible();
    }

    @Test
    public void aCopyOfTheRulesIsKeptLookedBackWithAndRehearsed() {
        page.navigate(server.url("/rules"));
        page.getByLabel("Name of the copy").fill("Race season");
        page.getByLabel("Clean sessions in a row for a step up").fill("9");
        browser.button("Save as a copy");
        assertThat(page.getByText("Between 2 and 4.")).isVisible();
        page.getByLabel("Clean sessions in a row for a step up").fill("3");
        browser.button("Save as a copy");
        assertThat(page.getByText("Race season").first()).isVisible();
        assertThat(page.getByText("; house 2.")).isVisible();
        page.navigate(server.url("/rules/backtest"));
        assertThat(page.getByText("states differ")).isVisible();
        assertThat(page.getByText("Step up → Stay")).isVisible();
        page.navigate(server.url("/rules/rehearsal"));
        assertThat(page.getByText("never a forecast")).isVisible();
        assertThat(page.getByText("What the rules held back").first()).isVisible();
        page.getByLabel("Weeks").first().fill("2");
        assertThat(page.getByText("between 4 and 26").first()).isVisible();
    }

    @Test
    public void aChangeThatGoesFurtherNeedsAReasonAndADeclineToo() {
        page.navigate(server.url("/decisions"));
        assertThat(page.getByText("Gates, in order")).isVisible();
        page.keyboard().press("c");
        page.getByLabel("Sets", new Page.GetByLabelOptions().setExact(true)).fill("4");
        browser.button("Set this dose");
        assertThat(page.getByText("This goes further than proposed")).isVisible();
        assertThat(page.getByLabel("Sets", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("4");
        page.getByLabel("Why (needed when it goes further than proposed)").fill("a race is near");
        browser.button("Set this dose");
        assertThat(page.getByText("1 to look at")).isVisible();
        assertThat(page.getByText(", right").last()).isVisible();
        page.keyboard().press("d");
        page.getByLabel("Why", new Page.GetByLabelOptions().setExact(true)).fill("not this week");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Decline").setExact(true))
                .last()
                .click();
        assertThat(page.getByText("Nothing waits.")).isVisible();
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/advance"));
        assertThat(page.getByText("because a race is near").first()).isVisible();
        browser.click(AriaRole.BUTTON, "Undo");
        assertThat(page.getByText("undone").first()).isVisible();
    }

    @Test
    public void thePolicyInUseIsWhatTheQueueIsJudgedBy() {
        page.navigate(server.url("/rules"));
        page.getByLabel("Name of the copy").fill("Race season");
        page.getByLabel("Clean sessions in a row for a step up").fill("3");
        browser.button("Save as a copy");
        browser.button("Judge by it from now on");
        assertThat(page.getByText("Race season, in use")).isVisible();
        page.navigate(server.url("/decisions"));
        assertThat(page.getByText("Nothing waits.")).isVisible();
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/advance"));
        assertThat(page.getByText("2 of 3 sessions at this rung").first()).isVisible();
        page.navigate(server.url("/rules"));
        page.getByLabel("Clean sessions in a row for a step up").fill("");
        assertThat(page.getByText("empty is the house’s 2")).isVisible();
        browser.button("Save");
        browser.button("Judge by it from now on");
        page.navigate(server.url("/decisions"));
        assertThat(page.getByText("Top hold: 10 s → 15 s").first()).isVisible();
    }

    @Test
    public void anIllnessIsEnteredOnTheClientsPage() {
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/file"));
        browser.button("Add a pause");
        page.getByLabel("Note").fill("a cold");
        browser.button("Save the pause");
        assertThat(page.getByText(", still")).isVisible();
        assertThat(page.getByText("a cold")).isVisible();
    }
}
