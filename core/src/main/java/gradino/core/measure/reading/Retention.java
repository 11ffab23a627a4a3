package gradino.core.measure.reading;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How much of what each session gained was still there the next time: Σ kept ÷ Σ acute gain, over at least four sessions
 * and fourteen days. For understanding only, never a gate.
 *
 * <p>Both sums share readings, so their covariance counts; the interval is Fieller's (1954, J R Stat Soc B 16:175–185) for
 * the ratio of two normal variables. It has no end while the acute gain is not told from zero.
 *
 * @param acuteDegrees Σ (warm − cold)
 * @param keptDegrees Σ (next cold − cold)
 * @param lower95 null when the interval has no end
 * @param borrowed over four weeks and more most acute gains were real while the cold range did not really change
 */
public record Retention(
        int sessions,
        double days,
        double acuteDegrees,
        double keptDegrees,
        double ratio,
        @Nullable Double lower95,
        @Nullable Double upper95,
        int realGains,
        boolean borrowed) {
    private static final int SESSIONS_LEAST = 4;
    private static final double DAYS_LEAST = 14;
    private static final double BORROWED_DAYS = 28;
    private static final double Z2 = 1.959964 * 1.959964;

    /** One session's readings of one series: cold before, warm after, and the cold one of the next time. */
    public record Visit(RangeReading cold, RangeReading warm, RangeReading nextCold) {
        double acute() {
            return warm.degrees() - cold.degrees();
        }

        boolean acuteIsReal() {
            return acute() > 0 && new ReadingChange(cold, warm).isReal();
        }
    }

    /**
     * @param visits in the order of time
     * @return empty while the span is too short to say
     */
    public static Optional<Retention> over(List<Visit> visits) {
        if (visits.size() < SESSIONS_LEAST) {
            return Optional.empty();
        }
        var span = new ReadingChange(
                visits.get(0).cold(), visits.get(visits.size() - 1).nextCold());
        double days = daysBetween(span.from().at(), span.to().at());
        if (days < DAYS_LEAST) {
            return Optional.empty();
        }
        double acute = visits.stream().mapToDouble(Visit::acute).sum();
        double kept = visits.stream()
                .mapToDouble(v -> v.nextCold().degrees() - v.cold().degrees())
                .sum();
        var fieller = Fieller.of(visits, kept, acute);
        int real = (int) visits.stream().filter(Visit::acuteIsReal).count();
        return Optional.of(new Retention(
                visits.size(),
                days,
                acute,
                kept,
                acute == 0 ? Double.NaN : kept / acute,
                fieller.lower(),
                fieller.upper(),
                real,
                days >= BORROWED_DAYS && 2 * real > visits.size() && !span.isReal()));
    }

    private static double daysBetween(Instant from, Instant to) {
        return Duration.between(from, to).toMinutes() / 1440.0;
    }

    /** Variances of the two sums from the weight of every single reading in each, then Fieller's interval. */
    private record Fieller(@Nullable Double lower, @Nullable Double upper) {
        static Fieller of(List<Visit> visits, double kept, double acute) {
            double keptVariance = 0;
            double acuteVariance = 0;
            double covariance = 0;
            for (int i = 0; i < visits.size(); i++) {
                var visit = visits.get(i);
                boolean shared = i > 0 && visits.get(i - 1).nextCold().equals(visit.cold());
                boolean goesOn =
                        i + 1 < visits.size() && visits.get(i + 1).cold().equals(visit.nextCold());
                double keptWeight = shared ? 0 : -1;
                keptVariance += keptWeight * keptWeight * visit.cold().variance();
                keptVariance += goesOn ? 0 : visit.nextCold().variance();
                acuteVariance += visit.cold().variance() + visit.warm().variance();
                covariance += -keptWeight * visit.cold().variance();
            }
            double a = acute * acute - Z2 * acuteVariance;
            double b = kept * acute - Z2 * covariance;
            double c = kept * kept - Z2 * keptVariance;
            double root = b * b - a * c;
            if (!(a > 0) || root < 0) {
                return new Fieller(null, null);
            }
            return new Fieller((b - Math.sqrt(root)) / a, (b + Math.sqrt(root)) / a);
        }
    }
}
