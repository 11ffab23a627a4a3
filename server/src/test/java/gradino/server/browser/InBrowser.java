package gradino.server.browser;

import com.microsoft.playwright.Page;
import gradino.server.TestServer;
import java.util.function.Supplier;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;

/** A server and a browser for all tests of a class. */
abstract class InBrowser {
    private final Supplier<TestServer> started;
    TestServer server;
    Browser browser;
    Page page;

    InBrowser(Supplier<TestServer> started) {
        this.started = started;
    }

    @BeforeClass
    public void open() {
        server = started.get();
        browser = new Browser(server);
        page = browser.page;
    }

    @AfterClass(alwaysRun = true)
    public void close() {
        browser.close();
        server.close();
    }
}
