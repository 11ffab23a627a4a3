package gradino.server.exchange;

import gradino.server.exchange.ImportService.CsvFile;
import gradino.server.exchange.ImportService.Taken;
import gradino.server.platform.Problem;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipInputStream;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.io.input.BOMInputStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

@RestController
class ExchangeController {
    private static final MediaType CSV = MediaType.parseMediaType("text/csv;charset=UTF-8");
    private static final CSVFormat READ =
            ExportService.FORMAT.builder().setHeader().setSkipHeaderRecord(true).get();
    private static final long MOST_UNPACKED_BYTES = 128L * 1024 * 1024;

    private final ImportService imports;
    private final ExportService exports;

    ExchangeController(ImportService imports, ExportService exports) {
        this.imports = imports;
        this.exports = exports;
    }

    @PostMapping(path = "/api/exchange/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    List<Taken> take(@RequestParam("file") List<MultipartFile> files) throws IOException {
        var read = new ArrayList<CsvFile>();
        for (var file : files) {
            var name = file.getOriginalFilename() == null ? "file" : file.getOriginalFilename();
            try (var in = file.getInputStream()) {
                if (name.endsWith(".zip")) {
                    unpack(in, read);
                } else {
                    read.add(read(name, in));
                }
            }
        }
        return imports.take(read);
    }

    @GetMapping(path = "/api/exchange/gradino.zip", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> zip() {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=gradino.zip")
                .body(exports::zip);
    }

    @GetMapping("/api/exchange/files/{file}")
    ResponseEntity<StreamingResponseBody> table(@PathVariable String file) {
        if (Tables.all().stream().noneMatch(t -> t.file().equals(file))) {
            throw Problem.notFound("file");
        }
        return ResponseEntity.ok()
                .contentType(CSV)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=" + file)
                .body(out -> exports.table(file, new OutputStreamWriter(out, StandardCharsets.UTF_8)));
    }

    private static void unpack(InputStream in, List<CsvFile> into) throws IOException {
        try (var zip = new ZipInputStream(in, StandardCharsets.UTF_8)) {
            long unpacked = 0;
            for (var entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                var bytes = zip.readNBytes((int) (MOST_UNPACKED_BYTES - unpacked + 1));
                unpacked += bytes.length;
                if (unpacked > MOST_UNPACKED_BYTES) {
                    throw Problem.invalid(
                            "file", "file-too-large", "The archive unpacks to more than 128 MB: split it.");
                }
                into.add(read(entry.getName(), new ByteArrayInputStream(bytes)));
            }
        }
    }

    /** Reads a whole file; a quote that never closes is said with its line. */
    private static CsvFile read(String name, InputStream in) throws IOException {
        // A spreadsheet's byte order mark is dropped; bytes that are no UTF-8 are refused rather than replaced.
        var text = BOMInputStream.builder().setInputStream(in).get();
        try (var parser = READ.parse(new InputStreamReader(text, StandardCharsets.UTF_8.newDecoder()))) {
            var header = parser.getHeaderNames();
            if (header.isEmpty()) {
                throw Problem.invalid(name, "empty-file", name + " is empty.");
            }
            return new CsvFile(name, List.copyOf(header), parser.getRecords());
        } catch (CharacterCodingException e) {
            throw notUtf8(name);
        } catch (CSVException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            if (e.getCause() instanceof CharacterCodingException) {
                throw notUtf8(name);
            }
            throw Problem.invalid(name, "not-csv", name + " is not CSV as RFC 4180 has it: " + e.getMessage());
        }
    }

    private static Problem notUtf8(String name) {
        return Problem.invalid(name, "not-utf-8", name + " is not UTF-8: save it as \"CSV UTF-8\" and send it again.");
    }
}
