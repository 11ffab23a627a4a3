package gradino.server.perform;

import gradino.core.perform.BlockRecord;
import gradino.core.perform.StopSignText;
import gradino.core.quantity.Tenths;
import gradino.server.perform.SessionService.CloseDraft;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class SessionController {
    private final SessionService sessions;
    private final LoadService loads;
    private final Presence presence;

    SessionController(SessionService sessions, LoadService loads, Presence presence) {
        this.loads = loads;
        this.sessions = sessions;
        this.presence = presence;
    }

    record NewSession(@NotBlank @Size(max = 64) String id) {}

    record NewBlock(@NotBlank @Size(max = 64) String id, BlockRecord block) {}

    record NewMorning(
            @NotBlank @Size(max = 64) String id,
            boolean settled,
            @Nullable Tenths soreness) {}

    /** Stop signs with what to do; shown before the start, throughout, and after. */
    @GetMapping("/api/stop-signs")
    List<StopSignText> stopSigns() {
        return StopSignText.all();
    }

    @PostMapping("/api/lines/{lineId}/sessions")
    Floor open(@PathVariable String lineId, @Valid @RequestBody NewSession session) {
        return sessions.open(lineId, session.id());
    }

    @PostMapping("/api/clients/{clientId}/compositions/{compositionId}/sessions")
    Floor openComposed(
            @PathVariable String clientId, @PathVariable String compositionId, @Valid @RequestBody NewSession session) {
        return sessions.openComposed(clientId, compositionId, session.id());
    }

    @GetMapping("/api/clients/{clientId}/runs")
    List<SessionService.RunHead> runs(@PathVariable String clientId) {
        return sessions.runs(clientId);
    }

    @GetMapping("/api/clients/{clientId}/load")
    LoadService.Loads load(@PathVariable String clientId) {
        return loads.of(clientId);
    }

    @GetMapping("/api/sessions/{sessionId}")
    Floor floor(@PathVariable String sessionId) {
        return sessions.floor(sessionId);
    }

    @PostMapping("/api/sessions/{sessionId}/blocks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void block(@PathVariable String sessionId, @Valid @RequestBody NewBlock block) {
        sessions.block(sessionId, block.id(), block.block());
    }

    /** How many other devices have the session open. */
    record Others(int others) {}

    /** A floor says every few seconds that it has the session open. */
    @PutMapping("/api/sessions/{sessionId}/devices/{device}")
    Others here(@PathVariable String sessionId, @PathVariable @Size(max = 64) String device) {
        return new Others(presence.here(sessionId, device));
    }

    @DeleteMapping("/api/sessions/{sessionId}/devices/{device}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void left(@PathVariable String sessionId, @PathVariable String device) {
        presence.left(sessionId, device);
    }

    /** The last record of each block. */
    @GetMapping("/api/sessions/{sessionId}/blocks")
    List<BlockRecord> blocks(@PathVariable String sessionId) {
        return sessions.blocks(sessionId);
    }

    @GetMapping("/api/sessions/{sessionId}/summary")
    Summary summary(@PathVariable String sessionId) {
        return sessions.summary(sessionId);
    }

    @PostMapping("/api/sessions/{sessionId}/close")
    Summary close(@PathVariable String sessionId, @RequestBody CloseDraft draft) {
        return sessions.close(sessionId, draft);
    }

    @PostMapping("/api/sessions/{sessionId}/morning")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void morning(@PathVariable String sessionId, @Valid @RequestBody NewMorning morning) {
        sessions.morning(sessionId, morning.id(), morning.settled(), morning.soreness());
    }
}
