package gradino.core.prescribe.method;

import gradino.core.because.Finding;
import gradino.core.because.Source;
import gradino.core.prescribe.method.BlockDraft.Tread;
import gradino.core.prescribe.method.MethodBlock.Range;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * Methods as a file (RFC 4180): a row a field of the method, a row a block, a row a number or word of a block. What a row may
 * not say is a finding that names the row.
 */
public final class MethodFile {
    public static final List<String> COLUMNS =
            List.of("method", "block", "form", "parameter", "value", "least", "most", "first", "source");
    private static final CSVFormat FORMAT =
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();
    private static final Set<String> WORDS = Set.of(
            "name",
            "variant-of",
            "summary",
            "breath",
            "breath-words",
            "cramp",
            "stretching",
            "stretching-words",
            "suits");
    private static final Set<String> RANGES = Set.of("week", "set-up", "side-change");
    private static final Set<String> STATED = Set.of("spacing", "weekly-cap");

    private final String file;
    private final List<Finding> findings = new ArrayList<>();
    private final Map<String, Draft> drafts = new LinkedHashMap<>();

    private MethodFile(String file) {
        this.file = file;
    }

    /** Methods that could be read, and what was wrong. */
    public record Read(List<Method> methods, List<Finding> findings) {}

    public static Read read(String file, String text) {
        var reader = new MethodFile(file);
        try (var parser = CSVParser.parse(text, FORMAT)) {
            if (!parser.getHeaderNames().equals(COLUMNS)) {
                return new Read(
                        List.of(),
                        List.of(reader.finding(
                                1, "unknown-header", "the columns are " + String.join(", ", COLUMNS) + ".")));
            }
            parser.forEach(reader::row);
        } catch (UncheckedIOException | IOException e) {
            return new Read(List.of(), List.of(reader.finding(1, "not-csv", "this is no CSV: " + e.getMessage())));
        }
        var methods = new ArrayList<Method>();
        reader.drafts.forEach((id, draft) -> reader.method(id, draft).ifPresent(methods::add));
        return new Read(List.copyOf(methods), List.copyOf(reader.findings));
    }

    /** Methods as a file that {@link #read} takes again. */
    public static String write(List<Method> methods) {
        var text = new StringBuilder();
        try (var printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
            printer.printRecord(COLUMNS);
            for (var method : methods) {
                MethodRows.of(method).forEach(row -> print(printer, row));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static void print(CSVPrinter printer, List<String> row) {
        try {
            printer.printRecord(row);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A method while its rows come in. */
    private static final class Draft {
        private final Map<String, String> words = new LinkedHashMap<>();
        private final Map<String, Range> ranges = new LinkedHashMap<>();
        private final Map<String, BlockRows> blocks = new LinkedHashMap<>();
        private final List<LadderRow> ladder = new ArrayList<>();
        private Source source = Source.parse("common practice, no source");
        private long row;
    }

    private record BlockRows(
            BlockForm form, Map<String, Range> numbers, Map<String, String> words, List<Tread> steps, long row) {}

    private void row(CSVRecord row) {
        if (row.size() != COLUMNS.size()) {
            say(row, "cells", "has %d cells, %d are expected.".formatted(row.size(), COLUMNS.size()));
            return;
        }
        var draft = drafts.computeIfAbsent(row.get("method"), id -> new Draft());
        draft.row = draft.row == 0 ? number(row) : draft.row;
        if (row.get("block").isEmpty()) {
            methodField(row, draft);
        } else if (row.get("block").equals(LadderRow.BLOCK)) {
            source(row)
                    .ifPresent(source -> LadderRow.of(row, source)
                            .ifPresentOrElse(draft.ladder::add, () -> say(row, "unreadable", "a number is expected.")));
        } else {
            blockField(row, draft);
        }
    }

    private void methodField(CSVRecord row, Draft draft) {
        var parameter = row.get("parameter");
        var wrong = wrongRule(parameter, row.get("value"));
        if (wrong.isPresent()) {
            say(row, "unreadable", wrong.get());
        } else if (WORDS.contains(parameter)) {
            draft.words.put(parameter, row.get("value"));
            source(row).ifPresent(s -> draft.source = s);
        } else if (RANGES.contains(parameter) || STATED.contains(parameter)) {
            range(row, 0, 600).ifPresent(r -> draft.ranges.put(parameter, r));
        } else {
            say(row, "unknown-field", "unknown field '" + parameter + "'.");
        }
    }

    /** Rules are named, not told. */
    private static Optional<String> wrongRule(String parameter, String value) {
        return switch (parameter) {
            case "cramp" -> told(Cramp.byId(value), "cramp is expected, allowed or ease off.");
            case "breath" -> told(BreathRule.byId(value), "breath is small when hard, each way, flowing or gauge.");
            case "stretching" -> told(Stretching.byId(value), "stretching is held, not to the last, short or none.");
            default -> Optional.empty();
        };
    }

    private static Optional<String> told(Optional<?> rule, String otherwise) {
        return rule.isPresent() ? Optional.empty() : Optional.of(otherwise);
    }

    private void blockField(CSVRecord row, Draft draft) {
        var form = BlockForm.byId(row.get("form"));
        if (form.isEmpty()) {
            say(row, "unknown-form", "no block called '" + row.get("form") + "'.");
            return;
        }
        var block = draft.blocks.computeIfAbsent(
                row.get("block"),
                n -> new BlockRows(
                        form.get(), new LinkedHashMap<>(), new LinkedHashMap<>(), new ArrayList<>(), number(row)));
        var parameter = row.get("parameter");
        var known = BlockParameter.find(form.get(), parameter);
        if (block.form() != form.get()) {
            say(
                    row,
                    "two-forms",
                    "block %s is a %s already."
                            .formatted(row.get("block"), block.form().id()));
        } else if (known.isPresent()) {
            range(row, known.get().least(), known.get().most())
                    .ifPresent(r -> block.numbers().put(parameter, r));
        } else if (parameter.equals("steps")) {
            steps(row, block.steps());
        } else if (parameter.equals(MethodBlock.ROLE)
                || BlockWord.find(form.get(), parameter).isPresent()) {
            word(row, form.get(), parameter, block);
        } else if (!parameter.isEmpty()) {
            say(row, "unknown-field", "a %s has no '%s'.".formatted(form.get().id(), parameter));
        }
    }

    private void word(CSVRecord row, BlockForm form, String name, BlockRows block) {
        var value = row.get("value");
        if (BlockWord.find(form, name).filter(w -> !w.allows(value)).isPresent()) {
            say(row, "unreadable", "'%s' is none of what %s can be.".formatted(value, name));
        } else {
            block.words().put(name, value);
        }
    }

    private void steps(CSVRecord row, List<Tread> into) {
        for (var part : row.get("value").split(";")) {
            var cells = part.split(":");
            try {
                into.add(new Tread(Double.parseDouble(cells[0]), Double.parseDouble(cells[1])));
            } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
                say(row, "unreadable", "steps are effort:seconds, separated by semicolons.");
                return;
            }
        }
    }

    private Optional<Range> range(CSVRecord row, double lowest, double highest) {
        try {
            double usual = Double.parseDouble(row.get("value"));
            double least = or(row.get("least"), usual);
            double most = or(row.get("most"), usual);
            double first = or(row.get("first"), usual);
            boolean ordered = least <= usual && usual <= most && least <= first && first <= most;
            if (!ordered || least < lowest || most > highest) {
                say(
                        row,
                        "out-of-bounds",
                        "least, value and most must rise, between %.0f and %.0f.".formatted(lowest, highest));
                return Optional.empty();
            }
            return source(row).map(s -> new Range(usual, least, most, first, s));
        } catch (NumberFormatException e) {
            say(row, "unreadable", "a number is expected.");
            return Optional.empty();
        }
    }

    private static double or(String cell, double fallback) {
        return cell.isEmpty() ? fallback : Double.parseDouble(cell);
    }

    private Optional<Source> source(CSVRecord row) {
        if (row.get("source").isBlank()) {
            say(row, "no-source", "say where it comes from: a source, common practice, or house rule.");
            return Optional.empty();
        }
        return Optional.of(Source.parse(row.get("source")));
    }

    private Optional<Method> method(String id, Draft draft) {
        var missing = new ArrayList<String>();
        WORDS.stream()
                .filter(w -> !w.equals("variant-of") && !draft.words.containsKey(w))
                .sorted()
                .forEach(missing::add);
        RANGES.stream().filter(r -> !draft.ranges.containsKey(r)).sorted().forEach(missing::add);
        if (draft.ladder.isEmpty()) {
            missing.add("a ladder");
        }
        if (id.isBlank() || !missing.isEmpty() || draft.blocks.isEmpty()) {
            var what = missing.isEmpty() ? "an id and blocks" : String.join(", ", missing);
            findings.add(finding(draft.row, "missing", "the method '%s' lacks %s.".formatted(id, what)));
            return Optional.empty();
        }
        var blocks = children(draft, "");
        return Optional.of(new Method(
                id,
                word(draft, "name"),
                word(draft, "variant-of"),
                word(draft, "summary"),
                ranged(draft, "week"),
                ranged(draft, "set-up"),
                ranged(draft, "side-change"),
                draft.ranges.get("spacing"),
                draft.ranges.get("weekly-cap"),
                new SchoolRules(
                        BreathRule.byId(word(draft, "breath")).orElseThrow(),
                        word(draft, "breath-words"),
                        Cramp.byId(word(draft, "cramp")).orElseThrow(),
                        Stretching.byId(word(draft, "stretching")).orElseThrow(),
                        word(draft, "stretching-words")),
                ladder(draft, blocks),
                List.of(word(draft, "suits").split(";")),
                blocks,
                draft.source));
    }

    private List<LadderRung> ladder(Draft draft, List<MethodBlock> blocks) {
        var all = blocks.stream().flatMap(Method::within).toList();
        var rungs = new ArrayList<LadderRung>();
        for (var row : draft.ladder) {
            var wrong = row.wrong(all, rungs);
            if (wrong.isEmpty()) {
                rungs.add(row.rung(all));
            }
            wrong.ifPresent(why -> findings.add(finding(row.row(), "ladder", why)));
        }
        return rungs;
    }

    private static String word(Draft draft, String name) {
        return draft.words.getOrDefault(name, "");
    }

    private static Range ranged(Draft draft, String name) {
        return Optional.ofNullable(draft.ranges.get(name)).orElseThrow();
    }

    /** Blocks directly inside a number: 1 and 2 at the top, 2.1 and 2.2 inside 2. */
    private List<MethodBlock> children(Draft draft, String parent) {
        var inside = new ArrayList<MethodBlock>();
        draft.blocks.forEach((number, block) -> {
            int dot = number.lastIndexOf('.');
            if ((dot < 0 ? "" : number.substring(0, dot)).equals(parent)) {
                inside.add(new MethodBlock(
                        number, block.form(), block.numbers(), block.words(), block.steps(), children(draft, number)));
            }
        });
        return inside;
    }

    private static long number(CSVRecord row) {
        return row.getRecordNumber() + 1;
    }

    private void say(CSVRecord row, String code, String message) {
        findings.add(finding(number(row), code, message));
    }

    private Finding finding(long row, String code, String message) {
        var place = file + ", row " + row;
        return Finding.blocking(place, code, null, "", place + ": " + message);
    }
}
