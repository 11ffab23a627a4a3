package gradino.server.measure;

import gradino.core.body.Segment;
import gradino.core.body.Side;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.Tester;
import gradino.core.measure.noise.Warmth;
import gradino.core.quantity.PainScore;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A measurement as it is typed.
 *
 * @param id made by the device
 * @param trials degrees; empty when tape lengths are given instead
 * @param happenedAt null for now
 */
record MeasurementDraft(
        @NotBlank @Size(max = 64) String id,
        String motion,
        Side side,
        Mode mode,
        Warmth warmth,
        String position,
        Instrument instrument,
        Tester tester,
        @Nullable Instant happenedAt,
        List<Double> trials,
        @Nullable TapeDraft tape,
        @Nullable EndFeel endFeel,
        PainScore pain,
        @Nullable Integer controlGrade,
        @Size(max = 2000) String note,
        @Nullable @Valid InclineDraft incline,
        @Nullable String assessmentId) {

    /**
     * Lengths as they are typed, in centimetres.
     *
     * @param startCm reading at the zero; 0 where the formula has none
     * @param body body lengths measured just now, by segment; the client's file has the others
     */
    record TapeDraft(List<Double> lengthsCm, double startCm, Map<Segment, Double> body) {}

    /** A bench with an incline. */
    record InclineDraft(@Size(max = 80) String bench, double degrees) {}
}
