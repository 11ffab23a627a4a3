package gradino.server.account.people;

import gradino.core.because.Finding;
import gradino.server.platform.Problem;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** Makes accounts and passwords. Hashing takes long on purpose, so it stands outside of every transaction. */
@Service
public class AccountMaker {
    private static final int PASSWORD_LEAST = 12;
    /** More than the hash looks at would be a false promise. */
    private static final int PASSWORD_MOST_BYTES = 72;

    private final AccountService accounts;
    private final PasswordEncoder encoder;

    AccountMaker(AccountService accounts, PasswordEncoder encoder) {
        this.accounts = accounts;
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
        var findings = new ArrayList<Finding>();
        if (wanted.name().isBlank() || wanted.name().length() > 120) {
            findings.add(Finding.blocking("name", "required", 120.0, "", "A name of up to 120 letters."));
        }
        if (!signIn.matches("[a-z0-9._@-]{2,64}")) {
            findings.add(Finding.blocking(
                    "signIn", "invalid", null, "", "2 to 64 letters, digits, dots, dashes or @, no spaces."));
        }
        var hash = hash(findings, "password", wanted.password());
        var account = new Account(wanted.id(), wanted.name().strip(), signIn, role, false);
        return accounts.insert(account, hash, firstOnly);
    }

    /** Changes one's own password; every device is signed out. */
    public void change(Account me, String old, String wanted) {
        if (!encoder.matches(old, accounts.passwordHash(me.id()).orElse(null))) {
            throw Problem.invalid("old", "wrong", "This is not your password now.");
        }
        accounts.setPassword(me.id(), hash(new ArrayList<>(), "wanted", wanted));
    }

    /** A forgotten password is replaced by the owner. */
    public void reset(String accountId, String wanted) {
        accounts.setPassword(accountId, hash(new ArrayList<>(), "password", wanted));
    }

    private String hash(List<Finding> findings, String path, String password) {
        if (password.length() < PASSWORD_LEAST
                || password.getBytes(StandardCharsets.UTF_8).length > PASSWORD_MOST_BYTES) {
            findings.add(Finding.blocking(
                    path, "password-length", (double) PASSWORD_LEAST, "", "12 to 72 letters: a few plain words do."));
        }
        Problem.throwIfBlocking(findings);
        return String.valueOf(encoder.encode(password));
    }
}
