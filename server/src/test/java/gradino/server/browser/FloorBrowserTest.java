package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Clock;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.Scene;
import gradino.server.TestServer;
import gradino.server.perform.record.BlockRepository;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What a coach does on the floor beside running it, by keys and taps; the page's clock is driven. */
public class FloorBrowserTest {
    private TestServer server;
    private Scene scene;
    private Browser browser;
    private Page page;
    private int sessions;
    private String session;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        scene = new Scene(server).client().measured(36, 30).prescribed();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    @BeforeMethod
    public void openTheFloor() {
        session = "floor" + ++sessions;
        scene.open(session);
        browser = new Browser(server);
        page = browser.page;
        page.clock().install(new Clock.InstallOptions().setTime("2026-03-02T09:00:00"));
        page.navigate(server.url("/runs/" + session));
        assertThat(page.getByText("Stop at once with")).isVisible();
        browser.standStill("2026-03-02T09:05:00");
        browser.button("Start");
    }

    @AfterMethod(alwaysRun = true)
    public void closeTheFloor() {
        browser.close();
        scene.close(session);
    }

    private String block() {
        return page.getByTestId("now").getAttribute("data-block");
    }

    /** To the first press of the first side: set-up, rotations and hold are left. */
    private void toThePress() {
        browser.run(21);
        skip("no time");
        skip("no time");
        Assertions.assertThat(block()).isEqualTo("l1-left-1-press");
    }

    private int digits() {
        return Integer.parseInt(page.getByTestId("digits").textContent());
    }

    private void skip(String why) {
        page.keyboard().press("ArrowRight");
        browser.button(why);
    }

    /** The last record of a block, once the floor says that the server has it. */
    private gradino.core.perform.BlockRecord recorded(String blockId) {
        page.clock().resume();
        assertThat(page.getByText("all saved")).isVisible();
        return server.bean(BlockRepository.class).blocks(session).stream()
                .map(BlockRepository.StoredBlock::block)
                .filter(b -> b.blockId().toString().equals(blockId))
                .reduce((first, last) -> last)
                .orElseThrow();
    }

    @Test
    public void aFullDeviceSaysSoAndItsBlocksGoOutWhenTheServerIsBack() {
        page.evaluate(
                "() => { IDBObjectStore.prototype.add = () => { throw new DOMException('full', 'QuotaExceededError'); }; }");
        page.route("**/blocks", route -> route.abort());
        toThePress();
        page.clock().resume();
        assertThat(page.getByText("This device has no room left")).isVisible();
        page.unroute("**/blocks");
        assertThat(page.getByText("all saved")).isVisible();
        Assertions.assertThat(server.bean(BlockRepository.class).blocks(session))
                .extracting(b -> b.block().blockId().toString())
                .containsExactly("l1-left-rotation", "l1-left-supported-hold");
    }

    @Test
    public void onePressTooManyAddsNothingToTheLastBlock() {
        page.route("**/blocks", route -> route.abort());
        var done = page.getByText("blocks still wait on this device");
        for (int i = 0; i < 200 && done.count() == 0; i++) {
            page.keyboard().press("Enter");
        }
        assertThat(done).isVisible();
        browser.run(50);
        page.keyboard().press("Enter");
        page.keyboard().press("Enter");
        page.unroute("**/blocks");
        page.clock().resume();
        page.waitForURL("**/close");
        var blocks = server.bean(BlockRepository.class).blocks(session);
        Assertions.assertThat(blocks).hasSizeGreaterThan(5);
        Assertions.assertThat(blocks)
                .allSatisfy(b -> Assertions.assertThat(b.block().phases()).allMatch(p -> p.doneSeconds() < 40));
    }

    /** Block by block the same as without the cut, each once, in the order in which they were done. */
    @Test
    public void aMinuteWithoutNetworkInTheMiddleOfPostsLosesNothing() {
        browser.run(21);
        page.route("**/blocks", route -> {
            // The request has gone out; its answer never comes back: the device cannot know whether it was kept.
            route.fetch();
            browser.context.setOffline(true);
            route.abort();
        });
        skip("no time");
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("to send");
        browser.run(60);
        page.unroute("**/blocks");
        browser.context.setOffline(false);
        browser.run(6);
        var done = page.getByTestId("now").getAttribute("data-block");
        page.clock().resume();
        assertThat(page.getByText("all saved")).isVisible();
        var planned = server.get("/api/runs/" + session)
                .body()
                .at("/timeline/phases")
                .valueStream()
                .map(p -> p.path("blockId").asString())
                .distinct()
                .filter(id -> !id.endsWith("set-up"))
                .toList();
        Assertions.assertThat(server.bean(BlockRepository.class).blocks(session))
                .extracting(b -> b.block().blockId().toString())
                .isEqualTo(planned.subList(0, planned.indexOf(done)));
    }

    @Test
    public void oneKeyGoesOnToTheNextStepAndKeepsItsRealSeconds() {
        toThePress();
        browser.run(2);
        page.keyboard().press("Enter");
        Assertions.assertThat(digits()).isEqualTo(5);
        browser.run(5);
        skip("tired");
        var press = recorded("l1-left-1-press");
        Assertions.assertThat(press.phases().get(0).doneSeconds()).isBetween(1.9, 2.3);
        Assertions.assertThat(press.phases().get(1).doneSeconds()).isBetween(4.9, 5.1);
    }

    @Test
    public void pausingStopsTheClockAndGoingOnLosesNothing() {
        browser.run(5);
        page.keyboard().press(" ");
        int standing = digits();
        Assertions.assertThat(standing).isEqualTo(15);
        browser.run(60);
        Assertions.assertThat(digits()).isEqualTo(standing);
        page.keyboard().press(" ");
        browser.run(2);
        Assertions.assertThat(digits()).isEqualTo(standing - 2);
    }

    @Test
    public void tenSecondsMoreAreDoneAndLoggedAsReal() {
        toThePress();
        browser.run(16);
        page.keyboard().press(" ");
        int before = digits();
        page.keyboard().press("+");
        Assertions.assertThat(digits()).isEqualTo(before + 10);
        page.keyboard().press(" ");
        browser.run(21);
        var record = recorded("l1-left-1-press");
        Assertions.assertThat(record.phases().get(3).plannedSeconds()).isEqualTo(10);
        Assertions.assertThat(record.phases().get(3).doneSeconds()).isEqualTo(20);
    }

    @Test
    public void backStartsTheBlockAnew() {
        toThePress();
        browser.run(7);
        assertThat(page.getByText("Press 40 %", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.keyboard().press("ArrowLeft");
        assertThat(page.getByText("Press 20 %", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        browser.run(26);
        Assertions.assertThat(recorded("l1-left-1-press").phases().get(0).doneSeconds())
                .isEqualTo(5);
    }

    @Test
    public void whatIsSkippedKeepsItsReasonAndWhatWasDoneOfIt() {
        toThePress();
        browser.run(8);
        skip("tired");
        var record = recorded("l1-left-1-press");
        Assertions.assertThat(record.skippedBecause()).isEqualTo("tired");
        Assertions.assertThat(record.phases().get(0).doneSeconds()).isEqualTo(5);
        Assertions.assertThat(record.phases().get(1).doneSeconds()).isEqualTo(3);
        Assertions.assertThat(record.phases().get(2).doneSeconds()).isZero();
    }

    @Test
    public void leavingOutASideHasToBeSaid() {
        toThePress();
        page.keyboard().press("ArrowRight");
        page.getByLabel("leave out all that is left of the left side").check();
        browser.button("equipment");
        Assertions.assertThat(block()).isEqualTo("l1-right-side-change");
        Assertions.assertThat(recorded("l1-left-1-press").skippedBecause()).isEqualTo("equipment");
        page.navigate(server.url("/runs/" + session + "/close"));
        assertThat(page.getByText(Pattern.compile("left out, not done: .*set 2 press"))
                        .first())
                .isVisible();
    }

    @Test
    public void aSideThatLiesLowerIsRecordedFromThereOnAlsoAfterAReload() {
        toThePress();
        page.keyboard().press("h");
        page.getByRole(AriaRole.DIALOG)
                .getByRole(
                        AriaRole.BUTTON,
                        new com.microsoft.playwright.Locator.GetByRoleOptions().setName(Pattern.compile("^strap at")))
                .nth(1)
                .click();
        assertThat(page.getByText("instead")).isVisible();
        skip("tired");
        var lower = recorded("l1-left-1-press").prop();
        Assertions.assertThat(lower).isNotNull();
        Assertions.assertThat(lower.angle().value()).isEqualTo(29);
        page.reload();
        browser.button("Go on");
        assertThat(page.getByText("instead")).isVisible();
    }

    @Test
    public void faultCrampRatingAndMissedEffortStandInTheRecord() {
        toThePress();
        browser.run(3);
        page.keyboard().press("c");
        page.keyboard().press("e");
        page.keyboard().press("f");
        browser.button("pelvis lifts");
        browser.run(23);
        page.keyboard().press("7");
        var record = recorded("l1-left-1-press");
        Assertions.assertThat(record.cramps()).isEqualTo(1);
        Assertions.assertThat(record.effortMissed()).isTrue();
        Assertions.assertThat(record.faults()).containsExactly("pelvis lifts");
        Assertions.assertThat(record.effortRating().value()).isEqualTo(7);
        page.keyboard().press("1");
        page.keyboard().press("0");
        Assertions.assertThat(recorded("l1-left-1-press").effortRating().value())
                .isEqualTo(10);
    }

    @Test
    public void painAboveFiveEndsTheBlock() {
        toThePress();
        browser.run(3);
        page.keyboard().press("p");
        browser.button("6");
        browser.button("while contracting");
        assertThat(page.getByText("an easier version, once?")).isVisible();
        browser.button("No, go on without it");
        Assertions.assertThat(block()).isEqualTo("l1-left-1-pull");
        var record = recorded("l1-left-1-press");
        Assertions.assertThat(record.pains())
                .singleElement()
                .matches(p -> p.score().value() == 6);
        Assertions.assertThat(record.skippedBecause()).isEqualTo("pain 6");
    }

    @Test
    public void afterPainTheEasierVersionIsDoneOnceAndOneSetMoreMayFollow() {
        toThePress();
        browser.run(3);
        page.keyboard().press("p");
        browser.button("6");
        browser.button("while contracting");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Up to \\d+ %")))
                .click();
        Assertions.assertThat(block()).isEqualTo("l1-left-1-press-easier");
        page.keyboard().press("p");
        browser.button("7");
        browser.button("while contracting");
        assertThat(page.getByText("an easier version, once?")).isHidden();
        Assertions.assertThat(block()).isEqualTo("l1-left-1-pull");
        Assertions.assertThat(recorded("l1-left-1-press-easier").skippedBecause())
                .isEqualTo("pain 7");
        browser.button("+1 set");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("+1 set")))
                .isDisabled();
    }

    @Test
    public void lesserPainIsNotedAndTheBlockGoesOn() {
        toThePress();
        page.keyboard().press("p");
        browser.button("3");
        page.getByLabel("Where, if worth saying").fill("outside of the hip");
        browser.button("at rest in the range");
        Assertions.assertThat(block()).isEqualTo("l1-left-1-press");
        browser.run(26);
        Assertions.assertThat(recorded("l1-left-1-press").pains())
                .singleElement()
                .matches(p -> p.where().equals("outside of the hip"));
    }

    @Test(priority = 1)
    public void aStopSignEndsTheSessionAndSuspendsUntilCleared() {
        toThePress();
        browser.run(4);
        page.keyboard().press("x");
        browser.button("sharp or stabbing pain");
        page.clock().resume();
        assertThat(page.getByText("Rest. Do not go back into this position today."))
                .isVisible();
        browser.button("To the closing sheet");
        assertThat(page.getByText("Stopped: sharp pain")).isVisible();
        JsonNode proposal = scene.proposal("left");
        Assertions.assertThat(proposal.at("/proposal/verdict").asString()).isEqualTo("STOP_AND_REFER");
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/perform"));
        browser.button("Open the floor");
        assertThat(page.getByText("Nothing is trained here until it is cleared in writing")
                        .first())
                .isVisible();
        page.navigate(server.url("/clients/" + Scene.CLIENT + "/file"));
        browser.button("Add a clearance");
        page.getByLabel("Cleared by").fill("invented practitioner");
        page.getByLabel("Written on").fill(java.time.LocalDate.now(server.clock).toString());
        assertThat(page.getByLabel("stop signs that were recorded up to its day"))
                .isChecked();
        assertThat(page.getByLabel("it names: sharp or stabbing pain")).isChecked();
        page.getByLabel("What was written").fill("may train again");
        page.getByRole(AriaRole.BUTTON)
                .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText("Save the clearance"))
                .click();
        assertThat(page.getByText("may train again")).isVisible();
        Assertions.assertThat(scene.proposal("left").at("/proposal/verdict").asString())
                .isNotEqualTo("STOP_AND_REFER");
    }

    @Test
    public void theKeySheetAndTheMuteAreThere() {
        page.keyboard().press("m");
        assertThat(page.getByText("Sound on")).isVisible();
        Assertions.assertThat(List.of("Pause", "Back", "Skip", "+10 s", "Fault", "Pain", "Cramp", "Too hard"))
                .allSatisfy(name -> assertThat(page.getByRole(
                                AriaRole.BUTTON,
                                new Page.GetByRoleOptions().setName(name).setExact(true)))
                        .isVisible());
    }
}
