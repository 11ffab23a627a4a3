package gradino.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.body.Position.TapeFormulaId;
import gradino.core.body.Segment;
import gradino.core.measure.noise.Trials;
import gradino.core.measure.reading.PropGrid;
import gradino.core.measure.reading.Tape;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The tape's geometry over the whole of what a coach may type, against sampling and against its own inverse. */
public class TapeEverywhereTest {

    private static final Map<Segment, BodyLength> BODY = Map.of(
            Segment.SHANK, measured(41),
            Segment.THIGH, measured(43),
            Segment.LEG, measured(86),
            Segment.HIP_CENTRES, measured(18),
            Segment.TOE_TO_ANKLE, measured(15));

    private static BodyLength measured(double cm) {
        return BodyLength.measured(Centimetres.of(cm));
    }

    /** Every formula at angles that a coach meets, where its sine is not yet flat. */
    @DataProvider
    public Object[][] everywhere() {
        var rows = new ArrayList<Object[]>();
        for (var formula : TapeFormulaId.values()) {
            double[] angles = switch (formula) {
                case KNEE_FOLD -> new double[] {60, 90, 120, 140};
                case STRADDLE_TOTAL -> new double[] {20, 60, 90, 120};
                case TOE_WALL -> new double[] {23, 30, 40, 50};
                default -> new double[] {5, 15, 35, 55};
            };
            for (double angle : angles) {
                rows.add(new Object[] {formula, angle});
            }
        }
        return rows.toArray(Object[][]::new);
    }

    private static double start(TapeFormulaId formula) {
        return Tape.hasStart(formula) ? 4 : 0;
    }

    private static Tape at(TapeFormulaId formula, double degrees) {
        double reading = Tape.readingFor(formula, Degrees.of(degrees), start(formula), BODY);
        return new Tape(formula, reading, start(formula), BODY);
    }

    @Test(dataProvider = "everywhere")
    public void theInverseGivesTheAngleBack(TapeFormulaId formula, double degrees) {
        assertThat(at(formula, degrees).angle().value().value()).isCloseTo(degrees, within(1e-9));
    }

    /** GUM propagation is first order: a sampled spread of all inputs agrees within a few per cent. */
    @Test(dataProvider = "everywhere")
    public void theUncertaintyIsTheSpreadOfSampledReadings(TapeFormulaId formula, double degrees) {
        var tape = at(formula, degrees);
        var random = new Random(7);
        int samples = 10_000;
        double sum = 0;
        double squares = 0;
        for (int n = 0; n < samples; n++) {
            var body = new EnumMap<Segment, BodyLength>(Segment.class);
            BODY.forEach((s, l) -> body.put(s, measured(l.length().value() + 0.5 * random.nextGaussian())));
            double start = Math.max(0, tape.startCm() + (tape.startCm() > 0 ? 0.5 * random.nextGaussian() : 0));
            double reading = Math.max(0, tape.reading() + 0.5 * random.nextGaussian());
            double angle =
                    new Tape(formula, reading, start, body).angle().value().value();
            sum += angle;
            squares += angle * angle;
        }
        double sampled = Math.sqrt(squares / samples - (sum / samples) * (sum / samples));
        assertThat(tape.angle().standardUncertainty()).isCloseTo(sampled, within(0.05 * sampled));
    }

    /** A body length's error is common to all readings with it: it is in the value, not in a change. */
    @Test(dataProvider = "everywhere")
    public void aChangeKnowsOnlyTheTapesShareOfTheUncertainty(TapeFormulaId formula, double degrees) {
        var tape = at(formula, degrees);
        double change = tape.readingUncertainty(Tape.READING_U_CM);
        assertThat(Math.hypot(change, tape.bodyUncertainty()))
                .isCloseTo(tape.angle().standardUncertainty(), within(1e-12));
        assertThat(change).isLessThan(tape.angle().standardUncertainty());
    }

    /** Props are rounded so that the wanted angle is never passed, whichever way the formula runs. */
    @Test(dataProvider = "everywhere")
    public void propsNeverPassTheWantedAngle(TapeFormulaId formula, double degrees) {
        for (double step : new double[] {0.5, 1, 2.5}) {
            var solved = Tape.solve(formula, Degrees.of(degrees), start(formula), BODY, step);
            double reached = solved.reached().value().value();
            assertThat(reached).isLessThanOrEqualTo(degrees + 1e-6);
            assertThat(solved.readingCm() / step).isCloseTo(Math.rint(solved.readingCm() / step), within(1e-9));
        }
    }

    /** What a prop cannot give, and the nearest that it does: never an angle beyond the wanted one in its place. */
    @DataProvider
    public Object[][] beyond() {
        var knee = Map.of(
                Segment.THIGH, BodyLength.measured(Centimetres.of(42.5)),
                Segment.SHANK, BodyLength.measured(Centimetres.of(40)));
        var toe = Map.of(
                Segment.TOE_TO_ANKLE, BodyLength.measured(Centimetres.of(15)),
                Segment.SHANK, BodyLength.measured(Centimetres.of(40)));
        return new Object[][] {
            // asin(15/40) = 22.0° with the toes at the wall.
            {TapeFormulaId.TOE_WALL, 10.0, toe, 22.02, 0.0},
            {TapeFormulaId.FOOT_RISE, -15.0, BODY, 0.0, 0.0},
            {TapeFormulaId.FOOT_SIDEWAYS, -4.0, BODY, 0.0, 0.0},
            // 180° − acos((42.5² + 40² − 82²) / (2 · 42.5 · 40)) = 12.6° at 82 cm; 83 cm is longer than the leg.
            {TapeFormulaId.KNEE_FOLD, 3.0, knee, 12.61, 82.0},
        };
    }

    @Test(dataProvider = "beyond")
    public void whatAPropCannotGiveIsSaidWithTheNearest(
            TapeFormulaId formula, double wanted, Map<Segment, BodyLength> body, double nearest, double reading) {
        assertThatThrownBy(() -> Tape.solve(formula, Degrees.of(wanted), 0, body, 1))
                .isInstanceOfSatisfying(Tape.NotGivenException.class, e -> {
                    assertThat(e.nearest().reached().value().value()).isCloseTo(nearest, within(0.05));
                    assertThat(e.nearest().readingCm()).isEqualTo(reading);
                    assertThat(e).hasMessageContaining("nearest");
                });
    }

    @Test(dataProvider = "everywhere")
    public void theAngleRunsOneWayWithTheReading(TapeFormulaId formula, double degrees) {
        var here = at(formula, degrees);
        var further = new Tape(formula, here.reading() + 0.5, here.startCm(), BODY);
        boolean grows = further.angle().value().compareTo(here.angle().value()) > 0;
        assertThat(grows).isEqualTo(formula != TapeFormulaId.KNEE_FOLD);
    }

    @Test
    public void anAngleThatNoTapeCanShowIsRefusedWithItsBound() {
        assertThatThrownBy(() -> Tape.readingFor(TapeFormulaId.HEEL_RISE, Degrees.of(120), 0, BODY))
                .isInstanceOf(Tape.DoesNotFitException.class)
                .hasMessageContaining("120.0°")
                .hasMessageContaining("90°");
    }

    @DataProvider
    public Object[][] steps() {
        return new Object[][] {{0.5}, {1.0}, {2.5}, {5.0}};
    }

    /** Props are rounded down, never up: what is reached never lies above what was wanted. */
    @Test(dataProvider = "steps")
    public void propsNeverGiveMoreThanWasWantedAndAtMostOneStepLess(double step) {
        var grid = new PropGrid.AngleStep(step);
        var random = new Random(11);
        for (int n = 0; n < 200; n++) {
            double wanted = random.nextDouble() * 80;
            double reached = grid.roundDown(Degrees.of(wanted)).value();
            assertThat(reached).isLessThanOrEqualTo(wanted + 1e-6);
            assertThat(wanted - reached).isLessThan(step + 1e-6);
        }
    }

    @DataProvider
    public Object[][] trials() {
        return new Object[][] {
            {new double[] {30}, 30, 0, 1.0},
            {new double[] {30, 34}, 32, 4, 0.5},
            {new double[] {34, 30, 31}, 31, 4, 0.449},
            {new double[] {30, 31, 32, 40}, 31.5, 10, 0.298},
            {new double[] {30, 30, 30, 30, 30}, 30, 0, 0.287},
            {new double[] {1, 2, 3, 4, 5, 6}, 3.5, 5, 0.215},
        };
    }

    @Test(dataProvider = "trials")
    public void medianSpreadAndWeightOfAnyNumberOfTrials(double[] angles, double median, double spread, double factor) {
        var trials = Trials.of(angles);
        assertThat(trials.median().value()).isCloseTo(median, within(1e-9));
        assertThat(trials.spread()).isCloseTo(spread, within(1e-9));
        assertThat(trials.medianVarianceFactor()).isEqualTo(factor);
        assertThat(trials.asksForMore()).isEqualTo(!trials.agree() && angles.length < Trials.MOST);
    }

    /** f(n) is the variance of the median of n standard normal trials: sampled. */
    @Test(dataProvider = "trials")
    public void theWeightIsTheVarianceOfTheSampledMedian(double[] angles, double median, double spread, double factor) {
        var random = new Random(13);
        int samples = 20_000;
        double squares = 0;
        for (int n = 0; n < samples; n++) {
            var drawn = random.doubles(angles.length).toArray();
            for (int i = 0; i < drawn.length; i++) {
                drawn[i] = random.nextGaussian();
            }
            double middle = Trials.of(drawn).median().value();
            squares += middle * middle;
        }
        assertThat(squares / samples).isCloseTo(factor, within(0.04 * factor + 0.005));
    }
}
