package gradino.server.report;

import gradino.server.account.people.SignedIn;
import gradino.server.paper.Paper;
import gradino.server.platform.Heavy;
import gradino.server.report.ReportFiles.Files;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** A report as files. */
@RestController
class ReportFilesController {
    private static final MediaType CSV = MediaType.parseMediaType("text/csv;charset=UTF-8");
    private static final MediaType FHIR = MediaType.parseMediaType("application/fhir+json");

    private final ReportFiles files;
    private final Heavy heavy;
    private final SignedIn signedIn;

    ReportFilesController(ReportFiles files, Heavy heavy, SignedIn signedIn) {
        this.files = files;
        this.heavy = heavy;
        this.signedIn = signedIn;
    }

    private Files read(String clientId, ReportAsk ask, String file) {
        return heavy.run(signedIn.who(), file, work -> files.of(clientId, ask));
    }

    private static ResponseEntity<StreamingResponseBody> file(MediaType type, String name, StreamingResponseBody body) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=" + name)
                .body(body);
    }

    @GetMapping(path = "/api/clients/{clientId}/report.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(
            @PathVariable String clientId, ReportAsk ask, @RequestParam(defaultValue = "A4") Paper.Size paper) {
        var bytes = heavy.run(
                signedIn.who(), "report.pdf", work -> files.of(clientId, ask).pdf(paper));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=report.pdf")
                .body(bytes);
    }

    @GetMapping(path = "/api/clients/{clientId}/report.csv", produces = "text/csv")
    ResponseEntity<StreamingResponseBody> csv(@PathVariable String clientId, ReportAsk ask) {
        var read = read(clientId, ask, "report.csv");
        return file(CSV, "report.csv", out -> {
            var writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            read.csv(writer);
            writer.flush();
        });
    }

    /** What each column of a report's CSV holds. */
    @GetMapping(path = "/api/report-dictionary.csv", produces = "text/csv")
    ResponseEntity<StreamingResponseBody> dictionary() {
        return file(CSV, "report-dictionary.csv", ReportFilesController::dictionary);
    }

    private static void dictionary(java.io.OutputStream out) throws IOException {
        var writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        Files.dictionary(writer);
        writer.flush();
    }

    @GetMapping(path = "/api/clients/{clientId}/report.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<StreamingResponseBody> json(@PathVariable String clientId, ReportAsk ask) {
        return file(MediaType.APPLICATION_JSON, "report.json", read(clientId, ask, "report.json")::json);
    }

    @GetMapping(path = "/api/clients/{clientId}/report-fhir.json", produces = "application/fhir+json")
    ResponseEntity<StreamingResponseBody> fhir(@PathVariable String clientId, ReportAsk ask) {
        return file(FHIR, "report-fhir.json", read(clientId, ask, "report-fhir.json")::fhir);
    }
}
