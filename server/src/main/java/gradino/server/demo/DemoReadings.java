package gradino.server.demo;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.noise.Tester;
import gradino.core.measure.noise.Trials;
import gradino.core.measure.noise.Warmth;
import gradino.core.measure.reading.Tape;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.PainScore;
import gradino.server.account.people.Tokens;
import gradino.server.intake.Client;
import gradino.server.measure.Measurement;
import gradino.server.measure.Measurement.TapeInput;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Readings of an invented client: the truth with a day's and a trial's noise on it. */
final class DemoReadings {
    private static final double TRIAL_SD = 1.0;
    private static final double DAY_SD = 1.4;
    private static final double TAPE_START_CM = 4;

    private final Client client;
    private final Random random;
    private final @Nullable String assessmentId;
    private final EndFeel feel;

    /** @param feel of the end, passive */
    DemoReadings(Client client, Random random, EndFeel feel) {
        this(client, random, feel, null);
    }

    DemoReadings(Client client, Random random, EndFeel feel, @Nullable String assessmentId) {
        this.feel = feel;
        this.client = client;
        this.random = random;
        this.assessmentId = assessmentId;
    }

    private static final int LETTERS_OF_AN_ID = 16;

    Measurement cold(SeriesKey series, double truth, Instant at) {
        return reading(series, Warmth.COLD, truth, at);
    }

    Measurement warm(SeriesKey series, double truth, Instant at) {
        return reading(series, Warmth.WARM, truth, at);
    }

    private Measurement reading(SeriesKey series, Warmth warmth, double truth, Instant at) {
        double day = truth + random.nextGaussian() * DAY_SD;
        var degrees = IntStream.range(0, Trials.USUAL)
                .mapToObj(n -> (double) Math.round(day + random.nextGaussian() * TRIAL_SD))
                .toList();
        var tape = series.instrument() == Instrument.TAPE ? tape(series.position(), degrees) : null;
        var angles = tape == null ? degrees.stream().map(Degrees::of).toList() : angles(series.position(), tape);
        var named = "%s %s %d".formatted(series, warmth, at.toEpochMilli());
        var id = client.id() + "-" + Tokens.digest(named).substring(0, LETTERS_OF_AN_ID);
        return new Measurement(
                id,
                client.id(),
                series.motion(),
                series.side(),
                series.mode(),
                warmth,
                series.position(),
                series.instrument(),
                Tester.COACH,
                at,
                at,
                new Trials(angles),
                tape,
                series.mode() == Mode.PASSIVE ? feel : EndFeel.MUSCULAR_EFFORT,
                PainScore.NONE,
                series.mode() == Mode.ACTIVE ? 2 : null,
                "",
                "demo-coach",
                null,
                assessmentId);
    }

    private static Position.TapeFormulaId formula(String position) {
        var formula = Catalogue.position(position).map(Position::tape).orElse(null);
        if (formula == null) {
            throw new IllegalArgumentException("no tape in " + position);
        }
        return formula;
    }

    private TapeInput tape(String position, List<Double> degrees) {
        var formula = formula(position);
        double start = Tape.hasStart(formula) ? TAPE_START_CM : 0;
        var lengths = degrees.stream()
                .map(d -> Tape.readingFor(formula, Degrees.of(d), start, client.body()))
                .map(cm -> Math.round(cm * 2) / 2.0)
                .toList();
        return new TapeInput(lengths, start, client.body());
    }

    private static List<Degrees> angles(String position, TapeInput tape) {
        var formula = formula(position);
        return tape.lengthsCm().stream()
                .map(cm -> new Tape(formula, cm, tape.startCm(), tape.body())
                        .angle()
                        .value())
                .toList();
    }
}
