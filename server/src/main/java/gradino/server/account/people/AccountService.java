package gradino.server.account.people;

import gradino.server.account.people.AccessRepository.Grant;
import gradino.server.account.people.AccessRepository.Kind;
import gradino.server.account.people.AuditRepository.Entry;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The studio's accounts, and who may see which client. */
@Service
public class AccountService {
    private final AccountRepository accounts;
    private final SignInRepository signIns;
    private final TryRepository tries;
    private final AccessRepository access;
    private final AuditRepository audit;
    private final Clock clock;

    AccountService(
            AccountRepository accounts,
            SignInRepository signIns,
            TryRepository tries,
            AccessRepository access,
            AuditRepository audit,
            Clock clock) {
        this.accounts = accounts;
        this.signIns = signIns;
        this.tries = tries;
        this.access = access;
        this.audit = audit;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return accounts.all().isEmpty();
    }

    @Transactional(readOnly = true)
    public List<Account> all() {
        return accounts.all();
    }

    /** What an account under this id is already; empty for a new one that can be made. Asked before anything takes long. */
    @Transactional(readOnly = true)
    Optional<Account> there(Account account, boolean firstOnly) {
        return known(account, firstOnly);
    }

    private Optional<Account> known(Account account, boolean firstOnly) {
        if (firstOnly && !isEmpty()) {
            throw Problem.conflict("not-first", "There is an owner already: sign in.");
        }
        var known = accounts.find(account.id());
        if (known.isEmpty() && accounts.bySignIn(account.signIn()).isPresent()) {
            throw Problem.invalid("signIn", "taken", "This name is taken: pick another.");
        }
        return known;
    }

    /** Stored once for an id; {@code firstOnly} makes the owner of an empty studio and nobody afterwards. */
    @Transactional
    Account insert(Account account, String passwordHash, boolean firstOnly) {
        var known = known(account, firstOnly);
        if (known.isPresent()) {
            return known.get();
        }
        accounts.insert(account, passwordHash, StudioClock.now(clock));
        return account;
    }

    static String plain(String signIn) {
        return signIn.strip().toLowerCase(Locale.ROOT);
    }

    @Transactional(readOnly = true)
    Optional<Account> find(String id) {
        return accounts.find(id);
    }

    @Transactional(readOnly = true)
    Optional<String> passwordHash(String accountId) {
        return accounts.passwordHash(accountId);
    }

    @Transactional
    public Account setUnits(Account me, Account.Units units) {
        accounts.setUnits(me.id(), units);
        return accounts.find(me.id()).orElseThrow(Problem::nothingHere);
    }

    /** Change password; the account is signed out on every device. */
    @Transactional
    void setPassword(String id, String passwordHash) {
        var account = accounts.find(id).orElseThrow(Problem::nothingHere);
        accounts.setPassword(id, passwordHash);
        signIns.endAll(id);
        tries.forgive("name/" + account.signIn());
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

    /** The client behind an id, for whom it is open to. */
    @Transactional(readOnly = true)
    public Optional<String> admitted(Account me, ClientOwned whose, String id) {
        return whose.clientOf(id).filter(clientId -> maySee(me, clientId));
    }

    /** Whether an account may see a client, if there is one. */
    @Transactional(readOnly = true)
    public boolean maySee(Account me, String clientId) {
        return me.isOwner() || access.maySee(me.id(), clientId);
    }

    @Transactional(readOnly = true)
    public boolean isOwner(String accountId) {
        return accounts.find(accountId).filter(Account::isOwner).isPresent();
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
