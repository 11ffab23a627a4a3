package gradino.server.device;

import gradino.core.measure.reading.SimulatedLimb;
import gradino.core.measure.reading.SteadyWindow;
import gradino.core.measure.reading.SteadyWindow.Held;
import gradino.core.measure.reading.SteadyWindow.Sample;
import gradino.server.platform.Problem;
import org.jspecify.annotations.Nullable;

/** Streams its angle at 20 Hz, on an invented limb; what becomes of the samples is core's {@link SteadyWindow}. */
final class Inclinometer extends Cabled {
    private static final long MILLIS_A_SAMPLE = 50;

    private final SimulatedLimb limb;
    private SteadyWindow window = SteadyWindow.EMPTY;
    private long next;

    /** @param endDegrees where the invented limb stops */
    Inclinometer(String id, double endDegrees, long seed) {
        super(id);
        if (!(endDegrees >= -30 && endDegrees <= 180)) {
            throw Problem.invalid("inclinometer.endDegrees", "out-of-bounds", "Between −30 and 180°.");
        }
        this.limb = new SimulatedLimb(endDegrees, seed);
    }

    /**
     * What it says now.
     *
     * @param degrees from the zero; null before the first sample
     * @param held the mean of the last second, once it is steady; null before
     */
    record Reading(
            String deviceId,
            boolean plugged,
            @Nullable Double degrees,
            @Nullable Held held) implements Told {}

    @Override
    public void measure(long millis) {
        for (; next <= millis; next += MILLIS_A_SAMPLE) {
            if (plugged()) {
                window = window.next(new Sample(next, limb.degreesAt(next / 1000.0)));
                somethingNew();
            }
        }
    }

    @Override
    public @Nullable Told news() {
        return tellAll() ? null : reading();
    }

    Reading reading() {
        return new Reading(id(), plugged(), window.angle(), plugged() ? window.held() : null);
    }

    /** What is shown now becomes 0. */
    Reading zero() {
        window = window.zeroedHere();
        return reading();
    }

    /** The steady mean; refused while the limb still moves or the cable is out. */
    Reading hold() {
        if (!plugged()) {
            throw Problem.invalid("device", "unplugged", "The device is not there: plug it in again.");
        }
        if (reading().held() == null) {
            throw Problem.invalid("device", "not-steady", "Not steady yet: hold the limb still for a second.");
        }
        return reading();
    }
}
