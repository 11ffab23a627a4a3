package gradino.server.report;

import gradino.server.paper.Paper;
import gradino.server.platform.StudioClock;
import gradino.server.report.format.ReportCsv;
import gradino.server.report.format.ReportFhir;
import gradino.server.report.format.ReportFile;
import gradino.server.report.format.ReportPdf;
import gradino.server.report.read.ReportReader.Read;
import gradino.server.report.told.Told;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Every file that a report is taken along as. */
@Service
public class ReportFiles {
    private final ReportService reports;
    private final JsonMapper mapper;
    private final Path data;
    private final Clock clock;

    ReportFiles(ReportService reports, JsonMapper mapper, @Value("${gradino.data}") Path data, Clock clock) {
        this.reports = reports;
        this.mapper = mapper;
        this.data = data;
        this.clock = clock;
    }

    /** A client's whole time, with the name: what is theirs. */
    public Files ofAll(String clientId) {
        return of(clientId, ReportAsk.ALL);
    }

    Files of(String clientId, ReportAsk ask) {
        var read = reports.read(clientId, ask);
        var name = ask.isNamed() ? read.client().details().name() : null;
        var fhir = ReportFhir.of(read, clock.getZone(), data, mapper, name);
        return new Files(read, reports.told(read, ask), name, fhir, mapper, StudioClock.now(clock), clock.getZone());
    }

    /** One report, read once, ready to be written in each way. */
    public static final class Files {
        private final Read read;
        private final Told told;
        private final @Nullable String name;
        private final ReportFhir.Writer fhir;
        private final JsonMapper mapper;
        private final Instant now;
        private final ZoneId zone;

        private Files(
                Read read,
                Told told,
                @Nullable String name,
                ReportFhir.Writer fhir,
                JsonMapper mapper,
                Instant now,
                ZoneId zone) {
            this.read = read;
            this.told = told;
            this.name = name;
            this.fhir = fhir;
            this.mapper = mapper;
            this.now = now;
            this.zone = zone;
        }

        public byte[] pdf(Paper.Size size) {
            return ReportPdf.of(told, size);
        }

        public void csv(Appendable out) throws IOException {
            ReportCsv.write(read, zone, out);
        }

        public static void dictionary(Appendable out) throws IOException {
            ReportCsv.dictionary(out);
        }

        public void json(OutputStream out) {
            mapper.writeValue(out, ReportFile.of(read.report(), now, name));
        }

        public void fhir(OutputStream out) {
            fhir.write(out, now);
        }
    }
}
