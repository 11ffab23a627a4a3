package gradino.core.advance;

import gradino.core.because.Source;
import gradino.core.because.Unit;
import gradino.core.body.DataFile;
import gradino.core.measure.NoiseRules;
import gradino.core.quantity.OutOfBoundsException;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;

/**
 * The numbers by which steps are judged. A stored decision names the version.
 *
 * @param version changes whenever a number does
 */
public record Policy(String version, Map<Threshold, Entry> entries, NoiseRules noise) {
    private static final Policy HOUSE = load();

    /** One threshold with the range an owner may set it in. */
    public record Entry(double value, Unit unit, double min, double max, Source source) {
        public Entry {
            OutOfBoundsException.require("threshold", value, min, max, unit.suffix());
        }
    }

    public Policy {
        var own = new EnumMap<Threshold, Entry>(Threshold.class);
        own.putAll(entries);
        entries = Collections.unmodifiableMap(own);
        for (var threshold : Threshold.values()) {
            if (!entries.containsKey(threshold)) {
                throw new IllegalArgumentException("policy " + version + " lacks " + threshold);
            }
        }
    }

    public static Policy house() {
        return HOUSE;
    }

    public double value(Threshold threshold) {
        return entry(threshold).value();
    }

    /** A threshold that is a whole number. */
    public int whole(Threshold threshold) {
        return (int) Math.round(value(threshold));
    }

    public Source source(Threshold threshold) {
        return entry(threshold).source();
    }

    public Unit unit(Threshold threshold) {
        return entry(threshold).unit();
    }

    private Entry entry(Threshold threshold) {
        var entry = entries.get(threshold);
        if (entry == null) {
            throw new IllegalStateException("no " + threshold);
        }
        return entry;
    }

    private static Policy load() {
        Map<Threshold, Entry> entries = new EnumMap<>(Threshold.class);
        DataFile.rows("policy-house.csv", Policy::row).forEach(row -> entries.put(row.getKey(), row.getValue()));
        return new Policy("house-2", entries, NoiseRules.HOUSE);
    }

    private static Map.Entry<Threshold, Entry> row(CSVRecord row) {
        var entry = new Entry(
                Double.parseDouble(row.get("value")),
                Unit.valueOf(row.get("unit")),
                Double.parseDouble(row.get("min")),
                Double.parseDouble(row.get("max")),
                Source.parse(row.get("source")));
        return Map.entry(Threshold.valueOf(row.get("threshold")), entry);
    }
}
