package gradino.server.exchange;

import gradino.core.advance.state.Event.DoseDecided;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.PolicyCheck;
import gradino.core.because.Finding;
import gradino.core.body.Sided;
import gradino.core.figure.OwnCheck;
import gradino.core.intake.IntakeCheck;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.MethodFile;
import gradino.core.prescribe.program.LineCheck;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.quantity.Degrees;
import gradino.server.advance.line.DecisionRepository.StoredDecision;
import gradino.server.advance.line.PauseRepository.StoredPause;
import gradino.server.advance.line.PolicyRepository.StoredPolicy;
import gradino.server.exchange.ImportService.Stores;
import gradino.server.exchange.table.ClientTables.ClientRow;
import gradino.server.exchange.table.CsvRow;
import gradino.server.exchange.table.LineTables.LineRow;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.intake.IntakeRepository.AddedRestriction;
import gradino.server.intake.IntakeRepository.StoredClearance;
import gradino.server.intake.IntakeRepository.StoredScreening;
import gradino.server.measure.Battery;
import gradino.server.measure.Battery.Assessment;
import gradino.server.measure.Battery.MovementResult;
import gradino.server.measure.Measurement;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.library.PositionRepository.StudioPosition;
import gradino.server.prescribe.program.Line;
import gradino.server.prescribe.program.SessionRepository.Saving;
import gradino.server.prescribe.program.SessionRepository.StudioMethod;
import gradino.server.schedule.calendar.CalendarRepository.Entry;
import gradino.server.schedule.plan.PlanRepository.Written;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Stores the rows of one import. Each method says whether its row was new; after a first finding nothing is stored. */
final class ImportRun {
    static final int AT_A_TIME = 500;

    private final Stores stores;
    private final List<Finding> findings;
    private final ImportFacts facts;
    private final Set<String> erased;
    private final LocalDate today;
    private final Instant now;
    private final ImportedRuns runs;
    private final List<Measurement> newMeasurements = new ArrayList<>();

    ImportRun(Stores stores, ImportReader reader, Clock clock) {
        this.stores = stores;
        this.findings = reader.findings;
        this.today = LocalDate.now(clock);
        this.now = StudioClock.now(clock);
        this.erased = stores.erased().all();
        this.facts = new ImportFacts(now, clock.getZone());
        this.runs = new ImportedRuns(stores, findings, facts);
        load();
    }

    /** Rows of what was run. */
    ImportedRuns runs() {
        return runs;
    }

    /** Everything that a row may refer to, and every id that is there. */
    private void load() {
        stores.clients().all().forEach(facts::client);
        for (var line : stores.lines().all()) {
            facts.lines.put(line.id(), line);
            for (var version : stores.lines().versions(line.id())) {
                facts.isNew("line " + line.id(), version.recordedAt().toString());
                facts.newestPlan.put(line.id(), version.plan());
            }
        }
        stores.sessions()
                .all()
                .forEach(c -> facts.isNew("session " + c.id(), c.recordedAt().toString()));
        stores.sessions()
                .allMethods()
                .forEach(m ->
                        facts.isNew("method " + m.method().id(), m.recordedAt().toString()));
        stores.positions()
                .all()
                .forEach(p -> facts.isNew("position " + p.id(), p.recordedAt().toString()));
        stores.runs().eachId(facts::run);
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
        boolean moved = !Objects.equals(known.map(Client::archivedAt).orElse(null), client.archivedAt());
        if (moved) {
            stores.clients().archive(client.id(), client.archivedAt());
        }
        know(client.id());
        return isNew || moved;
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
        var follows = line.line().follows();
        if (!facts.knowsClient(row, line.line().clientId())
                || (follows != null && !facts.knowsLine(row, follows))
                || !facts.past(row, "happened_at", version.happenedAt())
                || !facts.isNew("line " + id, version.recordedAt().toString())) {
            return false;
        }
        var plan = version.plan();
        check(row, plan, Optional.ofNullable(facts.clients(line.line().clientId())), version.happenedAt());
        if (!findings.isEmpty()) {
            return false;
        }
        if (facts.lines.putIfAbsent(id, line.line()) == null) {
            stores.lines().insert(line.line());
        }
        stores.lines().add(version);
        facts.newestPlan.put(id, plan);
        return true;
    }

    /** By the restrictions of that day; its ranges and habits are history. */
    private void check(CsvRow row, Plan plan, Optional<Client> client, Instant at) {
        var method = method(plan);
        if (method.isEmpty()) {
            row.finding("method", "unknown-method", "no method called '" + plan.method() + "'.");
        } else if (client.isPresent()) {
            LineCheck.check(plan, facts.restrictionsOnly(client.get(), plan.motion(), at), method.get()).stream()
                    .filter(Finding::blocks)
                    .forEach(f -> row.finding(f.path(), f.code(), f.message()));
        }
    }

    private Optional<Method> method(Plan plan) {
        return Method.byId(plan.method())
                .or(() -> stores.sessions().methods().stream()
                        .filter(m -> m.id().equals(plan.method()))
                        .findFirst());
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
            stores.sessions().insert(m);
        }
        return stored;
    }

    /** Lines that come after may be done in it. */
    boolean position(CsvRow row, StudioPosition p) {
        var own = p.own();
        if (own != null) {
            var methods = Stream.concat(Method.shipped().stream(), stores.sessions().methods().stream())
                    .map(Method::id)
                    .collect(Collectors.toSet());
            OwnCheck.of(own, methods, "", List.of())
                    .forEach(f -> row.finding("position_json", f.code(), f.path() + ": " + f.message()));
        }
        boolean stored = row.isClean()
                && facts.past(row, "recorded_at", p.recordedAt())
                && facts.isNew("position " + p.id(), p.recordedAt().toString());
        if (stored) {
            stores.positions().insert(p);
            stores.shelf().changed();
        }
        return stored;
    }

    boolean session(CsvRow row, Saving s) {
        var body = s.body();
        boolean stored = facts.knowsClient(row, s.clientId())
                && facts.past(row, "recorded_at", s.recordedAt())
                && facts.isNew("session " + s.id(), s.recordedAt().toString())
                && (body == null || facts.fits(row, s.clientId(), body))
                && findings.isEmpty();
        if (stored) {
            stores.sessions().insert(s);
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
        var assessment = Optional.ofNullable(m.assessmentId())
                .flatMap(id -> stores.batteries().assessment(m.clientId(), id));
        var run = m.runId();
        boolean somewhere = run != null
                ? facts.knowsRun(row, run)
                : facts.knows(row, "assessment", assessment, String.valueOf(m.assessmentId()));
        if (!somewhere || !facts.knowsClient(row, m.clientId()) || !facts.past(row, "happened_at", m.happenedAt())) {
            return false;
        }
        boolean fits = m.value() >= 0
                && m.value() <= m.unit().most()
                && assessment.map(a -> has(a, m)).orElse(true);
        if (!fits) {
            row.finding("value", "unknown-movement", "no movement of this battery with such a value.");
        }
        return fits && stores.batteries().insert(m);
    }

    private boolean has(Assessment assessment, MovementResult m) {
        return stores.batteries()
                .find(m.clientId(), assessment.batteryId())
                .flatMap(b -> b.body().movement(m.movement()))
                .filter(t -> t.unit() == m.unit())
                .isPresent();
    }

    boolean measurement(CsvRow row, Measurement m) {
        boolean known = facts.knowsClient(row, m.clientId());
        boolean over = facts.past(row, "happened_at", m.happenedAt());
        boolean isNew = facts.hasItsPlace(row, m)
                && known
                && over
                && !stores.measurements().has(m.id());
        if (isNew && newMeasurements.add(m) && newMeasurements.size() == AT_A_TIME) {
            keepMeasurements();
        }
        return isNew;
    }

    boolean decision(CsvRow row, StoredDecision d) {
        var line = facts.lines.get(d.lineId());
        var plan = facts.newestPlan.get(d.lineId());
        if (!facts.knowsLine(row, d.lineId()) || line == null || plan == null) {
            return false;
        }
        var decided = d.decided();
        obeys(row, line, plan, decided);
        return facts.past(row, "happened_at", decided.happenedAt())
                && findings.isEmpty()
                && (d.undoneAt() == null || facts.past(row, "undone_at", d.undoneAt()))
                && insert(d);
    }

    /** What was changed after a restriction stood must keep it; what was set before is history. */
    private void obeys(CsvRow row, Line line, Plan plan, DoseDecided decided) {
        var client = facts.clients(line.clientId());
        var method = method(plan);
        if (client != null && method.isPresent() && !decided.before().equals(decided.after())) {
            var side = decided.side();
            var limits = facts.restrictionsOnly(client, line.motion(), decided.happenedAt());
            var held = Sided.<Optional<Degrees>>both(Optional.empty())
                    .with(side, Optional.of(decided.before().angle()));
            var known = new LineFacts(limits.limits(), false, held, limits.passive(), true, true);
            LineCheck.checkSide(plan.withDose(side, decided.after()), side, known, method.get()).stream()
                    .filter(Finding::blocks)
                    .forEach(f -> row.finding("dose", f.code(), f.message()));
        }
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

    boolean calendar(CsvRow row, Entry e) {
        boolean isNew = facts.knowsClient(row, e.clientId())
                && facts.past(row, "recorded_at", e.recordedAt())
                && findings.isEmpty()
                && !stores.calendar().has(e);
        if (isNew) {
            stores.calendar().add(e);
        }
        return isNew;
    }

    boolean week(CsvRow row, Written w) {
        boolean isNew = facts.knowsClient(row, w.clientId())
                && facts.past(row, "recorded_at", w.recordedAt())
                && findings.isEmpty()
                && !stores.weeks().has(w);
        if (isNew) {
            stores.weeks().add(w);
        }
        return isNew;
    }

    boolean policy(CsvRow row, StoredPolicy p) {
        PolicyCheck.check(Policy.house(), p.values())
                .forEach(f -> row.finding("thresholds", f.code(), f.path() + ": " + f.message()));
        return row.isClean() && findings.isEmpty() && stores.policies().add(p);
    }

    private void keepMeasurements() {
        stores.measurements().insert(newMeasurements);
        newMeasurements.clear();
    }

    /** The kinds with many rows go in some at a time; these are the last ones. */
    void flush() {
        keepMeasurements();
        runs.flush();
    }
}
