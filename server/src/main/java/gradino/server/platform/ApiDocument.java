package gradino.server.platform;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The API's own description as it was written down at the build; served where that is asked for, to whoever is signed in. */
@RestController
@ConditionalOnProperty("gradino.api-document")
class ApiDocument {
    @GetMapping(path = "/api/openapi", produces = MediaType.APPLICATION_JSON_VALUE)
    Resource document() {
        return new ClassPathResource("openapi.json");
    }
}
