package gradino.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.measure.Tape.BodyLength;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import java.util.ArrayList;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The tape's geometry over the whole of what a coach may type, against sampling and against its own inverse. */
public class TapeEverywhereTest {

    @DataProvider
    public Object[][] lengths() {
        var rows = new ArrayList<Object[]>();
        for (double shank : new double[] {30, 38, 42, 50}) {
            for (double share : new double[] {0.05, 0.2, 0.4, 0.6, 0.8}) {
                rows.add(new Object[] {shank, shank * share});
            }
        }
        return rows.toArray(Object[][]::new);
    }

    private static BodyLength measured(double shank) {
        return BodyLength.measured(Centimetres.of(shank));
    }

    @Test(dataProvider = "lengths")
    public void theInverseGivesTheLengthBack(double shank, double across) {
        var angle = Tape.footSideways(Centimetres.of(across), measured(shank)).angle();
        assertThat(Tape.acrossFor(angle.value(), Centimetres.of(shank))).isCloseTo(across, within(1e-9));
    }

    /** GUM propagation is first order: a sampled spread agrees within a few per cent where the sine is not yet flat. */
    @Test(dataProvider = "lengths")
    public void theUncertaintyIsTheSpreadOfSampledReadings(double shank, double across) {
        var random = new Random(7);
        int samples = 20_000;
        double sum = 0;
        double squares = 0;
        for (int n = 0; n < samples; n++) {
            double x = across + 0.5 * random.nextGaussian();
            double length = shank + 0.5 * random.nextGaussian();
            double angle = Math.toDegrees(Math.asin(Math.min(1, x / length)));
            sum += angle;
            squares += angle * angle;
        }
        double sampled = Math.sqrt(squares / samples - (sum / samples) * (sum / samples));
        double propagated = Tape.footSideways(Centimetres.of(across), measured(shank))
                .angle()
                .standardUncertainty();
        assertThat(propagated).isCloseTo(sampled, within(0.04 * sampled));
    }

    @Test(dataProvider = "lengths")
    public void aRiseIsTheDifferenceOfItsTwoHeightsAndLessSureThanOneReading(double shank, double across) {
        var rise = Tape.footRise(Centimetres.of(across + 6), Centimetres.of(6), measured(shank));
        var sideways = Tape.footSideways(Centimetres.of(across), measured(shank));
        assertThat(rise.angle().value().value())
                .isCloseTo(sideways.angle().value().value(), within(1e-9));
        assertThat(rise.angle().standardUncertainty())
                .isGreaterThan(sideways.angle().standardUncertainty());
    }

    @Test(dataProvider = "lengths")
    public void aLengthTakenFromStatureIsLessSureThanAMeasuredOne(double shank, double across) {
        var guessed = BodyLength.fromStature(Centimetres.of(shank));
        assertThat(Tape.footSideways(Centimetres.of(across), guessed).angle().standardUncertainty())
                .isGreaterThan(Tape.footSideways(Centimetres.of(across), measured(shank))
                        .angle()
                        .standardUncertainty());
    }

    @Test(dataProvider = "lengths")
    public void furtherAcrossIsMoreDegreesAndNearTheLimitIsSaid(double shank, double across) {
        var here = Tape.footSideways(Centimetres.of(across), measured(shank));
        var further = Tape.footSideways(Centimetres.of(across + 1), measured(shank));
        assertThat(further.angle().value()).isGreaterThan(here.angle().value());
        assertThat(Tape.footSideways(Centimetres.of(shank * 0.95), measured(shank))
                        .nearLimit())
                .isTrue();
        assertThat(here.nearLimit()).isFalse();
    }

    @Test(dataProvider = "lengths")
    public void aFootFurtherThanTheShankIsLongNamesBothNumbers(double shank, double across) {
        assertThatThrownBy(() -> Tape.footSideways(Centimetres.of(shank + across), measured(shank)))
                .isInstanceOf(Tape.DoesNotFitException.class)
                .hasMessageContaining("%.1f cm across".formatted(shank + across))
                .hasMessageContaining("shank of %.1f cm".formatted(shank));
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
