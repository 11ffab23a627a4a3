package gradino.server.exchange;

import gradino.core.because.Finding;
import gradino.server.exchange.ImportService.CsvFile;
import gradino.server.exchange.ImportService.Taken;
import gradino.server.exchange.table.AdvanceTables;
import gradino.server.exchange.table.CsvRow;
import gradino.server.exchange.table.CsvTable;
import gradino.server.exchange.table.LineTables;
import gradino.server.exchange.table.SessionTables;
import gradino.server.platform.Texts;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiPredicate;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** Goes through the files of one import row by row and gathers what is wrong with them. */
final class ImportReader {
    private static final List<CsvTable<?>> VERSIONED = List.of(
            AdvanceTables.POLICIES,
            AdvanceTables.PAUSES,
            LineTables.LINES,
            SessionTables.METHODS,
            SessionTables.SESSIONS);

    final List<Finding> findings = new ArrayList<>();
    private final List<Taken> taken = new ArrayList<>();
    private final Map<CsvTable<?>, List<CsvFile>> byTable = new LinkedHashMap<>();

    ImportReader(List<CsvFile> files) {
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

    /** Every clean row of a kind of file; {@code store} says whether it was new. */
    <T> void each(CsvTable<T> table, BiPredicate<CsvRow, T> store) {
        var seen = new HashMap<String, CSVRecord>();
        for (var file : byTable.getOrDefault(table, List.of())) {
            int added = 0;
            for (var record : file.records()) {
                var row = new CsvRow(file.name(), record, findings);
                if (hasItsCells(file, row, record)
                        && isReadable(file, row, record)
                        && isNotTwice(table, row, seen.put(record.get(0), record), record)
                        && isStored(table, row, store)) {
                    added++;
                }
            }
            taken.add(new Taken(file.name(), file.records().size(), added));
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
    private static boolean isNotTwice(CsvTable<?> table, CsvRow row, @Nullable CSVRecord before, CSVRecord record) {
        if (before == null || record.get(0).isEmpty() || VERSIONED.contains(table)) {
            return true;
        }
        boolean same = Arrays.equals(before.values(), record.values());
        if (!same) {
            row.finding(
                    table.columns().get(0),
                    "twice",
                    "row %d has this id already, with other cells.".formatted(before.getRecordNumber() + 1));
        }
        return same;
    }
}
