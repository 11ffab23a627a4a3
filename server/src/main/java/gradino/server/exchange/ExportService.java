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
import gradino.server.exchange.table.LineTables.LineRow;
import gradino.server.exchange.table.MeasurementTables;
import gradino.server.exchange.table.RecordTables;
import gradino.server.exchange.table.ScheduleTables;
import gradino.server.exchange.table.SessionTables;
import gradino.server.exchange.table.SessionTables.RunRow;
import gradino.server.home.NoteRepository;
import gradino.server.intake.Client;
import gradino.server.intake.ClientNoteRepository;
import gradino.server.intake.ClientRepository;
import gradino.server.intake.IntakeRepository;
import gradino.server.intake.IntakeRepository.StoredClearance;
import gradino.server.measure.BatteryRepository;
import gradino.server.measure.MeasurementRepository;
import gradino.server.perform.force.TraceRepository;
import gradino.server.perform.record.BlockRepository;
import gradino.server.perform.record.RecordRepository;
import gradino.server.perform.record.RunRepository;
import gradino.server.platform.Heavy;
import gradino.server.platform.Heavy.Work;
import gradino.server.platform.Problem;
import gradino.server.prescribe.library.PositionRepository;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.SessionRepository;
import gradino.server.schedule.calendar.CalendarRepository;
import gradino.server.schedule.plan.DayPlans;
import gradino.server.schedule.plan.DayPlans.Attended;
import gradino.server.schedule.plan.PlanRepository;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes everything as CSV (RFC 4180, UTF-8, CRLF). */
@Service
public class ExportService {
    static final CSVFormat FORMAT = CSVFormat.RFC4180;

    private final Semaphore running = new Semaphore(1);
    private final ClientRepository clients;
    private final IntakeRepository intakes;
    private final LineRepository lines;
    private final SessionRepository sessions;
    private final PositionRepository positions;
    private final BatteryRepository batteries;
    private final MeasurementRepository measurements;
    private final RecordRepository records;
    private final BlockRepository blockRows;
    private final RunRepository runs;
    private final TraceRepository traces;
    private final NoteRepository notes;
    private final ClientNoteRepository clientNotes;
    private final PolicyRepository policies;
    private final PauseRepository pauses;
    private final CalendarRepository calendar;
    private final PlanRepository weeks;
    private final DayPlans days;
    private final DecisionRepository decisions;
    private final Heavy heavy;

    ExportService(
            ClientRepository clients,
            IntakeRepository intakes,
            LineRepository lines,
            SessionRepository sessions,
            PositionRepository positions,
            BatteryRepository batteries,
            MeasurementRepository measurements,
            RecordRepository records,
            BlockRepository blockRows,
            RunRepository runs,
            TraceRepository traces,
            NoteRepository notes,
            ClientNoteRepository clientNotes,
            PolicyRepository policies,
            PauseRepository pauses,
            CalendarRepository calendar,
            PlanRepository weeks,
            DayPlans days,
            DecisionRepository decisions,
            Heavy heavy) {
        this.clients = clients;
        this.intakes = intakes;
        this.lines = lines;
        this.sessions = sessions;
        this.positions = positions;
        this.batteries = batteries;
        this.measurements = measurements;
        this.records = records;
        this.blockRows = blockRows;
        this.runs = runs;
        this.traces = traces;
        this.notes = notes;
        this.clientNotes = clientNotes;
        this.policies = policies;
        this.pauses = pauses;
        this.calendar = calendar;
        this.weeks = weeks;
        this.days = days;
        this.decisions = decisions;
        this.heavy = heavy;
    }

    /** All files in one archive; one archive at a time. */
    @Transactional(readOnly = true)
    public void zip(String who, OutputStream out) throws IOException {
        alone(who, work -> write(out, work));
    }

    /** Told how far it is, table by table. */
    interface Archive {
        void write(Work work) throws IOException;
    }

    /** Whoever downloads slowly takes nobody's place but that of another archive. */
    void alone(String who, Archive archive) throws IOException {
        if (!running.tryAcquire()) {
            throw Problem.tooMany("An archive is being exported already: wait until it is done.");
        }
        try (var work = heavy.seen(who, "archive")) {
            archive.write(work);
        } finally {
            running.release();
        }
    }

    private void write(OutputStream out, Work work) throws IOException {
        try (var zip = new ZipOutputStream(new Stoppable(out, work), StandardCharsets.UTF_8)) {
            int done = 0;
            for (var table : Tables.all()) {
                work.step(done++, Tables.all().size());
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
            case "clients.csv" -> print(ClientTables.CLIENTS, out, all(clients.all(), ClientTables.ClientRow::of));
            case "screenings.csv" -> print(IntakeTables.SCREENINGS, out, intakes.screenings()::forEach);
            case "restrictions.csv" -> print(IntakeTables.RESTRICTIONS, out, intakes.allAdded()::forEach);
            case "clearances.csv" -> print(IntakeTables.CLEARANCES, out, clearances()::forEach);
            case "policies.csv" -> print(AdvanceTables.POLICIES, out, policies.all()::forEach);
            case "pauses.csv" -> print(AdvanceTables.PAUSES, out, pauses.all()::forEach);
            case "lines.csv" -> print(LineTables.LINES, out, this::eachLine);
            case "studio-methods.csv" -> print(SessionTables.METHODS, out, sessions.allMethods()::forEach);
            case "studio-positions.csv" -> print(SessionTables.POSITIONS, out, positions.all()::forEach);
            case "sessions.csv" -> print(SessionTables.SESSIONS, out, sessions.all()::forEach);
            case "batteries.csv" -> print(BatteryTables.BATTERIES, out, batteries.all()::forEach);
            case "assessments.csv" -> print(BatteryTables.ASSESSMENTS, out, batteries.allAssessments()::forEach);
            case "movements.csv" -> print(BatteryTables.MOVEMENTS, out, batteries.allResults()::forEach);
            case "measurements.csv" -> print(MeasurementTables.MEASUREMENTS, out, measurements::each);
            case "runs.csv" -> print(SessionTables.RUNS, out, this::eachRun);
            case "blocks.csv" -> print(RecordTables.BLOCKS, out, blockRows::eachBlock);
            case "mornings.csv" -> print(RecordTables.MORNINGS, out, records::eachMorning);
            case "home-notes.csv" -> print(HomeTables.NOTES, out, notes.all()::forEach);
            case "client-notes.csv" -> print(HomeTables.CLIENT_NOTES, out, clientNotes::each);
            case "reference-contractions.csv" -> print(ForceTables.REFERENCES, out, traces.allReferences()::forEach);
            case "traces.csv" -> print(ForceTables.TRACES, out, traces::each);
            case "calendar.csv" -> print(ScheduleTables.CALENDAR, out, calendar::each);
            case "weeks.csv" -> print(ScheduleTables.WEEKS, out, weeks::each);
            case "attendance.csv" -> print(ScheduleTables.ATTENDANCE, out, this::eachOutcome);
            case "decisions.csv" -> print(DecisionTables.DECISIONS, out, decisions::each);
            default -> throw Problem.notFound("file");
        }
    }

    /** Hands rows on one by one: a year of a studio does not fit into memory. */
    @FunctionalInterface
    interface Rows<T> {
        void each(Consumer<T> to);
    }

    private static <S, T> Rows<T> all(List<S> rows, Function<S, T> toRow) {
        return to -> rows.forEach(row -> to.accept(toRow.apply(row)));
    }

    private List<StoredClearance> clearances() {
        return intakes.clearances(clients.all().stream().map(Client::id).toList());
    }

    private void eachLine(Consumer<LineRow> to) {
        for (var line : lines.all()) {
            lines.versions(line.id()).forEach(v -> to.accept(new LineRow(line, v)));
        }
    }

    private void eachOutcome(Consumer<Attended> to) {
        clients.all().forEach(c -> days.outcomes(c, to));
    }

    private void eachRun(Consumer<RunRow> to) {
        runs.each(run -> to.accept(new RunRow(run, records.closed(run.id()).orElse(null))));
    }

    static <T> void print(CsvTable<T> table, Writer out, Rows<T> rows) throws IOException {
        var printer = new CSVPrinter(out, FORMAT);
        printer.printRecord(table.columns());
        try {
            rows.each(row -> print(printer, table.write().apply(row)));
        } catch (UncheckedIOException e) {
            // Whoever asked has gone.
            throw e.getCause();
        }
        printer.flush();
    }

    private static void print(CSVPrinter printer, List<@Nullable Object> cells) {
        try {
            printer.printRecord(cells.stream().map(CellText::written));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
