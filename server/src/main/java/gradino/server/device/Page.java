package gradino.server.device;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import org.jspecify.annotations.Nullable;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** One open page with its devices and the one stream that carries all of them. */
final class Page {
    private static final int TICKS_A_HEARTBEAT = 100;

    private final Map<String, Device> devices = new LinkedHashMap<>();
    private final AtomicBoolean sending = new AtomicBoolean();
    private final long bornAt;
    private @Nullable SseEmitter stream;
    private int quiet;
    private int idle;

    Page(long bornAt) {
        this.bornAt = bornAt;
    }

    synchronized void put(Device device) {
        devices.putIfAbsent(device.id(), device);
    }

    synchronized Optional<Device> device(String id) {
        return Optional.ofNullable(devices.get(id));
    }

    /** A page that opens its stream anew gives up the one before. */
    synchronized SseEmitter listen() {
        if (stream != null) {
            stream.complete();
        }
        var opened = new SseEmitter(0L);
        opened.onCompletion(() -> left(opened));
        opened.onError(e -> left(opened));
        stream = opened;
        // Whoever begins to listen is told at once how every device stands.
        devices.values().forEach(d -> d.plug(d.plugged()));
        return opened;
    }

    private synchronized void left(SseEmitter gone) {
        if (stream == gone) {
            stream = null;
        }
    }

    /** @return how many ticks nobody has listened */
    synchronized int measure(long nanos) {
        long millis = (nanos - bornAt) / 1_000_000;
        devices.values().forEach(d -> d.measure(millis));
        idle = stream == null ? idle + 1 : 0;
        if (stream == null) {
            devices.values().forEach(Device::news);
        }
        return idle;
    }

    boolean begins() {
        return sending.compareAndSet(false, true);
    }

    /** Sends what has come in. A slow listener holds up nobody but itself: what it missed is in its next message. */
    void send() {
        try {
            var to = news();
            if (to != null) {
                to.emitter().send(to.message());
            }
        } catch (IOException | IllegalStateException e) {
            close();
        } finally {
            sending.set(false);
        }
    }

    private record Post(SseEmitter emitter, SseEmitter.SseEventBuilder message) {}

    private synchronized @Nullable Post news() {
        if (stream == null) {
            return null;
        }
        List<Device.Told> told = new ArrayList<>();
        for (var device : devices.values()) {
            var news = device.news();
            if (news != null) {
                told.add(news);
            }
        }
        quiet = told.isEmpty() ? quiet + 1 : 0;
        if (!told.isEmpty()) {
            return new Post(stream, SseEmitter.event().data(Device.News.of(told)));
        }
        return quiet % TICKS_A_HEARTBEAT == 0 && quiet > 0
                ? new Post(stream, SseEmitter.event().comment("here"))
                : null;
    }

    synchronized void close() {
        if (stream != null) {
            stream.complete();
            stream = null;
        }
    }
}
