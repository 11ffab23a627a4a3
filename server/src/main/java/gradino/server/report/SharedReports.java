package gradino.server.report;

import gradino.server.account.link.HomeLinkService;
import gradino.server.platform.Heavy;
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
    private final Heavy heavy;

    SharedReports(ReportService reports, HomeLinkService links, Json json, Heavy heavy) {
        this.reports = reports;
        this.links = links;
        this.json = json;
        this.heavy = heavy;
    }

    Told open(String token, @Nullable String pin) {
        var opened = links.open(token, pin);
        var ask = json.read(opened.report(), ReportAsk.class);
        // However often a link is opened, it takes one place.
        return heavy.runAnew("link " + opened.clientId(), "report", work -> reports.told(opened.clientId(), ask));
    }
}
