package gradino.server.exchange;

import gradino.core.advance.state.Policy;
import gradino.core.advance.state.PolicyCheck;
import gradino.core.because.Finding;
import gradino.core.figure.OwnCheck;
import gradino.core.intake.IntakeCheck;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.MethodFile;
import gradino.server.advance.line.PauseRepository.StoredPause;
import gradino.server.advance.line.PolicyRepository.StoredPolicy;
import gradino.server.exchange.ImportService.Stores;
import gradino.server.exchange.table.ClientTables.ClientRow;
import gradino.server.exchange.table.CsvRow;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.intake.IntakeRepository.AddedRestriction;
import gradino.server.intake.IntakeRepository.StoredClearance;
import gradino.server.intake.IntakeRepository.StoredScreening;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.library.PositionRepository.StudioPosition;
import gradino.server.prescribe.program.SessionRepository.Saving;
import gradino.server.prescribe.program.SessionRepository.StudioMethod;
import gradino.server.schedule.calendar.CalendarRepository.Entry;
import gradino.server.schedule.plan.PlanRepository.Written;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
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
    private final ImportedLines lines;
    private final ImportedMeasures measures;

    ImportRun(Stores stores, ImportReader reader, Clock clock) {
        this.stores = stores;
        this.findings = reader.findings;
        this.today = LocalDate.now(clock);
        this.now = StudioClock.now(clock);
        this.erased = stores.erased().all();
        this.facts = new ImportFacts(now, clock.getZone());
        this.runs = new ImportedRuns(stores, findings, facts);
        this.lines = new ImportedLines(stores, findings, facts);
        this.measures = new ImportedMeasures(stores, facts);
        load();
    }

    /** Rows of what was run. */
    ImportedRuns runs() {
        return runs;
    }

    /** Rows of lines and what was decided of them. */
    ImportedLines lines() {
        return lines;
    }

    /** Rows of what was measured. */
    ImportedMeasures measures() {
        return measures;
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

    /** The kinds with many rows go in some at a time; these are the last ones. */
    void flush() {
        measures.flush();
        runs.flush();
    }
}
