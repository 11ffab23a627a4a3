package gradino.core.effort;

import gradino.core.prescribe.block.PhaseKind;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A measured trace held against the staircase that was asked for: what the coach cannot see by eye. Efforts are percent of the
 * reference contraction; every mean is weighted by time, so that uneven sampling changes nothing.
 *
 * @param steps the working phases in their order
 * @param rmse root of the mean squared distance from the asked effort, points
 * @param within share of the time within ± 10 points, 0 to 1
 * @param fade slope of the least-squares line through the top hold once it was reached, points a second; negative fades; null without two
 *     seconds of a top hold
 * @param unsteadiness standard deviation about that line over its mean, %: the coefficient of variation that force steadiness is
 *     told by (Enoka &amp; Farina 2021, Physiology 36:114-130, from memory); null without a top hold
 * @param measured share of the time that the gauge was heard, 0 to 1
 */
public record TraceAnalysis(
        List<Step> steps,
        double rmse,
        double within,
        @Nullable Double fade,
        @Nullable Double unsteadiness,
        double measured) {
    /** House rule of the floor's band. */
    public static final double BAND_POINTS = 10;

    /** House rule of handling efforts of 90 % and more. */
    public static final int PEAK_WITHIN_SECONDS = 3;

    private static final double STAYS_SECONDS = 0.25;
    /** Through less a slope is tremor (house rule). */
    private static final double SHORTEST_LINE_SECONDS = 2;

    public TraceAnalysis {
        steps = List.copyOf(steps);
    }

    /**
     * One phase of the staircase.
     *
     * @param asked effort at its end, %
     * @param seconds of it that the gauge heard
     * @param mean % over the phase
     * @param peak highest sample, %
     * @param reachedAfterSeconds until the force stayed within the band for a quarter of a second; null when it never did
     * @param peakSecond greatest mean of a whole second that ended within the first {@value #PEAK_WITHIN_SECONDS} s, %: by
     *     which near-maximal steps are judged; null for less than a second
     */
    public record Step(
            PhaseKind kind,
            double asked,
            double seconds,
            double mean,
            double peak,
            double rmse,
            double within,
            @Nullable Double reachedAfterSeconds,
            @Nullable Double peakSecond) {}

    /**
     * @param trace on the same clock as what was asked
     * @param referenceNewtons what 100 % is, 5 to 5000 N
     * @param phases in order; what is no contraction among them is left out
     */
    public static TraceAnalysis of(ForceTrace trace, double referenceNewtons, List<Asked> phases) {
        OutOfBoundsException.require("referenceNewtons", referenceNewtons, 5, 5000, "N");
        var steps = new ArrayList<Step>();
        var whole = new Sums();
        double asked = 0;
        Line top = null;
        for (var phase : phases) {
            if (phase.contraction()) {
                var seen = new Seen(trace, referenceNewtons, phase);
                steps.add(seen.step());
                whole.add(seen.sums);
                asked += phase.seconds();
                top = phase.kind() == PhaseKind.TOP_HOLD ? seen.line() : top;
            }
        }
        return new TraceAnalysis(
                steps,
                whole.rmse(),
                whole.within(),
                top == null ? null : top.slope(),
                top == null ? null : top.unsteadiness(),
                asked == 0 ? 0 : Math.min(1, whole.time / asked));
    }

    private static final class Sums {
        private double time;
        private double force;
        private double squares;
        private double inside;
        private double peak;

        void add(double lasts, double percent, double target) {
            time += lasts;
            force += lasts * percent;
            squares += lasts * (percent - target) * (percent - target);
            inside += Math.abs(percent - target) <= BAND_POINTS ? lasts : 0;
            peak = Math.max(peak, percent);
        }

        void add(Sums other) {
            time += other.time;
            squares += other.squares;
            inside += other.inside;
        }

        double mean() {
            return time == 0 ? 0 : force / time;
        }

        double rmse() {
            return time == 0 ? 0 : Math.sqrt(squares / time);
        }

        double within() {
            return time == 0 ? 0 : inside / time;
        }
    }

    /** A straight line through part of a trace, and what is left about it. */
    private record Line(double slope, double unsteadiness) {}

    /** A phase as the gauge saw it. */
    private static final class Seen {
        private final ForceTrace trace;
        private final double reference;
        private final Asked phase;
        private final Sums sums = new Sums();

        Seen(ForceTrace trace, double reference, Asked phase) {
            this.trace = trace;
            this.reference = reference;
            this.phase = phase;
            for (int i = first(); i < end(); i++) {
                sums.add(trace.lasts(i), percent(i), target(i));
            }
        }

        private int first() {
            return trace.from(phase.startSecond());
        }

        private int end() {
            return trace.from(phase.endSecond());
        }

        private double percent(int i) {
            return 100 * trace.newtons(i) / reference;
        }

        private double target(int i) {
            return phase.percentAt(trace.second(i));
        }

        Step step() {
            return new Step(
                    phase.kind(),
                    phase.toPercent(),
                    sums.time,
                    sums.mean(),
                    sums.peak,
                    sums.rmse(),
                    sums.within(),
                    reached().orElse(null),
                    peakSecond());
        }

        private @Nullable Double peakSecond() {
            double until = Math.min(phase.endSecond(), phase.startSecond() + PEAK_WITHIN_SECONDS);
            return trace.bestSecond(first(), trace.from(until))
                    .map(newtons -> 100 * newtons / reference)
                    .orElse(null);
        }

        private Optional<Double> reached() {
            double stayed = 0;
            for (int i = first(); i < end(); i++) {
                boolean inside = Math.abs(percent(i) - target(i)) <= BAND_POINTS;
                stayed = inside ? stayed + trace.lasts(i) : 0;
                if (stayed >= STAYS_SECONDS - 1e-9) {
                    return Optional.of(trace.second(i) + trace.lasts(i) - stayed - phase.startSecond());
                }
            }
            return Optional.empty();
        }

        /** Through what came once the effort was reached: the rise to it is no fade. */
        @Nullable
        Line line() {
            int from = trace.from(phase.startSecond() + reached().orElse(0.0));
            var part = new Sums();
            double middle = 0;
            for (int i = from; i < end(); i++) {
                part.add(trace.lasts(i), percent(i), target(i));
                middle += trace.lasts(i) * trace.second(i);
            }
            double mean = part.mean();
            return mean <= 0 || part.time < SHORTEST_LINE_SECONDS
                    ? null
                    : line(from, middle / part.time, mean, part.time);
        }

        private Line line(int begin, double middle, double mean, double time) {
            double across = 0;
            double along = 0;
            double spread = 0;
            for (int i = begin; i < end(); i++) {
                double t = trace.second(i) - middle;
                double y = percent(i) - mean;
                across += trace.lasts(i) * t * y;
                along += trace.lasts(i) * t * t;
                spread += trace.lasts(i) * y * y;
            }
            double slope = along == 0 ? 0 : across / along;
            double left = Math.max(0, spread - slope * across) / time;
            return new Line(slope, 100 * Math.sqrt(left) / mean);
        }
    }
}
