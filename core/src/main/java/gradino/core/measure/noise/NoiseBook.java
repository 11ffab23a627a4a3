package gradino.core.measure.noise;

import gradino.core.quantity.OutOfBoundsException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The variance of every day's reading: by the tester's own repeatability study from its date on, else by the house values.
 */
public final class NoiseBook {
    private final NoiseRules rules;
    private final Map<Key, List<Entry>> studies;

    /**
     * A study in force.
     *
     * @param who account of the tester
     * @param since readings before it keep the house values
     */
    public record Entry(String who, String motion, Instrument instrument, Instant since, NoiseStudy study) {}

    private record Key(String who, String motion, Instrument instrument) {}

    public NoiseBook(NoiseRules rules, List<Entry> studies) {
        this.rules = rules;
        this.studies =
                studies.stream().collect(Collectors.groupingBy(e -> new Key(e.who(), e.motion(), e.instrument())));
    }

    public static NoiseBook house() {
        return new NoiseBook(NoiseRules.HOUSE, List.of());
    }

    public NoiseRules rules() {
        return rules;
    }

    /**
     * How far a day's reading may be off.
     *
     * @param variance degrees²: σ_day² + f(n)·σ_trial² with a study, else SEM² however many trials
     * @param freedom of the study; 0 for a house value
     */
    public record Noise(double variance, int freedom) {
        public Noise {
            OutOfBoundsException.require("variance of a reading", variance, 0, 10_000, "°²");
        }
    }

    /**
     * @param who account that measured; null when not known
     * @param trials how many the reading is the median of, 1 to 6
     */
    public Noise of(@Nullable String who, Tester tester, String motion, Instrument instrument, Instant at, int trials) {
        return study(who, tester, motion, instrument, at)
                .map(s -> new Noise(s.readingVariance(trials), s.freedom()))
                .filter(noise -> noise.variance() > 0)
                .orElseGet(() -> new Noise(rules.readingVariance(tester), 0));
    }

    /** The newest study of a tester that was there at a moment. */
    public Optional<NoiseStudy> study(
            @Nullable String who, Tester tester, String motion, Instrument instrument, Instant at) {
        if (who == null || tester == Tester.CLIENT || studies.isEmpty()) {
            return Optional.empty();
        }
        return studies.getOrDefault(new Key(who, motion, instrument), List.of()).stream()
                .filter(e -> !e.since().isAfter(at))
                .max(java.util.Comparator.comparing(Entry::since))
                .map(Entry::study);
    }
}
