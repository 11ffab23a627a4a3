package gradino.core.prescribe.method;

import gradino.core.because.Source;
import gradino.core.prescribe.method.LadderRung.What;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * A row of a method's file that is a step of its ladder: {@value #BLOCK} in place of a block, roles in place of its kind, numbers
 * in place of its parameter, then by how much, up to where, and in the place of a newcomer's value what a reader calls it.
 */
record LadderRow(
        long row,
        List<String> roles,
        List<String> numbers,
        @Nullable Double step,
        @Nullable String top,
        String called,
        Source source) {
    static final String BLOCK = "ladder";

    /** Empty where a number cannot be read. */
    static Optional<LadderRow> of(CSVRecord row, Source source) {
        try {
            var step = row.get("value");
            var top = row.get("most");
            if (!top.isEmpty() && !LadderRung.POLICY_TOPS.contains(top)) {
                Double.parseDouble(top);
            }
            return Optional.of(new LadderRow(
                    row.getRecordNumber() + 1,
                    parts(row.get("form")),
                    parts(row.get("parameter")),
                    step.isEmpty() ? null : Double.valueOf(step),
                    top.isEmpty() ? null : top,
                    row.get("first"),
                    source));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private static List<String> parts(String cell) {
        return cell.isEmpty() ? List.of() : List.of(cell.split("\\+"));
    }

    private Optional<What> ofLine() {
        return Stream.of(What.ANGLE, What.LOAD, What.OPTION, What.STAGE)
                .filter(what -> roles.isEmpty() && numbers.equals(List.of(what.id())))
                .findFirst();
    }

    LadderRung rung(List<MethodBlock> blocks) {
        return ofLine().map(what -> LadderRung.ofLine(what, source))
                .orElseGet(() -> new LadderRung(words(blocks), What.NUMBER, roles, numbers, step, top, source));
    }

    private String words(List<MethodBlock> blocks) {
        if (!called.isEmpty()) {
            return called;
        }
        return of(blocks)
                .flatMap(b -> numbers.stream()
                        .filter(n -> RoleNumber.has(b.form(), n))
                        .map(n -> RoleNumber.label(b.form(), n)))
                .distinct()
                .collect(Collectors.joining(" and "));
    }

    private Stream<MethodBlock> of(List<MethodBlock> blocks) {
        return blocks.stream().filter(b -> roles.contains(b.role()));
    }

    /** What keeps it from being a step of these blocks, after those before it. */
    Optional<String> wrong(List<MethodBlock> blocks, List<LadderRung> before) {
        if (ofLine().isPresent()) {
            return Optional.empty();
        } else if (roles.isEmpty() || numbers.isEmpty()) {
            return Optional.of("a step is angle, load, option or stage, or it names a role and a number.");
        } else if (numbers.size() > 1 && numbers.contains(RoleNumber.ZONE)) {
            return Optional.of("a zone is a step of its own.");
        } else if (step != null && !(step > 0)) {
            return Optional.of("a step goes up.");
        }
        var unknown = new ArrayList<>(roles);
        unknown.removeAll(blocks.stream().map(MethodBlock::role).toList());
        if (!unknown.isEmpty()) {
            return Optional.of("the method has no block in the role '%s'.".formatted(unknown.get(0)));
        }
        return of(blocks)
                .flatMap(b -> numbers.stream().flatMap(n -> wrong(b, n).stream()))
                .findFirst()
                .or(() -> circle(before));
    }

    private Optional<String> wrong(MethodBlock block, String number) {
        if (!RoleNumber.has(block.form(), number)) {
            return Optional.of("a %s has no '%s'.".formatted(block.form().words(), number));
        }
        var most = RoleNumber.most(block, number);
        if (most.isEmpty() && top == null) {
            return Optional.of("the method does not say how far '%s' goes.".formatted(number));
        }
        boolean beyond =
                limit().filter(to -> most.filter(m -> to > m).isPresent()).isPresent();
        return beyond
                ? Optional.of("its top lies beyond the method's range of '%s'.".formatted(number))
                : Optional.empty();
    }

    private Optional<Double> limit() {
        return Optional.ofNullable(top)
                .filter(t -> !LadderRung.POLICY_TOPS.contains(t))
                .map(Double::valueOf);
    }

    /** The same number again, without going further than before. */
    private Optional<String> circle(List<LadderRung> before) {
        boolean again = before.stream()
                .filter(r -> r.roles().equals(roles) && r.numbers().equals(numbers))
                .anyMatch(r -> r.top() == null || Objects.equals(r.top(), top) || goesFurther(r));
        return again
                ? Optional.of("the ladder goes in a circle: this step does not go further than an earlier one.")
                : Optional.empty();
    }

    private boolean goesFurther(LadderRung earlier) {
        return earlier.top() != null
                && !LadderRung.POLICY_TOPS.contains(earlier.top())
                && limit().filter(to -> to <= Double.parseDouble(earlier.top())).isPresent();
    }
}
