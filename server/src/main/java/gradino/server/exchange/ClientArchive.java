package gradino.server.exchange;

import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.paper.Paper;
import gradino.server.platform.Heavy.Work;
import gradino.server.report.ReportFiles;
import gradino.server.report.ReportFiles.Files;
import gradino.server.schedule.feed.FeedService;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everything of one client, for the person's own right to it: the report in every format, and their rows of every file. */
@Service
class ClientArchive {
    private final ClientService clients;
    private final ReportFiles reports;
    private final FeedService feeds;
    private final ClientRows rows;
    private final ExportService exports;

    ClientArchive(
            ClientService clients, ReportFiles reports, FeedService feeds, ClientRows rows, ExportService exports) {
        this.clients = clients;
        this.reports = reports;
        this.feeds = feeds;
        this.rows = rows;
        this.exports = exports;
    }

    @Transactional(readOnly = true)
    void zip(String clientId, String who, OutputStream out) throws IOException {
        exports.alone(who, work -> write(clients.get(clientId), reports.ofAll(clientId), out, work));
    }

    private void write(Client client, Files report, OutputStream out, Work work) throws IOException {
        try (var zip = new ZipOutputStream(new Stoppable(out, work), StandardCharsets.UTF_8)) {
            entry(zip, "report.pdf", to -> to.write(report.pdf(Paper.Size.A4)));
            entry(zip, "report.json", report::json);
            entry(zip, "report-fhir.json", report::fhir);
            text(zip, "report.csv", report::csv);
            text(zip, "report-dictionary.csv", Files::dictionary);
            text(zip, "calendar.ics", to -> to.write(feeds.file(client.id())));
            tables(zip, client, work);
        }
    }

    private void tables(ZipOutputStream zip, Client client, Work work) throws IOException {
        var tables = Tables.all().stream().filter(ClientRows::has).toList();
        for (int n = 0; n < tables.size(); n++) {
            var table = tables.get(n);
            work.step(n, tables.size());
            text(zip, "data/" + table.file(), to -> rows.table(client, table, to));
        }
    }

    private interface Bytes {
        void write(OutputStream to) throws IOException;
    }

    private interface Text {
        void write(Writer to) throws IOException;
    }

    private static void entry(ZipOutputStream zip, String name, Bytes bytes) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        bytes.write(new Open(zip));
        zip.closeEntry();
    }

    private static void text(ZipOutputStream zip, String name, Text text) throws IOException {
        entry(zip, name, to -> {
            var writer = new OutputStreamWriter(to, StandardCharsets.UTF_8);
            text.write(writer);
            writer.flush();
        });
    }

    /** Whoever writes one entry must not close the archive. */
    private static final class Open extends FilterOutputStream {
        Open(OutputStream to) {
            super(to);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            out.write(bytes, from, length);
        }

        @Override
        public void close() throws IOException {
            flush();
        }
    }
}
