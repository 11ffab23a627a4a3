package gradino.core.report;

import gradino.core.measure.noise.Mode;
import gradino.core.measure.reading.RangeReading;
import gradino.core.report.Difference.Weighted;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Two periods beside each other: each series' change in the one and in the other, and how far they differ. The reading that ends one
 * and begins the other stands in both, so its noise counts twice.
 */
public record Comparison(Period first, Period second, List<Both> both) {
    public Comparison {
        both = List.copyOf(both);
    }

    /** @param difference how much more it changed in the second period */
    public record Both(MotionSide of, Mode mode, Pair inFirst, Pair inSecond, Difference difference) {}

    public static Comparison of(List<Series> series, Period first, Period second, ZoneId zone) {
        var both = new ArrayList<Both>();
        for (var one : series) {
            Pair.of(one, first, zone)
                    .flatMap(a -> Pair.of(one, second, zone)
                            .map(b ->
                                    new Both(MotionSide.of(one.key()), one.key().mode(), a, b, difference(a, b))))
                    .ifPresent(both::add);
        }
        both.sort(Comparator.comparing(Both::of).thenComparing(Both::mode));
        return new Comparison(first, second, both);
    }

    private static Difference difference(Pair first, Pair second) {
        Map<RangeReading, Double> weights = new LinkedHashMap<>();
        weights.merge(second.to(), 1.0, Double::sum);
        weights.merge(second.from(), -1.0, Double::sum);
        weights.merge(first.to(), -1.0, Double::sum);
        weights.merge(first.from(), 1.0, Double::sum);
        return Difference.of(weights.entrySet().stream()
                .map(e -> new Weighted(e.getValue(), e.getKey()))
                .toList());
    }
}
