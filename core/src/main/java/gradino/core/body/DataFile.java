package gradino.core.body;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Reads a data file (RFC 4180, header row) that ships with core. A row that cannot be read is a programmer's error and throws. */
public final class DataFile {
    private static final CSVFormat FORMAT =
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();

    private DataFile() {}

    /** A data file as it stands. */
    public static String text(String name) {
        try (var in = Objects.requireNonNull(DataFile.class.getResourceAsStream("/gradino/" + name), name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Parts of a cell, separated by semicolons. */
    public static List<String> list(String cell) {
        return cell.isEmpty() ? List.of() : List.of(cell.split(";"));
    }

    public static <T> List<T> rows(String name, Function<CSVRecord, T> mapper) {
        try (var in = Objects.requireNonNull(DataFile.class.getResourceAsStream("/gradino/" + name), name);
                var parser = FORMAT.parse(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return parser.stream().map(row -> row(name, row, mapper)).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static <T> T row(String name, CSVRecord row, Function<CSVRecord, T> mapper) {
        try {
            return mapper.apply(row);
        } catch (RuntimeException e) {
            throw new IllegalStateException(name + " row " + row.getRecordNumber() + ": " + e.getMessage(), e);
        }
    }
}
