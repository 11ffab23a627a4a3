package gradino.server.account.people;

import gradino.core.because.Finding;
import gradino.server.platform.Problem;
import java.util.ArrayList;
import java.util.Map;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Makes accounts and passwords. Hashing takes long on purpose, so it stands outside of every transaction. */
@Service
public class AccountMaker {
    private static final int NAME_MOST = 120;
    private static final int TRIES = 10;

    private final AccountService accounts;
    private final TryRepository tries;
    private final PasswordEncoder encoder;

    AccountMaker(AccountService accounts, TryRepository tries, PasswordEncoder encoder) {
        this.accounts = accounts;
        this.tries = tries;
        this.encoder = encoder;
    }

    /** What an account is made of. */
    public record NewAccount(String id, String name, String signIn, Role role, String password) {}

    /** @throws Problem when a part cannot be, or the name to sign in is taken */
    public Account add(NewAccount wanted) {
        return make(wanted, wanted.role(), false);
    }

    /** The first account: an owner. Afterwards nobody becomes one this way. */
    public Account addOwner(NewAccount wanted) {
        return make(wanted, Role.OWNER, true);
    }

    private Account make(NewAccount wanted, Role role, boolean firstOnly) {
        var signIn = AccountService.plain(wanted.signIn());
        var name = wanted.name().strip();
        var findings = new ArrayList<Finding>();
        if (name.isEmpty() || name.length() > NAME_MOST) {
            findings.add(Finding.blocking("name", "required", 120.0, "", "A name of up to 120 letters."));
        }
        if (!signIn.matches("[a-z0-9._@-]{2,64}")) {
            findings.add(Finding.blocking(
                    "signIn", "invalid", null, "", "2 to 64 letters, digits, dots, dashes or @, no spaces."));
        }
        var account = new Account(wanted.id(), name, signIn, role, Account.Units.METRIC, false);
        if (!DemoPassword.isOf(account) || !DemoPassword.WORDS.equals(wanted.password())) {
            Passwords.wrong("password", wanted.password(), signIn).ifPresent(findings::add);
        }
        Problem.throwIfBlocking(findings);
        return accounts.there(account, firstOnly)
                .orElseGet(() -> accounts.insert(account, hash(wanted.password()), firstOnly));
    }

    /** Changes one's own password; every device is signed out. */
    public void change(Account me, String old, String wanted) {
        var key = "password/" + me.id();
        tries.take(Map.of(key, TRIES));
        requireGood("wanted", wanted, me);
        if (!encoder.matches(old, accounts.passwordHash(me.id()).orElse(null))) {
            throw Problem.invalid("old", "wrong", "This is not your password now.");
        }
        tries.forgive(key);
        accounts.setPassword(me.id(), hash(wanted));
    }

    /** A forgotten password is replaced by the owner. */
    public void reset(String accountId, String wanted) {
        requireGood("password", wanted, accounts.find(accountId).orElseThrow(Problem::nothingHere));
        accounts.setPassword(accountId, hash(wanted));
    }

    private static void requireGood(String path, String password, Account account) {
        Problem.throwIfBlocking(
                Passwords.wrong(path, password, account.signIn()).stream().toList());
    }

    private String hash(String password) {
        return String.valueOf(encoder.encode(password));
    }
}
