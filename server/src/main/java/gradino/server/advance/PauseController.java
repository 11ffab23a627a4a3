package gradino.server.advance;

import gradino.server.advance.PauseService.Pause;
import gradino.server.advance.line.PauseRepository.StoredPause;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class PauseController {
    private final PauseService pauses;

    PauseController(PauseService pauses) {
        this.pauses = pauses;
    }

    @GetMapping("/api/clients/{clientId}/pauses")
    List<StoredPause> all(@PathVariable String clientId) {
        return pauses.of(clientId);
    }

    @PutMapping("/api/clients/{clientId}/pauses/{pauseId}")
    List<StoredPause> keep(@PathVariable String clientId, @PathVariable String pauseId, @RequestBody Pause pause) {
        return pauses.keep(clientId, pauseId, pause);
    }
}
