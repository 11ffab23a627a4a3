package gradino.server.advance;

import gradino.core.advance.state.Signs;
import gradino.core.advance.state.Signs.StopFact;
import gradino.core.perform.StopSignText;
import gradino.server.advance.line.ClearedSigns;
import gradino.server.intake.ClientService;
import gradino.server.intake.IntakeRepository;
import gradino.server.perform.record.StopRepository;
import gradino.server.perform.record.StopRepository.Stop;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Stop signs that no clearance has reached yet. */
@RestController
class SignController {
    private final StopRepository stops;
    private final IntakeRepository intakes;
    private final ClientService clients;
    private final Clock clock;

    SignController(StopRepository stops, IntakeRepository intakes, ClientService clients, Clock clock) {
        this.stops = stops;
        this.intakes = intakes;
        this.clients = clients;
        this.clock = clock;
    }

    /** @param name of the session */
    record OpenSign(String runId, String name, String sign, Instant happenedAt, Instant recordedAt) {}

    @GetMapping("/api/clients/{clientId}/stop-signs")
    @Transactional(readOnly = true)
    public List<OpenSign> open(@PathVariable String clientId) {
        var ids = List.of(clients.get(clientId).id());
        var cleared = ClearedSigns.of(intakes.clearances(ids), clock.getZone());
        return stops.of(ids).getOrDefault(clientId, List.of()).stream()
                .filter(stop -> Signs.isOpen(fact(stop), cleared))
                .map(s -> new OpenSign(
                        s.runId(), s.name(), StopSignText.of(s.sign()).words(), s.happenedAt(), s.recordedAt()))
                .toList();
    }

    private static StopFact fact(Stop stop) {
        return new StopFact(stop.runId(), stop.sign(), stop.side(), stop.recordedAt());
    }
}
