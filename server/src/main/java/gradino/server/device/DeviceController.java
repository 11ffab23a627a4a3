package gradino.server.device;

import gradino.core.body.Side;
import gradino.core.effort.SimulatedPerson;
import gradino.core.effort.SimulatedPerson.Manner;
import gradino.server.device.Inclinometer.Reading;
import gradino.server.platform.Problem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The devices of a page; the page makes up its own id. */
@RestController
@RequestMapping("/api/devices/{page}")
class DeviceController {
    private static final int MOST_OF_AN_ID = 64;

    private final Devices devices;

    DeviceController(Devices devices) {
        this.devices = devices;
    }

    /**
     * A simulated device: one of the two.
     *
     * @param inclinometer null for a gauge
     * @param gauge null for an inclinometer
     */
    record NewDevice(
            @NotBlank @Size(max = MOST_OF_AN_ID) String id,
            @Nullable NewInclinometer inclinometer,
            @Nullable NewGauge gauge) {}

    /**
     * @param endDegrees where the invented limb stops
     * @param seed same seed, same movement
     */
    record NewInclinometer(double endDegrees, long seed) {}

    /** An invented person on a force gauge. */
    record NewGauge(Side side, Manner manner, double strengthNewtons, long seed) {}

    record Cable(boolean in) {}

    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void connect(@PathVariable String page, @Valid @RequestBody NewDevice device) {
        if (page.length() > MOST_OF_AN_ID) {
            throw Problem.invalid("page", "too-long", "At most 64 characters.");
        }
        devices.connect(page, made(device));
    }

    private static Device made(NewDevice device) {
        if (device.inclinometer() != null && device.gauge() == null) {
            var of = device.inclinometer();
            return new Inclinometer(device.id(), of.endDegrees(), of.seed());
        }
        if (device.gauge() != null && device.inclinometer() == null) {
            var of = device.gauge();
            return new ForceGauge(
                    device.id(), of.side(), new SimulatedPerson(of.manner(), of.strengthNewtons(), of.seed()));
        }
        throw Problem.invalid("id", "which-device", "A device is an inclinometer or a gauge: one of the two.");
    }

    /** Every message is what the page's devices told since the last one. */
    @GetMapping(path = "/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(@PathVariable String page) {
        return devices.listen(page);
    }

    @PostMapping("/{deviceId}/zero")
    Reading zero(@PathVariable String page, @PathVariable String deviceId) {
        return devices.with(page, deviceId, Inclinometer.class, Inclinometer::zero);
    }

    @PostMapping("/{deviceId}/hold")
    Reading hold(@PathVariable String page, @PathVariable String deviceId) {
        return devices.with(page, deviceId, Inclinometer.class, Inclinometer::hold);
    }

    @PostMapping("/{deviceId}/cable")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void cable(@PathVariable String page, @PathVariable String deviceId, @RequestBody Cable cable) {
        devices.with(page, deviceId, Device.class, d -> d.plug(cable.in()));
    }

    @PostMapping("/{deviceId}/ask")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void ask(@PathVariable String page, @PathVariable String deviceId, @RequestBody ForceGauge.Ask ask) {
        devices.with(page, deviceId, ForceGauge.class, gauge -> gauge.ask(ask));
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@PathVariable String page) {
        devices.leave(page);
    }
}
