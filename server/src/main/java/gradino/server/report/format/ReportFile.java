package gradino.server.report.format;

import gradino.core.report.Report;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A report as JSON, by {@code docs/schema/report-1.json}.
 *
 * @param format which schema
 * @param name of the client; null where it is not told
 */
public record ReportFile(
        String format, Instant madeAt, @Nullable String name, Report report) {
    public static final String FORMAT = "gradino-report-1";

    public static ReportFile of(Report report, Instant madeAt, @Nullable String name) {
        return new ReportFile(FORMAT, madeAt, name, report);
    }
}
