package gradino.server.perform.floor;

import gradino.core.perform.BlockRecord;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.StopSignText;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Tenths;
import gradino.server.perform.floor.RunService.CloseDraft;
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
class RunController {
    private final RunService runs;
    private final MorningService mornings;
    private final LoadService loads;
    private final Presence presence;
    private final RetestService retests;

    RunController(
            RunService runs, MorningService mornings, LoadService loads, Presence presence, RetestService retests) {
        this.retests = retests;
        this.loads = loads;
        this.runs = runs;
        this.mornings = mornings;
        this.presence = presence;
    }

    record NewRun(@NotBlank @Size(max = 64) String id) {}

    record NewBlock(@NotBlank @Size(max = 64) String id, BlockRecord block) {}

    record NewRetest(
            @NotBlank @Size(max = 64) String id,
            BlockId blockId,
            double value,
            @Size(max = 500) String note) {}

    record NewMorning(
            @NotBlank @Size(max = 64) String id,
            MorningQuestion question,
            boolean settled,
            @Nullable Tenths soreness,
            @Nullable @Size(max = 500) String correction) {}

    /** Stop signs with what to do; shown before the start, throughout, and after. */
    @GetMapping("/api/stop-signs")
    List<StopSignText> stopSigns() {
        return StopSignText.all();
    }

    @PostMapping("/api/lines/{lineId}/runs")
    Floor open(@PathVariable String lineId, @Valid @RequestBody NewRun run) {
        return runs.open(lineId, run.id());
    }

    @PostMapping("/api/clients/{clientId}/sessions/{sessionId}/runs")
    Floor openSession(@PathVariable String clientId, @PathVariable String sessionId, @Valid @RequestBody NewRun run) {
        return runs.openSession(clientId, sessionId, run.id());
    }

    @GetMapping("/api/clients/{clientId}/runs")
    List<RunService.RunHead> runs(@PathVariable String clientId) {
        return runs.runs(clientId);
    }

    @GetMapping("/api/clients/{clientId}/load")
    LoadService.Loads load(@PathVariable String clientId) {
        return loads.of(clientId);
    }

    @GetMapping("/api/runs/{runId}")
    Floor floor(@PathVariable String runId) {
        return runs.floor(runId);
    }

    @PostMapping("/api/runs/{runId}/blocks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void block(@PathVariable String runId, @Valid @RequestBody NewBlock block) {
        runs.block(runId, block.id(), block.block());
    }

    @PostMapping("/api/runs/{runId}/movements")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void movement(@PathVariable String runId, @Valid @RequestBody NewRetest m) {
        retests.record(runId, m.id(), m.blockId(), m.value(), m.note());
    }

    /** How many other devices have the session open. */
    record Others(int others) {}

    /** A floor says every few seconds that it has the session open. */
    @PutMapping("/api/runs/{runId}/devices/{device}")
    Others here(@PathVariable String runId, @PathVariable @Size(max = 64) String device) {
        return new Others(presence.here(runId, device));
    }

    @DeleteMapping("/api/runs/{runId}/devices/{device}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void left(@PathVariable String runId, @PathVariable String device) {
        presence.left(runId, device);
    }

    /** The last record of each block. */
    @GetMapping("/api/runs/{runId}/blocks")
    List<BlockRecord> blocks(@PathVariable String runId) {
        return runs.blocks(runId);
    }

    @GetMapping("/api/runs/{runId}/summary")
    Summary summary(@PathVariable String runId) {
        return runs.summary(runId);
    }

    @PostMapping("/api/runs/{runId}/close")
    Summary close(@PathVariable String runId, @RequestBody CloseDraft draft) {
        return runs.close(runId, draft);
    }

    @PostMapping("/api/runs/{runId}/morning")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void morning(@PathVariable String runId, @Valid @RequestBody NewMorning morning) {
        mornings.answer(
                runId, morning.id(), morning.question(), morning.settled(), morning.soreness(), morning.correction());
    }
}
