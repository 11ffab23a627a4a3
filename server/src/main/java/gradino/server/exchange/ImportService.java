package gradino.server.exchange;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.intake.Restriction;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.PlanCheck;
import gradino.core.prescribe.PlanContext;
import gradino.server.advance.DecisionRepository;
import gradino.server.advance.DecisionRepository.StoredDecision;
import gradino.server.exchange.ClientTables.ClientRow;
import gradino.server.exchange.PlanTables.LineRow;
import gradino.server.exchange.SessionTables.SessionRow;
import gradino.server.intake.ClientRepository;
import gradino.server.intake.ClientRepository.ClearanceRow;
import gradino.server.intake.ClientService;
import gradino.server.measure.Measurement;
import gradino.server.measure.MeasurementRepository;
import gradino.server.perform.SessionRepository;
import gradino.server.perform.SessionRepository.Morning;
import gradino.server.perform.SessionRepository.Opened;
import gradino.server.perform.SessionRepository.StoredBlock;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.Line;
import gradino.server.prescribe.LineRepository;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes files in, all or nothing: with one finding nothing is stored. Rows whose id is there already stay as they are. */
@Service
public class ImportService {
    static final int MOST_FINDINGS = 200;

    private final ClientRepository clients;
    private final LineRepository lines;
    private final MeasurementRepository measurements;
    private final SessionRepository sessions;
    private final DecisionRepository decisions;
    private final Clock clock;

    ImportService(
            ClientRepository clients,
            LineRepository lines,
            MeasurementRepository measurements,
            SessionRepository sessions,
            DecisionRepository decisions,
            Clock clock) {
        this.clients = clients;
        this.lines = lines;
        this.measurements = measurements;
        this.sessions = sessions;
        this.decisions = decisions;
        this.clock = clock;
    }

    /** A file by its name with its header and records. */
    public record CsvFile(String name, List<String> header, List<CSVRecord> records) {}

    /** What came of one file. */
    public record Taken(String file, int rows, int added) {}

    @Transactional
    public List<Taken> take(List<CsvFile> files) {
        var run = new Run();
        var byTable = new LinkedHashMap<CsvTable<?>, List<CsvFile>>();
        for (var file : files) {
            Tables.all().stream()
                    .filter(t -> t.columns().equals(file.header()))
                    .findFirst()
                    .ifPresentOrElse(
                            t -> byTable.computeIfAbsent(t, k -> new ArrayList<>())
                                    .add(file),
                            () -> run.unknownHeader(file));
        }
        var taken = new ArrayList<Taken>();
        run.load(byTable);
        run.each(ClientTables.CLIENTS, byTable, taken, run::client);
        run.each(ClientTables.CLEARANCES, byTable, taken, run::clearance);
        run.each(PlanTables.LINES, byTable, taken, run::line);
        run.each(MeasurementTables.MEASUREMENTS, byTable, taken, run::measurement);
        run.each(SessionTables.SESSIONS, byTable, taken, run::session);
        run.each(SessionTables.BLOCKS, byTable, taken, run::block);
        run.each(SessionTables.MORNINGS, byTable, taken, run::morning);
        run.each(DecisionTables.DECISIONS, byTable, taken, run::decision);
        Problem.throwIfBlocking(run.findings);
        run.flush();
        return taken;
    }

    /** One import; gathers findings and what is to be stored. */
    private final class Run {
        private final List<Finding> findings = new ArrayList<>();
        private final LocalDate today = LocalDate.now(clock);
        private final Instant now = StudioClock.now(clock);
        private final Map<String, Restricted> knownClients = new HashMap<>();
        private final Map<String, Line> knownLines = new HashMap<>();
        private final Map<String, Plan> newestPlan = new HashMap<>();
        private final Map<String, Set<Instant>> knownPlans = new HashMap<>();
        private final Set<String> knownSessions = new HashSet<>();
        private final Set<String> knownIds = new HashSet<>();
        private final List<Measurement> newMeasurements = new ArrayList<>();
        private final List<StoredBlock> newBlocks = new ArrayList<>();
        private int added;

        private record Restricted(String clientId, Restriction restriction, Instant since) {}

        /** Everything that a row may refer to, and every id that is there. */
        void load(Map<CsvTable<?>, List<CsvFile>> byTable) {
            clients.all()
                    .forEach(c -> knownClients.put(c.id(), new Restricted(c.id(), c.restriction(), c.restrictedAt())));
            for (var line : lines.all()) {
                knownLines.put(line.id(), line);
                for (var version : lines.plans(line.id())) {
                    knownPlans.computeIfAbsent(line.id(), k -> new HashSet<>()).add(version.recordedAt());
                    newestPlan.put(line.id(), version.plan());
                }
            }
            sessions.all().forEach(s -> knownSessions.add(s.id()));
            if (byTable.containsKey(MeasurementTables.MEASUREMENTS)) {
                measurements.all().forEach(m -> knownIds.add("m" + m.id()));
            }
            if (byTable.containsKey(SessionTables.BLOCKS)) {
                sessions.allBlocks().forEach(b -> knownIds.add("b" + b.id()));
            }
            sessions.allMornings().forEach(m -> knownIds.add("a" + m.id()));
        }

        void unknownHeader(CsvFile file) {
            findings.add(Finding.blocking(
                    file.name(),
                    "unknown-header",
                    null,
                    "",
                    file.name() + ": these columns belong to none of the files described in docs/formats.md."));
        }

        <T> void each(
                CsvTable<T> table,
                Map<CsvTable<?>, List<CsvFile>> files,
                List<Taken> taken,
                BiConsumer<CsvRow, T> store) {
            var seen = new HashMap<String, CSVRecord>();
            for (var file : files.getOrDefault(table, List.of())) {
                added = 0;
                for (var record : file.records()) {
                    var row = new CsvRow(file.name(), record, findings);
                    if (hasItsCells(table, row, record)
                            && isNotTwice(table, row, seen.put(record.get(0), record), record)) {
                        take(table, row, store);
                    }
                }
                taken.add(new Taken(file.name(), file.records().size(), added));
            }
        }

        private <T> void take(CsvTable<T> table, CsvRow row, BiConsumer<CsvRow, T> store) {
            var value = table.read().apply(row);
            if (row.isClean()) {
                store.accept(row, value);
            }
        }

        private boolean hasItsCells(CsvTable<?> table, CsvRow row, CSVRecord record) {
            int expected = table.columns().size();
            if (record.size() != expected) {
                row.finding("1", "cells", "has %d cells, %d are expected.".formatted(record.size(), expected));
            }
            return record.size() == expected;
        }

        /** The same id with other cells cannot both be right; a plan has a row a version and is told by its time. */
        private boolean isNotTwice(CsvTable<?> table, CsvRow row, @Nullable CSVRecord before, CSVRecord record) {
            if (before == null || record.get(0).isEmpty() || table.equals(PlanTables.LINES)) {
                return true;
            }
            boolean same = Arrays.equals(before.values(), record.values());
            if (!same) {
                row.finding(
                        table.columns().get(0),
                        "twice",
                        "row %d has this id already, with other cells.".formatted(before.getRecordNumber() + 1));
            }
            return same;
        }

        void client(CsvRow row, ClientRow client) {
            var wrong = ClientService.check(client.details(), today);
            wrong.forEach(f -> row.finding(f.path(), f.code(), f.message()));
            if (!wrong.isEmpty() || !findings.isEmpty()) {
                return;
            }
            var known = clients.find(client.id());
            if (known.isEmpty()) {
                clients.insert(client.id(), client.details(), client.recordedAt());
                added++;
            } else if (!known.get().details().equals(client.details())) {
                clients.addDetails(client.id(), client.details(), now);
                added++;
            }
            var before = known.map(k -> k.restriction()).orElse(Restriction.NONE);
            if (!before.equals(client.restriction())) {
                clients.addRestriction(client.id(), client.restriction(), client.restrictedAt(), client.recordedAt());
            }
            knownClients.put(client.id(), new Restricted(client.id(), client.restriction(), client.restrictedAt()));
        }

        void clearance(CsvRow row, ClearanceRow c) {
            if (knowsClient(row, c.clientId()) && past(row, "happened_at", c.happenedAt())) {
                clients.addClearance(c.id(), c.clientId(), c.clearance(), c.happenedAt(), c.recordedAt());
            }
        }

        void line(CsvRow row, LineRow line) {
            if (!knowsClient(row, line.line().clientId())
                    || !past(row, "plan_happened_at", line.version().happenedAt())) {
                return;
            }
            var id = line.line().id();
            var known = knownPlans.computeIfAbsent(id, k -> new HashSet<>());
            if (!known.add(line.version().recordedAt())) {
                return;
            }
            PlanCheck.check(line.version().plan(), PlanContext.unrestricted()).stream()
                    .filter(Finding::blocks)
                    .forEach(f -> row.finding(f.path(), f.code(), f.message()));
            for (var dose : List.of(
                    line.version().plan().doses().left(),
                    line.version().plan().doses().right())) {
                obeys(row, line.line().clientId(), line.version().happenedAt(), dose, dose);
            }
            if (findings.isEmpty()) {
                if (knownLines.putIfAbsent(id, line.line()) == null) {
                    lines.insert(line.line());
                }
                lines.addPlan(line.version());
                newestPlan.put(id, line.version().plan());
                added++;
            }
        }

        void measurement(CsvRow row, Measurement m) {
            boolean known = knowsClient(row, m.clientId());
            boolean over = past(row, "happened_at", m.happenedAt());
            if (hasItsPlace(row, m) && known && over && knownIds.add("m" + m.id())) {
                newMeasurements.add(m);
                added++;
            }
        }

        void session(CsvRow row, SessionRow s) {
            var line = knownLines.get(s.lineId());
            var plan = newestPlan.get(s.lineId());
            if (line == null || plan == null) {
                row.finding("line_id", "unknown-line", "no line called '" + s.lineId() + "'.");
            } else if (past(row, "started_at", s.startedAt())
                    && isOver(row, s)
                    && findings.isEmpty()
                    && knownSessions.add(s.id())) {
                var opened = new Opened(
                        s.id(), s.lineId(), line.clientId(), plan.withDoses(s.doses()), s.startedAt(), s.recordedAt());
                sessions.open(opened, null);
                var closed = s.closed();
                if (closed != null) {
                    sessions.close(closed);
                }
                added++;
            }
        }

        private boolean hasItsPlace(CsvRow row, Measurement m) {
            if (Catalogue.motion(m.motion()).isEmpty()) {
                row.finding("motion", "unknown-motion", "no motion called '" + m.motion() + "'.");
                return false;
            }
            if (Catalogue.position(m.position())
                    .filter(p -> p.allows(m.motion()))
                    .isEmpty()) {
                row.finding(
                        "position", "unknown-position", "no position called '" + m.position() + "' for this motion.");
                return false;
            }
            return true;
        }

        private boolean isOver(CsvRow row, SessionRow s) {
            return s.closed() == null || past(row, "ended_at", s.closed().happenedAt());
        }

        void block(CsvRow row, StoredBlock b) {
            if (knowsSession(row, b.sessionId())
                    && past(row, "happened_at", b.happenedAt())
                    && knownIds.add("b" + b.id())) {
                newBlocks.add(b);
                added++;
            }
        }

        void morning(CsvRow row, Morning m) {
            if (knowsSession(row, m.sessionId())
                    && past(row, "happened_at", m.happenedAt())
                    && findings.isEmpty()
                    && knownIds.add("a" + m.id())) {
                sessions.addMorning(m);
                added++;
            }
        }

        void decision(CsvRow row, StoredDecision d) {
            var line = knownLines.get(d.lineId());
            if (line == null) {
                row.finding("line_id", "unknown-line", "no line called '" + d.lineId() + "'.");
                return;
            }
            obeys(
                    row,
                    line.clientId(),
                    d.decided().happenedAt(),
                    d.decided().before(),
                    d.decided().after());
            if (past(row, "happened_at", d.decided().happenedAt()) && findings.isEmpty() && decisions.insert(d)) {
                added++;
            }
        }

        /** What was set after a restriction stood must keep it; what was set before is history. */
        private void obeys(CsvRow row, String clientId, Instant at, Dose before, Dose after) {
            var restricted = knownClients.get(clientId);
            if (restricted == null || !at.isAfter(restricted.since())) {
                return;
            }
            var restriction = restricted.restriction();
            if (after.ceiling().compareTo(restriction.highestEffort()) > 0
                    && after.ceiling().compareTo(before.ceiling()) >= 0) {
                row.finding(
                        "dose",
                        "effort-cap",
                        "effort is capped at " + restriction.highestEffort() + ": " + restriction.reason());
            }
            if (restriction.noDeepening() && after.angle().compareTo(before.angle()) > 0) {
                row.finding("dose", "no-deepening", "no deepening for this client: " + restriction.reason());
            }
        }

        private boolean knowsClient(CsvRow row, String id) {
            if (!knownClients.containsKey(id)) {
                row.finding("client_id", "unknown-client", "no client called '" + id + "'.");
                return false;
            }
            return true;
        }

        private boolean knowsSession(CsvRow row, String id) {
            if (!knownSessions.contains(id)) {
                row.finding("session_id", "unknown-session", "no session called '" + id + "'.");
                return false;
            }
            return true;
        }

        private boolean past(CsvRow row, String column, Instant at) {
            if (at.isAfter(now)) {
                row.finding(column, "in-the-future", "this lies in the future.");
                return false;
            }
            return true;
        }

        void flush() {
            measurements.insert(newMeasurements);
            sessions.addBlocks(newBlocks);
        }
    }
}
