package gradino.core.effort;

import gradino.core.because.Finding;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Force over time as a gauge gave it: seconds rising, newtons finite. Between two samples the earlier one holds.
 *
 * <p>Arrays are copied in and never handed out.
 */
public final class ForceTrace {
    /** A gauge of ours gives 50 samples a second; five times that is no gauge any more. */
    public static final double MOST_PER_SECOND = 250;
    /** A longer silence is said, and nothing is made up for it. */
    public static final double LONGEST_SILENCE_SECONDS = 0.25;

    private static final double MOST_NEWTONS = 5000;

    private final double[] seconds;
    private final double[] newtons;

    private ForceTrace(double[] seconds, double[] newtons) {
        this.seconds = seconds;
        this.newtons = newtons;
    }

    /**
     * A trace with what is odd about it; none when it cannot be one.
     *
     * @param trace empty when a finding blocks
     */
    public record Read(Optional<ForceTrace> trace, List<Finding> findings) {}

    /**
     * @param seconds of one steady clock, from any zero
     * @param newtons one for each
     */
    public static Read read(double[] seconds, double[] newtons) {
        var findings = new ArrayList<Finding>();
        if (seconds.length != newtons.length || seconds.length < 2) {
            findings.add(
                    blocking("samples", "too-few", "A trace has a time and a force for each of two samples or more."));
            return new Read(Optional.empty(), findings);
        }
        for (int i = 0; i < seconds.length && findings.isEmpty(); i++) {
            sample(seconds, newtons, i).ifPresent(findings::add);
        }
        double span = seconds[seconds.length - 1] - seconds[0];
        if (findings.isEmpty() && (seconds.length - 1) / span > MOST_PER_SECOND) {
            findings.add(
                    blocking("samples", "too-fast", "More than %.0f samples a second.".formatted(MOST_PER_SECOND)));
        }
        if (!findings.isEmpty()) {
            return new Read(Optional.empty(), findings);
        }
        silences(seconds, findings);
        return new Read(Optional.of(new ForceTrace(seconds.clone(), newtons.clone())), findings);
    }

    private static Optional<Finding> sample(double[] seconds, double[] newtons, int i) {
        var at = "samples[" + i + "]";
        if (!Double.isFinite(seconds[i]) || !(Math.abs(newtons[i]) <= MOST_NEWTONS)) {
            return Optional.of(
                    blocking(at, "not-a-number", "A time and up to %.0f N are expected.".formatted(MOST_NEWTONS)));
        }
        return i > 0 && seconds[i] <= seconds[i - 1]
                ? Optional.of(blocking(at, "time-backwards", "Time must go on from sample to sample."))
                : Optional.empty();
    }

    private static void silences(double[] seconds, List<Finding> findings) {
        for (int i = 1; i < seconds.length; i++) {
            double silent = seconds[i] - seconds[i - 1];
            if (silent > LONGEST_SILENCE_SECONDS) {
                findings.add(Finding.advice(
                        "samples[" + i + "]",
                        "silence",
                        LONGEST_SILENCE_SECONDS,
                        "s",
                        "The gauge was silent for %.1f s; that time is left out.".formatted(silent)));
            }
        }
    }

    private static Finding blocking(String path, String code, String message) {
        return Finding.blocking(path, code, null, "", message);
    }

    public int size() {
        return seconds.length;
    }

    public double second(int i) {
        return seconds[i];
    }

    public double newtons(int i) {
        return newtons[i];
    }

    /** How long a sample stands for: until the next one, but no longer than a silence may be; the last as long as the one before. */
    double lasts(int i) {
        int from = Math.min(i, seconds.length - 2);
        return Math.min(seconds[from + 1] - seconds[from], LONGEST_SILENCE_SECONDS);
    }

    /** The first sample at or after a moment; {@link #size} when there is none. */
    int from(double moment) {
        int found = Arrays.binarySearch(seconds, moment);
        return found >= 0 ? found : -found - 1;
    }

    /**
     * The greatest mean over a whole second, N: what a reference contraction is read by (common practice,
     * no source). Empty for less than a second.
     */
    public Optional<Double> bestSecond() {
        return bestSecond(0, size());
    }

    /** The same over the samples from one to before another. */
    Optional<Double> bestSecond(int from, int end) {
        double best = Double.NEGATIVE_INFINITY;
        double sum = 0;
        double time = 0;
        int start = from;
        for (int i = from; i < end; i++) {
            sum += newtons[i] * lasts(i);
            time += lasts(i);
            while (time - lasts(start) >= 1 - 1e-9) {
                sum -= newtons[start] * lasts(start);
                time -= lasts(start);
                start++;
            }
            if (time >= 1 - 1e-9) {
                best = Math.max(best, sum / time);
            }
        }
        return best == Double.NEGATIVE_INFINITY ? Optional.empty() : Optional.of(best);
    }
}
