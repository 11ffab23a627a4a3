package gradino.server.measure;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Segment;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.Tester;
import gradino.core.measure.reading.Tape;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.UncertainAngle;
import gradino.server.account.people.Account;
import gradino.server.account.people.SignedIn;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.measure.Measurement.Incline;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes measurements and says what they mean. */
@Service
public class MeasureService {
    private static final Duration CLOCK_SLACK = Duration.ofMinutes(5);

    private final MeasurementRepository measurements;
    private final ColdReadingRepository cold;
    private final ClientService clients;
    private final NoiseService noise;
    private final SignedIn signedIn;
    private final Clock clock;

    MeasureService(
            MeasurementRepository measurements,
            ColdReadingRepository cold,
            ClientService clients,
            NoiseService noise,
            SignedIn signedIn,
            Clock clock) {
        this.measurements = measurements;
        this.cold = cold;
        this.clients = clients;
        this.noise = noise;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /**
     * A measurement while it is typed.
     *
     * @param plusMinus ± 2u of the median's trial, degrees: tape and body length; null for instruments that have none
     * @param sem standard error of measurement that the estimate will use, degrees
     * @param ownSem whether that comes from the coach's own study
     * @param body lengths that a tape reading used
     */
    record MeasurePreview(
            List<UncertainAngle> trials,
            @Nullable Double median,
            @Nullable Double spread,
            @Nullable Double tolerance,
            boolean asksForMore,
            @Nullable Double plusMinus,
            double sem,
            boolean ownSem,
            List<UsedLength> body,
            Ranges.@Nullable Usual usual,
            List<Finding> findings) {}

    /** A body length as used. */
    record UsedLength(Segment segment, String words, double cm, double uncertaintyCm) {}

    @Transactional(readOnly = true)
    MeasurePreview preview(String clientId, MeasurementDraft draft) {
        var client = clients.get(clientId);
        var reading = Bench.read(draft, client.body());
        var trials = reading.trials();
        var me = signedIn.account().map(Account::id).orElse(null);
        var now = StudioClock.now(clock);
        var book = noise.book();
        var study = book.study(me, draft.tester(), draft.motion(), draft.instrument(), now);
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
                trials.map(t -> Math.sqrt(book.of(
                                        me,
                                        draft.tester(),
                                        draft.motion(),
                                        draft.instrument(),
                                        now,
                                        t.angles().size())
                                .variance()))
                        .orElse(Math.sqrt(book.rules().readingVariance(draft.tester()))),
                study.isPresent(),
                reading.body().entrySet().stream()
                        .map(e -> new UsedLength(
                                e.getKey(),
                                e.getKey().words(),
                                e.getValue().length().value(),
                                e.getValue().standardUncertainty()))
                        .toList(),
                ranges(client, book).usual(draft.motion(), draft.position(), draft.mode()),
                reading.findings());
    }

    private Ranges ranges(Client client, NoiseBook book) {
        return new Ranges(client, book, noise.gapLimit(), StudioClock.now(clock), clock.getZone());
    }

    @Transactional
    public Measurement record(String clientId, MeasurementDraft draft) {
        var client = clients.get(clientId);
        var now = StudioClock.now(clock);
        var happened = draft.happenedAt() == null ? now : draft.happenedAt();
        var reading = Bench.read(draft, client.body());
        var findings = new ArrayList<>(reading.findings());
        findings.addAll(when(client.details().birthDate(), happened, now));
        if (signedIn.guest().isPresent() && draft.tester() != Tester.CLIENT) {
            findings.add(Finding.blocking("tester", "tester", null, "", "At home the client measures."));
        }
        Problem.throwIfBlocking(findings);
        var measurement = stored(client, draft, reading, happened, now);
        measurements.insert(List.of(measurement));
        return measurement;
    }

    /** What cannot be right about a measurement's time. */
    private List<Finding> when(@Nullable LocalDate birth, Instant happened, Instant now) {
        if (happened.isAfter(now.plus(CLOCK_SLACK))) {
            return List.of(
                    Finding.blocking("happenedAt", "in-the-future", null, "", "A measurement lies in the past."));
        }
        if (birth != null && LocalDate.ofInstant(happened, clock.getZone()).isBefore(birth)) {
            return List.of(
                    Finding.blocking("happenedAt", "before-birth", null, "", "This lies before the birth date."));
        }
        return List.of();
    }

    @Transactional(readOnly = true)
    public List<Measurement> of(String clientId) {
        clients.get(clientId);
        return measurements.of(clientId);
    }

    @Transactional(readOnly = true)
    public List<Ranges.RangeRow> ranges(String clientId) {
        return ranges(clients.get(clientId), noise.book()).of(cold.of(clientId));
    }

    /** The rows of some motions alone, as the engine takes them. */
    @Transactional(readOnly = true)
    public List<Ranges.RangeRow> ranges(Client client, Collection<String> motions) {
        var series = motions.stream()
                .distinct()
                .flatMap(m -> cold.of(client.id(), m).stream())
                .toList();
        return series.isEmpty() ? List.of() : ranges(client, noise.book()).of(series);
    }

    @Transactional(readOnly = true)
    History.MotionHistory history(
            String clientId, String motion, String position, Instrument instrument, @Nullable Instant since) {
        var client = clients.get(clientId);
        var person = client.person(LocalDate.now(clock));
        return History.of(
                new History.Asked(motion, position, instrument, since, person),
                measurements.of(clientId),
                noise.book(),
                clock.getZone());
    }

    /**
     * The tape's inverse: what to set for an angle.
     *
     * @param readingCm what the tape shows then, rounded so that the angle is not passed
     */
    record Inverse(
            @Nullable Double readingCm,
            @Nullable Double reachedDegrees,
            @Nullable Double plusMinus,
            List<Finding> findings) {}

    @Transactional(readOnly = true)
    Inverse inverse(String clientId, String position, double degrees, double startCm, Map<Segment, Double> typed) {
        var client = clients.get(clientId);
        var formula = Catalogue.position(position).map(Position::tape).orElse(null);
        if (formula == null) {
            throw Problem.invalid("position", "no-tape-here", "A tape gives no angle in this position.");
        }
        var body = client.body();
        typed.forEach((segment, cm) -> body.put(segment, Tape.BodyLength.measured(Centimetres.of(cm))));
        for (var segment : Tape.needs(formula)) {
            if (!body.containsKey(segment)) {
                throw Problem.invalid("tape.body." + segment, "required", "Measure it: " + segment.words() + ".");
            }
        }
        try {
            var solved = Tape.solve(
                    formula,
                    Degrees.of(degrees),
                    startCm,
                    body,
                    client.details().blockStepCm());
            var reached = solved.reached();
            return new Inverse(solved.readingCm(), reached.value().value(), reached.expanded(), List.of());
        } catch (Tape.NotGivenException e) {
            var said = String.valueOf(e.getMessage());
            return new Inverse(null, null, null, List.of(Finding.blocking("degrees", "not-given", null, "°", said)));
        } catch (Tape.DoesNotFitException e) {
            var said = Finding.sentence(String.valueOf(e.getMessage()));
            return new Inverse(null, null, null, List.of(Finding.blocking("degrees", "does-not-fit", null, "°", said)));
        } catch (OutOfBoundsException e) {
            return new Inverse(null, null, null, List.of(Finding.outOfBounds("degrees", e)));
        }
    }

    private Measurement stored(
            Client client, MeasurementDraft draft, Bench.Reading reading, Instant happened, Instant recorded) {
        var incline = draft.incline();
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
                draft.note(),
                signedIn.account().map(Account::id).orElse(null),
                incline == null ? null : new Incline(incline.bench().strip(), incline.degrees()),
                draft.assessmentId());
    }

    private static Measurement.@Nullable TapeInput tape(MeasurementDraft draft, Bench.Reading reading) {
        var typed = draft.tape();
        return typed == null || draft.instrument() != Instrument.TAPE
                ? null
                : new Measurement.TapeInput(typed.lengthsCm(), typed.startCm(), reading.body());
    }
}
