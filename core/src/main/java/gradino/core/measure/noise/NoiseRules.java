package gradino.core.measure.noise;

import gradino.core.quantity.OutOfBoundsException;

/**
 * How noisy a day's reading is taken to be, and how fast a body drifts.
 *
 * @param semCoachDegrees standard error of measurement when a coach or assistant measures, degrees
 * @param semSelfDegrees the same for a client alone at home
 * @param driftPerDay growth of the variance, degrees² a day
 * @param firstVariance variance before the first reading, degrees²
 */
public record NoiseRules(double semCoachDegrees, double semSelfDegrees, double driftPerDay, double firstVariance) {
    public NoiseRules {
        OutOfBoundsException.require("semCoachDegrees", semCoachDegrees, 0.01, 90, "°");
        OutOfBoundsException.require("semSelfDegrees", semSelfDegrees, 0.01, 90, "°");
        OutOfBoundsException.require("driftPerDay", driftPerDay, 0, 1000, "°²");
        OutOfBoundsException.require("firstVariance", firstVariance, 1e-6, 100_000, "°²");
    }

    /** House values (house rule, shown and editable later). */
    public static final NoiseRules HOUSE = new NoiseRules(3, 4, 0.3, 225);

    /** The same with a studio's own standard errors of measurement, each 0.5 to 15°. */
    public NoiseRules withSem(double coach, double self) {
        OutOfBoundsException.require("semCoachDegrees", coach, 0.5, 15, "°");
        OutOfBoundsException.require("semSelfDegrees", self, 0.5, 15, "°");
        return new NoiseRules(coach, self, driftPerDay, firstVariance);
    }

    /** Variance of one day's reading without a repeatability study: SEM², however many trials. */
    public double readingVariance(Tester tester) {
        double sem = tester == Tester.CLIENT ? semSelfDegrees : semCoachDegrees;
        return sem * sem;
    }
}
