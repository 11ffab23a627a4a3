package gradino.server.account;

import java.util.Optional;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Who asks. */
@Component
public class SignedIn {
    public Optional<Account> account() {
        var authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof Account account
                ? Optional.of(account)
                : Optional.empty();
    }

    Account required() {
        return account().orElseThrow(() -> new IllegalStateException("nobody is signed in"));
    }
}
