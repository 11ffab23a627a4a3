package gradino.server.device;

import gradino.server.account.people.SignedIn;
import gradino.server.platform.InMemory;
import gradino.server.platform.Problem;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The devices of every open page. A page belongs to who opened it. */
@Service
class Devices implements InMemory {
    private static final Logger LOG = LoggerFactory.getLogger(Devices.class);
    /** Two samples of the fastest device in each message. */
    private static final int MILLIS_A_TICK = 40;

    private static final int IDLE_TICKS = 15_000;
    private static final int MOST_PAGES = 512;
    private static final int SENDERS = 4;

    private final Map<String, Page> pages = new ConcurrentHashMap<>();
    private final SignedIn signedIn;
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(named("devices"));
    private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS, named("device-streams"));

    Devices(SignedIn signedIn) {
        this.signedIn = signedIn;
        var unused = clock.scheduleAtFixedRate(this::tick, MILLIS_A_TICK, MILLIS_A_TICK, TimeUnit.MILLISECONDS);
    }

    private static ThreadFactory named(String name) {
        return work -> {
            var thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        };
    }

    /** Connects a device to a page; one that is there already stays as it is. */
    void connect(String page, Device device) {
        if (!pages.containsKey(key(page)) && pages.size() >= MOST_PAGES) {
            throw Problem.invalid("page", "too-many-devices", "Too many devices are connected: let one go first.");
        }
        pages.computeIfAbsent(key(page), k -> new Page(System.nanoTime())).put(device);
    }

    SseEmitter listen(String page) {
        return page(page).listen();
    }

    /**
     * Does something with a device while it does not measure; refused in the same words whether it is somebody else's or
     * nobody's.
     */
    <D extends Device, R> R with(String page, String id, Class<D> kind, Function<D, R> what) {
        var of = page(page);
        synchronized (of) {
            return of.device(id)
                    .filter(kind::isInstance)
                    .map(kind::cast)
                    .map(what)
                    .orElseThrow(Problem::nothingHere);
        }
    }

    private Page page(String page) {
        var found = pages.get(key(page));
        if (found == null) {
            throw Problem.nothingHere();
        }
        return found;
    }

    void leave(String page) {
        var left = pages.remove(key(page));
        if (left != null) {
            left.close();
        }
    }

    private String key(String page) {
        return signedIn.who() + "/" + page;
    }

    private void tick() {
        long now = System.nanoTime();
        for (var entry : List.copyOf(pages.entrySet())) {
            try {
                tick(entry.getKey(), entry.getValue(), now);
            } catch (RuntimeException e) {
                // The clock goes on for the others, and the next time for this one.
                LOG.error("a device could not be read", e);
            }
        }
    }

    private void tick(String key, Page page, long now) {
        if (page.measure(now) > IDLE_TICKS) {
            pages.remove(key);
        } else if (page.begins()) {
            senders.execute(page::send);
        }
    }

    /** Open streams would hold the shutdown back. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        forget();
    }

    @Override
    public void forget() {
        pages.values().forEach(Page::close);
        pages.clear();
    }

    @PreDestroy
    void stop() {
        clock.shutdownNow();
        senders.shutdownNow();
    }
}
