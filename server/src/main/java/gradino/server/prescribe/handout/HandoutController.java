package gradino.server.prescribe.handout;

import gradino.server.account.people.SignedIn;
import gradino.server.platform.Heavy;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/clients/{clientId}/sessions/{sessionId}")
class HandoutController {
    private final HandoutService handouts;
    private final Heavy heavy;
    private final SignedIn signedIn;

    HandoutController(HandoutService handouts, Heavy heavy, SignedIn signedIn) {
        this.heavy = heavy;
        this.signedIn = signedIn;
        this.handouts = handouts;
    }

    @GetMapping(path = "/handout.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] handout(@PathVariable String clientId, @PathVariable String sessionId) {
        return heavy.run(signedIn.who(), "hand-out", work -> handouts.pdf(clientId, sessionId));
    }

    @GetMapping("/handout")
    Handout handoutPage(@PathVariable String clientId, @PathVariable String sessionId) {
        return handouts.of(clientId, sessionId);
    }
}
