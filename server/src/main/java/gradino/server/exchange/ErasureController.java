package gradino.server.exchange;

import gradino.server.backup.BackupService;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ErasureController {
    private final Erasure erasure;
    private final BackupService backups;

    ErasureController(Erasure erasure, BackupService backups) {
        this.erasure = erasure;
        this.backups = backups;
    }

    /** The client's name, typed once more. */
    record Confirmed(@NotBlank String name) {}

    /** @param backupsUntil the day from which no backup of the studio's own holds the client any more; null where there is none */
    record Erased(@Nullable LocalDate backupsUntil) {}

    @PostMapping("/api/clients/{clientId}/erasure")
    Erased erase(@PathVariable String clientId, @Valid @RequestBody Confirmed confirmed) {
        erasure.erase(clientId, confirmed.name());
        return new Erased(backups.lastDay().orElse(null));
    }
}
