package gradino.server.exchange;

import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One kind of file: its name, its columns, and a row both ways.
 *
 * @param write the cells of a row, in the order of the columns; null for an empty cell
 * @param read gives null for a row that has findings
 */
record CsvTable<T>(
        String file, List<String> columns, Function<T, List<@Nullable Object>> write, Function<CsvRow, T> read) {}
