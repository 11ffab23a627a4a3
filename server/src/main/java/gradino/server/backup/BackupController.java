package gradino.server.backup;

import gradino.server.backup.BackupService.BackupState;
import gradino.server.backup.BackupService.Made;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
class BackupController {
    private final BackupService backups;

    BackupController(BackupService backups) {
        this.backups = backups;
    }

    @GetMapping("/api/backups")
    BackupState standing() {
        return backups.standing();
    }

    @PostMapping("/api/backups")
    Made make() {
        return backups.make();
    }
}
