package gradino.server.exchange;

import gradino.server.account.people.SignedIn;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

@RestController
class ClientArchiveController {
    private final ClientArchive archive;
    private final SignedIn signedIn;

    ClientArchiveController(ClientArchive archive, SignedIn signedIn) {
        this.signedIn = signedIn;
        this.archive = archive;
    }

    /** Everything of one client. */
    @GetMapping(path = "/api/clients/{clientId}/archive.zip", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> archive(@PathVariable String clientId) {
        var who = signedIn.who();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=client.zip")
                .body(out -> archive.zip(clientId, who, out));
    }
}
