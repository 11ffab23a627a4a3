package gradino.server.report.format;

import gradino.server.platform.Problem;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * Codes of other systems for what Gradino names itself: {@code fhir-codes.csv}. A studio may put its own file of that name beside its
 * database; nothing is guessed where a file says nothing.
 */
final class Codes {
    static final String FILE = "fhir-codes.csv";
    private static final Set<String> UNITS = Set.of("deg", "cm", "kg", "s", "min", "N", "N.m", "%", "1", "{score}");
    private static final CSVFormat FORMAT =
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();

    /** @param unit UCUM */
    record Code(String system, String code, String display, String unit) {}

    private final Map<String, Code> codes = new HashMap<>();

    private Codes() {}

    /** @param beside directory of the database */
    static Codes read(Path beside) {
        var own = beside.resolve(FILE);
        try (Reader in = Files.exists(own)
                ? Files.newBufferedReader(own, StandardCharsets.UTF_8)
                : new InputStreamReader(
                        Objects.requireNonNull(Codes.class.getResourceAsStream("/" + FILE)), StandardCharsets.UTF_8)) {
            return parse(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws Problem for a row that cannot be */
    static Codes parse(Reader in) throws IOException {
        var all = new Codes();
        try (var rows = FORMAT.parse(in)) {
            for (var row : rows) {
                all.add(row);
            }
        } catch (IllegalArgumentException e) {
            throw refused(1, "this needs the columns what, system, code, display, unit.");
        }
        return all;
    }

    private void add(CSVRecord row) {
        var unit = row.get("unit");
        if (!UNITS.contains(unit)) {
            throw refused(
                    row.getRecordNumber() + 1,
                    "the unit '%s' is not known. Known are %s."
                            .formatted(unit, String.join(", ", new java.util.TreeSet<>(UNITS))));
        }
        codes.put(row.get("what"), new Code(row.get("system"), row.get("code"), row.get("display"), unit));
    }

    private static Problem refused(long line, String why) {
        var words = "%s, line %d: %s".formatted(FILE, line, why);
        return Problem.invalid(FILE, "codes", words);
    }

    Optional<Code> of(String what) {
        return Optional.ofNullable(codes.get(what));
    }
}
