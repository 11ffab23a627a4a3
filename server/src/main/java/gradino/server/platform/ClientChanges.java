package gradino.server.platform;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;

/**
 * Counts what was written for a client, so that what was worked out of it may be kept until the next time. Counted after the
 * write: what is read too early is read once more.
 */
@Component
public class ClientChanges implements InMemory {
    private final Map<String, AtomicLong> byClient = new ConcurrentHashMap<>();
    private final AtomicLong all = new AtomicLong();

    /** Differs from an earlier answer when something may have changed since. */
    public long soFar(String clientId) {
        return all.get()
                + byClient.computeIfAbsent(clientId, k -> new AtomicLong()).get();
    }

    public void one(String clientId) {
        byClient.computeIfAbsent(clientId, k -> new AtomicLong()).incrementAndGet();
    }

    /** Nobody knows whose: everybody's. */
    public void anyone() {
        all.incrementAndGet();
    }

    @Override
    public void forget() {
        anyone();
    }
}
