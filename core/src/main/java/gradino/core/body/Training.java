package gradino.core.body;

import gradino.core.because.Source;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;

/**
 * What a position is for in training, from {@code training.csv}.
 *
 * @param tissue what is lengthened
 * @param press what pushing out of the range means here; empty where nothing is pressed
 * @param pull what pulling deeper means here; empty where nothing is pulled
 * @param lifts what a lift-off lifts here: the foot, the knee, the leg
 * @param props each with what it does to the angle
 * @param easier ways to ask for less here, each to be taken
 * @param harder ways to ask for more
 * @param fixes faults, each with a cue, a prop or a position to change to
 * @param stops signs that end it here, beside those that end everything
 * @param equipment ids that it needs
 * @param methods ids that suit it
 * @param together whether both sides can work in it in the same stretch of time
 */
public record Training(
        String tissue,
        String press,
        String pull,
        String lifts,
        List<Pair> props,
        List<Hint> easier,
        List<Hint> harder,
        List<Pair> fixes,
        List<String> stops,
        List<String> equipment,
        List<String> methods,
        Together together,
        Source source) {

    /** What is lifted where a position says nothing else. */
    public static final String LIFTS = "the foot";

    /** Both sides in the same stretch of time: never, if the coach likes, or as it is usually done. */
    public enum Together {
        NO,
        MAY,
        USUAL
    }

    /** One thing and what it leads to: a prop and its effect, a fault and its fix. */
    public record Pair(String what, String then) {}

    public Training {
        props = List.copyOf(props);
        easier = List.copyOf(easier);
        harder = List.copyOf(harder);
        fixes = List.copyOf(fixes);
        stops = List.copyOf(stops);
        equipment = List.copyOf(equipment);
        methods = List.copyOf(methods);
    }

    private static final List<Pair> OPPOSITES = List.of(
            new Pair("higher", "lower"),
            new Pair("smaller", "bigger"),
            new Pair("lighter", "heavier"),
            new Pair("shorter", "longer"),
            new Pair("less", "more"));

    static Training of(CSVRecord row, Map<String, List<Hint>> easier, Map<String, List<Hint>> harder) {
        var id = row.get("position");
        return new Training(
                said(row, "tissue"),
                row.get("press"),
                row.get("pull"),
                row.get("lifts").isEmpty() ? LIFTS : row.get("lifts"),
                pairs(row.get("props")),
                easier.getOrDefault(id, List.of()),
                harder.getOrDefault(id, List.of()),
                pairs(said(row, "fixes")),
                DataFile.list(said(row, "stops")),
                DataFile.list(row.get("equipment")),
                DataFile.list(said(row, "methods")),
                Together.valueOf(said(row, "together").toUpperCase(Locale.ROOT)),
                Source.parse(row.get("source")));
    }

    /** What stands here as easier and as harder, in words; empty where each thing goes one way. */
    public List<String> contradictions() {
        var eases = Stream.concat(
                        easier.stream().map(Hint::words),
                        props.stream().filter(p -> p.then().equals("easier")).map(Pair::what))
                .map(Training::thing)
                .toList();
        var asksMore = Stream.concat(
                        harder.stream().map(Hint::words),
                        props.stream()
                                .filter(p ->
                                        p.then().equals("deeper") || p.then().equals("harder"))
                                .map(Pair::what))
                .map(Training::thing)
                .toList();
        return Stream.of(
                        eases.stream().filter(asksMore::contains),
                        eases.stream().filter(w -> eases.contains(turned(w))),
                        asksMore.stream().filter(w -> asksMore.contains(turned(w))),
                        easier.stream().filter(h -> !h.goesAsSaid(true)).map(Hint::words),
                        harder.stream().filter(h -> !h.goesAsSaid(false)).map(Hint::words))
                .flatMap(s -> s)
                .distinct()
                .toList();
    }

    private static String thing(String words) {
        return words.replaceFirst("^(a|an|the) ", "");
    }

    /** "lower bench" for "higher bench", and so on; the same where it has no other side. */
    private static String turned(String words) {
        for (var pair : OPPOSITES) {
            if (words.startsWith(pair.what() + " ")) {
                return pair.then() + words.substring(pair.what().length());
            } else if (words.startsWith(pair.then() + " ")) {
                return pair.what() + words.substring(pair.then().length());
            }
        }
        return "";
    }

    /** Whether a higher bench goes deeper here; elsewhere a lower one does. */
    public boolean higherBenchDeeper() {
        return Stream.concat(
                        easier.stream().filter(h -> h.take() == Hint.Take.BENCH).map(h -> -h.by()),
                        harder.stream().filter(h -> h.take() == Hint.Take.BENCH).map(Hint::by))
                .anyMatch(by -> by > 0);
    }

    private static String said(CSVRecord row, String column) {
        if (row.get(column).isBlank()) {
            throw new IllegalArgumentException(column + " must say something");
        }
        return row.get(column);
    }

    private static List<Pair> pairs(String cell) {
        return DataFile.list(cell).stream().map(Training::pair).toList();
    }

    private static Pair pair(String text) {
        int arrow = text.indexOf('>');
        if (arrow < 0) {
            throw new IllegalArgumentException("'" + text + "' needs what > then");
        }
        return new Pair(text.substring(0, arrow), text.substring(arrow + 1));
    }
}
