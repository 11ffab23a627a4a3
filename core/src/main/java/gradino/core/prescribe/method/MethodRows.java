package gradino.core.prescribe.method;

import gradino.core.prescribe.method.MethodBlock.Range;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A method as the rows of its file. */
final class MethodRows {
    private final String id;
    private final String source;
    private final List<List<String>> rows = new ArrayList<>();

    private MethodRows(Method method) {
        this.id = method.id();
        this.source = method.source().text();
    }

    static List<List<String>> of(Method method) {
        var rows = new MethodRows(method);
        rows.word("name", method.name());
        rows.word("variant-of", method.variantOf());
        rows.word("summary", method.summary());
        rows.range("", "", "week", method.week());
        var rules = method.rules();
        rows.word("breath", rules.breath().id());
        rows.word("breath-words", rules.breathWords());
        rows.word("cramp", rules.cramp().id());
        rows.word("stretching", rules.stretching().id());
        rows.word("stretching-words", rules.stretchingWords());
        rows.word("suits", String.join(";", method.suits()));
        rows.range("", "", "set-up", method.setUp());
        rows.range("", "", "side-change", method.sideChange());
        rows.stated("spacing", method.spacing());
        rows.stated("weekly-cap", method.weeklyCap());
        method.blocks().forEach(rows::block);
        method.ladder().forEach(rows::rung);
        return rows.rows;
    }

    private void block(MethodBlock block) {
        var form = block.form().id();
        rows.add(List.of(id, block.number(), form, "", "", "", "", "", source));
        if (!block.steps().isEmpty()) {
            var steps = block.steps().stream()
                    .map(t -> plain(t.effort()) + ":" + plain(t.seconds()))
                    .collect(Collectors.joining(";"));
            rows.add(List.of(id, block.number(), form, "steps", steps, "", "", "", source));
        }
        block.numbers().entrySet().stream()
                .sorted(java.util.Map.Entry.comparingByKey())
                .forEach(e -> range(block.number(), form, e.getKey(), e.getValue()));
        block.words().entrySet().stream()
                .sorted(java.util.Map.Entry.comparingByKey())
                .forEach(
                        e -> rows.add(List.of(id, block.number(), form, e.getKey(), e.getValue(), "", "", "", source)));
        block.blocks().forEach(this::block);
    }

    private void rung(LadderRung rung) {
        rows.add(List.of(
                id,
                LadderRow.BLOCK,
                String.join("+", rung.roles()),
                rung.what() == LadderRung.What.NUMBER
                        ? String.join("+", rung.numbers())
                        : rung.what().id(),
                rung.step() == null ? "" : plain(rung.step()),
                "",
                rung.top() == null ? "" : rung.top(),
                rung.what() == LadderRung.What.NUMBER ? rung.words() : "",
                rung.source().text()));
    }

    private void stated(String name, @Nullable Range range) {
        if (range != null) {
            range("", "", name, range);
        }
    }

    private void word(String name, String value) {
        rows.add(List.of(id, "", "", name, value, "", "", "", source));
    }

    private void range(String block, String form, String name, Range range) {
        rows.add(List.of(
                id,
                block,
                form,
                name,
                plain(range.usual()),
                plain(range.least()),
                plain(range.most()),
                plain(range.first()),
                range.source().text()));
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
