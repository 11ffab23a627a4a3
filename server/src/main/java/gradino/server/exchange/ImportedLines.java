package gradino.server.exchange;

import gradino.core.advance.state.Event.DoseDecided;
import gradino.core.because.Finding;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.LineCheck;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.quantity.Degrees;
import gradino.server.advance.line.DecisionRepository.StoredDecision;
import gradino.server.exchange.ImportService.Stores;
import gradino.server.exchange.table.CsvRow;
import gradino.server.exchange.table.LineTables.LineRow;
import gradino.server.intake.Client;
import gradino.server.prescribe.program.Line;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Stores lines and what was decided of them, a part of one import. */
final class ImportedLines {
    private final Stores stores;
    private final List<Finding> findings;
    private final ImportFacts facts;

    ImportedLines(Stores stores, List<Finding> findings, ImportFacts facts) {
        this.stores = stores;
        this.findings = findings;
        this.facts = facts;
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
}
