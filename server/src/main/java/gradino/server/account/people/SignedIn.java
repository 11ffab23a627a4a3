package gradino.server.account.people;

import gradino.server.platform.Problem;
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

    /** A client at home. */
    public Optional<HomeGuest> guest() {
        var authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof HomeGuest guest
                ? Optional.of(guest)
                : Optional.empty();
    }

    /** What is somebody's own is kept under this. */
    public String who() {
        return account().orElseThrow(Problem::nothingHere).id();
    }

    public Account required() {
        return account().orElseThrow(() -> new IllegalStateException("nobody is signed in"));
    }
}
