package gradino.core.effort;

import gradino.core.because.Source;
import gradino.core.body.DataFile;
import gradino.core.quantity.OutOfBoundsException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/**
 * How fast the muscles round a joint tire and recover, from {@code fatigue.csv}.
 *
 * @param fatigue F, 1/s
 * @param recovery R, 1/s
 * @param rest multiplier of R while nothing is asked
 */
public record Fatigue(String id, String name, double fatigue, double recovery, double rest, Source source) {
    private static final Map<String, Fatigue> ALL = DataFile.rows("fatigue.csv", Fatigue::row).stream()
            .collect(Collectors.toUnmodifiableMap(Fatigue::id, Function.identity()));
    private static final Map<String, List<String>> BY_JOINT = Map.ofEntries(
            Map.entry("ankle", List.of("ankle")),
            Map.entry("big toe", List.of("ankle")),
            Map.entry("knee", List.of("knee")),
            // No set is published for the hip: the more cautious of the two neighbours is taken, and said.
            Map.entry("hip", List.of("knee", "trunk")),
            Map.entry("lumbar", List.of("trunk")),
            Map.entry("thoracic", List.of("trunk")),
            Map.entry("neck", List.of("trunk")),
            Map.entry("shoulder", List.of("shoulder")),
            Map.entry("elbow", List.of("elbow")),
            Map.entry("wrist", List.of("hand")));

    public Fatigue {
        OutOfBoundsException.require("fatigue", fatigue, 1e-5, 1, "1/s");
        OutOfBoundsException.require("recovery", recovery, 1e-6, 1, "1/s");
        OutOfBoundsException.require("rest", rest, 1, 100, "");
    }

    public static Optional<Fatigue> byId(String id) {
        return Optional.ofNullable(ALL.get(id));
    }

    /** The sets to reckon with for a joint: one, or two neighbours' where none is published. */
    public static List<Fatigue> of(String joint) {
        return BY_JOINT.getOrDefault(joint, List.of("trunk")).stream()
                .map(id -> byId(id).orElseThrow())
                .toList();
    }

    /** Whether the joint has no set of its own. */
    public static boolean isBorrowed(String joint) {
        return !ALL.containsKey(joint) && !joint.equals("wrist");
    }

    private static Fatigue row(CSVRecord row) {
        return new Fatigue(
                row.get("id"),
                row.get("name"),
                Double.parseDouble(row.get("fatigue")),
                Double.parseDouble(row.get("recovery")),
                Double.parseDouble(row.get("rest")),
                Source.parse(row.get("source")));
    }
}
