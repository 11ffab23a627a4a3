package gradino.server.exchange;

import gradino.server.advance.line.DecisionRepository;
import gradino.server.advance.line.PauseRepository;
import gradino.server.exchange.ExportService.Rows;
import gradino.server.exchange.table.AdvanceTables;
import gradino.server.exchange.table.BatteryTables;
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
import gradino.server.intake.IntakeRepository;
import gradino.server.measure.BatteryRepository;
import gradino.server.measure.MeasurementRepository;
import gradino.server.perform.force.TraceRepository;
import gradino.server.perform.record.BlockRepository;
import gradino.server.perform.record.RecordRepository;
import gradino.server.perform.record.RunRepository;
import gradino.server.perform.record.RunRepository.Run;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.SessionRepository;
import gradino.server.schedule.calendar.CalendarRepository;
import gradino.server.schedule.plan.DayPlans;
import gradino.server.schedule.plan.PlanRepository;
import java.io.IOException;
import java.io.Writer;
import java.util.List;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** The rows of every file that are one client's. Rules and methods of the studio are nobody's. */
@Component
class ClientRows {
    private final IntakeRepository intakes;
    private final LineRepository lines;
    private final SessionRepository sessions;
    private final BatteryRepository batteries;
    private final MeasurementRepository measurements;
    private final RecordRepository records;
    private final BlockRepository blocks;
    private final RunRepository runs;
    private final TraceRepository traces;
    private final NoteRepository notes;
    private final ClientNoteRepository clientNotes;
    private final PauseRepository pauses;
    private final CalendarRepository calendar;
    private final PlanRepository weeks;
    private final DayPlans days;
    private final DecisionRepository decisions;

    ClientRows(
            IntakeRepository intakes,
            LineRepository lines,
            SessionRepository sessions,
            BatteryRepository batteries,
            MeasurementRepository measurements,
            RecordRepository records,
            BlockRepository blocks,
            RunRepository runs,
            TraceRepository traces,
            NoteRepository notes,
            ClientNoteRepository clientNotes,
            PauseRepository pauses,
            CalendarRepository calendar,
            PlanRepository weeks,
            DayPlans days,
            DecisionRepository decisions) {
        this.intakes = intakes;
        this.lines = lines;
        this.sessions = sessions;
        this.batteries = batteries;
        this.measurements = measurements;
        this.records = records;
        this.blocks = blocks;
        this.runs = runs;
        this.traces = traces;
        this.notes = notes;
        this.clientNotes = clientNotes;
        this.pauses = pauses;
        this.calendar = calendar;
        this.weeks = weeks;
        this.days = days;
        this.decisions = decisions;
    }

    /** Whether a file holds anything of a client's. */
    static boolean has(CsvTable<?> table) {
        return !table.equals(AdvanceTables.POLICIES)
                && !table.equals(SessionTables.METHODS)
                && !table.equals(SessionTables.POSITIONS);
    }

    void table(Client client, CsvTable<?> table, Writer out) throws IOException {
        var of = new Of(client);
        switch (table.file()) {
            case "clients.csv" -> print(ClientTables.CLIENTS, out, List.of(ClientTables.ClientRow.of(client))::forEach);
            case "screenings.csv" ->
                print(IntakeTables.SCREENINGS, out, of.own(intakes.screenings()::forEach, s -> s.clientId()));
            case "restrictions.csv" ->
                print(IntakeTables.RESTRICTIONS, out, of.own(intakes.allAdded()::forEach, r -> r.clientId()));
            case "clearances.csv" -> print(IntakeTables.CLEARANCES, out, intakes.clearances(of.ids())::forEach);
            case "pauses.csv" -> print(AdvanceTables.PAUSES, out, of.own(pauses.all()::forEach, p -> p.clientId()));
            case "calendar.csv" -> print(ScheduleTables.CALENDAR, out, of.own(calendar::each, e -> e.clientId()));
            case "lines.csv" -> print(LineTables.LINES, out, of.lineRows());
            case "sessions.csv" ->
                print(SessionTables.SESSIONS, out, of.own(sessions.all()::forEach, s -> s.clientId()));
            case "batteries.csv" -> print(BatteryTables.BATTERIES, out, batteries.of(client.id())::forEach);
            case "assessments.csv" ->
                print(BatteryTables.ASSESSMENTS, out, of.own(batteries.allAssessments()::forEach, a -> a.clientId()));
            case "movements.csv" -> print(BatteryTables.MOVEMENTS, out, batteries.resultsOf(client.id())::forEach);
            case "measurements.csv" ->
                print(MeasurementTables.MEASUREMENTS, out, measurements.of(client.id())::forEach);
            case "runs.csv" ->
                print(
                        SessionTables.RUNS,
                        out,
                        of.eachRun(run ->
                                List.of(new RunRow(run, records.closed(run.id()).orElse(null)))));
            case "blocks.csv" -> print(RecordTables.BLOCKS, out, of.eachRun(run -> blocks.blocks(run.id())));
            case "mornings.csv" -> print(RecordTables.MORNINGS, out, of.eachRun(run -> records.mornings(run.id())));
            case "home-notes.csv" -> print(HomeTables.NOTES, out, of.own(notes.all()::forEach, n -> n.clientId()));
            case "client-notes.csv" ->
                print(HomeTables.CLIENT_NOTES, out, of.own(clientNotes::each, n -> n.clientId()));
            case "reference-contractions.csv" ->
                print(ForceTables.REFERENCES, out, of.own(traces.allReferences()::forEach, r -> r.clientId()));
            case "traces.csv" -> print(ForceTables.TRACES, out, of.eachRun(run -> traces.of(run.id())));
            case "decisions.csv" -> print(DecisionTables.DECISIONS, out, of.eachLine(line -> decisions.of(line.id())));
            case "weeks.csv" -> print(ScheduleTables.WEEKS, out, of.own(weeks::each, w -> w.clientId()));
            case "attendance.csv" -> print(ScheduleTables.ATTENDANCE, out, to -> days.outcomes(client, to));
            default -> throw new IllegalArgumentException("nobody says what of " + table.file() + " is a client's");
        }
    }

    private static <T> void print(CsvTable<T> table, Writer out, Rows<T> rows) throws IOException {
        ExportService.print(table, out, rows);
    }

    /** Of one client, read piece by piece. */
    private final class Of {
        private final Client client;

        Of(Client client) {
            this.client = client;
        }

        List<String> ids() {
            return List.of(client.id());
        }

        <T> Rows<T> own(Rows<T> all, Function<T, String> whose) {
            return to -> all.each(row -> {
                if (whose.apply(row).equals(client.id())) {
                    to.accept(row);
                }
            });
        }

        <T> Rows<T> eachRun(Function<Run, List<T>> rows) {
            return to -> runs.of(client.id()).forEach(run -> rows.apply(run).forEach(to));
        }

        /** Those that have ended, too. */
        <T> Rows<T> eachLine(Function<Line, List<T>> rows) {
            return to -> lines.all().stream()
                    .filter(line -> line.clientId().equals(client.id()))
                    .forEach(line -> rows.apply(line).forEach(to));
        }

        Rows<LineRow> lineRows() {
            return eachLine(line -> lines.versions(line.id()).stream()
                    .map(v -> new LineRow(line, v))
                    .toList());
        }
    }
}
