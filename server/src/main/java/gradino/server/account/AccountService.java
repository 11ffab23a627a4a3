package gradino.server.account;

import gradino.core.because.Finding;
import gradino.server.account.AccessRepository.Grant;
import gradino.server.account.AccessRepository.Kind;
import gradino.server.account.AuditRepository.Entry;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The studio's accounts, and who may see which client. */
@Service
public class AccountService {
    private static final int PASSWORD_LEAST = 12;
    /** More than the hash looks at would be a false promise. */
    private static final int PASSWORD_MOST_BYTES = 72;

    private final AccountRepository accounts;
    private final SignInRepository signIns;
    private final AccessRepository access;
    private final AuditRepository audit;
    private final PasswordEncoder encoder;
    private final Clock clock;

    AccountService(
            AccountRepository accounts,
            SignInRepository signIns,
            AccessRepository access,
            AuditRepository audit,
            PasswordEncoder encoder,
            Clock clock) {
        this.accounts = accounts;
        this.signIns = signIns;
        this.access = access;
        this.audit = audit;
        this.encoder = encoder;
        this.clock = clock;
    }

    /** What an account is made of. */
    public record NewAccount(String id, String name, String signIn, Role role, String password) {}

    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return accounts.all().isEmpty();
    }

    @Transactional(readOnly = true)
    public List<Account> all() {
        return accounts.all();
    }

    /** @throws Problem when a part cannot be, or the name to sign in is taken */
    @Transactional
    public Account add(NewAccount wanted) {
        var known = accounts.find(wanted.id());
        if (known.isPresent()) {
            return known.get();
        }
        var signIn = plain(wanted.signIn());
        var findings = new ArrayList<Finding>();
        if (wanted.name().isBlank() || wanted.name().length() > 120) {
            findings.add(Finding.blocking("name", "required", 120.0, "", "A name of up to 120 letters."));
        }
        if (!signIn.matches("[a-z0-9._@-]{2,64}")) {
            findings.add(Finding.blocking(
                    "signIn", "invalid", null, "", "2 to 64 letters, digits, dots, dashes or @, no spaces."));
        }
        if (accounts.bySignIn(signIn).isPresent()) {
            findings.add(Finding.blocking("signIn", "taken", null, "", "This name is taken: pick another."));
        }
        password(findings, "password", wanted.password());
        Problem.throwIfBlocking(findings);
        var account = new Account(wanted.id(), wanted.name().strip(), signIn, wanted.role(), false);
        accounts.insert(account, hash(wanted.password()), StudioClock.now(clock));
        return account;
    }

    /** The first account: an owner. Afterwards nobody becomes one this way. */
    @Transactional
    public Account addOwner(NewAccount wanted) {
        if (!isEmpty()) {
            throw Problem.conflict("not-first", "There is an owner already: sign in.");
        }
        return add(new NewAccount(wanted.id(), wanted.name(), wanted.signIn(), Role.OWNER, wanted.password()));
    }

    static String plain(String signIn) {
        return signIn.strip().toLowerCase(Locale.ROOT);
    }

    private static void password(List<Finding> findings, String path, String password) {
        if (password.length() < PASSWORD_LEAST
                || password.getBytes(StandardCharsets.UTF_8).length > PASSWORD_MOST_BYTES) {
            findings.add(Finding.blocking(
                    path, "password-length", (double) PASSWORD_LEAST, "", "12 to 72 letters: a few plain words do."));
        }
    }

    private String hash(String password) {
        return String.valueOf(encoder.encode(password));
    }

    /** Changes one's own password; every other device is signed out. */
    @Transactional
    public void changePassword(Account me, String old, String wanted) {
        if (!encoder.matches(old, accounts.passwordHash(me.id()).orElse(null))) {
            throw Problem.invalid("old", "wrong", "This is not your password now.");
        }
        var findings = new ArrayList<Finding>();
        password(findings, "wanted", wanted);
        Problem.throwIfBlocking(findings);
        accounts.setPassword(me.id(), hash(wanted));
        signIns.endAll(me.id());
    }

    /** A forgotten password is replaced by the owner. */
    @Transactional
    public void resetPassword(String id, String wanted) {
        var account = accounts.find(id).orElseThrow(Problem::nothingHere);
        var findings = new ArrayList<Finding>();
        password(findings, "password", wanted);
        Problem.throwIfBlocking(findings);
        accounts.setPassword(account.id(), hash(wanted));
        signIns.endAll(account.id());
        signIns.forgive(account.signIn());
    }

    /** Somebody who has left signs in no more; the last owner stays. */
    @Transactional
    public Account disable(String id, boolean disabled) {
        var account = accounts.find(id).orElseThrow(Problem::nothingHere);
        boolean lastOwner = account.isOwner()
                && accounts.all().stream()
                                .filter(a -> a.isOwner() && !a.disabled())
                                .count()
                        == 1;
        if (disabled && lastOwner) {
            throw Problem.conflict("last-owner", "The last owner stays: make another owner first.");
        }
        accounts.setDisabled(id, disabled, StudioClock.now(clock));
        signIns.endAll(id);
        return accounts.find(id).orElseThrow(Problem::nothingHere);
    }

    /** Whether an account may see a client that exists. */
    @Transactional(readOnly = true)
    public boolean maySee(Account me, String clientId) {
        return me.isOwner()
                ? access.exists(clientId)
                : access.clientsOf(me.id()).contains(clientId);
    }

    /** The clients a coach or assistant may see; owners see all. */
    @Transactional(readOnly = true)
    public Set<String> clientsOf(Account me) {
        return access.clientsOf(me.id());
    }

    @Transactional
    public void own(String clientId, Account account) {
        access.grant(clientId, account.id(), Kind.OWN, StudioClock.now(clock));
    }

    @Transactional(readOnly = true)
    public List<Grant> grants(String clientId) {
        return access.grants(clientId);
    }

    /** Shares a client with a colleague, or no longer. Only whose client it is and an owner may. */
    @Transactional
    public void share(Account me, String clientId, String accountId, boolean shared) {
        boolean mine = me.isOwner() || access.grants(clientId).contains(new Grant(me.id(), Kind.OWN));
        if (!mine || accounts.find(accountId).isEmpty()) {
            throw Problem.nothingHere();
        }
        if (access.grants(clientId).contains(new Grant(accountId, Kind.OWN))) {
            throw Problem.conflict("own", "This is the coach's own client.");
        }
        access.grant(clientId, accountId, shared ? Kind.SHARED : Kind.NONE, StudioClock.now(clock));
    }

    @Transactional
    public void audit(Account me, @Nullable String clientId, AuditRepository.Action action, String what) {
        audit.add(StudioClock.now(clock), me.id(), clientId, action, what);
    }

    @Transactional(readOnly = true)
    public List<Entry> auditBefore(long id, @Nullable String clientId) {
        return audit.before(id, clientId);
    }
}
