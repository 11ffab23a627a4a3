package gradino.core.report.studio;

import gradino.core.measure.reading.ReadingChange;
import java.util.Collection;
import org.jspecify.annotations.Nullable;

/**
 * A mean over people with its 95 % interval (Student's t). Of fewer than {@value #LEAST} nothing is said but how many they are.
 *
 * @param n people
 * @param value null for a small group
 * @param deviation standard deviation between them; null for a small group
 */
public record Mean(
        int n,
        @Nullable Double value,
        @Nullable Double lower,
        @Nullable Double upper,
        @Nullable Double deviation) {
    public static final int LEAST = 5;

    /** @param values one a person */
    public static Mean of(Collection<Double> values) {
        int n = values.size();
        if (n < LEAST) {
            return new Mean(n, null, null, null, null);
        }
        double mean = values.stream().mapToDouble(v -> v).average().orElse(0);
        double squares =
                values.stream().mapToDouble(v -> (v - mean) * (v - mean)).sum();
        double deviation = Math.sqrt(squares / (n - 1));
        double bound = ReadingChange.k(n - 1) * deviation / Math.sqrt(n);
        return new Mean(n, mean, mean - bound, mean + bound, deviation);
    }
}
