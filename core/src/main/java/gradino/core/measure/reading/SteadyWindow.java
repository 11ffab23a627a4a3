package gradino.core.measure.reading;

import gradino.core.measure.noise.Agreement;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An inclinometer's stream turned into a reading: the mean of the last second, once the limb is held still. State in, new
 * state out.
 *
 * <p>Steady (house rule): at least {@value #LEAST_SAMPLES} samples over {@value #WINDOW_MILLIS} ms whose standard
 * deviation is below {@value #STEADY_SD}°. A gap over {@value #GAP_MILLIS} ms, or time running backwards, starts the window
 * anew: a mean is never taken across a hole.
 *
 * @param zeroDegrees taken off every sample
 * @param samples newest last, at most one window long
 */
public record SteadyWindow(double zeroDegrees, List<Sample> samples) {
    static final long WINDOW_MILLIS = 1000;
    static final long GAP_MILLIS = 400;
    static final int LEAST_SAMPLES = 8;
    static final double STEADY_SD = 0.7;

    public static final SteadyWindow EMPTY = new SteadyWindow(0, List.of());

    /** One sample of the device, raw degrees. */
    public record Sample(long millis, double degrees) {
        public Sample {
            OutOfBoundsException.require("sample of the inclinometer", degrees, -360, 360, "°");
        }
    }

    /** A steady mean with its spread, in degrees from the zero. */
    public record Held(double degrees, double sd, int samples) {}

    public SteadyWindow {
        OutOfBoundsException.require("zero", zeroDegrees, -360, 360, "°");
        samples = List.copyOf(samples);
    }

    public SteadyWindow next(Sample sample) {
        var kept = new ArrayList<Sample>();
        boolean joined = !samples.isEmpty() && joins(samples.get(samples.size() - 1), sample);
        if (joined) {
            samples.stream()
                    .filter(s -> sample.millis() - s.millis() < WINDOW_MILLIS)
                    .forEach(kept::add);
        }
        kept.add(sample);
        return new SteadyWindow(zeroDegrees, kept);
    }

    private static boolean joins(Sample before, Sample sample) {
        long gap = sample.millis() - before.millis();
        return gap > 0 && gap <= GAP_MILLIS;
    }

    /** What is shown now becomes 0; null samples so far leave it as it is. */
    public SteadyWindow zeroedHere() {
        return samples.isEmpty() ? this : new SteadyWindow(rawMean(), samples);
    }

    /** The angle now, degrees from the zero; null before the first sample. */
    public @Nullable Double angle() {
        return samples.isEmpty() ? null : samples.get(samples.size() - 1).degrees() - zeroDegrees;
    }

    /** The reading, once the limb is still; null before. */
    public @Nullable Held held() {
        if (samples.size() < LEAST_SAMPLES || !spansWindow()) {
            return null;
        }
        double sd = Agreement.sd(raw());
        return sd < STEADY_SD ? new Held(rawMean() - zeroDegrees, sd, samples.size()) : null;
    }

    private boolean spansWindow() {
        long span = samples.get(samples.size() - 1).millis() - samples.get(0).millis();
        return span >= WINDOW_MILLIS * 3 / 4;
    }

    private double rawMean() {
        return Agreement.mean(raw());
    }

    private double[] raw() {
        return samples.stream().mapToDouble(Sample::degrees).toArray();
    }
}
