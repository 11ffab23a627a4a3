package gradino.core.body;

import gradino.core.because.Source;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** Motions, positions and usual ranges that ship with Gradino, read once from the data files. */
public final class Catalogue {
    private static final List<Motion> MOTIONS = DataFile.rows("motions.csv", Catalogue::motion);
    private static final Map<String, Training> TRAINING = training();
    private static final List<Position> POSITIONS = DataFile.rows("positions.csv", Catalogue::position);
    private static final List<Norm> NORMS = DataFile.rows("norms.csv", Catalogue::norm);
    private static final Map<String, List<Norm>> NORMS_BY_MOTION =
            NORMS.stream().collect(Collectors.groupingBy(Norm::motion));

    private static final List<Equipment> EQUIPMENT = DataFile.rows(
            "equipment.csv", row -> new Equipment(row.get("id"), row.get("name"), Source.parse(row.get("source"))));

    private static final List<GoalMovement> GOAL_MOVEMENTS = readGoalMovements();

    private static final Map<String, Motion> MOTION_BY_ID = byId(MOTIONS, Motion::id);
    private static final Map<String, Position> SHIPPED = byId(POSITIONS, Position::id);
    private static volatile Shelf shelf = new Shelf(POSITIONS, SHIPPED);

    /** What ships and what the studio added. */
    private record Shelf(List<Position> positions, Map<String, Position> byId) {
        static Shelf with(List<Position> own) {
            var all = Stream.concat(POSITIONS.stream(), own.stream()).toList();
            return new Shelf(all, Catalogue.byId(all, Position::id));
        }
    }

    private Catalogue() {}

    /** The studio's own positions stand beside those that ship from now on, in place of any before. */
    public static void own(List<Position> positions) {
        shelf = Shelf.with(positions);
    }

    public static boolean isShipped(String positionId) {
        return SHIPPED.containsKey(positionId);
    }

    private record HintRow(String position, String way, Hint hint) {}

    private static Map<String, Training> training() {
        var hints = DataFile.rows(
                "options.csv",
                row -> new HintRow(row.get("position"), row.get("way"), Hint.of(row.get("words"), row.get("takes"))));
        var easier = hints(hints, "easier");
        var harder = hints(hints, "harder");
        return DataFile.rows("training.csv", row -> Map.entry(row.get("position"), Training.of(row, easier, harder)))
                .stream()
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private static Map<String, List<Hint>> hints(List<HintRow> rows, String way) {
        return rows.stream()
                .filter(r -> r.way().equals(way))
                .collect(Collectors.groupingBy(
                        HintRow::position, Collectors.mapping(HintRow::hint, Collectors.toList())));
    }

    private static <T> Map<String, T> byId(List<T> rows, Function<T, String> id) {
        return rows.stream().collect(Collectors.toUnmodifiableMap(id, Function.identity()));
    }

    public static List<Motion> motions() {
        return MOTIONS;
    }

    /** Those that ship first, then the studio's own. */
    public static List<Position> positions() {
        return shelf.positions();
    }

    public static List<Norm> norms() {
        return NORMS;
    }

    public static Optional<Motion> motion(String id) {
        return Optional.ofNullable(MOTION_BY_ID.get(id));
    }

    public static Optional<Position> position(String id) {
        return Optional.ofNullable(shelf.byId().get(id));
    }

    /** Where a joint is circled: the first position that is for it; the spine's by any part of it. */
    public static Optional<Position> circles(String joint) {
        return positions().stream()
                .filter(p -> p.training() != null && p.training().methods().contains("controlled-circles"))
                .filter(p -> p.id().startsWith(joint.replace(' ', '-'))
                        || p.motions().stream()
                                .flatMap(m -> motion(m).stream())
                                .anyMatch(m -> m.joint().equals(joint)))
                .min(Comparator.comparing(p -> !p.id().startsWith(joint.replace(' ', '-'))));
    }

    public static List<Equipment> equipment() {
        return EQUIPMENT;
    }

    /** What somebody may want to do, and what it takes. */
    public static List<GoalMovement> goalMovements() {
        return GOAL_MOVEMENTS;
    }

    /** Everything published for a motion and mode in a position's own joint position, nearest people first. */
    public static List<Norm> norms(String motion, String mode, String position, Norm.Person person) {
        return fitting(motion, mode, position)
                .sorted(Comparator.comparing(Norm::kind).thenComparingInt(n -> n.distance(person)))
                .toList();
    }

    private static Stream<Norm> fitting(String motion, String mode, String position) {
        var table = position(position).map(Position::table);
        return NORMS_BY_MOTION.getOrDefault(motion, List.of()).stream()
                .filter(n -> n.mode().equals(mode) || n.mode().equals("any"))
                .filter(n -> table.filter(n.position()::equals).isPresent());
    }

    /**
     * The usual range to hold a reading against: of the tables that tell how people differ, the one whose people are
     * nearest. Round numbers and intervals of a mean are no usual range.
     */
    public static Optional<Norm> usual(String motion, String mode, String position, Norm.Person person) {
        return fitting(motion, mode, position)
                .filter(Norm::hasEdges)
                .min(Comparator.comparing(Norm::kind).thenComparingInt(n -> n.distance(person)));
    }

    private record NeedRow(String id, String name, GoalMovement.Need need) {
        static NeedRow of(CSVRecord row) {
            return new NeedRow(
                    row.get("id"),
                    row.get("name"),
                    new GoalMovement.Need(
                            row.get("motion"),
                            Double.parseDouble(row.get("degrees")),
                            Source.parse(row.get("source"))));
        }
    }

    private static List<GoalMovement> readGoalMovements() {
        var byId = DataFile.rows("goal-movements.csv", NeedRow::of).stream()
                .collect(Collectors.groupingBy(NeedRow::id, LinkedHashMap::new, Collectors.toList()));
        return byId.values().stream()
                .map(rows -> new GoalMovement(
                        rows.get(0).id(),
                        rows.get(0).name(),
                        rows.stream().map(NeedRow::need).toList()))
                .toList();
    }

    private static Motion motion(CSVRecord row) {
        return new Motion(
                row.get("id"),
                row.get("joint"),
                row.get("name"),
                row.get("midline").equals("yes"),
                row.get("opposite"),
                row.get("zero"),
                row.get("landmarks"),
                Source.parse(row.get("source")));
    }

    private static Position position(CSVRecord row) {
        return new Position(
                row.get("id"),
                row.get("name"),
                row.get("view"),
                row.get("lying").equals("yes"),
                List.of(row.get("motions").split(";")),
                row.get("table").isEmpty() ? null : row.get("table"),
                row.get("tape").isEmpty() ? null : Position.TapeFormulaId.valueOf(constant(row.get("tape"))),
                row.get("zero"),
                row.get("setup"),
                faults(row),
                TRAINING.get(row.get("id")),
                Source.parse(row.get("source")));
    }

    /** A training position's faults stand with their fixes. */
    private static List<String> faults(CSVRecord row) {
        var training = TRAINING.get(row.get("id"));
        return training == null
                ? DataFile.list(row.get("faults"))
                : training.fixes().stream().map(Training.Pair::what).toList();
    }

    private static Norm norm(CSVRecord row) {
        return new Norm(
                row.get("motion"),
                row.get("mode"),
                row.get("position"),
                row.get("population"),
                row.get("sex"),
                Integer.parseInt(row.get("fromYears")),
                Integer.parseInt(row.get("toYears")),
                Norm.Kind.valueOf(constant(row.get("kind"))),
                Double.parseDouble(row.get("meanDegrees")),
                number(row.get("sdDegrees")),
                number(row.get("lowerDegrees")),
                number(row.get("upperDegrees")),
                Source.parse(row.get("source")));
    }

    private static String constant(String word) {
        return word.toUpperCase(Locale.ROOT).replace('-', '_');
    }

    private static @Nullable Double number(String cell) {
        return cell.isEmpty() ? null : Double.valueOf(cell);
    }
}
