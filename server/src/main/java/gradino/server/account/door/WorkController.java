package gradino.server.account.door;

import gradino.server.account.people.SignedIn;
import gradino.server.platform.Heavy;
import gradino.server.platform.Heavy.Standing;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** How far what an account is having worked out is, and the way to end it. */
@RestController
class WorkController {
    private final Heavy heavy;
    private final SignedIn signedIn;

    WorkController(Heavy heavy, SignedIn signedIn) {
        this.heavy = heavy;
        this.signedIn = signedIn;
    }

    /** @param work null for nothing */
    record Going(@Nullable Standing work) {}

    @GetMapping("/api/me/work")
    Going going() {
        return new Going(heavy.of(signedIn.who()).orElse(null));
    }

    @DeleteMapping("/api/me/work")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end() {
        heavy.end(signedIn.who());
    }
}
