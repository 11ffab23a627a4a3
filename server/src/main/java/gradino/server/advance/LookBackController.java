package gradino.server.advance;

import gradino.core.because.Verdict;
import gradino.server.advance.LookBackService.BacktestView;
import gradino.server.advance.LookBackService.ClientParting;
import gradino.server.advance.LookBackService.FlightView;
import gradino.server.advance.LookBackService.Life;
import gradino.server.advance.LookBackService.RehearsalDraft;
import gradino.server.platform.Reads;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

@RestController
class LookBackController {
    private static final String[] COLUMNS = {
        "client_id",
        "client",
        "line_id",
        "motion",
        "side",
        "at",
        "policy_in_use_verdict",
        "policy_in_use_why",
        "other_policy_verdict",
        "other_policy_why"
    };

    private final LookBackService lookBack;

    LookBackController(LookBackService lookBack) {
        this.lookBack = lookBack;
    }

    /** The rungs of a line and how each turned out. */
    @GetMapping("/api/lines/{lineId}/flight")
    FlightView flight(@PathVariable String lineId) {
        return lookBack.flight(lineId);
    }

    /** @param client ids; none for all */
    @GetMapping("/api/backtests/{policyId}")
    BacktestView backtest(@PathVariable String policyId, @RequestParam(defaultValue = "") List<String> client) {
        return lookBack.backtest(policyId, client);
    }

    /** The same, every difference, as CSV (RFC 4180). */
    @GetMapping("/api/backtests/{policyId}/differences.csv")
    ResponseEntity<StreamingResponseBody> differences(
            @PathVariable String policyId, @RequestParam(defaultValue = "") List<String> client) {
        var partings = lookBack.run(policyId, client).partings();
        StreamingResponseBody body = out -> {
            try (var writer = new OutputStreamWriter(out, StandardCharsets.UTF_8)) {
                print(partings, writer);
            }
        };
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"backtest.csv\"")
                .body(body);
    }

    private static void print(List<ClientParting> partings, Writer out) throws IOException {
        var printer = new CSVPrinter(out, CSVFormat.RFC4180);
        printer.printRecord((Object[]) COLUMNS);
        for (var p : partings) {
            var d = p.parting();
            printer.printRecord(
                    p.clientId(),
                    p.clientName(),
                    p.lineId(),
                    p.motion(),
                    d.side().word(),
                    d.at(),
                    word(d.one().verdict()),
                    d.one().why().text(),
                    word(d.other().verdict()),
                    d.other().why().text());
        }
        printer.flush();
    }

    private static String word(Verdict verdict) {
        return verdict.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Invented clients through a plan; nothing is kept. */
    @Reads
    @PostMapping("/api/rehearsals/preview")
    List<Life> rehearse(@RequestBody RehearsalDraft draft) {
        return lookBack.rehearse(draft);
    }
}
