package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.TestServer;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.annotations.Test;

/** A newcomer's first hour: from an empty studio to a first session on the floor. */
public class FirstStepsBrowserTest extends InBrowser {
    private static final int MOST_PRESSES = 25;
    private static final Pattern ALL_NO = Pattern.compile("^No(, go on| to )");

    private int presses;

    public FirstStepsBrowserTest() {
        super(TestServer::empty);
    }

    private void press(AriaRole role, String name) {
        page.getByRole(role, new Page.GetByRoleOptions().setName(name)).first().click();
        presses++;
    }

    @Test
    public void fromAnEmptyStudioToTheFloorInTwentyFivePressesBesideTyping() {
        page.navigate(server.url("/"));
        press(AriaRole.LINK, "New client");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Senara Bligh");
        page.getByLabel("What do they want to do?").selectOption("turn-in-both-feet");
        presses += 2;
        assertThat(page.getByText("Turn in both feet: common practice, no source"))
                .isVisible();
        press(AriaRole.BUTTON, "Save and start screening");
        assertThat(page.getByText("Has a doctor ever found something with your heart?"))
                .isVisible();
        for (int topic = 0; topic < 6; topic++) {
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(ALL_NO))
                    .click();
            presses++;
        }
        press(AriaRole.BUTTON, "Go on to hypermobility");
        press(AriaRole.BUTTON, "Go on to what follows");
        press(AriaRole.BUTTON, "Save these answers");
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Measure").setExact(true))
                .click();
        presses++;
        measure();
        press(AriaRole.LINK, "Go on to prescribe");
        press(AriaRole.BUTTON, "Save the session");
        assertThat(page.getByText("Saved.")).isVisible();
        press(AriaRole.LINK, "Perform");
        press(AriaRole.BUTTON, "Open the floor");
        press(AriaRole.BUTTON, "Start");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Pause")))
                .isVisible();
        Assertions.assertThat(presses).isLessThanOrEqualTo(MOST_PRESSES);
    }

    /** Both sides, passive: a full number goes on to the next trial by itself, Enter saves. */
    private void measure() {
        for (var side : new String[] {"left", "right"}) {
            for (int trial = 1; trial <= 3; trial++) {
                page.getByLabel("Trial " + trial, new Page.GetByLabelOptions().setExact(true))
                        .fill("30");
            }
            page.keyboard().press("Enter");
            presses++;
            assertThat(page.getByText("Saved: " + side + " passive cold.")).isVisible();
        }
    }
}
