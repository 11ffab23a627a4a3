package gradino.server.exchange.table;

import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One kind of file: its name, its columns, and a row both ways.
 *
 * @param addedLater of the columns at the end: files from before them are read all the same
 * @param write the cells of a row, in the order of the columns; null for an empty cell
 * @param read gives null for a row that has findings
 */
public record CsvTable<T>(
        String file,
        List<String> columns,
        int addedLater,
        Function<T, List<@Nullable Object>> write,
        Function<CsvRow, T> read) {

    CsvTable(String file, List<String> columns, Function<T, List<@Nullable Object>> write, Function<CsvRow, T> read) {
        this(file, columns, 0, write, read);
    }

    public boolean fits(List<String> header) {
        return columns.equals(header)
                || columns.subList(0, columns.size() - addedLater).equals(header);
    }
}
