package gradino.server.measure;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.Warmth;
import gradino.core.measure.reading.RangeSeries;
import gradino.server.intake.ClientService;
import gradino.server.measure.Battery.Assessment;
import gradino.server.measure.Battery.BatteryView;
import gradino.server.measure.Battery.Item;
import gradino.server.measure.Battery.ItemPair;
import gradino.server.measure.Battery.MovementPair;
import gradino.server.measure.Battery.MovementResult;
import gradino.server.measure.Battery.Paired;
import gradino.server.measure.Ranges.Difference;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Saves batteries, goes through them, and pairs a re-test with its baseline. */
@Service
class BatteryService {
    private static final int ITEMS_MOST = 200;
    private static final int MOVEMENTS_MOST = 20;

    private final BatteryRepository batteries;
    private final MeasurementRepository measurements;
    private final NoiseService noise;
    private final ClientService clients;
    private final Clock clock;

    BatteryService(
            BatteryRepository batteries,
            MeasurementRepository measurements,
            NoiseService noise,
            ClientService clients,
            Clock clock) {
        this.batteries = batteries;
        this.measurements = measurements;
        this.noise = noise;
        this.clients = clients;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<BatteryView> of(String clientId) {
        clients.get(clientId);
        return batteries.of(clientId).stream()
                .map(b -> new BatteryView(b, batteries.assessments(clientId, b.id())))
                .toList();
    }

    @Transactional
    BatteryView save(String clientId, String id, String name, Battery.BatterySet body) {
        clients.get(clientId);
        if (batteries.find(clientId, id).isEmpty()) {
            Problem.throwIfBlocking(check(name, body));
            batteries.insert(new Battery(id, clientId, name, body, StudioClock.now(clock)));
        }
        var battery = battery(clientId, id);
        return new BatteryView(battery, batteries.assessments(clientId, id));
    }

    private static List<Finding> check(String name, Battery.BatterySet body) {
        var findings = new ArrayList<Finding>();
        if (name.isBlank() || name.length() > 80) {
            block(findings, "name", "required", "A name of up to 80 letters.");
        }
        if (body.items().isEmpty() || body.items().size() > ITEMS_MOST) {
            block(findings, "body.items", "number-of-items", "One measure at least, 200 at most.");
        }
        for (int i = 0; i < body.items().size(); i++) {
            item("body.items[" + i + "]", body.items().get(i), findings);
        }
        if (body.movements().size() > MOVEMENTS_MOST) {
            block(findings, "body.movements", "too-many", "Twenty movements at most.");
        }
        for (int i = 0; i < body.movements().size(); i++) {
            if (body.movements().get(i).name().isBlank()) {
                block(findings, "body.movements[" + i + "].name", "required", "Which movement?");
            }
        }
        return findings;
    }

    private static void item(String at, Item item, List<Finding> findings) {
        var motion = Catalogue.motion(item.motion());
        var position = Catalogue.position(item.position());
        if (motion.isEmpty()) {
            block(findings, at + ".motion", "unknown-motion", "Pick a motion of the list.");
        } else if (!Side.of(motion.get()).contains(item.side())) {
            block(findings, at + ".side", "side-for-motion", "Not a side of this motion.");
        }
        if (position.isEmpty() || !position.get().allows(item.motion())) {
            block(findings, at + ".position", "unknown-position", "Pick a position for this motion.");
        }
    }

    private static void block(List<Finding> findings, String path, String code, String message) {
        findings.add(Finding.blocking(path, code, null, "", message));
    }

    private Battery battery(String clientId, String id) {
        return batteries.find(clientId, id).orElseThrow(Problem::nothingHere);
    }

    /** Begins to go through a battery; the first time is its baseline. */
    @Transactional
    Paired begin(String clientId, String batteryId, String assessmentId) {
        battery(clientId, batteryId);
        var now = StudioClock.now(clock);
        batteries.insert(new Assessment(assessmentId, clientId, batteryId, now, now));
        return paired(clientId, assessmentId);
    }

    @Transactional
    Paired movement(String clientId, String assessmentId, String id, String movement, double value, String note) {
        var assessment = assessment(clientId, assessmentId);
        var test = battery(clientId, assessment.batteryId())
                .body()
                .movement(movement)
                .orElseThrow(() -> Problem.invalid("movement", "unknown", "Not a movement of this battery."));
        if (!(value >= 0 && value <= test.unit().most())) {
            throw Problem.invalid(
                    "value",
                    "out-of-bounds",
                    "Between 0 and %.0f.".formatted(test.unit().most()));
        }
        var now = StudioClock.now(clock);
        batteries.insert(new MovementResult(
                id, clientId, assessmentId, null, movement, test.unit(), Warmth.COLD, value, now, now, note));
        return paired(clientId, assessment.id());
    }

    @Transactional(readOnly = true)
    List<MovementResult> movements(String clientId) {
        clients.get(clientId);
        return batteries.resultsOf(clientId);
    }

    private Assessment assessment(String clientId, String id) {
        return batteries.assessment(clientId, id).orElseThrow(Problem::nothingHere);
    }

    @Transactional(readOnly = true)
    Paired paired(String clientId, String assessmentId) {
        clients.get(clientId);
        var assessment = assessment(clientId, assessmentId);
        var battery = battery(clientId, assessment.batteryId());
        var first = batteries.assessments(clientId, battery.id()).get(0);
        var baseline = first.id().equals(assessment.id()) ? null : first;
        var all = measurements.of(clientId);
        var book = noise.book();
        var items = battery.body().items().stream()
                .map(i -> pair(i, assessment, baseline, all, book))
                .toList();
        Integer next = null;
        for (int i = items.size() - 1; i >= 0; i--) {
            next = items.get(i).now() == null ? Integer.valueOf(i) : next;
        }
        return new Paired(battery, assessment, baseline, items, movements(battery, assessment, baseline), next);
    }

    private static ItemPair pair(
            Item item, Assessment assessment, @Nullable Assessment baseline, List<Measurement> all, NoiseBook book) {
        var now = last(item, assessment.id(), all);
        var then = baseline == null ? null : last(item, baseline.id(), all);
        return new ItemPair(
                item,
                then == null ? null : then.trials().median().value(),
                now == null ? null : now.trials().median().value(),
                now == null || then == null ? null : change(item, then, now, all, book));
    }

    private static @Nullable Measurement last(Item item, String assessmentId, List<Measurement> all) {
        return all.stream()
                .filter(m -> assessmentId.equals(m.assessmentId()) && item.matches(m))
                .reduce((a, b) -> b)
                .orElse(null);
    }

    /** Between the readings of the two days; a warm series has no change. */
    private static @Nullable Difference change(
            Item item, Measurement then, Measurement now, List<Measurement> all, NoiseBook book) {
        if (item.warmth() != Warmth.COLD) {
            return null;
        }
        var readings = all.stream()
                .filter(item::matches)
                .filter(m -> !m.happenedAt().isAfter(now.happenedAt()))
                .map(m -> m.reading(book))
                .toList();
        return RangeSeries.fold(readings, book.rules(), then.happenedAt())
                .map(s -> Difference.of(s.change()))
                .orElse(null);
    }

    private List<MovementPair> movements(Battery battery, Assessment assessment, @Nullable Assessment baseline) {
        var now = batteries.results(assessment.id());
        var then = baseline == null ? List.<MovementResult>of() : batteries.results(baseline.id());
        return battery.body().movements().stream()
                .map(m -> new MovementPair(m, value(m.name(), then), value(m.name(), now)))
                .toList();
    }

    private static @Nullable Double value(String movement, List<MovementResult> results) {
        return results.stream()
                .filter(r -> r.movement().equals(movement))
                .reduce((a, b) -> b)
                .map(MovementResult::value)
                .orElse(null);
    }
}
