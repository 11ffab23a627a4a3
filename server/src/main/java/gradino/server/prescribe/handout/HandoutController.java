package gradino.server.prescribe.handout;

import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/clients/{clientId}/sessions/{sessionId}")
class HandoutController {
    private final HandoutService handouts;

    HandoutController(HandoutService handouts) {
        this.handouts = handouts;
    }

    @GetMapping(path = "/handout.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] handout(@PathVariable String clientId, @PathVariable String sessionId) {
        return handouts.pdf(clientId, sessionId);
    }

    @GetMapping("/handout")
    Handout handoutPage(@PathVariable String clientId, @PathVariable String sessionId) {
        return handouts.of(clientId, sessionId);
    }
}
