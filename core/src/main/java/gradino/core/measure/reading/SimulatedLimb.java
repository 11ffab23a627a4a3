package gradino.core.measure.reading;

import java.util.Random;

/**
 * An invented limb with an inclinometer strapped to it, for trying the bench without a device: it moves from rest to its
 * end, holds there with a tremor, and comes back. An invented model, not a measurement. Same seed, same movement.
 */
public final class SimulatedLimb {
    private static final double MOUNTING_OFFSET = 4;
    private static final double RISE_SECONDS = 0.8;
    private static final double REST_SECONDS = 2;
    private static final double HOLD_SECONDS = 5;
    private static final double TREMOR = 0.25;
    private static final double REACH_SD = 1.2;

    private final Random random;
    private final double endDegrees;
    private double reach;
    private long cycle = -1;

    /** @param endDegrees where it stops, −30 to 180 */
    public SimulatedLimb(double endDegrees, long seed) {
        this.random = new Random(seed);
        this.endDegrees = endDegrees;
        this.reach = endDegrees;
    }

    /** The device's raw angle at a moment of the simulation, degrees; its mounting adds a few that zeroing takes off. */
    public double degreesAt(double seconds) {
        double period = REST_SECONDS + HOLD_SECONDS;
        long now = (long) Math.floor(seconds / period);
        if (now != cycle) {
            cycle = now;
            reach = endDegrees + REACH_SD * random.nextGaussian();
        }
        double within = seconds - now * period;
        double share = within < REST_SECONDS
                ? Math.exp(-within / (RISE_SECONDS / 2))
                : 1 - Math.exp(-(within - REST_SECONDS) / (RISE_SECONDS / 2));
        double start = now == 0 && within < REST_SECONDS ? 0 : share;
        return MOUNTING_OFFSET + reach * start + TREMOR * random.nextGaussian();
    }
}
