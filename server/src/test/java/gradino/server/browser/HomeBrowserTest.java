package gradino.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import gradino.server.Scene;
import gradino.server.TestServer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** A client's phone: the link and its PIN, the floor, an opened session without a server, a safe connection under a name. */
public class HomeBrowserTest {
    private static final String NAME = "studio.quay.test";
    private static final int MOST_PRESSES = 12;
    private TestServer server;
    private Browser phone;

    @BeforeMethod
    public void start() {
        server = TestServer.empty();
        new Scene(server).client().measured(36, 30).prescribed();
    }

    @AfterMethod(alwaysRun = true)
    public void stop() {
        if (phone != null) {
            phone.close();
        }
        server.close();
    }

    private static String link(TestServer of, String pin) {
        return of.post(
                        "/api/clients/" + Scene.CLIENT + "/home-links",
                        "{\"id\":\"l\",\"days\":30%s}".formatted(pin.isEmpty() ? "" : ",\"pin\":\"" + pin + "\""))
                .body()
                .path("token")
                .asString();
    }

    @Test
    public void aClientComesInByLinkAndPinAndRunsTheirSession() {
        phone = Browser.phone(true);
        var page = phone.page;
        page.navigate(server.url("/home#" + link(server, "4711")));
        page.getByLabel("PIN from your coach").fill("0000");
        phone.button("Come in");
        assertThat(page.getByText("This is not the PIN")).isVisible();
        page.getByLabel("PIN from your coach").fill("4711");
        phone.button("Come in");
        assertThat(page.getByText("Hello Perrin")).isVisible();
        Assertions.assertThat(page.url()).endsWith("/home");
        page.getByLabel("In a few words").fill("slept well");
        phone.button("Send");
        assertThat(page.getByText("slept well")).isVisible();
        phone.button("Start");
        assertThat(page.getByText("Stop at once with")).isVisible();
        phone.button("Start");
        assertThat(page.getByTestId("digits")).isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Stop sign")))
                .isInViewport();
        phone.button("■ Stop sign");
        page.getByText("sharp or stabbing pain").last().click();
        assertThat(page.getByText("Nothing starts again until your coach has cleared it"))
                .isVisible();
        phone.button("Close");
        assertThat(page.getByText("Stopped: ")).isVisible();
        page.navigate(server.url("/home"));
        assertThat(page.getByText("No training now.")).isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Start")))
                .isDisabled();
    }

    @Test
    public void anOpenedSessionGoesOnWithNoServerAfterAReload() {
        phone = Browser.phone(true);
        var page = phone.page;
        page.navigate(server.url("/home#" + link(server, "")));
        assertThat(page.getByText("Hello Perrin")).isVisible();
        page.evaluate("navigator.serviceWorker.ready.then(() => true)");
        page.reload();
        phone.button("Start");
        assertThat(page.getByText("Stop at once with")).isVisible();
        phone.button("Start");
        assertThat(page.getByTestId("digits")).isVisible();
        var session = page.url().substring(page.url().lastIndexOf('/') + 1);
        phone.context.setOffline(true);
        for (int i = 0; i < MOST_PRESSES && page.getByText("to send").count() == 0; i++) {
            page.keyboard().press("Enter");
        }
        assertThat(page.getByText("to send")).isVisible();
        // Time stands still while the test looks.
        phone.button("Pause");
        var before = nowDoes(page);
        page.reload();
        assertThat(page.getByText("Resume where it stopped")).isVisible();
        phone.button("Go on");
        for (int i = 0; i < MOST_PRESSES && nowDoes(page).contains("set-up"); i++) {
            page.keyboard().press("Enter");
        }
        phone.button("Pause");
        Assertions.assertThat(nowDoes(page)).isEqualTo(before);
        assertThat(page.getByText("to send")).isVisible();
        phone.context.setOffline(false);
        assertThat(page.getByText("all saved")).isVisible();
        Assertions.assertThat(server.get("/api/runs/" + session).body().path("doneBlocks"))
                .isNotEmpty()
                .noneMatch(b -> b.asString().equals(before));
    }

    private static String nowDoes(Page page) {
        return page.getByTestId("now").getAttribute("data-block");
    }

    /** The certificate is made for the test: the browser is told not to mind who signed it, and is told nothing else. */
    @Test
    public void underItsOwnNameOverHttpsNothingIsOff() throws Exception {
        var store = Files.createTempDirectory("gradino-key").resolve("key.p12");
        keyStore(store);
        try (var safe = TestServer.safe(NAME, store, "key store words")) {
            new Scene(safe).client().measured(36, 30).prescribed();
            phone = Browser.phone(
                    true, "--host-resolver-rules=MAP " + NAME + " 127.0.0.1", "--ignore-certificate-errors");
            var page = phone.page;
            var address = "https://" + NAME + ":" + safe.port;
            page.navigate(address + "/home#" + link(safe, ""));
            assertThat(page.getByText("Hello Perrin")).isVisible();
            Assertions.assertThat(page.evaluate("isSecureContext")).isEqualTo(true);
            Assertions.assertThat(page.evaluate("navigator.serviceWorker.ready.then((r) => r.scope)"))
                    .isEqualTo(address + "/home");
            assertThat(page.getByText("begins with http, not https")).isHidden();
            Assertions.assertThat(phone.context.cookies().stream().filter(c -> c.name.equals("__Host-gradino-home")))
                    .hasSize(1)
                    .allMatch(c -> c.secure && c.httpOnly);
            phone.button("Leave on this device");
            assertThat(page.getByText("Open the link from your coach")).isVisible();
            Assertions.assertThat(phone.context.cookies()).noneMatch(c -> c.name.endsWith("gradino-home"));
            Assertions.assertThat(page.evaluate("caches.has('gradino-floor')")).isEqualTo(false);
        }
    }

    private static void keyStore(Path store) throws Exception {
        var command = List.of(
                Path.of(System.getProperty("java.home"), "bin", "keytool").toString(),
                "-genkeypair",
                "-alias",
                "gradino",
                "-keyalg",
                "EC",
                "-validity",
                "30",
                "-storetype",
                "PKCS12",
                "-keystore",
                store.toString(),
                "-storepass",
                "key store words",
                "-dname",
                "CN=" + NAME,
                "-ext",
                "SAN=dns:" + NAME + ",dns:localhost");
        var made = new ProcessBuilder(command).redirectErrorStream(true).start();
        var said = new String(made.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        Assertions.assertThat(made.waitFor()).as(said).isZero();
    }
}
