package gradino.server.measure;

import gradino.server.measure.Battery.BatteryView;
import gradino.server.measure.Battery.MovementResult;
import gradino.server.measure.Battery.Paired;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/clients/{clientId}")
class BatteryController {
    private final BatteryService batteries;

    BatteryController(BatteryService batteries) {
        this.batteries = batteries;
    }

    record NewBattery(@NotBlank @Size(max = 64) String id, String name, Battery.BatterySet body) {}

    record NewAssessment(@NotBlank @Size(max = 64) String id, String batteryId) {}

    record NewMovement(
            @NotBlank @Size(max = 64) String id,
            String movement,
            double value,
            @Size(max = 500) String note) {}

    @GetMapping("/batteries")
    List<BatteryView> batteries(@PathVariable String clientId) {
        return batteries.of(clientId);
    }

    @PostMapping("/batteries")
    BatteryView save(@PathVariable String clientId, @Valid @RequestBody NewBattery b) {
        return batteries.save(clientId, b.id(), b.name().strip(), b.body());
    }

    /** How every movement went, each time that it was tested. */
    @GetMapping("/movements")
    List<MovementResult> movements(@PathVariable String clientId) {
        return batteries.movements(clientId);
    }

    @PostMapping("/assessments")
    Paired begin(@PathVariable String clientId, @Valid @RequestBody NewAssessment a) {
        return batteries.begin(clientId, a.batteryId(), a.id());
    }

    @GetMapping("/assessments/{assessmentId}")
    Paired paired(@PathVariable String clientId, @PathVariable String assessmentId) {
        return batteries.paired(clientId, assessmentId);
    }

    @PostMapping("/assessments/{assessmentId}/movements")
    Paired movement(
            @PathVariable String clientId, @PathVariable String assessmentId, @Valid @RequestBody NewMovement m) {
        return batteries.movement(clientId, assessmentId, m.id(), m.movement(), m.value(), m.note());
    }
}
