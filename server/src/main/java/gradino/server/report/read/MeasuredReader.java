package gradino.server.report.read;

import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.noise.Warmth;
import gradino.core.report.MotionSide;
import gradino.core.report.MovementChange;
import gradino.core.report.MovementChange.Tested;
import gradino.core.report.Next.Limits;
import gradino.core.report.Period;
import gradino.core.report.Report.Measured;
import gradino.core.report.Series;
import gradino.server.intake.Client;
import gradino.server.intake.Client.MotionGoal;
import gradino.server.measure.Battery;
import gradino.server.measure.Battery.Item;
import gradino.server.measure.Battery.MovementResult;
import gradino.server.measure.Battery.MovementTest;
import gradino.server.measure.BatteryRepository;
import gradino.server.measure.MeasureService;
import gradino.server.measure.Measurement;
import gradino.server.measure.MeasurementRepository;
import gradino.server.measure.NoiseService;
import gradino.server.schedule.calendar.Block;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What was measured of a client, and what limits each motion. */
@Component
public class MeasuredReader {
    private final MeasurementRepository rows;
    private final BatteryRepository batteries;
    private final MeasureService measures;
    private final NoiseService noise;
    private final Clock clock;

    MeasuredReader(
            MeasurementRepository rows,
            BatteryRepository batteries,
            MeasureService measures,
            NoiseService noise,
            Clock clock) {
        this.rows = rows;
        this.batteries = batteries;
        this.measures = measures;
        this.noise = noise;
        this.clock = clock;
    }

    List<Measurement> measurements(Client client) {
        return rows.of(client.id());
    }

    /** @param block of weeks that runs or comes; null for none */
    Measured of(Client client, List<Measurement> measurements, Period period, @Nullable Block block) {
        var book = noise.book();
        var own = batteries.of(client.id());
        return new Measured(
                series(measurements, book),
                expected(own, block),
                movements(client, own, period),
                client.details().goals().stream()
                        .collect(Collectors.toMap(MotionGoal::motion, MotionGoal::degrees, Math::max)),
                book.rules());
    }

    public static List<Series> series(List<Measurement> measurements, NoiseBook book) {
        return measurements.stream().collect(Collectors.groupingBy(Measurement::series)).entrySet().stream()
                .map(e -> series(e.getKey(), e.getValue(), book))
                .toList();
    }

    private static Series series(SeriesKey key, List<Measurement> mine, NoiseBook book) {
        var byWarmth = mine.stream()
                .collect(Collectors.groupingBy(
                        Measurement::warmth, Collectors.mapping(m -> m.reading(book), Collectors.toList())));
        return new Series(
                key,
                byWarmth.getOrDefault(Warmth.COLD, List.of()),
                byWarmth.getOrDefault(Warmth.WARM, List.of()),
                mine.get(mine.size() - 1).bodyUncertainty());
    }

    /** Of the battery of the block of weeks; without one, of the newest. */
    private static Set<SeriesKey> expected(List<Battery> own, @Nullable Block block) {
        var named = Optional.ofNullable(block).map(Block::batteryId);
        return own.stream()
                .filter(b -> named.isEmpty() || named.get().equals(b.id()))
                .reduce((first, later) -> later)
                .map(b -> b.body().items().stream()
                        .filter(i -> i.warmth() == Warmth.COLD)
                        .map(MeasuredReader::key)
                        .collect(Collectors.toSet()))
                .orElse(Set.of());
    }

    private static SeriesKey key(Item i) {
        return new SeriesKey(i.motion(), i.side(), i.mode(), i.position(), i.instrument());
    }

    private List<MovementChange> movements(Client client, List<Battery> own, Period period) {
        var cold = batteries.resultsOf(client.id()).stream()
                .filter(r -> r.warmth() == Warmth.COLD)
                .toList();
        Map<String, MovementTest> tests = own.stream()
                .flatMap(b -> b.body().movements().stream())
                .collect(Collectors.toMap(MovementTest::name, t -> t, (a, b) -> b, java.util.TreeMap::new));
        return tests.values().stream().map(test -> movement(test, cold, period)).toList();
    }

    private MovementChange movement(MovementTest test, List<MovementResult> cold, Period period) {
        var mine = cold.stream()
                .filter(r -> r.movement().equals(test.name()) && r.unit() == test.unit())
                .map(r -> new Tested(r.happenedAt(), r.value()))
                .toList();
        var unit = MovementChange.Unit.valueOf(test.unit().name());
        return MovementChange.of(test.name(), unit, test.higherIsBetter(), mine, period, clock.getZone());
    }

    List<Limits> limits(Client client) {
        return measures.ranges(client.id()).stream()
                .flatMap(row -> row.sides().stream()
                        .filter(side -> side.passive() != null || side.active() != null)
                        .map(side -> new Limits(
                                new MotionSide(row.motion(), side.side(), row.position(), row.instrument()),
                                side.limiter())))
                .toList();
    }
}
