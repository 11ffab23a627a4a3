package gradino.server.measure;

import gradino.core.measure.SimulatedLimb;
import gradino.core.measure.SteadyWindow;
import gradino.core.measure.SteadyWindow.Held;
import gradino.core.measure.SteadyWindow.Sample;
import gradino.server.account.SignedIn;
import gradino.server.platform.Problem;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Inclinometers that stream their angle. So far each is a simulated one, on an invented limb; what becomes of the samples is
 * core's {@link SteadyWindow}. A device belongs to the account that connected it.
 */
@Service
class Inclinometers {
    private static final int MILLIS_A_SAMPLE = 50;
    private static final int MOST_DEVICES = 64;
    private static final int TICKS_A_HEARTBEAT = 40;
    private static final int IDLE_TICKS = 12_000;

    private final Map<String, Device> devices = new ConcurrentHashMap<>();
    private final SignedIn signedIn;
    private final ScheduledFuture<?> ticking;
    private final ScheduledExecutorService ticker = Executors.newSingleThreadScheduledExecutor(work -> {
        var thread = new Thread(work, "inclinometers");
        thread.setDaemon(true);
        return thread;
    });

    Inclinometers(SignedIn signedIn) {
        this.signedIn = signedIn;
        this.ticking = ticker.scheduleAtFixedRate(this::tick, MILLIS_A_SAMPLE, MILLIS_A_SAMPLE, TimeUnit.MILLISECONDS);
    }

    /**
     * What a device says now.
     *
     * @param degrees from the zero; null before the first sample
     * @param held the mean of the last second, once it is steady; null before
     */
    record Reading(
            String deviceId,
            boolean plugged,
            @Nullable Double degrees,
            @Nullable Held held) {}

    private static final class Device {
        final String id;
        final SimulatedLimb limb;
        final List<SseEmitter> listeners = new CopyOnWriteArrayList<>();
        volatile SteadyWindow window = SteadyWindow.EMPTY;
        volatile boolean plugged = true;
        long ticks;
        long idle;

        Device(String id, SimulatedLimb limb) {
            this.id = id;
            this.limb = limb;
        }

        Reading reading() {
            return plugged
                    ? new Reading(id, true, window.angle(), window.held())
                    : new Reading(id, false, window.angle(), null);
        }
    }

    /** @param endDegrees where the invented limb stops */
    Reading connect(String id, double endDegrees, long seed) {
        if (!(endDegrees >= -30 && endDegrees <= 180)) {
            throw Problem.invalid("endDegrees", "out-of-bounds", "Between −30 and 180°.");
        }
        if (devices.size() >= MOST_DEVICES) {
            throw Problem.invalid("id", "too-many-devices", "Too many devices are connected: let one go first.");
        }
        return devices.computeIfAbsent(key(id), k -> new Device(id, new SimulatedLimb(endDegrees, seed)))
                .reading();
    }

    SseEmitter listen(String id) {
        var device = device(id);
        var emitter = new SseEmitter(0L);
        emitter.onCompletion(() -> device.listeners.remove(emitter));
        emitter.onError(e -> device.listeners.remove(emitter));
        emitter.onTimeout(() -> device.listeners.remove(emitter));
        send(device, emitter, device.reading());
        device.listeners.add(emitter);
        return emitter;
    }

    /** What is shown now becomes 0. */
    Reading zero(String id) {
        var device = device(id);
        synchronized (device) {
            device.window = device.window.zeroedHere();
        }
        return device.reading();
    }

    /** The steady mean; refused while the limb still moves or the cable is out. */
    Reading hold(String id) {
        var reading = device(id).reading();
        if (!reading.plugged()) {
            throw Problem.invalid("device", "unplugged", "The device is not there: plug it in again.");
        }
        if (reading.held() == null) {
            throw Problem.invalid("device", "not-steady", "Not steady yet: hold the limb still for a second.");
        }
        return reading;
    }

    /** Pulls the simulated cable, or puts it back. */
    Reading cable(String id, boolean in) {
        var device = device(id);
        device.plugged = in;
        return device.reading();
    }

    void disconnect(String id) {
        var device = devices.remove(key(id));
        if (device != null) {
            device.listeners.forEach(SseEmitter::complete);
        }
    }

    private String key(String id) {
        return signedIn.account().orElseThrow(Problem::nothingHere).id() + "/" + id;
    }

    private Device device(String id) {
        var device = devices.get(key(id));
        if (device == null) {
            throw Problem.nothingHere();
        }
        return device;
    }

    private void tick() {
        for (var entry : List.copyOf(devices.entrySet())) {
            var device = entry.getValue();
            device.ticks++;
            device.idle = device.listeners.isEmpty() ? device.idle + 1 : 0;
            if (device.idle > IDLE_TICKS) {
                devices.remove(entry.getKey());
            } else if (device.plugged) {
                sample(device);
            } else if (device.ticks % TICKS_A_HEARTBEAT == 0) {
                tell(device);
            }
        }
    }

    private static void sample(Device device) {
        synchronized (device) {
            long millis = device.ticks * MILLIS_A_SAMPLE;
            device.window = device.window.next(new Sample(millis, device.limb.degreesAt(millis / 1000.0)));
        }
        tell(device);
    }

    private static void tell(Device device) {
        var reading = device.reading();
        device.listeners.forEach(l -> send(device, l, reading));
    }

    private static void send(Device device, SseEmitter emitter, Reading reading) {
        try {
            emitter.send(reading);
        } catch (IOException | IllegalStateException e) {
            // The listener went away; it opens a new stream when it comes back.
            device.listeners.remove(emitter);
        }
    }

    /** Open streams would hold the shutdown back. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        devices.values().forEach(d -> d.listeners.forEach(SseEmitter::complete));
        devices.clear();
    }

    @PreDestroy
    void stop() {
        ticking.cancel(false);
        ticker.shutdownNow();
    }
}
