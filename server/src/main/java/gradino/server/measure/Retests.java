package gradino.server.measure;

import gradino.server.measure.Battery.Assessment;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Whose battery was gone through again, and whole: their report is ready. */
@Component
public class Retests {
    private final BatteryRepository batteries;
    private final MeasurementRepository measurements;

    Retests(BatteryRepository batteries, MeasurementRepository measurements) {
        this.batteries = batteries;
        this.measurements = measurements;
    }

    /** @return when each client's newest whole re-test since a moment began */
    public Map<String, Instant> since(Collection<String> clientIds, Instant since) {
        var found = new HashMap<String, Instant>();
        for (var assessment : batteries.again(clientIds, since)) {
            if (isWhole(assessment)) {
                found.merge(assessment.clientId(), assessment.happenedAt(), (a, b) -> a.isAfter(b) ? a : b);
            }
        }
        return found;
    }

    private boolean isWhole(Assessment assessment) {
        var battery =
                batteries.find(assessment.clientId(), assessment.batteryId()).orElseThrow();
        List<Measurement> taken = measurements.ofAssessment(assessment.clientId(), assessment.id());
        Set<String> movements = new HashSet<>();
        batteries.results(assessment.id()).forEach(r -> movements.add(r.movement()));
        return battery.body().items().stream().allMatch(item -> taken.stream().anyMatch(item::matches))
                && battery.body().movements().stream().allMatch(m -> movements.contains(m.name()));
    }
}
