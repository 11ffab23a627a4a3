package gradino.server.account.door;

import gradino.server.account.people.SignedIn;
import gradino.server.platform.Heavy;
import gradino.server.platform.Heavy.Standing;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** How far what an account is having worked out is, and the way to end it. */
@RestController
class WorkController {
    private static final int LONGEST_NAME = 64;

    private final Heavy heavy;
    private final SignedIn signedIn;

    WorkController(Heavy heavy, SignedIn signedIn) {
        this.heavy = heavy;
        this.signedIn = signedIn;
    }

    @GetMapping("/api/me/work")
    List<Standing> going() {
        return heavy.of(signedIn.who());
    }

    @DeleteMapping("/api/me/work")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@RequestParam @Size(max = LONGEST_NAME) String name) {
        heavy.end(signedIn.who(), name);
    }
}
