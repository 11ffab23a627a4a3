package gradino.server.report;

import gradino.server.account.people.SignedIn;
import gradino.server.platform.Heavy;
import gradino.server.report.read.Periods;
import gradino.server.report.studio.StudioReportService;
import gradino.server.report.told.Told;
import java.time.Clock;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
class StudioReportController {
    private static final int USUAL_WEEKS = 26;

    private final StudioReportService studio;
    private final Heavy heavy;
    private final SignedIn signedIn;
    private final Clock clock;

    StudioReportController(StudioReportService studio, Heavy heavy, SignedIn signedIn, Clock clock) {
        this.studio = studio;
        this.heavy = heavy;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /** Of half a year up to today, unless it says otherwise. */
    @GetMapping("/api/studio-report")
    Told report(@RequestParam @Nullable LocalDate from, @RequestParam @Nullable LocalDate to) {
        var end = to == null ? LocalDate.now(clock) : to;
        var period = Periods.between("from", from == null ? end.minusWeeks(USUAL_WEEKS) : from, "to", end);
        return heavy.runAnew(signedIn.who(), "studio report", work -> studio.of(period));
    }
}
