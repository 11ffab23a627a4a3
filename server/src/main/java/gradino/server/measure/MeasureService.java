package gradino.server.measure;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.measure.NoiseRules;
import gradino.core.quantity.UncertainAngle;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes measurements and says what they mean. */
@Service
public class MeasureService {
    private static final Duration CLOCK_SLACK = Duration.ofMinutes(5);

    private final MeasurementRepository measurements;
    private final ClientService clients;
    private final Clock clock;

    MeasureService(MeasurementRepository measurements, ClientService clients, Clock clock) {
        this.measurements = measurements;
        this.clients = clients;
        this.clock = clock;
    }

    /**
     * A measurement while it is typed.
     *
     * @param plusMinus ± 2u of the median's trial, degrees: tape and body length; null for instruments that have none
     * @param shankCm the shank a tape reading used; null for other instruments
     * @param sem standard error of measurement that the estimate will use, degrees
     */
    record MeasurePreview(
            List<UncertainAngle> trials,
            @Nullable Double median,
            @Nullable Double spread,
            @Nullable Double tolerance,
            boolean asksForMore,
            @Nullable Double plusMinus,
            double sem,
            @Nullable Double shankCm,
            boolean shankFromStature,
            Ranges.@Nullable Usual usual,
            List<Finding> findings) {}

    @Transactional(readOnly = true)
    MeasurePreview preview(String clientId, MeasurementDraft draft) {
        var client = clients.get(clientId);
        var reading = Bench.read(draft, client.shank());
        var trials = reading.trials();
        return new MeasurePreview(
                reading.angles(),
                trials.map(t -> t.median().value()).orElse(null),
                trials.map(t -> t.spread()).orElse(null),
                trials.map(t -> t.tolerance()).orElse(null),
                trials.map(t -> t.asksForMore()).orElse(false),
                reading.angles().stream()
                        .map(UncertainAngle::expanded)
                        .filter(e -> e > 0)
                        .max(Double::compare)
                        .orElse(null),
                Math.sqrt(NoiseRules.HOUSE.readingVariance(draft.tester())),
                reading.shank().map(s -> s.length().value()).orElse(null),
                reading.shank().isPresent()
                        && client.details().shankCm() == null
                        && (draft.tape() == null || draft.tape().shankCm() == null),
                Catalogue.norm(draft.motion(), draft.mode().tableMode(), draft.position())
                        .map(n -> new Ranges.Usual(
                                n.lowerEdge(), n.upperEdge(), n.source().text() + ", " + n.population()))
                        .orElse(null),
                reading.findings());
    }

    @Transactional
    public Measurement record(String clientId, MeasurementDraft draft) {
        var client = clients.get(clientId);
        var now = StudioClock.now(clock);
        var happened = draft.happenedAt() == null ? now : draft.happenedAt();
        if (happened.isAfter(now.plus(CLOCK_SLACK))) {
            throw Problem.invalid("happenedAt", "in-the-future", "A measurement lies in the past.");
        }
        var reading = Bench.read(draft, client.shank());
        Problem.throwIfBlocking(reading.findings());
        var measurement = stored(client, draft, reading, happened, now);
        measurements.insert(List.of(measurement));
        return measurement;
    }

    @Transactional(readOnly = true)
    public List<Measurement> of(String clientId) {
        clients.get(clientId);
        return measurements.of(clientId);
    }

    @Transactional(readOnly = true)
    public List<Ranges.RangeRow> ranges(String clientId) {
        var client = clients.get(clientId);
        return Ranges.of(client, measurements.of(clientId), NoiseRules.HOUSE, StudioClock.now(clock));
    }

    private static Measurement stored(
            Client client, MeasurementDraft draft, Bench.Reading reading, Instant happened, Instant recorded) {
        return new Measurement(
                draft.id(),
                client.id(),
                draft.motion(),
                draft.side(),
                draft.mode(),
                draft.warmth(),
                draft.position(),
                draft.instrument(),
                draft.tester(),
                happened,
                recorded,
                reading.trials().orElseThrow(),
                tape(draft, reading),
                draft.endFeel(),
                draft.pain(),
                draft.controlGrade(),
                draft.note());
    }

    private static Measurement.@Nullable TapeInput tape(MeasurementDraft draft, Bench.Reading reading) {
        var typed = draft.tape();
        return typed == null || reading.shank().isEmpty()
                ? null
                : new Measurement.TapeInput(
                        typed.lengthsCm(),
                        typed.startCm(),
                        reading.shank().get().length().value());
    }
}
