package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.TestServer;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.annotations.Test;

/** A session is composed in the browser: by keys, by dragging, from the library; kept and opened again. */
public class ComposeBrowserTest extends InBrowser {

    public ComposeBrowserTest() {
        super(TestServer::demo);
    }

    private Locator minutes() {
        return page.getByTestId("minutes");
    }

    private static int seconds(String clock) {
        var parts = clock.split(":");
        return 60 * Integer.parseInt(parts[0]) + Integer.parseInt(parts[1]);
    }

    private void openIt() {
        page.navigate(server.url("/clients/demo-rower/compose"));
        assertThat(minutes()).hasText(Pattern.compile("\\d+:\\d\\d"));
    }

    private Locator field(String label) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Block"))
                .getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
    }

    @Test
    public void anEasierOptionIsTakenWithOneTapAndUndone() {
        openIt();
        int before = seconds(minutes().innerText());
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Easier"))
                .getByRole(AriaRole.BUTTON)
                .filter(new Locator.FilterOptions().setHasText("The set-up says"))
                .first()
                .click();
        // Ten seconds a side to set it up.
        assertThat(minutes()).hasText(clock(before + 20));
        browser.button("Undo (Ctrl+Z)");
        assertThat(minutes()).hasText(clock(before));
    }

    @Test
    public void secondsChangeByKeysOnBothSidesAndComeBackWithUndo() {
        openIt();
        int before = seconds(minutes().innerText());
        var hold = field("For");
        int held = Integer.parseInt(hold.inputValue());
        hold.press("ArrowDown");
        assertThat(hold).hasValue(String.valueOf(held - 5));
        assertThat(minutes()).hasText(clock(before - 10));
        hold.press("Control+z");
        assertThat(minutes()).hasText(clock(before));
        hold.press("Control+y");
        assertThat(minutes()).hasText(clock(before - 10));
        // Without a field in focus the arrows walk through the blocks, plus and minus change what matters most.
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add a position"))
                .focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("section[aria-label=Block] h2")).containsText("graded set");
        page.keyboard().press("+");
        assertThat(page.getByTestId("minutes")).not().hasText(clock(before - 10));
    }

    private static String clock(int seconds) {
        return "%d:%02d".formatted(seconds / 60, seconds % 60);
    }

    @Test
    public void anEdgeIsDraggedAndTheMinutesFollow() {
        openIt();
        int before = seconds(minutes().innerText());
        var edge = page.getByTestId("score").locator("rect.cursor-ew-resize").nth(6);
        // Waits until nothing that is still being read moves the score.
        edge.hover();
        var box = edge.boundingBox();
        page.mouse().down();
        page.mouse().move(box.x - 20, box.y + 20);
        page.mouse().move(box.x - 40, box.y + 20);
        page.mouse().up();
        assertThat(minutes()).not().hasText(clock(before));
        Assertions.assertThat(seconds(minutes().innerText())).isLessThan(before);
    }

    @Test
    public void aPositionIsAddedKeptAndOpenedAgain() {
        openIt();
        int before = seconds(minutes().innerText());
        browser.button("Add a position");
        var dialog = page.getByRole(AriaRole.DIALOG);
        int fitting = server.get("/api/clients/demo-rower/library?words=calf%20lean&motion=&method=&owned=false")
                .body()
                .size();
        dialog.getByLabel("Search").fill("calf lean");
        // Until the list is the shorter one, what is pressed moves away under the pointer.
        assertThat(dialog.getByRole(AriaRole.LISTITEM)).hasCount(fitting);
        dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("calf lean")))
                .click();
        assertThat(dialog).isHidden();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("calf lean"))))
                .isVisible();
        assertThat(minutes()).not().hasText(clock(before));
        page.getByLabel("Session").fill("Quay mornings");
        browser.button("Save the session");
        assertThat(page.getByText("Saved.")).isVisible();
        var kept = minutes().innerText();
        page.reload();
        assertThat(page.getByLabel("Session")).hasValue("Quay mornings");
        assertThat(minutes()).hasText(kept);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Hand-out"))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Quay mornings")))
                .isVisible();
        assertThat(page.getByText("Stop at once for")).isVisible();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("As PDF")))
                .isVisible();
    }

    @Test
    public void whatCannotBeStandsBesideItsFieldAndKeepsWhatWasTyped() {
        openIt();
        field("For").fill("900");
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("between 5 and 600 s");
        assertThat(field("For")).hasValue("900");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Save the session")))
                .isDisabled();
    }

    /** Read with a scale at two lengths, and pulled against: the line gets a block with the band's own line, on both sides. */
    @Test
    public void aBandIsReadAndBecomesPartOfTheSetUp() {
        openIt();
        var before = seconds(minutes().innerText());
        // By the key: what is above it still loads and moves it, from under a pointer too.
        page.getByText("Weight or band").press("Enter");
        page.getByLabel("At a length of").fill("80");
        page.getByLabel("it pulls").first().fill("20");
        page.getByLabel("At a longer one of").fill("120");
        page.getByLabel("it pulls").last().fill("60");
        browser.button("Draw the band");
        browser.button("Pull against this band");
        // Ten seconds a side to fasten it.
        assertThat(minutes()).hasText(clock(before + 20));
        assertThat(page.locator("section[aria-label=Block] h2")).containsText("bench, incline, strap or band");
        assertThat(field("Band slack at")).hasValue("60");
        assertThat(field("Band pulls")).hasValue("1");
        assertThat(field("Band stretched to")).hasValue("120");
    }

    /** Both sides at once are half the time and one dose; parted, each has it again. */
    @Test
    public void bothSidesAreDoneTogetherWhereThePositionAllowsIt() {
        openIt();
        int before = seconds(minutes().innerText());
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("both together"))
                .click();
        assertThat(page.locator("section[aria-label=Block] h2")).containsText("both together");
        assertThat(minutes()).not().hasText(clock(before));
        int together = seconds(minutes().innerText());
        org.assertj.core.api.Assertions.assertThat(together).isLessThan(before);
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("one, then the other"))
                .click();
        assertThat(minutes()).hasText(clock(before));
    }
}
