package gradino.server.exchange;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ErasureController {
    private final Erasure erasure;

    ErasureController(Erasure erasure) {
        this.erasure = erasure;
    }

    /** The client's name, typed once more. */
    record Confirmed(@NotBlank String name) {}

    @PostMapping("/api/clients/{clientId}/erasure")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void erase(@PathVariable String clientId, @Valid @RequestBody Confirmed confirmed) {
        erasure.erase(clientId, confirmed.name());
    }
}
