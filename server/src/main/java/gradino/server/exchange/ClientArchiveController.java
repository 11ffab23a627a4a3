package gradino.server.exchange;

import gradino.server.account.people.SignedIn;
import gradino.server.platform.Heavy;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

@RestController
class ClientArchiveController {
    private final ClientArchive archive;
    private final Heavy heavy;
    private final SignedIn signedIn;

    ClientArchiveController(ClientArchive archive, Heavy heavy, SignedIn signedIn) {
        this.archive = archive;
        this.heavy = heavy;
        this.signedIn = signedIn;
    }

    /** Everything of one client. */
    @GetMapping(path = "/api/clients/{clientId}/archive.zip", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> archive(@PathVariable String clientId) {
        var who = signedIn.who();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=client.zip")
                .body(out -> heavy.run(who, "archive", work -> write(clientId, out)));
    }

    private boolean write(String clientId, OutputStream out) {
        try {
            archive.zip(clientId, out);
            return true;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
