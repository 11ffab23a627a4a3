package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.Scene;
import gradino.server.TestServer;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.testng.Reporter;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** A full assessment: twelve motions, both sides, passive and active, three trials each, by key presses alone. */
public class AssessmentBrowserTest {
    private static final String CLIENT = "/clients/" + Scene.CLIENT;
    private static final int MOST_PRESSES = 20;

    /** Motion, position, an angle that a coach may read there. */
    private static final List<String[]> MOTIONS = List.of(
            new String[] {"neck-rotation", "seated-tall", "68"},
            new String[] {"shoulder-flexion", "supine-arm-overhead", "158"},
            new String[] {"shoulder-internal-rotation", "supine-arm-square", "46"},
            new String[] {"shoulder-external-rotation", "supine-arm-square", "88"},
            new String[] {"thoracic-rotation", "seated-arms-crossed", "34"},
            new String[] {"wrist-extension", "forearm-on-table", "66"},
            new String[] {"hip-flexion", "supine-knee-to-chest", "108"},
            new String[] {"hip-extension", "prone-leg-lift", "8"},
            new String[] {"hip-abduction", "supine-leg-slide", "36"},
            new String[] {"hip-internal-rotation", "prone-knee-bent", "31"},
            new String[] {"knee-flexion", "supine-heel-slide", "138"},
            new String[] {"ankle-dorsiflexion", "long-sitting", "12"});

    private TestServer server;
    private Browser browser;
    private Page page;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        new Scene(server).client();
        browser = new Browser(server);
        page = browser.page;
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        browser.close();
        server.close();
    }

    private void saveTheBattery() {
        var items = new ArrayList<String>();
        for (var m : MOTIONS) {
            for (var mode : List.of("PASSIVE", "ACTIVE")) {
                for (var side : List.of("LEFT", "RIGHT")) {
                    items.add("""
                            {"motion":"%s","position":"%s","mode":"%s","side":"%s","warmth":"COLD","instrument":"GONIOMETER"}
                            """.formatted(m[0], m[1], mode, side));
                }
            }
        }
        var body = "{\"items\":[%s],\"movements\":[]}".formatted(String.join(",", items));
        var saved = server.post(
                "/api" + CLIENT + "/batteries", "{\"id\":\"b\",\"name\":\"Whole body\",\"body\":%s}".formatted(body));
        Assertions.assertThat(saved.status()).isEqualTo(200);
    }

    @Test
    public void twelveMotionsAreMeasuredWithoutTheMouse() {
        saveTheBattery();
        page.addInitScript("window.presses = 0; addEventListener('keydown', () => window.presses++, true);");
        page.navigate(server.url(CLIENT + "/measure/batteries"));
        var begin = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take the baseline"));
        assertThat(begin).isVisible();
        for (int tab = 0; tab < 40 && !isFocused(begin); tab++) {
            page.keyboard().press("Tab");
        }
        page.keyboard().press("Enter");
        assertThat(page.getByText("1 of 48")).isVisible();
        int before = presses();
        for (int item = 0; item < 48; item++) {
            assertThat(page.getByText((item + 1) + " of 48").first()).isVisible();
            assertThat(page.locator("input[name=trial-0]")).isFocused();
            measure(MOTIONS.get(item / 4)[2]);
        }
        assertThat(page.getByText("Every measure is in.")).isVisible();
        var rows = server.get("/api" + CLIENT + "/measurements").body();
        Assertions.assertThat(rows.size()).isEqualTo(48);
        Assertions.assertThat(rows.valueStream())
                .allMatch(m -> m.at("/trials/angles").size() == 3
                        && m.path("endFeel").asString().equals("STRETCH"));
        double aMeasurement = (presses() - before) / 48.0;
        Reporter.log(
                "presses: %.1f a measurement of three trials with its end feel, %.1f a reading"
                        .formatted(aMeasurement, aMeasurement / 3),
                true);
        // A reading is one trial; what belongs to the measurement as a whole is shared by its three.
        Assertions.assertThat(aMeasurement / 3).isLessThanOrEqualTo(8);
    }

    private int presses() {
        return ((Number) page.evaluate("window.presses")).intValue();
    }

    private static boolean isFocused(Locator button) {
        return (boolean) button.evaluate("b => b === document.activeElement");
    }

    /** Three trials, a letter for the end feel, Enter. Numbers that could go on are ended with Enter. */
    private void measure(String degrees) {
        boolean full = degrees.matches("[2-9]\\d|1\\d\\d");
        for (int trial = 0; trial < 3; trial++) {
            assertThat(page.locator("input[name=trial-" + trial + "]")).isFocused();
            for (var digit : degrees.split("")) {
                page.keyboard().press(digit);
            }
            if (!full && trial < 2) {
                page.keyboard().press("Enter");
            }
        }
        page.keyboard().press("s");
        page.keyboard().press("Enter");
    }

    @Test(dependsOnMethods = "twelveMotionsAreMeasuredWithoutTheMouse")
    public void trialsThatLieApartAskForMoreAndADecimalPointGoesBackToItsNumber() {
        page.navigate(server.url(CLIENT + "/measure/bench?motion=hip-internal-rotation&position=prone-knee-bent"));
        assertThat(page.locator("input[name=trial-0]")).isFocused();
        for (var key : "30.5".split("")) {
            page.keyboard().press(key);
        }
        assertThat(page.locator("input[name=trial-0]")).hasValue("30.5");
        page.keyboard().press("Enter");
        for (var key : "4550".split("")) {
            page.keyboard().press(key);
        }
        page.keyboard().press("Enter");
        assertThat(page.locator("input[name=trial-3]")).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.getByText("Saved: left passive cold.")).isVisible();
    }

    @Test(dependsOnMethods = "trialsThatLieApartAskForMoreAndADecimalPointGoesBackToItsNumber")
    public void theInclinometerIsHeldLosesItsCableAndComesBackWithNothingLost() {
        page.navigate(server.url(
                CLIENT + "/measure/bench?motion=hip-flexion&position=supine-knee-to-chest&instrument=INCLINOMETER"));
        var device = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Inclinometer"));
        hold(device);
        var first = page.locator("input[name=trial-0]");
        assertThat(first).hasValue(Pattern.compile("\\d+(\\.\\d)?"));
        var held = first.inputValue();
        browser.button("Pull the cable");
        assertThat(device.getByText("Cable out")).isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Hold this reading")))
                .isDisabled();
        assertThat(first).hasValue(held);
        browser.button("Plug it in again");
        hold(device);
        assertThat(page.locator("input[name=trial-1]")).not().hasValue("");
        assertThat(first).hasValue(held);
    }

    /** The limb comes and goes: what is refused because it moves again is asked for once more, as a coach would. */
    private void hold(Locator device) {
        int status = 0;
        for (int press = 0; press < MOST_PRESSES && status != 200; press++) {
            assertThat(device.getByRole(AriaRole.STATUS)).containsText("● steady");
            status = page.waitForResponse(r -> r.url().endsWith("/hold"), () -> browser.button("Hold this reading"))
                    .status();
        }
        Assertions.assertThat(status).isEqualTo(200);
    }
}
