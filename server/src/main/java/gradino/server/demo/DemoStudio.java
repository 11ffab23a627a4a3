package gradino.server.demo;

import gradino.core.advance.state.Threshold;
import gradino.server.account.people.Account;
import gradino.server.account.people.AccountMaker;
import gradino.server.account.people.AccountMaker.NewAccount;
import gradino.server.account.people.AccountService;
import gradino.server.account.people.DemoPassword;
import gradino.server.account.people.Role;
import gradino.server.advance.line.PolicyService;
import gradino.server.advance.line.PolicyService.PolicyDraft;
import gradino.server.intake.ClientRepository;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
    private final AccountService accounts;
    private final AccountMaker maker;
    private final DemoLives lives;
    private final DemoStudy study;
    private final DemoSessions sessions;
    private final DemoWeeks weeks;
    private final PolicyService policies;
    private final Clock clock;

    DemoStudio(
            @Value("${gradino.demo}") boolean wanted,
            ClientRepository clients,
            AccountService accounts,
            AccountMaker maker,
            DemoLives lives,
            DemoStudy study,
            DemoSessions sessions,
            DemoWeeks weeks,
            PolicyService policies,
            Clock clock) {
        this.accounts = accounts;
        this.maker = maker;
        this.wanted = wanted;
        this.clients = clients;
        this.lives = lives;
        this.study = study;
        this.sessions = sessions;
        this.weeks = weeks;
        this.policies = policies;
        this.clock = clock;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments args) {
        if (wanted && clients.all().isEmpty()) {
            lives.tell(StudioClock.moment(clock));
            sessions.tell(StudioClock.moment(clock));
            weeks.tell(StudioClock.moment(clock));
            policies.keep(
                    "regatta-season",
                    new PolicyDraft(
                            "Regatta season",
                            "Between races nobody is to be sore: a third clean session first, smaller angles.",
                            Map.of(Threshold.SESSIONS_NEEDED, 3.0, Threshold.ANGLE_STEP, 3.0)));
        }
        if (wanted && accounts.isEmpty()) {
            people();
        }
    }

    private static final Set<String> OWNERS =
            Set.of("demo-bell-ringer", "demo-puppeteer", "demo-potter", "demo-cooper");

    /** The coach has most of the clients; the assistant looks in on the rower. */
    private void people() {
        var owner = add("demo-owner", "Maren Coyle", "maren", Role.OWNER);
        var coach = add("demo-coach", "Joss Arkle", "joss", Role.COACH);
        var assistant = add("demo-assistant", "Pim Vane", "pim", Role.ASSISTANT);
        for (var client : clients.all()) {
            accounts.own(client.id(), OWNERS.contains(client.id()) ? owner : coach);
        }
        List.of(owner, coach).forEach(who -> weeks.hours(who.id()));
        study.tell(coach.id(), StudioClock.moment(clock));
        accounts.share(coach, "demo-rower", assistant.id(), true);
    }

    private Account add(String id, String name, String signIn, Role role) {
        return maker.add(new NewAccount(id, name, signIn, role, DemoPassword.WORDS));
    }
}
