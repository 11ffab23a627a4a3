package gradino.core.body;

import gradino.core.because.Source;

/**
 * A published usual range, from {@code norms.csv}.
 *
 * @param mode passive or active; a reading is only compared with a table of its own mode
 * @param position joint position the table was taken in
 * @param meanDegrees mean of the population
 * @param sdDegrees standard deviation between people, not of the mean
 */
public record Norm(
        String motion,
        String mode,
        String position,
        String population,
        double meanDegrees,
        double sdDegrees,
        Source source) {

    /** Lower edge of the usual range: mean − 1 SD. */
    public double lowerEdge() {
        return meanDegrees - sdDegrees;
    }

    public double upperEdge() {
        return meanDegrees + sdDegrees;
    }
}
