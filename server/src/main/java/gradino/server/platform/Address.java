package gradino.server.platform;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says where Gradino is, once it really answers. */
@Component
class Address {
    @EventListener
    void ready(ApplicationReadyEvent event) {
        if (event.getApplicationContext() instanceof WebServerApplicationContext web && web.getWebServer() != null) {
            System.out.println(
                    "Gradino is ready: http://localhost:" + web.getWebServer().getPort() + "  (Ctrl-C stops it)");
        }
    }
}
