package gradino.server.platform;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says where Gradino is, once it really answers. */
@Component
class Address {
    private final String host;
    private final boolean safe;

    Address(@Value("${gradino.host}") String host, @Value("${server.ssl.key-store:}") String keyStore) {
        this.host = host;
        this.safe = !keyStore.isEmpty();
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        if (event.getApplicationContext() instanceof WebServerApplicationContext web && web.getWebServer() != null) {
            System.out.println("Gradino is ready: %s://%s:%d  (Ctrl-C stops it)"
                    .formatted(
                            safe ? "https" : "http",
                            safe ? host : "localhost",
                            web.getWebServer().getPort()));
        }
    }
}
