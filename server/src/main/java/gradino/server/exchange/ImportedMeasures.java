package gradino.server.exchange;

import gradino.server.exchange.ImportService.Stores;
import gradino.server.exchange.table.CsvRow;
import gradino.server.measure.Battery;
import gradino.server.measure.Battery.Assessment;
import gradino.server.measure.Battery.MovementResult;
import gradino.server.measure.Measurement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Stores what was measured, a part of one import. */
final class ImportedMeasures {
    private final Stores stores;
    private final ImportFacts facts;
    private final List<Measurement> newMeasurements = new ArrayList<>();

    ImportedMeasures(Stores stores, ImportFacts facts) {
        this.stores = stores;
        this.facts = facts;
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
        if (isNew && newMeasurements.add(m) && newMeasurements.size() == ImportRun.AT_A_TIME) {
            flush();
        }
        return isNew;
    }

    /** The last ones: they go in some at a time. */
    void flush() {
        stores.measurements().insert(newMeasurements);
        newMeasurements.clear();
    }
}
