package gradino.server.exchange;

import gradino.core.because.Finding;
import gradino.server.exchange.ImportService.Taken;
import gradino.server.exchange.table.AdvanceTables;
import gradino.server.exchange.table.CsvRow;
import gradino.server.exchange.table.CsvTable;
import gradino.server.exchange.table.LineTables;
import gradino.server.exchange.table.ScheduleTables;
import gradino.server.exchange.table.SessionTables;
import gradino.server.platform.Texts;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import org.apache.commons.csv.CSVRecord;

/** Goes through the files of one import row by row and gathers what is wrong with them. */
final class ImportReader {
    private static final List<CsvTable<?>> VERSIONED = List.of(
            AdvanceTables.POLICIES,
            AdvanceTables.PAUSES,
            LineTables.LINES,
            SessionTables.METHODS,
            SessionTables.POSITIONS,
            SessionTables.SESSIONS,
            ScheduleTables.CALENDAR,
            ScheduleTables.WEEKS,
            ScheduleTables.ATTENDANCE);

    final List<Finding> findings = new ArrayList<>();
    private final List<Taken> taken = new ArrayList<>();
    private final Map<CsvTable<?>, List<CsvFile>> byTable = new LinkedHashMap<>();

    private final SeenRepository seen;

    ImportReader(List<CsvFile> files, SeenRepository seen) {
        this.seen = seen;
        for (var file : files) {
            Tables.all().stream()
                    .filter(t -> t.fits(file.header()))
                    .findFirst()
                    .ifPresentOrElse(
                            t -> byTable.computeIfAbsent(t, k -> new ArrayList<>())
                                    .add(file),
                            () -> unknownHeader(file));
        }
    }

    private void unknownHeader(CsvFile file) {
        var message = file.name() + ": these columns belong to none of the files described in docs/formats.md.";
        findings.add(Finding.blocking(file.name(), "unknown-header", null, "", message));
    }

    boolean has(CsvTable<?> table) {
        return byTable.containsKey(table);
    }

    List<Taken> taken() {
        return List.copyOf(taken);
    }

    /** Every clean row of a kind of file, one by one; {@code store} says whether it was new. */
    <T> void each(CsvTable<T> table, BiPredicate<CsvRow, T> store) {
        for (var file : byTable.getOrDefault(table, List.of())) {
            var count = new int[2];
            file.each(record -> {
                var row = new CsvRow(file.name(), record, findings);
                count[0]++;
                if (hasItsCells(file, row, record)
                        && isReadable(file, row, record)
                        && isFirst(table, row, record)
                        && isStored(table, row, store)) {
                    count[1]++;
                }
            });
            taken.add(new Taken(file.name(), count[0], count[1]));
        }
    }

    private static <T> boolean isStored(CsvTable<T> table, CsvRow row, BiPredicate<CsvRow, T> store) {
        var value = table.read().apply(row);
        return row.isClean() && store.test(row, value);
    }

    private static boolean hasItsCells(CsvFile file, CsvRow row, CSVRecord record) {
        int expected = file.header().size();
        if (record.size() != expected) {
            row.finding("1", "cells", "has %d cells, %d are expected.".formatted(record.size(), expected));
        }
        return record.size() == expected;
    }

    /** As at every other door: ids are plain, names are seen whole, and nothing holds what no text holds. */
    private static boolean isReadable(CsvFile file, CsvRow row, CSVRecord record) {
        for (int i = 0; i < record.size(); i++) {
            var column = file.header().get(i);
            var cell = record.get(i);
            boolean id = column.equals("id") || column.endsWith("_id");
            var wrong = cell.isEmpty()
                    ? Optional.<Finding>empty()
                    : id
                            ? Texts.wrongId(column, cell)
                            : column.equals("name")
                                    ? Texts.wrongName(column, cell)
                                    : Texts.wrongText(column, cell, Integer.MAX_VALUE);
            wrong.ifPresent(f -> row.finding(column, f.code(), f.message()));
        }
        return row.isClean();
    }

    /** The same id with other cells cannot both be right; a plan, a method and a session have a row a version, told by its time. */
    private boolean isFirst(CsvTable<?> table, CsvRow row, CSVRecord record) {
        var id = record.get(0);
        if (id.isEmpty() || VERSIONED.contains(table)) {
            return true;
        }
        var cells = row.contentHash();
        var before = seen.before(table.file(), id, cells, record.getRecordNumber() + 1);
        if (before.isPresent() && !before.get().cells().equals(cells)) {
            row.finding(
                    table.columns().get(0),
                    "twice",
                    "row %d has this id already, with other cells."
                            .formatted(before.get().row()));
        }
        return before.isEmpty();
    }
}
