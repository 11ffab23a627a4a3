package gradino.server.measure;

import gradino.server.measure.Inclinometers.Reading;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

@RestController
@RequestMapping("/api/inclinometers")
class InclinometerController {
    private final Inclinometers devices;

    InclinometerController(Inclinometers devices) {
        this.devices = devices;
    }

    /**
     * A simulated inclinometer.
     *
     * @param endDegrees where the invented limb stops
     * @param seed same seed, same movement
     */
    record NewDevice(@NotBlank @Size(max = 64) String id, double endDegrees, long seed) {}

    record Cable(boolean in) {}

    @PostMapping
    Reading connect(@Valid @RequestBody NewDevice device) {
        return devices.connect(device.id(), device.endDegrees(), device.seed());
    }

    @GetMapping(path = "/{deviceId}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(@PathVariable String deviceId) {
        return devices.listen(deviceId);
    }

    @PostMapping("/{deviceId}/zero")
    Reading zero(@PathVariable String deviceId) {
        return devices.zero(deviceId);
    }

    @PostMapping("/{deviceId}/hold")
    Reading hold(@PathVariable String deviceId) {
        return devices.hold(deviceId);
    }

    @PostMapping("/{deviceId}/cable")
    Reading cable(@PathVariable String deviceId, @RequestBody Cable cable) {
        return devices.cable(deviceId, cable.in());
    }

    @DeleteMapping("/{deviceId}")
    void disconnect(@PathVariable String deviceId) {
        devices.disconnect(deviceId);
    }
}
