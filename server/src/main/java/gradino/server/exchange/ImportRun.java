package gradino.server.exchange;

import gradino.core.advance.Policy;
import gradino.core.advance.PolicyCheck;
import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.intake.IntakeCheck;
import gradino.core.prescribe.ComposedCheck;
import gradino.core.prescribe.DoseChange;
import gradino.core.prescribe.Method;
import gradino.core.prescribe.MethodFile;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.PlanCheck;
import gradino.core.prescribe.PlanContext;
import gradino.server.advance.DecisionRepository.StoredDecision;
import gradino.server.advance.PauseRepository.StoredPause;
import gradino.server.advance.PolicyRepository.StoredPolicy;
import gradino.server.exchange.ClientTables.ClientRow;
import gradino.server.exchange.ComposedTables.RunRow;
import gradino.server.exchange.ImportService.Stores;
import gradino.server.exchange.PlanTables.LineRow;
import gradino.server.exchange.SessionTables.SessionRow;
import gradino.server.home.NoteRepository.Note;
import gradino.server.intake.ClientService;
import gradino.server.intake.IntakeRepository.AddedRestriction;
import gradino.server.intake.IntakeRepository.StoredClearance;
import gradino.server.intake.IntakeRepository.StoredScreening;
import gradino.server.measure.Battery;
import gradino.server.measure.Battery.Assessment;
import gradino.server.measure.Battery.MovementResult;
import gradino.server.measure.Measurement;
import gradino.server.perform.SessionRepository.Morning;
import gradino.server.perform.SessionRepository.Opened;
import gradino.server.perform.SessionRepository.StoredBlock;
import gradino.server.perform.TraceRepository.StoredReference;
import gradino.server.perform.TraceRepository.StoredTrace;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.CompositionRepository.Composition;
import gradino.server.prescribe.CompositionRepository.StudioMethod;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Stores the rows of one import. Each method says whether its row was new; after a first finding nothing is stored. */
final class ImportRun {
    private final Stores stores;
    private final List<Finding> findings;
    private final ImportFacts facts;
    private final Set<String> erased;
    private final LocalDate today;
    private final Instant now;
    private final List<Measurement> newMeasurements = new ArrayList<>();
    private final List<StoredBlock> newBlocks = new ArrayList<>();

    ImportRun(Stores stores, ImportReader reader, Clock clock) {
        this.stores = stores;
        this.findings = reader.findings;
        this.today = LocalDate.now(clock);
        this.now = StudioClock.now(clock);
        this.erased = stores.erased().all();
        this.facts = new ImportFacts(now, clock.getZone());
        load(reader);
    }

    /** Everything that a row may refer to, and every id that is there. */
    private void load(ImportReader reader) {
        stores.clients().all().forEach(facts::client);
        for (var line : stores.lines().all()) {
            facts.lines.put(line.id(), line);
            for (var version : stores.lines().plans(line.id())) {
                facts.isNew("plan " + line.id(), version.recordedAt().toString());
                facts.newestPlan.put(line.id(), version.plan());
            }
        }
        stores.compositions()
                .all()
                .forEach(c -> facts.isNew("composed " + c.id(), c.recordedAt().toString()));
        stores.compositions()
                .allMethods()
                .forEach(m ->
                        facts.isNew("method " + m.method().id(), m.recordedAt().toString()));
        stores.sessions().all().forEach(s -> facts.session(s.id()));
        stores.visits().all().forEach(v -> facts.session(v.id()));
        if (reader.has(MeasurementTables.MEASUREMENTS)) {
            stores.measurements().all().forEach(m -> facts.isNew("measurement", m.id()));
        }
        if (reader.has(SessionTables.BLOCKS)) {
            stores.sessions().allBlocks().forEach(b -> facts.isNew("block", b.id()));
        }
        stores.sessions().allMornings().forEach(m -> facts.isNew("morning", m.id()));
    }

    boolean client(CsvRow row, ClientRow client) {
        ClientService.check(client.details(), today).forEach(f -> row.finding(f.path(), f.code(), f.message()));
        if (!findings.isEmpty()) {
            return false;
        }
        if (erased.contains(client.id())) {
            row.finding("id", "erased", "This client was erased here: leave out this row and what is theirs.");
            return false;
        }
        var known = stores.clients().find(client.id());
        boolean isNew = known.filter(k -> k.details().equals(client.details())).isEmpty();
        if (known.isEmpty()) {
            stores.clients().insert(client.id(), client.details(), client.recordedAt());
        } else if (isNew) {
            stores.clients().addDetails(client.id(), client.details(), now);
        }
        know(client.id());
        return isNew;
    }

    /** The client as the rows so far make it. */
    private void know(String clientId) {
        stores.clients().find(clientId).ifPresent(facts::client);
    }

    /** Intake rows are counted as read only: one that is there already stays as it is. */
    boolean screening(CsvRow row, StoredScreening s) {
        boolean fine = facts.knowsClient(row, s.clientId())
                && facts.past(row, "happened_at", s.screening().at());
        if (fine) {
            IntakeCheck.check(s.screening(), null, today)
                    .forEach(f -> row.finding("answers_json", f.code(), f.path() + ": " + f.message()));
        }
        if (fine && row.isClean()) {
            stores.intakes().add(s);
            know(s.clientId());
        }
        return false;
    }

    boolean restriction(CsvRow row, AddedRestriction r) {
        if (facts.knowsClient(row, r.clientId())
                && facts.past(row, "happened_at", r.restriction().since())) {
            stores.intakes().add(r);
            know(r.clientId());
        }
        return false;
    }

    boolean clearance(CsvRow row, StoredClearance c) {
        if (facts.knowsClient(row, c.clientId()) && facts.past(row, "happened_at", c.happenedAt())) {
            stores.intakes().add(c);
            know(c.clientId());
        }
        return false;
    }

    boolean line(CsvRow row, LineRow line) {
        var version = line.version();
        var id = line.line().id();
        if (!facts.knowsClient(row, line.line().clientId())
                || !facts.past(row, "plan_happened_at", version.happenedAt())
                || !facts.isNew("plan " + id, version.recordedAt().toString())) {
            return false;
        }
        against(version.plan()).stream()
                .filter(Finding::blocks)
                .forEach(f -> row.finding(f.path(), f.code(), f.message()));
        var plan = version.plan();
        // What has no place, or no motion, cannot be worked out.
        for (var side : row.isClean() ? Side.PAIR : List.<Side>of()) {
            var change = new DoseChange(plan, side, Optional.empty(), plan.dose(side));
            facts.obeys(row, line.line().clientId(), version.happenedAt(), change);
        }
        if (!findings.isEmpty()) {
            return false;
        }
        if (facts.lines.putIfAbsent(id, line.line()) == null) {
            stores.lines().insert(line.line());
        }
        stores.lines().addPlan(version);
        facts.newestPlan.put(id, version.plan());
        return true;
    }

    private List<Finding> against(Plan plan) {
        if (!plan.hasBlocks()) {
            return PlanCheck.check(plan, PlanContext.unrestricted());
        }
        return Method.byId(plan.method())
                .or(() -> stores.compositions().methods().stream()
                        .filter(m -> m.id().equals(plan.method()))
                        .findFirst())
                .map(method -> ComposedCheck.check(plan, PlanContext.unrestricted(), method))
                .orElseGet(() -> List.of(Finding.blocking(
                        "method", "unknown-method", null, "", "No method called '" + plan.method() + "'.")));
    }

    boolean method(CsvRow row, StudioMethod m) {
        var file = MethodFile.write(List.of(m.method()));
        MethodFile.read("method_json", file).findings().forEach(f -> row.finding("method_json", f.code(), f.message()));
        if (Method.byId(m.method().id()).isPresent()) {
            row.finding("method_id", "shipped-id", "'" + m.method().id() + "' ships with Gradino.");
        }
        boolean stored = row.isClean()
                && facts.past(row, "recorded_at", m.recordedAt())
                && facts.isNew("method " + m.method().id(), m.recordedAt().toString());
        if (stored) {
            stores.compositions().insert(m);
        }
        return stored;
    }

    boolean composed(CsvRow row, Composition c) {
        boolean stored = facts.knowsClient(row, c.clientId())
                && facts.past(row, "recorded_at", c.recordedAt())
                && facts.isNew("composed " + c.id(), c.recordedAt().toString())
                && facts.obeys(row, c, stores.compositions().methods());
        if (stored) {
            stores.compositions().insert(c);
        }
        return stored;
    }

    boolean battery(CsvRow row, Battery b) {
        for (var item : b.body().items()) {
            facts.hasItsPlace(row, "set_json", item.motion(), item.side(), item.position());
        }
        return facts.knowsClient(row, b.clientId())
                && facts.past(row, "recorded_at", b.recordedAt())
                && row.isClean()
                && stores.batteries().insert(b);
    }

    boolean assessment(CsvRow row, Assessment a) {
        return facts.knowsClient(row, a.clientId())
                && facts.past(row, "happened_at", a.happenedAt())
                && facts.knows(row, "battery", stores.batteries().find(a.clientId(), a.batteryId()), a.batteryId())
                && stores.batteries().insert(a);
    }

    boolean movement(CsvRow row, MovementResult m) {
        var assessment = stores.batteries().assessment(m.clientId(), m.assessmentId());
        if (!facts.knowsClient(row, m.clientId())
                || !facts.past(row, "happened_at", m.happenedAt())
                || !facts.knows(row, "assessment", assessment, m.assessmentId())) {
            return false;
        }
        var test = assessment
                .flatMap(a -> stores.batteries().find(m.clientId(), a.batteryId()))
                .flatMap(b -> b.body().movement(m.movement()));
        boolean fits =
                test.filter(t -> m.value() >= 0 && m.value() <= t.unit().most()).isPresent();
        if (!fits) {
            row.finding("value", "unknown-movement", "no movement of this battery with such a value.");
        }
        return fits && stores.batteries().insert(m);
    }

    boolean measurement(CsvRow row, Measurement m) {
        boolean known = facts.knowsClient(row, m.clientId());
        boolean over = facts.past(row, "happened_at", m.happenedAt());
        boolean isNew = facts.hasItsPlace(row, m) && known && over && facts.isNew("measurement", m.id());
        if (isNew) {
            newMeasurements.add(m);
        }
        return isNew;
    }

    boolean session(CsvRow row, SessionRow s) {
        if (!facts.knowsLine(row, s.lineId())
                || !facts.past(row, "started_at", s.startedAt())
                || (s.closed() != null
                        && !facts.past(row, "ended_at", s.closed().happenedAt()))
                || !findings.isEmpty()
                || !facts.session(s.id())) {
            return false;
        }
        var line = facts.lines.get(s.lineId());
        var plan = facts.newestPlan.get(s.lineId());
        if (line == null || plan == null) {
            throw new IllegalStateException("a known line has a plan");
        }
        stores.sessions()
                .open(
                        new Opened(
                                s.id(),
                                s.lineId(),
                                line.clientId(),
                                plan.withDoses(s.doses()),
                                s.startedAt(),
                                s.recordedAt()),
                        null);
        var closed = s.closed();
        if (closed != null) {
            stores.sessions().close(closed);
        }
        return true;
    }

    /** What was run is history: it is kept as it was, whatever is restricted since. */
    boolean composedRun(CsvRow row, RunRow r) {
        var visit = r.visit();
        var closed = r.closed();
        boolean fine = facts.knowsClient(row, visit.clientId())
                && facts.past(row, "started_at", visit.happenedAt())
                && (closed == null || facts.past(row, "ended_at", closed.happenedAt()))
                && facts.isReadable(row, visit.draft());
        if (!fine || !findings.isEmpty() || !facts.session(visit.id())) {
            return false;
        }
        stores.visits().open(visit, null);
        if (closed != null) {
            stores.sessions().close(closed);
        }
        return true;
    }

    boolean block(CsvRow row, StoredBlock b) {
        boolean isNew = facts.knowsSession(row, b.sessionId())
                && facts.past(row, "happened_at", b.happenedAt())
                && facts.isNew("block", b.id());
        if (isNew) {
            newBlocks.add(b);
        }
        return isNew;
    }

    boolean morning(CsvRow row, Morning m) {
        boolean isNew = facts.knowsSession(row, m.sessionId())
                && facts.past(row, "happened_at", m.happenedAt())
                && findings.isEmpty()
                && facts.isNew("morning", m.id());
        if (isNew) {
            stores.sessions().addMorning(m);
        }
        return isNew;
    }

    boolean note(CsvRow row, Note n) {
        return facts.knowsClient(row, n.clientId())
                && facts.past(row, "happened_at", n.happenedAt())
                && findings.isEmpty()
                && stores.notes().add(n);
    }

    boolean reference(CsvRow row, StoredReference r) {
        return facts.knowsClient(row, r.clientId())
                && (r.sessionId() == null || facts.knowsSession(row, r.sessionId()))
                && facts.past(row, "happened_at", r.happenedAt())
                && findings.isEmpty()
                && stores.traces().add(r);
    }

    boolean trace(CsvRow row, StoredTrace t) {
        return facts.knowsSession(row, t.sessionId())
                && facts.past(row, "happened_at", t.happenedAt())
                && findings.isEmpty()
                && stores.traces().add(t);
    }

    boolean decision(CsvRow row, StoredDecision d) {
        var line = facts.lines.get(d.lineId());
        var plan = facts.newestPlan.get(d.lineId());
        if (!facts.knowsLine(row, d.lineId()) || line == null || plan == null) {
            return false;
        }
        var decided = d.decided();
        var change = new DoseChange(plan, decided.side(), Optional.of(decided.before()), decided.after());
        facts.obeys(row, line.clientId(), decided.happenedAt(), change);
        return facts.past(row, "happened_at", decided.happenedAt())
                && findings.isEmpty()
                && (d.undoneAt() == null || facts.past(row, "undone_at", d.undoneAt()))
                && insert(d);
    }

    private boolean insert(StoredDecision d) {
        boolean isNew = stores.decisions().insert(d);
        if (d.undoneAt() != null) {
            stores.decisions().undo(d.decided().id(), d.undoneAt());
        }
        return isNew;
    }

    boolean pause(CsvRow row, StoredPause p) {
        return facts.knowsClient(row, p.clientId())
                && facts.past(row, "recorded_at", p.recordedAt())
                && findings.isEmpty()
                && stores.pauses().add(p);
    }

    boolean policy(CsvRow row, StoredPolicy p) {
        PolicyCheck.check(Policy.house(), p.values())
                .forEach(f -> row.finding("thresholds", f.code(), f.path() + ": " + f.message()));
        return row.isClean() && findings.isEmpty() && stores.policies().add(p);
    }

    /** The kinds with many rows, each in one batch. */
    void flush() {
        stores.measurements().insert(newMeasurements);
        stores.sessions().addBlocks(newBlocks);
    }
}
