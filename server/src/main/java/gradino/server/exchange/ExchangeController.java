package gradino.server.exchange;

import gradino.server.account.people.SignedIn;
import gradino.server.exchange.ImportService.Taken;
import gradino.server.platform.Problem;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
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

    private final ImportService imports;
    private final ExportService exports;
    private final SignedIn signedIn;

    ExchangeController(ImportService imports, ExportService exports, SignedIn signedIn) {
        this.signedIn = signedIn;
        this.imports = imports;
        this.exports = exports;
    }

    @PostMapping(path = "/api/exchange/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    List<Taken> take(@RequestParam("file") List<MultipartFile> files) throws IOException {
        try (var unpacked = new Unpacked()) {
            for (var file : files) {
                var name = file.getOriginalFilename();
                try (var in = file.getInputStream()) {
                    unpacked.add(name == null ? "file" : name, in);
                }
            }
            return imports.take(unpacked.files());
        }
    }

    @GetMapping(path = "/api/exchange/gradino.zip", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> zip() {
        var who = signedIn.who();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=gradino.zip")
                .body(out -> exports.zip(who, out));
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
}
