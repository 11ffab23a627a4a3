package gradino.server.advance;

import gradino.server.intake.ClientRepository;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.LineRepository;
import java.time.Clock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Folds every line once after a start, beside what is asked for: so the first look of the day is as quick as the next. */
@Component
class WarmUp {
    private static final Logger LOG = LoggerFactory.getLogger(WarmUp.class);

    private final ClientRepository clients;
    private final LineRepository lines;
    private final LineStates states;
    private final PolicyService policies;
    private final Clock clock;

    WarmUp(ClientRepository clients, LineRepository lines, LineStates states, PolicyService policies, Clock clock) {
        this.clients = clients;
        this.lines = lines;
        this.states = states;
        this.policies = policies;
        this.clock = clock;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        var thread = new Thread(this::fold, "fold-lines");
        thread.setDaemon(true);
        thread.start();
    }

    /** What goes wrong here is met again, and said, by whoever asks for it. */
    private void fold() {
        try {
            var now = StudioClock.moment(clock);
            var policy = policies.current();
            for (var client : clients.all()) {
                for (var line : lines.trained(client.id())) {
                    states.of(client, line, now, policy);
                }
            }
        } catch (RuntimeException e) {
            LOG.debug("lines are folded when they are asked for", e);
        }
    }
}
