package gradino.server.account.people;

import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Signs in and out. The password is compared outside of any transaction: it takes long on purpose. */
@Service
public class SignInService {
    public static final Duration VALID = Duration.ofDays(14);
    private static final int TRIES_A_NAME = 20;
    private static final int TRIES_AN_ADDRESS = 100;
    private static final int TRIES_A_DEVICE = 10;
    private static final int NOBODYS_LETTERS = 53;

    private final AccountRepository accounts;
    private final SignInRepository signIns;
    private final TryRepository tries;
    private final PasswordEncoder encoder;
    private final TransactionTemplate transaction;
    private final TransactionTemplate reading;
    private final boolean demo;
    private final Clock clock;
    /** Compared with when nobody has the name, so that the answer takes as long; no password has this hash. */
    private final String nobodysHash;

    SignInService(
            AccountRepository accounts,
            SignInRepository signIns,
            TryRepository tries,
            PasswordEncoder encoder,
            TransactionTemplate transaction,
            @Value("${gradino.demo}") boolean demo,
            @Value("${gradino.hash-strength}") int strength,
            Clock clock) {
        this.demo = demo;
        this.accounts = accounts;
        this.signIns = signIns;
        this.tries = tries;
        this.encoder = encoder;
        this.transaction = transaction;
        this.clock = clock;
        var manager = transaction.getTransactionManager();
        if (manager == null) {
            throw new IllegalStateException("no transaction manager");
        }
        this.reading = new TransactionTemplate(manager);
        this.reading.setReadOnly(true);
        this.nobodysHash = "$2a$%02d$%s".formatted(strength, "N".repeat(NOBODYS_LETTERS));
    }

    /** What a name was found to have. */
    private record Found(Optional<Account> account, String hash, boolean known) {}

    /** Who came in, and the secret by which the device is known from now on. */
    public record Entered(String token, String device) {}

    /**
     * A device on which the account signed in before counts for itself, so that nobody keeps anybody out by guessing.
     *
     * @param device what the device has kept of an earlier sign-in; empty for nothing
     * @throws Problem in the same words for a wrong name, a wrong password and a closed account
     */
    public Entered signIn(String typedName, String password, String address, String device) {
        var name = AccountService.plain(typedName);
        var found = reading.execute(status -> find(name, device));
        var byAddress = "address/" + address;
        var byName = found.known() ? "device/" + Tokens.digest(device) : "name/" + name;
        tries.take(
                found.known()
                        ? Map.of(byName, TRIES_A_DEVICE)
                        : Map.of(byName, TRIES_A_NAME, byAddress, TRIES_AN_ADDRESS));
        boolean right = encoder.matches(password, found.hash());
        var account = found.account().filter(a -> right);
        if (account.isEmpty()) {
            throw Problem.invalid("password", "wrong", "Wrong name or password.");
        }
        tries.forgive(byName);
        tries.giveBack(byAddress);
        return enter(account.get(), device);
    }

    private Found find(String name, String device) {
        var account = accounts.bySignIn(name).filter(a -> !a.disabled()).filter(this::isAllowed);
        var hash = account.flatMap(a -> accounts.passwordHash(a.id())).orElse(nobodysHash);
        boolean known = !device.isEmpty()
                && account.filter(a -> signIns.isKnown(Tokens.digest(device), a.id()))
                        .isPresent();
        return new Found(account, hash, known);
    }

    /** Lets an account in on a device, which is known from now on. */
    public Entered enter(Account account, String device) {
        var kept = device.isEmpty() ? Tokens.fresh() : device;
        var token = issue(account);
        transaction.executeWithoutResult(
                status -> signIns.know(Tokens.digest(kept), account.id(), StudioClock.now(clock)));
        return new Entered(token, kept);
    }

    /** The demo's accounts, whose password everybody may know, exist in the demo only. */
    private boolean isAllowed(Account account) {
        return demo || !DemoPassword.isOf(account);
    }

    private String issue(Account account) {
        var token = Tokens.fresh();
        var now = StudioClock.now(clock);
        transaction.executeWithoutResult(status -> {
            signIns.addToken(Tokens.digest(token), account.id(), now, now.plus(VALID));
        });
        return token;
    }

    public Optional<Account> account(String token) {
        return reading.execute(status -> signIns.account(Tokens.digest(token), StudioClock.now(clock)))
                .filter(this::isAllowed);
    }

    public void signOut(String token) {
        transaction.executeWithoutResult(status -> signIns.endToken(Tokens.digest(token)));
    }

    public void signOutEverywhere(Account account) {
        transaction.executeWithoutResult(status -> signIns.endAll(account.id()));
    }
}
