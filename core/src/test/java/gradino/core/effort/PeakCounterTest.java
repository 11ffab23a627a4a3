package gradino.core.effort;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.testng.annotations.Test;

/** Forces made by formula, so that the count is known. */
public class PeakCounterTest {
    private static final double STEP = 1 / SimulatedPerson.SAMPLES_PER_SECOND;

    private static int count(double seconds, DoubleUnaryOperator newtons) {
        var counter = new PeakCounter();
        int peaks = 0;
        for (double t = 0; t < seconds; t += STEP) {
            peaks += counter.take(t, newtons.applyAsDouble(t)) ? 1 : 0;
        }
        return peaks;
    }

    @Test
    public void eightLiftsAreEightPeaks() {
        assertThat(count(16, t -> 60 * Math.max(0, Math.sin(Math.PI * t)))).isEqualTo(8);
    }

    @Test
    public void noiseAndALimbThatIsHeldAreNone() {
        var random = new Random(3);
        assertThat(count(30, t -> 3 * random.nextGaussian())).isZero();
        assertThat(count(30, t -> 60 + 3 * random.nextGaussian())).isZero();
    }

    @Test
    public void aShakyTopIsOnePeak() {
        assertThat(count(4, t -> t < 3 ? 60 + 15 * Math.sin(2 * Math.PI * 8 * t) : 0))
                .isEqualTo(1);
    }

    @Test
    public void aKnockIsNone() {
        assertThat(count(2, t -> t > 1 && t < 1.1 ? 80 : 0)).isZero();
    }

    @Test
    public void aSimulatedPersonsLiftsAreCounted() {
        var pressing = new SimulatedPerson.Pressing(new SimulatedPerson(SimulatedPerson.Manner.GOOD, 220, 5));
        assertThat(count(20, t -> pressing.follow(t % 4 < 2 ? 40 : 0, 0.5))).isEqualTo(5);
    }
}
