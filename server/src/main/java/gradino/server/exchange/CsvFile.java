package gradino.server.exchange;

import gradino.server.platform.Problem;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.io.input.BOMInputStream;

/** A file that was sent, on the disk: it is read record by record, as often as is needed. */
record CsvFile(String name, List<String> header, Path file) {
    private static final CSVFormat READ =
            ExportService.FORMAT.builder().setHeader().setSkipHeaderRecord(true).get();

    /** Its header; a quote that never closes is said with its line when it is come to. */
    static CsvFile of(String name, Path file) {
        var header = parsed(name, file, CSVParser::getHeaderNames);
        if (header.isEmpty()) {
            throw Problem.invalid(name, "empty-file", name + " is empty.");
        }
        return new CsvFile(name, List.copyOf(header), file);
    }

    void each(Consumer<CSVRecord> to) {
        parsed(name, file, parser -> {
            parser.forEach(to);
            return true;
        });
    }

    @FunctionalInterface
    private interface Read<T> {
        T of(CSVParser parser);
    }

    private static <T> T parsed(String name, Path file, Read<T> read) {
        // A spreadsheet's byte order mark is dropped; bytes that are no UTF-8 are refused rather than replaced.
        try (var text = BOMInputStream.builder()
                        .setInputStream(Files.newInputStream(file))
                        .get();
                var parser = READ.parse(new InputStreamReader(text, StandardCharsets.UTF_8.newDecoder()))) {
            return read.of(parser);
        } catch (CharacterCodingException e) {
            throw notUtf8(name);
        } catch (CSVException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            if (e.getCause() instanceof CharacterCodingException) {
                throw notUtf8(name);
            }
            throw Problem.invalid(name, "not-csv", name + " is not CSV as RFC 4180 has it: " + e.getMessage());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Problem notUtf8(String name) {
        return Problem.invalid(name, "not-utf-8", name + " is not UTF-8: save it as \"CSV UTF-8\" and send it again.");
    }
}
