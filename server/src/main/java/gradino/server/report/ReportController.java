package gradino.server.report;

import gradino.server.account.link.HomeLinkService.MadeLink;
import gradino.server.intake.ClientNoteRepository;
import gradino.server.platform.Reads;
import gradino.server.report.ReportService.ReportView;
import gradino.server.report.read.Periods;
import gradino.server.report.told.Told;
import gradino.server.report.told.Told.ReportSection;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ReportController {
    private final ReportService reports;
    private final SharedReports shared;

    ReportController(ReportService reports, SharedReports shared) {
        this.reports = reports;
        this.shared = shared;
    }

    record NewReportNote(
            @Size(max = ClientNoteRepository.LONGEST) String text) {}

    /** @param days until it ends */
    record NewReportLink(
            @NotBlank @Size(max = 64) String id,
            int days,
            @Nullable String pin,
            @NotNull ReportAsk report) {}

    record ReportKey(
            @NotBlank @Size(max = 128) String token,
            @Nullable String pin) {}

    @GetMapping("/api/clients/{clientId}/report")
    ReportView report(@PathVariable String clientId, ReportAsk ask) {
        return reports.view(clientId, ask);
    }

    @GetMapping("/api/clients/{clientId}/report/comparison")
    ReportSection comparison(
            @PathVariable String clientId,
            @RequestParam LocalDate firstFrom,
            @RequestParam LocalDate firstTo,
            @RequestParam LocalDate secondFrom,
            @RequestParam LocalDate secondTo) {
        return reports.comparison(
                clientId,
                Periods.between("firstFrom", firstFrom, "firstTo", firstTo),
                Periods.between("secondFrom", secondFrom, "secondTo", secondTo));
    }

    @PutMapping("/api/clients/{clientId}/report/note")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void note(@PathVariable String clientId, @Valid @RequestBody NewReportNote note) {
        reports.note(clientId, note.text());
    }

    @PostMapping("/api/clients/{clientId}/report-links")
    MadeLink link(@PathVariable String clientId, @Valid @RequestBody NewReportLink link) {
        return reports.link(clientId, link.id(), link.days(), link.pin(), link.report());
    }

    /** What a report's link opens; for whoever has it. */
    @Reads
    @PostMapping("/api/shared-report")
    Told shared(@Valid @RequestBody ReportKey key) {
        return shared.open(key.token(), key.pin());
    }
}
