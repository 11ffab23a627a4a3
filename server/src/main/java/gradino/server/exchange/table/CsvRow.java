package gradino.server.exchange.table;

import gradino.core.because.Finding;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** One row of a file. What cannot be read becomes a finding that names row and column; reading goes on. */
public final class CsvRow {
    /** A file that is wrong everywhere says so often enough. */
    private static final int MOST_FINDINGS = 200;

    private final String file;
    private final CSVRecord row;
    private final List<Finding> findings;
    private int found;

    public CsvRow(String file, CSVRecord row, List<Finding> findings) {
        this.file = file;
        this.row = row;
        this.findings = findings;
    }

    public boolean isClean() {
        return found == 0;
    }

    /** The record's number as a spreadsheet shows it, header included. */
    long number() {
        return row.getRecordNumber() + 1;
    }

    public void finding(String column, String code, String message) {
        found++;
        if (findings.size() < MOST_FINDINGS) {
            findings.add(Finding.blocking(
                    file + ", row " + number() + ", " + column,
                    code,
                    null,
                    "",
                    "%s, row %d, column %s: %s".formatted(file, number(), column, message)));
        }
    }

    private String cell(String column) {
        return CellText.read(row.get(column));
    }

    String text(String column) {
        return cell(column);
    }

    String required(String column) {
        var text = cell(column);
        if (text.isBlank()) {
            finding(column, "required", "this must not be empty.");
        }
        return text;
    }

    /** A column that a file does not have yet is empty. */
    boolean isEmpty(String column) {
        return !row.isMapped(column) || cell(column).isEmpty();
    }

    /** Any value; what the reader throws becomes the finding. The fallback only keeps the reading going. */
    <T> T read(String column, T fallback, Function<String, T> reader) {
        try {
            return reader.apply(cell(column));
        } catch (IllegalArgumentException | DateTimeException e) {
            finding(column, "unreadable", "'" + shortened(cell(column)) + "' does not fit here: " + said(e));
            return fallback;
        }
    }

    <T> @Nullable T optional(String column, Function<String, T> reader) {
        if (isEmpty(column)) {
            return null;
        }
        try {
            return reader.apply(cell(column));
        } catch (IllegalArgumentException | DateTimeException e) {
            finding(column, "unreadable", "'" + shortened(cell(column)) + "' does not fit here: " + said(e));
            return null;
        }
    }

    Instant instant(String column) {
        return read(column, Instant.EPOCH, CsvRow::millis);
    }

    /** An instant, or the fallback where the cell is empty. */
    Instant instant(String column, Instant fallback) {
        return isEmpty(column) ? fallback : instant(column);
    }

    <E extends Enum<E>> E choice(String column, E fallback) {
        return read(column, fallback, text -> choice(text, fallback.getDeclaringClass()));
    }

    <E extends Enum<E>> @Nullable E optionalChoice(String column, Class<E> type) {
        return optional(column, text -> choice(text, type));
    }

    boolean flag(String column) {
        return read(column, false, text -> switch (text) {
            case "yes" -> true;
            case "no" -> false;
            default -> throw new IllegalArgumentException("yes or no");
        });
    }

    /** The same row gets the same name each time it is imported. */
    public String contentHash() {
        return UUID.nameUUIDFromBytes(String.join("\u0000", row.values()).getBytes(StandardCharsets.UTF_8))
                .toString();
    }

    static @Nullable LocalDate date(CsvRow row, String column) {
        return row.optional(column, LocalDate::parse);
    }

    static String flag(boolean value) {
        return value ? "yes" : "no";
    }

    /** Kept to the millisecond, as the database keeps it. */
    private static Instant millis(String text) {
        return Instant.ofEpochMilli(Instant.parse(text).toEpochMilli());
    }

    private static <E extends Enum<E>> E choice(String text, Class<E> type) {
        return Arrays.stream(type.getEnumConstants())
                .filter(e -> word(e).equals(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("one of "
                        + Arrays.stream(type.getEnumConstants())
                                .map(CsvRow::word)
                                .collect(Collectors.joining(", "))));
    }

    /** INTERNAL_NAME → internal-name, as the files write it. */
    static String word(@Nullable Enum<?> value) {
        return value == null ? "" : value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static String shortened(String text) {
        return text.length() > 60 ? text.substring(0, 60) + "…" : text;
    }

    private static String said(RuntimeException e) {
        return e instanceof NumberFormatException ? "a number is expected." : e.getMessage() + ".";
    }
}
