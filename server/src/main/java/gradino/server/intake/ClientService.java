package gradino.server.intake;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.intake.Restriction;
import gradino.server.account.AccountService;
import gradino.server.account.SignedIn;
import gradino.server.intake.Client.Details;
import gradino.server.intake.ClientRepository.Clearance;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes clients in and keeps what must not be done with them. */
@Service
public class ClientService {
    private final ClientRepository clients;
    private final AccountService accounts;
    private final SignedIn signedIn;
    private final Clock clock;

    ClientService(ClientRepository clients, AccountService accounts, SignedIn signedIn, Clock clock) {
        this.clients = clients;
        this.accounts = accounts;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /** Those that whoever asks may see. */
    @Transactional(readOnly = true)
    public List<Client> mine() {
        var me = signedIn.account().orElseThrow(Problem::nothingHere);
        var seen = accounts.clientsOf(me);
        return clients.all().stream()
                .filter(c -> me.isOwner() || seen.contains(c.id()))
                .toList();
    }

    /** @throws Problem when there is no such client */
    @Transactional(readOnly = true)
    public Client get(String id) {
        return clients.find(id).orElseThrow(() -> Problem.notFound("client"));
    }

    @Transactional
    public Client create(String id, Details details) {
        var me = signedIn.account().orElseThrow(Problem::nothingHere);
        if (clients.find(id).isEmpty()) {
            Problem.throwIfBlocking(check(details, LocalDate.now(clock)));
            clients.insert(id, details, StudioClock.now(clock));
            accounts.own(id, me);
        } else if (!accounts.maySee(me, id)) {
            throw Problem.nothingHere();
        }
        return get(id);
    }

    @Transactional
    public Client change(String id, Details details) {
        get(id);
        Problem.throwIfBlocking(check(details, LocalDate.now(clock)));
        clients.addDetails(id, details, StudioClock.now(clock));
        return get(id);
    }

    /** Restrictions stand beside each other in time; tightening is free, loosening names its reason too. */
    @Transactional
    public Client restrict(String id, Restriction restriction) {
        get(id);
        if (restriction.reason().isBlank()) {
            throw Problem.invalid(
                    "reason", "required", "Say why, or on whose word it is lifted: it stands wherever this bites.");
        }
        var now = StudioClock.now(clock);
        clients.addRestriction(id, restriction, now, now);
        return get(id);
    }

    @Transactional
    public Client clear(String id, String clearanceId, Clearance clearance) {
        get(id);
        var now = StudioClock.now(clock);
        clients.addClearance(clearanceId, id, clearance, now, now);
        return get(id);
    }

    /** What cannot be right in a client's file; the import uses it as well. */
    public static List<Finding> check(Details d, LocalDate today) {
        var findings = new ArrayList<Finding>();
        if (d.name().isBlank() || d.name().length() > 120) {
            findings.add(Finding.blocking("name", "required", 120.0, "", "A name of up to 120 letters."));
        }
        if (d.birthDate() != null && !d.birthDate().isBefore(today)) {
            findings.add(Finding.blocking("birthDate", "in-the-future", null, "", "A birth date lies in the past."));
        }
        if (d.goal().length() > 2000) {
            findings.add(Finding.blocking("goal", "too-long", 2000.0, "", "Up to 2000 letters."));
        }
        range(findings, "minutes", d.minutes(), 1, 240, "min");
        range(findings, "statureCm", d.statureCm(), 50, 250, "cm");
        range(findings, "shankCm", d.shankCm(), 15, 70, "cm");
        range(findings, "beighton", d.beighton(), 0, 9, "of 9");
        range(findings, "blockStepCm", d.blockStepCm(), 0.1, 20, "cm");
        for (int i = 0; i < d.goals().size(); i++) {
            var goal = d.goals().get(i);
            if (Catalogue.motion(goal.motion()).isEmpty()) {
                findings.add(Finding.blocking(
                        "goals[" + i + "].motion", "unknown-motion", null, "", "Pick a motion of the list."));
            }
            range(findings, "goals[" + i + "].degrees", goal.degrees(), 1, 200, "°");
        }
        return findings;
    }

    private static void range(
            List<Finding> findings, String path, @Nullable Number value, double lower, double upper, String unit) {
        if (value != null && !(value.doubleValue() >= lower && value.doubleValue() <= upper)) {
            double bound = value.doubleValue() > upper ? upper : lower;
            findings.add(Finding.blocking(
                    path,
                    "out-of-bounds",
                    bound,
                    unit,
                    "Between %s and %s %s.".formatted(plain(lower), plain(upper), unit)));
        }
    }

    private static String plain(double bound) {
        return bound == Math.rint(bound) ? String.valueOf((long) bound) : String.valueOf(bound);
    }
}
