package gradino.server.account.people;

import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Signs in and out. The password is compared outside of any transaction: it takes long on purpose. */
@Service
public class SignInService {
    public static final Duration VALID = Duration.ofDays(14);
    static final int TRIES_A_NAME = 20;
    static final int TRIES_AN_ADDRESS = 100;
    static final Duration LOCKED = Duration.ofMinutes(15);
    private static final int NOBODYS_LETTERS = 53;

    private final AccountRepository accounts;
    private final SignInRepository signIns;
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
            PasswordEncoder encoder,
            TransactionTemplate transaction,
            @Value("${gradino.demo}") boolean demo,
            @Value("${gradino.hash-strength}") int strength,
            Clock clock) {
        this.demo = demo;
        this.accounts = accounts;
        this.signIns = signIns;
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
    private record Found(Optional<Account> account, String hash, boolean locked) {}

    /**
     * @return the token for the cookie
     * @throws Problem in the same words for a wrong name, a wrong password and a closed account
     */
    public String signIn(String typedName, String password, String address) {
        var name = AccountService.plain(typedName);
        var found = reading.execute(status -> find(name, address));
        if (found.locked()) {
            throw Problem.tooMany("Too many wrong tries: wait a quarter of an hour, or ask the owner.");
        }
        boolean right = encoder.matches(password, found.hash());
        var account = found.account().filter(a -> right);
        if (account.isEmpty()) {
            transaction.executeWithoutResult(status -> signIns.addFailure(name, address, StudioClock.now(clock)));
            throw Problem.invalid("password", "wrong", "Name and password do not fit together.");
        }
        return issue(account.get());
    }

    private Found find(String name, String address) {
        var since = StudioClock.now(clock).minus(LOCKED);
        boolean locked = signIns.failures(name, since) >= TRIES_A_NAME
                || signIns.failuresFrom(address, since) >= TRIES_AN_ADDRESS;
        var account = accounts.bySignIn(name).filter(a -> !a.disabled()).filter(this::isAllowed);
        var hash = account.flatMap(a -> accounts.passwordHash(a.id())).orElse(nobodysHash);
        return new Found(account, hash, locked);
    }

    /** The demo's accounts, whose password everybody may know, exist in the demo only. */
    private boolean isAllowed(Account account) {
        return demo || !DemoPassword.isOf(account);
    }

    public String issue(Account account) {
        var token = Tokens.fresh();
        var now = StudioClock.now(clock);
        transaction.executeWithoutResult(status -> {
            signIns.forgive(account.signIn());
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
