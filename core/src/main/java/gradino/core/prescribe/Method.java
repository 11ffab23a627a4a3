package gradino.core.prescribe;

import gradino.core.because.Source;
import gradino.core.body.DataFile;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;

/** A school of doing it: named parameters with default and range, from {@code methods.csv}. */
public record Method(String id, Map<String, Parameter> parameters) {
    public static final String RAMP_BOTH_WAYS = "ramp-both-ways";
    private static final Map<String, Method> ALL = load();

    /** A parameter's default and the range the composer warns beyond, all in {@code unit}. */
    public record Parameter(String name, int usual, int min, int max, String unit, Source source) {}

    public static Optional<Method> byId(String id) {
        return Optional.ofNullable(ALL.get(id));
    }

    public static Method rampBothWays() {
        return byId(RAMP_BOTH_WAYS).orElseThrow();
    }

    public Parameter parameter(String name) {
        var found = parameters.get(name);
        if (found == null) {
            throw new IllegalArgumentException("method " + id + " has no parameter " + name);
        }
        return found;
    }

    public int usual(String name) {
        return parameter(name).usual();
    }

    /** The staircase 20·40·60·80·100 of the method, before a ceiling cuts it. */
    public RampPattern pattern() {
        var steps = new ArrayList<EffortStep>();
        for (int n = 1; parameters.containsKey("step-" + n); n++) {
            steps.add(new EffortStep(EffortPercent.of(usual("step-" + n)), usual("step-seconds")));
        }
        return new RampPattern(steps);
    }

    /** A newcomer's dose at an angle; also the bases that later resets return to. */
    public Dose firstDose(Degrees angle) {
        return new Dose(
                angle,
                usual("supported-hold"),
                usual("sets"),
                EffortPercent.of(usual("ceiling")),
                usual("top-hold"),
                0,
                0);
    }

    private static Map<String, Method> load() {
        Map<String, Map<String, Parameter>> byMethod = new LinkedHashMap<>();
        for (var row : DataFile.rows("methods.csv", Method::row)) {
            byMethod.computeIfAbsent(row.getKey(), k -> new LinkedHashMap<>())
                    .put(row.getValue().name(), row.getValue());
        }
        Map<String, Method> methods = new LinkedHashMap<>();
        byMethod.forEach((id, parameters) -> methods.put(id, new Method(id, Map.copyOf(parameters))));
        return Map.copyOf(methods);
    }

    private static Map.Entry<String, Parameter> row(CSVRecord row) {
        var parameter = new Parameter(
                row.get("parameter"),
                Integer.parseInt(row.get("default")),
                Integer.parseInt(row.get("min")),
                Integer.parseInt(row.get("max")),
                row.get("unit"),
                Source.parse(row.get("source")));
        if (parameter.usual() < parameter.min() || parameter.usual() > parameter.max()) {
            throw new IllegalArgumentException(parameter.name() + ": default outside its range");
        }
        return Map.entry(row.get("method"), parameter);
    }
}
