package gradino.server.report;

import gradino.server.account.link.HomeLinkService;
import gradino.server.platform.Json;
import gradino.server.report.told.Told;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reports that a link opens. Not one transaction: a wrong PIN is counted although it is refused. */
@Component
class SharedReports {
    private final ReportService reports;
    private final HomeLinkService links;
    private final Json json;

    SharedReports(ReportService reports, HomeLinkService links, Json json) {
        this.reports = reports;
        this.links = links;
        this.json = json;
    }

    Told open(String token, @Nullable String pin) {
        var opened = links.open(token, pin);
        return reports.told(opened.clientId(), json.read(opened.report(), ReportAsk.class));
    }
}
