package gradino.server.account.link;

import gradino.server.account.link.HomeLinkRepository.Link;
import gradino.server.account.people.HomeGuest;
import gradino.server.account.people.SignedIn;
import gradino.server.account.people.Tokens;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Links by which clients come to what is theirs: made, listed and ended by a coach; used at home. */
@Service
public class HomeLinkService {
    static final int MOST_WRONG_PINS = 5;
    static final int LONGEST_DAYS = 365;

    private static final String GONE = "This link does not work any more. Ask your coach for a new one.";

    private final HomeLinkRepository links;
    private final PasswordEncoder encoder;
    private final SignedIn signedIn;
    private final Clock clock;

    HomeLinkService(HomeLinkRepository links, PasswordEncoder encoder, SignedIn signedIn, Clock clock) {
        this.links = links;
        this.encoder = encoder;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /**
     * A link as a coach sees it; what is in it is told once, when it is made.
     *
     * @param devices that came in by it
     * @param report whether it opens a report and nothing else
     * @param opened how often the report was opened by it
     */
    public record HomeLink(
            String id,
            Instant madeAt,
            Instant expiresAt,
            boolean stands,
            boolean pin,
            int devices,
            boolean report,
            int opened,
            String state) {}

    /** @param token for the link's address; kept nowhere */
    public record MadeLink(HomeLink link, String token) {}

    /** A link for so many days, 1 to 365, with a PIN of four to eight digits or none. */
    @Transactional
    public MadeLink make(String clientId, String id, int days, @Nullable String pin) {
        return make(clientId, id, days, pin, null);
    }

    /** @param report which report it opens, in whatever way its maker writes it; null for the training */
    @Transactional
    public MadeLink make(String clientId, String id, int days, @Nullable String pin, @Nullable String report) {
        if (days < 1 || days > LONGEST_DAYS) {
            throw Problem.invalid("days", "out-of-bounds", "Between 1 and 365 days.");
        }
        if (pin != null && !pin.matches("\\d{4,8}")) {
            throw Problem.invalid("pin", "digits", "Four to eight digits, or none.");
        }
        if (links.of(clientId).stream().anyMatch(l -> l.id().equals(id))) {
            throw Problem.conflict("made-already", "This link was made already; its address is shown only once.");
        }
        var token = Tokens.fresh();
        var now = StudioClock.now(clock);
        links.add(
                id,
                clientId,
                signedIn.required().id(),
                Tokens.digest(token),
                pin == null ? null : encoder.encode(pin),
                now,
                now.plus(Duration.ofDays(days)),
                report);
        var made = links.byDigest(Tokens.digest(token)).orElseThrow(Problem::nothingHere);
        return new MadeLink(shown(made), token);
    }

    @Transactional(readOnly = true)
    public List<HomeLink> of(String clientId) {
        return links.of(clientId).stream().map(this::shown).toList();
    }

    @Transactional
    public void revoke(String clientId, String id) {
        if (!links.revoke(clientId, id, StudioClock.now(clock))) {
            throw Problem.nothingHere();
        }
    }

    /** All of a client's. */
    @Transactional
    public void endAll(String clientId) {
        links.revokeAll(clientId, StudioClock.now(clock));
    }

    /**
     * A link ends with its maker's right to the client.
     *
     * @param clientId null for all that the account made
     * @return what ended
     */
    @Transactional
    public List<HomeLink> endOf(String accountId, @Nullable String clientId) {
        var now = StudioClock.now(clock);
        var ended = links.madeBy(accountId, clientId, now);
        ended.forEach(l -> links.revoke(l.clientId(), l.id(), now));
        return ended.stream().map(this::shown).toList();
    }

    private HomeLink shown(Link l) {
        boolean closed = l.wrongPins() >= MOST_WRONG_PINS;
        var state = l.revokedAt() != null
                ? "ended"
                : closed ? "closed after wrong PINs" : l.stands(clock.instant()) ? "works" : "expired";
        return new HomeLink(
                l.id(),
                l.madeAt(),
                l.expiresAt(),
                l.stands(clock.instant()) && !closed,
                l.pinHash() != null,
                l.devices(),
                l.report() != null,
                l.opened(),
                state);
    }

    /**
     * Lets a device in. A link that is guessed, over, ended or closed is refused in the same words. Not one transaction: a wrong
     * PIN is counted although it is refused.
     *
     * @return the token for the device's cookie, and until when it is good
     */
    public Entered enter(String token, @Nullable String pin) {
        var now = StudioClock.now(clock);
        var link = known(token, pin, l -> l.report() == null);
        var device = Tokens.fresh();
        links.visit(Tokens.digest(device), link.id(), now);
        return new Entered(device, Duration.between(now, link.expiresAt()));
    }

    public record Entered(String token, Duration valid) {}

    /** Whose report, and which one. */
    public record Opened(String clientId, String report) {}

    /** Opens the report of a link; nobody is let in by it. */
    public Opened open(String token, @Nullable String pin) {
        var link = known(token, pin, l -> l.report() != null);
        links.opened(link.id());
        return new Opened(link.clientId(), Optional.ofNullable(link.report()).orElseThrow());
    }

    private Link known(String token, @Nullable String pin, Predicate<Link> kind) {
        var now = StudioClock.now(clock);
        var link = links.byDigest(Tokens.digest(token))
                .filter(l -> kind.test(l) && l.stands(now) && l.wrongPins() < MOST_WRONG_PINS)
                .orElseThrow(() -> Problem.gone(GONE));
        if (link.pinHash() != null) {
            check(link, pin);
        }
        return link;
    }

    private void check(Link link, @Nullable String pin) {
        if (pin == null || pin.isBlank()) {
            throw Problem.invalid("pin", "pin-needed", "Type the PIN that your coach gave you.");
        }
        // Counted in one step before it is compared, so that many tries at once are no more tries.
        if (!links.tryPin(link.id(), MOST_WRONG_PINS)) {
            throw Problem.gone(GONE);
        }
        if (!encoder.matches(pin, link.pinHash())) {
            int left = MOST_WRONG_PINS - link.wrongPins() - 1;
            throw Problem.invalid("pin", "wrong", left > 0 ? "This is not the PIN. Tries left: " + left + "." : GONE);
        }
        links.rightPin(link.id());
    }

    @Transactional(readOnly = true)
    public Optional<HomeGuest> guest(String token) {
        return links.guest(Tokens.digest(token), StudioClock.now(clock));
    }

    @Transactional
    public void leave(String token) {
        links.endVisit(Tokens.digest(token));
    }
}
