package gradino.server.demo;

import gradino.server.intake.ClientRepository;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lantern Quay Studio: invented clients with ten invented weeks, told once into an empty database. */
@Component
public class DemoStudio implements ApplicationRunner {
    private final boolean wanted;
    private final ClientRepository clients;
    private final DemoLives lives;
    private final Clock clock;

    DemoStudio(@Value("${gradino.demo}") boolean wanted, ClientRepository clients, DemoLives lives, Clock clock) {
        this.wanted = wanted;
        this.clients = clients;
        this.lives = lives;
        this.clock = clock;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments args) {
        if (wanted && clients.all().isEmpty()) {
            lives.tell(StudioClock.moment(clock));
        }
    }
}
