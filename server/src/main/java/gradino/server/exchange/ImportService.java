package gradino.server.exchange;

import gradino.server.advance.line.DecisionRepository;
import gradino.server.advance.line.PauseRepository;
import gradino.server.advance.line.PolicyRepository;
import gradino.server.exchange.table.AdvanceTables;
import gradino.server.exchange.table.BatteryTables;
import gradino.server.exchange.table.ClientTables;
import gradino.server.exchange.table.DecisionTables;
import gradino.server.exchange.table.ForceTables;
import gradino.server.exchange.table.HomeTables;
import gradino.server.exchange.table.IntakeTables;
import gradino.server.exchange.table.LineTables;
import gradino.server.exchange.table.MeasurementTables;
import gradino.server.exchange.table.RecordTables;
import gradino.server.exchange.table.ScheduleTables;
import gradino.server.exchange.table.SessionTables;
import gradino.server.home.NoteRepository;
import gradino.server.intake.ClientNoteRepository;
import gradino.server.intake.ClientRepository;
import gradino.server.intake.ErasedClients;
import gradino.server.intake.IntakeRepository;
import gradino.server.measure.BatteryRepository;
import gradino.server.measure.MeasurementRepository;
import gradino.server.perform.force.ForceService;
import gradino.server.perform.force.TraceRepository;
import gradino.server.perform.record.BlockRepository;
import gradino.server.perform.record.RecordRepository;
import gradino.server.perform.record.RunRepository;
import gradino.server.platform.Problem;
import gradino.server.prescribe.library.PositionRepository;
import gradino.server.prescribe.library.PositionShelf;
import gradino.server.prescribe.program.LineRepository;
import gradino.server.prescribe.program.SessionRepository;
import gradino.server.schedule.calendar.CalendarRepository;
import gradino.server.schedule.plan.PlanRepository;
import gradino.server.schedule.plan.WeekPlans;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes files in, all or nothing: with one finding nothing is stored. Rows whose id is there already stay as they are. */
@Service
public class ImportService {

    private final Stores stores;
    private final ForceService forces;
    private final SeenRepository seen;
    private final WeekPlans plans;
    private final Clock clock;

    ImportService(
            ClientRepository clients,
            ErasedClients erased,
            IntakeRepository intakes,
            LineRepository lines,
            SessionRepository sessions,
            PositionRepository positions,
            PositionShelf shelf,
            BatteryRepository batteries,
            MeasurementRepository measurements,
            RecordRepository records,
            BlockRepository blocks,
            RunRepository runs,
            TraceRepository traces,
            NoteRepository notes,
            ClientNoteRepository clientNotes,
            PolicyRepository policies,
            PauseRepository pauses,
            DecisionRepository decisions,
            CalendarRepository calendar,
            PlanRepository weeks,
            ForceService forces,
            SeenRepository seen,
            WeekPlans plans,
            Clock clock) {
        this.forces = forces;
        this.seen = seen;
        this.plans = plans;
        this.stores = new Stores(
                clients,
                erased,
                intakes,
                lines,
                sessions,
                positions,
                shelf,
                batteries,
                measurements,
                records,
                blocks,
                runs,
                traces,
                notes,
                clientNotes,
                policies,
                pauses,
                decisions,
                calendar,
                weeks);
        this.clock = clock;
    }

    /** Where the rows go. */
    record Stores(
            ClientRepository clients,
            ErasedClients erased,
            IntakeRepository intakes,
            LineRepository lines,
            SessionRepository sessions,
            PositionRepository positions,
            PositionShelf shelf,
            BatteryRepository batteries,
            MeasurementRepository measurements,
            RecordRepository records,
            BlockRepository blocks,
            RunRepository runs,
            TraceRepository traces,
            NoteRepository notes,
            ClientNoteRepository clientNotes,
            PolicyRepository policies,
            PauseRepository pauses,
            DecisionRepository decisions,
            CalendarRepository calendar,
            PlanRepository weeks) {}

    /** What came of one file. */
    public record Taken(String file, int rows, int added) {}

    /** What a row refers to comes before it, whatever order the files are in. */
    @Transactional
    List<Taken> take(List<CsvFile> files) {
        seen.begin();
        var reader = new ImportReader(files, seen);
        var run = new ImportRun(stores, reader, clock);
        var runs = run.runs();
        var lines = run.lines();
        var measures = run.measures();
        reader.each(ClientTables.CLIENTS, run::client);
        reader.each(IntakeTables.SCREENINGS, run::screening);
        reader.each(IntakeTables.RESTRICTIONS, run::restriction);
        reader.each(IntakeTables.CLEARANCES, run::clearance);
        reader.each(AdvanceTables.POLICIES, run::policy);
        reader.each(AdvanceTables.PAUSES, run::pause);
        reader.each(ScheduleTables.CALENDAR, run::calendar);
        reader.each(SessionTables.METHODS, run::method);
        reader.each(SessionTables.POSITIONS, run::position);
        reader.each(LineTables.LINES, lines::line);
        reader.each(SessionTables.SESSIONS, run::session);
        reader.each(BatteryTables.BATTERIES, measures::battery);
        reader.each(BatteryTables.ASSESSMENTS, measures::assessment);
        reader.each(BatteryTables.MOVEMENTS, measures::movement);
        reader.each(MeasurementTables.MEASUREMENTS, measures::measurement);
        reader.each(SessionTables.RUNS, runs::run);
        reader.each(RecordTables.BLOCKS, runs::block);
        reader.each(RecordTables.MORNINGS, runs::morning);
        reader.each(HomeTables.NOTES, runs::note);
        reader.each(HomeTables.CLIENT_NOTES, runs::clientNote);
        reader.each(ForceTables.REFERENCES, runs::reference);
        reader.each(ForceTables.TRACES, runs::trace);
        reader.each(DecisionTables.DECISIONS, lines::decision);
        reader.each(ScheduleTables.WEEKS, run::week);
        // It follows from the weeks and the runs.
        reader.each(ScheduleTables.ATTENDANCE, (row, attended) -> false);
        run.flush();
        Problem.throwIfBlocking(reader.findings);
        seen.end();
        forces.judgeImported();
        plans.forget();
        return reader.taken();
    }
}
