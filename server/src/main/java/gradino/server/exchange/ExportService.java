package gradino.server.exchange;

import gradino.server.advance.line.DecisionRepository;
import gradino.server.advance.line.PauseRepository;
import gradino.server.advance.line.PolicyRepository;
import gradino.server.exchange.table.AdvanceTables;
import gradino.server.exchange.table.BatteryTables;
import gradino.server.exchange.table.CellText;
import gradino.server.exchange.table.ClientTables;
import gradino.server.exchange.table.CsvTable;
import gradino.server.exchange.table.DecisionTables;
import gradino.server.exchange.table.ForceTables;
import gradino.server.exchange.table.HomeTables;
import gradino.server.exchange.table.IntakeTables;
import gradino.server.exchange.table.LineTables;
import gradino.server.exchange.table.MeasurementTables;
import gradino.server.exchange.table.RecordTables;
import gradino.server.exchange.table.SessionTables;
import gradino.server.home.NoteRepository;
import gradino.server.intake.Client;
import gradino.server.intake.ClientRepository;
import gradino.server.intake.IntakeRepository;
import gradino.server.measure.BatteryRepository;
import gradino.server.measure.MeasurementRepository;
import gradino.server.perform.force.TraceRepository;
import gradino.server.perform.record.BlockRepository;
import gradino.server.perform.record.RecordRepository;
import gradino.server.perform.record.RecordRepository.Closed;
import gradino.server.perform.record.RunRepository;
import gradino.server.platform.Problem;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.SessionRepository;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes everything as CSV (RFC 4180, UTF-8, CRLF). */
@Service
public class ExportService {
    static final CSVFormat FORMAT = CSVFormat.RFC4180;

    private final ClientRepository clients;
    private final IntakeRepository intakes;
    private final LineRepository lines;
    private final SessionRepository sessions;
    private final BatteryRepository batteries;
    private final MeasurementRepository measurements;
    private final RecordRepository records;
    private final BlockRepository blockRows;
    private final RunRepository runs;
    private final TraceRepository traces;
    private final NoteRepository notes;
    private final PolicyRepository policies;
    private final PauseRepository pauses;
    private final DecisionRepository decisions;

    ExportService(
            ClientRepository clients,
            IntakeRepository intakes,
            LineRepository lines,
            SessionRepository sessions,
            BatteryRepository batteries,
            MeasurementRepository measurements,
            RecordRepository records,
            BlockRepository blockRows,
            RunRepository runs,
            TraceRepository traces,
            NoteRepository notes,
            PolicyRepository policies,
            PauseRepository pauses,
            DecisionRepository decisions) {
        this.clients = clients;
        this.intakes = intakes;
        this.lines = lines;
        this.sessions = sessions;
        this.batteries = batteries;
        this.measurements = measurements;
        this.records = records;
        this.blockRows = blockRows;
        this.runs = runs;
        this.traces = traces;
        this.notes = notes;
        this.policies = policies;
        this.pauses = pauses;
        this.decisions = decisions;
    }

    /** All files in one archive. */
    @Transactional(readOnly = true)
    public void zip(OutputStream out) throws IOException {
        try (var zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            for (var table : Tables.all()) {
                zip.putNextEntry(new ZipEntry(table.file()));
                var writer = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
                table(table.file(), writer);
                writer.flush();
                zip.closeEntry();
            }
        }
    }

    /** @throws Problem for a file that there is not */
    @Transactional(readOnly = true)
    public void table(String file, Writer out) throws IOException {
        switch (file) {
            case "clients.csv" -> print(ClientTables.CLIENTS, clients.all(), ClientTables.ClientRow::of, out);
            case "screenings.csv" -> print(IntakeTables.SCREENINGS, intakes.screenings(), Function.identity(), out);
            case "restrictions.csv" -> print(IntakeTables.RESTRICTIONS, intakes.allAdded(), Function.identity(), out);
            case "clearances.csv" ->
                print(
                        IntakeTables.CLEARANCES,
                        intakes.clearances(
                                clients.all().stream().map(Client::id).toList()),
                        Function.identity(),
                        out);
            case "policies.csv" -> print(AdvanceTables.POLICIES, policies.all(), Function.identity(), out);
            case "pauses.csv" -> print(AdvanceTables.PAUSES, pauses.all(), Function.identity(), out);
            case "lines.csv" -> print(LineTables.LINES, lineRows(), Function.identity(), out);
            case "studio-methods.csv" -> print(SessionTables.METHODS, sessions.allMethods(), Function.identity(), out);
            case "sessions.csv" -> print(SessionTables.SESSIONS, sessions.all(), Function.identity(), out);
            case "batteries.csv" -> print(BatteryTables.BATTERIES, batteries.all(), Function.identity(), out);
            case "assessments.csv" ->
                print(BatteryTables.ASSESSMENTS, batteries.allAssessments(), Function.identity(), out);
            case "movements.csv" -> print(BatteryTables.MOVEMENTS, batteries.allResults(), Function.identity(), out);
            case "measurements.csv" ->
                print(MeasurementTables.MEASUREMENTS, measurements.all(), Function.identity(), out);
            case "runs.csv" -> print(SessionTables.RUNS, runRows(), Function.identity(), out);
            case "blocks.csv" -> print(RecordTables.BLOCKS, blockRows.allBlocks(), Function.identity(), out);
            case "mornings.csv" -> print(RecordTables.MORNINGS, records.allMornings(), Function.identity(), out);
            case "home-notes.csv" -> print(HomeTables.NOTES, notes.all(), Function.identity(), out);
            case "reference-contractions.csv" ->
                print(ForceTables.REFERENCES, traces.allReferences(), Function.identity(), out);
            case "traces.csv" -> print(ForceTables.TRACES, traces.all(), Function.identity(), out);
            case "decisions.csv" -> print(DecisionTables.DECISIONS, decisions.all(), Function.identity(), out);
            default -> throw Problem.notFound("file");
        }
    }

    private List<LineTables.LineRow> lineRows() {
        return lines.all().stream()
                .flatMap(line -> lines.versions(line.id()).stream().map(v -> new LineTables.LineRow(line, v)))
                .toList();
    }

    private List<SessionTables.RunRow> runRows() {
        var closed = records.allClosed().stream().collect(Collectors.toMap(Closed::runId, c -> c));
        return runs.all().stream()
                .map(v -> new SessionTables.RunRow(v, closed.get(v.id())))
                .toList();
    }

    private static <S, T> void print(CsvTable<T> table, List<S> rows, Function<S, T> toRow, Writer out)
            throws IOException {
        var printer = new CSVPrinter(out, FORMAT);
        printer.printRecord(table.columns());
        for (var row : rows) {
            printer.printRecord(table.write().apply(toRow.apply(row)).stream().map(CellText::written));
        }
        printer.flush();
    }
}
