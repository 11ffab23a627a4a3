package gradino.server.perform.floor;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import gradino.server.platform.InMemory;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/** Which devices have a session open now. Known to the running server only: it is about the moment. */
@Component
class Presence implements InMemory {
    /** A floor says that it is there every ten seconds; two missed are no absence. */
    private static final Duration THERE = Duration.ofSeconds(30);

    private final Cache<Device, Boolean> there;

    Presence(Clock clock) {
        there = Caffeine.newBuilder()
                .expireAfterWrite(THERE)
                .ticker(() -> TimeUnit.MILLISECONDS.toNanos(clock.millis()))
                .build();
    }

    private record Device(String session, String id) {}

    /** @return how many other devices have it open */
    int here(String runId, String device) {
        there.put(new Device(runId, device), true);
        return (int) there.asMap().keySet().stream()
                .filter(d -> d.session().equals(runId) && !d.id().equals(device))
                .count();
    }

    @Override
    public void forget() {
        there.invalidateAll();
    }

    void left(String runId, String device) {
        there.invalidate(new Device(runId, device));
    }
}
