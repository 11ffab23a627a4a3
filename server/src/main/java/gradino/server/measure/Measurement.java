package gradino.server.measure;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Segment;
import gradino.core.body.Side;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.noise.Tester;
import gradino.core.measure.noise.Trials;
import gradino.core.measure.noise.Warmth;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.Tape;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.quantity.PainScore;
import java.time.Instant;
import java.util.List;
import java.util.Map;
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
        String note,
        @Nullable String measuredBy,
        @Nullable Incline incline,
        @Nullable String assessmentId) {

    /**
     * Lengths as they were read.
     *
     * @param lengthsCm as the position's formula takes them; one a trial
     * @param startCm reading at the zero; 0 where the formula has none
     * @param body the body lengths that were used
     */
    public record TapeInput(List<Double> lengthsCm, double startCm, Map<Segment, BodyLength> body) {
        public TapeInput {
            lengthsCm = List.copyOf(lengthsCm);
            body = Map.copyOf(body);
        }

        /** Uncertainty that the body lengths put on the value in a position, degrees; 0 where no formula takes them. */
        double bodyUncertainty(String position) {
            var formula = Catalogue.position(position).map(Position::tape).orElse(null);
            if (formula == null || !body.keySet().containsAll(Tape.needs(formula))) {
                return 0;
            }
            return new Tape(formula, lengthsCm.get(0), startCm, body).bodyUncertainty();
        }
    }

    /** A bench with an incline, and how steep it stood. */
    public record Incline(String bench, double degrees) {}

    public SeriesKey series() {
        return new SeriesKey(motion, side, mode, position, instrument);
    }

    public RangeReading reading(NoiseBook book) {
        int n = trials.angles().size();
        var noise = book.of(measuredBy, tester, motion, instrument, happenedAt, n);
        return new RangeReading(happenedAt, trials.median().value(), noise.variance(), n, noise.freedom());
    }

    /** Uncertainty that the body lengths of a tape reading put on its value, degrees; 0 for other instruments. */
    public double bodyUncertainty() {
        return tape == null ? 0 : tape.bodyUncertainty(position);
    }
}
