package gradino.server.advance.line;

import gradino.server.intake.Client;
import gradino.server.intake.ClientRepository;
import gradino.server.prescribe.program.LineRepository;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Looks at every line once the server is there, while people sign in: whoever comes first need not wait for all of them. */
@Component
class FirstLook {
    private static final Logger LOG = LoggerFactory.getLogger(FirstLook.class);
    private static final int CLIENTS_AT_ONCE = 6;

    private final ClientRepository clients;
    private final LineRepository lines;
    private final LineDoor door;

    FirstLook(ClientRepository clients, LineRepository lines, LineDoor door) {
        this.clients = clients;
        this.lines = lines;
        this.door = door;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        var thread = new Thread(this::look, "first-look");
        thread.setDaemon(true);
        thread.start();
    }

    /**
     * Some clients at a time: what is known of them serves at once. From the end of them, so that it meets whoever asks for all
     * from the beginning half-way.
     */
    private void look() {
        try {
            var all = clients.all();
            for (int to = all.size(); to > 0; to -= CLIENTS_AT_ONCE) {
                look(all.subList(Math.max(0, to - CLIENTS_AT_ONCE), to));
            }
        } catch (RuntimeException e) {
            // Whoever asks for a line finds the same trouble and is told of it.
            LOG.debug("the first look ended early", e);
        }
    }

    private void look(List<Client> some) {
        door.of(some, lines.of(some.stream().map(Client::id).toList()));
    }
}
