package gradino.core.advance.state;

import gradino.core.because.Source;
import gradino.core.because.Unit;
import gradino.core.body.DataFile;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.UncertainAngle;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;

/**
 * The numbers by which steps are judged. A stored decision names the version.
 */
public class Policy {
    private static final Policy HOUSE = load();

    private final String version;
    private final EnumMap<Threshold, Entry> entries;
    private final NoiseRules noise;

    /**
     * One threshold with the range an owner may set it in.
     *
     * @param gate the part of a decision it belongs to
     * @param words what it does
     */
    public record Entry(String gate, String words, double value, Unit unit, double min, double max, Source source) {
        public Entry {
            OutOfBoundsException.require("threshold", value, min, max, unit.suffix());
        }

        Entry withValue(double to) {
            return new Entry(gate, words, to, unit, min, max, source);
        }
    }

    public Policy(String version, Map<Threshold, Entry> entries, NoiseRules noise) {
        this.version = version;
        this.entries = new EnumMap<>(Threshold.class);
        this.entries.putAll(entries);
        this.noise = noise;
        for (var threshold : Threshold.values()) {
            if (!entries.containsKey(threshold)) {
                throw new IllegalArgumentException("policy " + version + " lacks " + threshold);
            }
        }
    }

    public String version() {
        return version;
    }

    public NoiseRules noise() {
        return noise;
    }

    public static Policy house() {
        return HOUSE;
    }

    /**
     * A copy with some numbers set otherwise.
     *
     * @throws OutOfBoundsException for a value outside its range; {@link PolicyCheck} says so beforehand
     */
    public Policy with(String newVersion, Map<Threshold, Double> values) {
        var own = new EnumMap<Threshold, Entry>(entries);
        values.forEach((threshold, value) -> own.put(threshold, entry(threshold).withValue(value)));
        return new Policy(newVersion, own, noise);
    }

    public double value(Threshold threshold) {
        return entry(threshold).value();
    }

    /** A threshold that is a whole number. */
    public int whole(Threshold threshold) {
        return (int) Math.round(value(threshold));
    }

    /** Deepest angle that an estimate allows: min(estimate − margin, estimate − sigmas · standard error). */
    public Degrees deepest(UncertainAngle estimate) {
        double free =
                Math.max(value(Threshold.ANGLE_MARGIN), value(Threshold.ANGLE_SIGMAS) * estimate.standardUncertainty());
        return estimate.value().plus(-free);
    }

    public Source source(Threshold threshold) {
        return entry(threshold).source();
    }

    public Unit unit(Threshold threshold) {
        return entry(threshold).unit();
    }

    /** Every number of the policy is asked for here. */
    public Entry entry(Threshold threshold) {
        var entry = entries.get(threshold);
        if (entry == null) {
            throw new IllegalStateException("no " + threshold);
        }
        return entry;
    }

    /** The same numbers, and whether one was asked for that another policy sets otherwise. */
    public static final class Watched extends Policy {
        private final Set<Threshold> different = EnumSet.noneOf(Threshold.class);
        private final boolean otherNoise;
        private boolean asked;

        public Watched(Policy policy, Policy other) {
            super(policy.version, policy.entries, policy.noise);
            otherNoise = !policy.noise.equals(other.noise);
            for (var threshold : Threshold.values()) {
                if (policy.entry(threshold).value() != other.entry(threshold).value()) {
                    different.add(threshold);
                }
            }
        }

        public void forget() {
            asked = otherNoise;
        }

        /** Since it was last made to forget: what was worked out without may be worked out anew and comes to the same. */
        public boolean wasAsked() {
            return asked;
        }

        @Override
        public Entry entry(Threshold threshold) {
            asked |= different.contains(threshold);
            return super.entry(threshold);
        }
    }

    private static Policy load() {
        Map<Threshold, Entry> entries = new EnumMap<>(Threshold.class);
        DataFile.rows("policy-house.csv", Policy::row).forEach(row -> entries.put(row.getKey(), row.getValue()));
        return new Policy("house-5", entries, NoiseRules.HOUSE);
    }

    private static Map.Entry<Threshold, Entry> row(CSVRecord row) {
        var entry = new Entry(
                row.get("gate"),
                row.get("words"),
                Double.parseDouble(row.get("value")),
                Unit.valueOf(row.get("unit")),
                Double.parseDouble(row.get("min")),
                Double.parseDouble(row.get("max")),
                Source.parse(row.get("source")));
        return Map.entry(Threshold.valueOf(row.get("threshold")), entry);
    }
}
