package gradino.core.prescribe.method;

import gradino.core.because.Source;
import gradino.core.because.Unit;
import gradino.core.body.DataFile;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/**
 * A number of a kind of block, from {@code block-parameters.csv}: what it can be at all. What is sensible is the method's.
 *
 * @param step what one press of an arrow key changes
 * @param names what each value from the least on is called, where there are only those; empty for a number as such
 */
public record BlockParameter(
        BlockForm form,
        String name,
        String label,
        String unit,
        double usual,
        double least,
        double most,
        double step,
        List<String> names,
        Source source) {
    public BlockParameter {
        names = List.copyOf(names);
    }

    private static final List<BlockParameter> ALL = DataFile.rows("block-parameters.csv", BlockParameter::row);

    /** Of each form in the order of the file: asked for by every look at a block. */
    private static final Map<BlockForm, List<BlockParameter>> BY_FORM =
            ALL.stream().collect(Collectors.groupingBy(BlockParameter::form));

    private static final Map<BlockForm, Map<String, BlockParameter>> BY_NAME = ALL.stream()
            .collect(Collectors.groupingBy(
                    BlockParameter::form,
                    () -> new EnumMap<>(BlockForm.class),
                    Collectors.toMap(BlockParameter::name, Function.identity())));

    private static final Set<String> EASING =
            Set.of("rest", "settle", "return", "relax", "in", "out", "re-stretch", "bench", "incline");

    /** Whether more of it asks for less. */
    public boolean eases() {
        return EASING.contains(name) && form != BlockForm.PULSES;
    }

    /** Its unit as reasons speak in it. */
    public Unit spoken() {
        return switch (unit) {
            case "s" -> Unit.SECOND;
            case "%" -> Unit.PERCENT;
            case "cm" -> Unit.CENTIMETRE;
            case "°" -> Unit.DEGREE;
            case "kg" -> Unit.KILOGRAM;
            case "of 10" -> Unit.OF_TEN;
            case "", "N/cm" -> Unit.COUNT;
            default -> throw new IllegalStateException("no unit called " + unit);
        };
    }

    public static List<BlockParameter> all() {
        return ALL;
    }

    public static List<BlockParameter> of(BlockForm form) {
        return BY_FORM.getOrDefault(form, List.of());
    }

    public static Optional<BlockParameter> find(BlockForm form, String name) {
        return Optional.ofNullable(BY_NAME.getOrDefault(form, Map.of()).get(name));
    }

    private static BlockParameter row(CSVRecord row) {
        var parameter = new BlockParameter(
                BlockForm.byId(row.get("form")).orElseThrow(() -> new IllegalArgumentException("no such form")),
                row.get("parameter"),
                row.get("label"),
                row.get("unit"),
                Double.parseDouble(row.get("usual")),
                Double.parseDouble(row.get("least")),
                Double.parseDouble(row.get("most")),
                Double.parseDouble(row.get("step")),
                DataFile.list(row.get("names")),
                Source.parse(row.get("source")));
        if (!(parameter.usual() >= parameter.least() && parameter.usual() <= parameter.most())) {
            throw new IllegalArgumentException(parameter.name() + ": usual value outside its range");
        }
        return parameter;
    }
}
