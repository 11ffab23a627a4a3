package gradino.server.perform.floor;

import gradino.core.measure.noise.Warmth;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.timeline.BlockId;
import gradino.server.measure.Battery.MovementResult;
import gradino.server.measure.Battery.Unit;
import gradino.server.measure.BatteryRepository;
import gradino.server.perform.record.RunRepository;
import gradino.server.perform.record.Running;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Movements that are tested while a session runs: cold before its first work, warm after it. */
@Service
class RetestService {
    private final RunRepository runs;
    private final BatteryRepository results;
    private final Clock clock;

    RetestService(RunRepository runs, BatteryRepository results, Clock clock) {
        this.runs = runs;
        this.results = results;
        this.clock = clock;
    }

    /** Stores what a movement came to in its block; the same id again is the same value, stored once. */
    @Transactional
    void record(String runId, String id, BlockId block, double value, String note) {
        var running = Running.find(runs, runId);
        var phase = running.phases(block).stream()
                .filter(p -> p.block() == BlockKind.MOVEMENT_RETEST)
                .findFirst()
                .orElseThrow(() -> Problem.invalid("blockId", "unknown-block", "No movement is tested in this block."));
        var unit = phase.kind() == PhaseKind.MOVEMENT_GRADE ? Unit.GRADE : Unit.CENTIMETRE;
        if (!(value >= 0 && value <= unit.most())) {
            throw Problem.invalid("value", "out-of-bounds", "Between 0 and %.0f.".formatted(unit.most()));
        }
        var warmth = running.timeline().coldBlocks().contains(block) ? Warmth.COLD : Warmth.WARM;
        var now = StudioClock.now(clock);
        results.insert(new MovementResult(
                id, running.clientId(), null, runId, phase.contact(), unit, warmth, value, now, now, note));
    }
}
