package gradino.server.measure;

import gradino.core.body.Catalogue;
import gradino.core.body.Equipment;
import gradino.core.body.GoalMovement;
import gradino.core.body.Motion;
import gradino.core.body.Position;
import gradino.core.body.Position.TapeFormulaId;
import gradino.core.body.Segment;
import gradino.core.body.Stage;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.reading.Tape;
import gradino.server.platform.Reads;
import jakarta.validation.Valid;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class MeasureController {
    private final MeasureService measure;

    MeasureController(MeasureService measure) {
        this.measure = measure;
    }

    /** Motions, positions, tape formulas and equipment that there are. */
    record Body(
            List<Motion> motions,
            List<Position> positions,
            List<TapeNeed> tapes,
            List<Equipment> equipment,
            List<GoalMovement> movements,
            List<Stage> stages) {}

    /** What a tape formula asks for. */
    record TapeNeed(TapeFormulaId formula, boolean start, List<NeededLength> lengths) {}

    record NeededLength(Segment segment, String words) {}

    /**
     * An angle that a prop is to give.
     *
     * @param body lengths measured just now; the client's file has the others
     */
    record WantedAngle(String position, double degrees, double startCm, Map<Segment, Double> body) {}

    @GetMapping("/api/catalogue")
    Body catalogue() {
        var tapes = Arrays.stream(TapeFormulaId.values())
                .map(f -> new TapeNeed(
                        f,
                        Tape.hasStart(f),
                        Tape.needs(f).stream()
                                .map(s -> new NeededLength(s, s.words()))
                                .toList()))
                .toList();
        return new Body(
                Catalogue.motions(),
                Catalogue.positions(),
                tapes,
                Catalogue.equipment(),
                Catalogue.goalMovements(),
                Stage.all());
    }

    @Reads
    @PostMapping("/api/clients/{clientId}/measurements/preview")
    MeasureService.MeasurePreview preview(@PathVariable String clientId, @Valid @RequestBody MeasurementDraft draft) {
        return measure.preview(clientId, draft);
    }

    @PostMapping("/api/clients/{clientId}/measurements")
    Measurement record(@PathVariable String clientId, @Valid @RequestBody MeasurementDraft draft) {
        return measure.record(clientId, draft);
    }

    @GetMapping("/api/clients/{clientId}/measurements")
    List<Measurement> measurements(@PathVariable String clientId) {
        return measure.of(clientId);
    }

    @PostMapping("/api/clients/{clientId}/props")
    MeasureService.Inverse props(@PathVariable String clientId, @RequestBody WantedAngle wanted) {
        return measure.inverse(clientId, wanted.position(), wanted.degrees(), wanted.startCm(), wanted.body());
    }

    @GetMapping("/api/clients/{clientId}/ranges")
    List<Ranges.RangeRow> ranges(@PathVariable String clientId) {
        return measure.ranges(clientId);
    }

    @GetMapping("/api/clients/{clientId}/ranges/{motion}")
    History.MotionHistory history(
            @PathVariable String clientId,
            @PathVariable String motion,
            @RequestParam String position,
            @RequestParam Instrument instrument,
            @RequestParam(required = false) @Nullable Instant since) {
        return measure.history(clientId, motion, position, instrument, since);
    }
}
