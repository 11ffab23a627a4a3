package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.Scene;
import gradino.server.TestServer;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.regex.Pattern;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** A coach and a client with a week: moved by keys and by hand, made to fit, changed in the calendar and in the month, started on a phone. */
public class WeekBrowserTest {
    private static final String CLIENT = "/clients/" + Scene.CLIENT;
    private TestServer server;
    private Browser browser;
    private Page page;
    private LocalDate monday;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        monday = LocalDate.now(server.clock).with(TemporalAdjusters.next(DayOfWeek.MONDAY));
        server.clock.move(
                Duration.between(server.clock.instant(), monday.atTime(9, 0).atZone(server.clock.getZone())));
        server.me().signIn("hollis", TestServer.PASSWORD);
        new Scene(server).client().measured(36, 30).prescribed();
        usual(30, 30, 30, 30, 30, 30, 30);
        browser = new Browser(server);
        page = browser.page;
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        browser.close();
        server.close();
    }

    private void usual(int... minutes) {
        var days = new StringBuilder();
        for (int m : minutes) {
            days.append(days.isEmpty() ? "" : ",")
                    .append("{\"minutes\":%d,\"at\":\"18:00:00\",\"place\":\"HOME\"}".formatted(m));
        }
        var path = "/api/clients/" + Scene.CLIENT + "/calendar/usual";
        server.put(path, "{\"days\":[%s],\"travelEquipment\":[]}".formatted(days));
    }

    private Locator day(String name) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(name));
    }

    private Locator unit(String day) {
        return day(day).getByRole(AriaRole.BUTTON);
    }

    private void open() {
        page.navigate(server.url(CLIENT + "/week/" + monday));
        assertThat(page.getByText("Last four weeks")).isVisible();
    }

    @Test
    public void aSessionIsMovedByKeysByHandAndBack() {
        open();
        unit("Monday").focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.getByText("nothing speaks against it").first()).isVisible();
        browser.button("Move");
        assertThat(unit("Tuesday")).isVisible();
        assertThat(unit("Monday")).hasCount(0);
        unit("Tuesday").dragTo(day("Monday"));
        assertThat(unit("Monday")).isVisible();
        browser.button("Undo");
        assertThat(unit("Tuesday")).isVisible();
    }

    @Test
    public void whatDoesNotFitIsMadeToFitByOnePress() {
        usual(30, 3, 3, 0, 0, 0, 0);
        open();
        assertThat(page.getByText("Not everything fits")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("instead of 3 times")))
                .click();
        assertThat(page.getByText("Not everything fits")).hasCount(0);
    }

    @Test
    public void aRegattaAndAnAppointmentChangeTheWeek() {
        page.navigate(server.url(CLIENT + "/calendar"));
        page.getByLabel("Minutes on Tuesday").fill("0");
        browser.button("Save the usual week");
        assertThat(page.getByText("the week was planned again")).isVisible();
        browser.button("Add a date");
        page.getByLabel("Name").fill("Regatta");
        page.getByLabel("From", new Page.GetByLabelOptions().setExact(true)).fill(monday.toString());
        page.getByLabel("Last day").fill(monday.toString());
        browser.button("Save");
        assertThat(page.getByText("event: no training")).isVisible();
        page.navigate(server.url("/month/" + monday.toString().substring(0, 7)));
        page.getByLabel(Pattern.compile("Add an appointment on"))
                .nth(monday.getDayOfMonth())
                .click();
        browser.button("Save");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Perrin Vale"))))
                .isVisible();
        open();
        assertThat(day("Monday")).containsText("Regatta");
        assertThat(day("Tuesday")).containsText("no time");
    }

    @Test
    public void thePhoneStartsTheSessionOfTheDay() {
        open();
        var token = server.post("/api/clients/" + Scene.CLIENT + "/home-links", "{\"id\":\"l\",\"days\":30}")
                .body()
                .path("token")
                .asString();
        try (var phone = Browser.phone(true)) {
            phone.page.navigate(server.url("/home#" + token));
            assertThat(phone.page.getByText("Today’s session")).isVisible();
            assertThat(phone.page.getByText("The next days")).isVisible();
            phone.button("Start");
            assertThat(phone.page.getByText("Stop at once with")).isVisible();
        }
    }
}
