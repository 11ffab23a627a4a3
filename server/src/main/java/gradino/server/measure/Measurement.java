package gradino.server.measure;

import gradino.core.body.Side;
import gradino.core.measure.EndFeel;
import gradino.core.measure.Instrument;
import gradino.core.measure.Mode;
import gradino.core.measure.NoiseRules;
import gradino.core.measure.RangeReading;
import gradino.core.measure.SeriesKey;
import gradino.core.measure.Tester;
import gradino.core.measure.Trials;
import gradino.core.measure.Warmth;
import gradino.core.quantity.PainScore;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A stored measurement. */
public record Measurement(
        String id,
        String clientId,
        String motion,
        Side side,
        Mode mode,
        Warmth warmth,
        String position,
        Instrument instrument,
        Tester tester,
        Instant happenedAt,
        Instant recordedAt,
        Trials trials,
        @Nullable TapeInput tape,
        @Nullable EndFeel endFeel,
        PainScore pain,
        @Nullable Integer controlGrade,
        String note) {

    /**
     * Lengths as they were read.
     *
     * @param lengthsCm foot heights, or sideways distances; one a trial
     * @param startCm foot height at the zero; 0 where the formula has none
     */
    public record TapeInput(List<Double> lengthsCm, double startCm, double shankCm) {
        public TapeInput {
            lengthsCm = List.copyOf(lengthsCm);
        }
    }

    public SeriesKey series() {
        return new SeriesKey(motion, side, mode, position, instrument);
    }

    public RangeReading reading(NoiseRules noise) {
        return new RangeReading(happenedAt, trials.median().value(), noise.readingVariance(tester));
    }
}
