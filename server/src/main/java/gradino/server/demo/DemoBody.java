package gradino.server.demo;

import gradino.core.advance.state.Moment;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.noise.Warmth;
import gradino.server.intake.ClientRepository;
import gradino.server.measure.Battery;
import gradino.server.measure.Battery.Assessment;
import gradino.server.measure.Battery.BatterySet;
import gradino.server.measure.Battery.Item;
import gradino.server.measure.Battery.MovementResult;
import gradino.server.measure.Battery.MovementTest;
import gradino.server.measure.Battery.Unit;
import gradino.server.measure.BatteryRepository;
import gradino.server.measure.Measurement;
import gradino.server.measure.MeasurementRepository;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Whole-body assessments of the invented clients who were measured all over: at the start and half way. */
@Component
class DemoBody {
    private static final int SECONDS_A_READING = 45;

    private final ClientRepository clients;
    private final MeasurementRepository measurements;
    private final BatteryRepository batteries;

    DemoBody(ClientRepository clients, MeasurementRepository measurements, BatteryRepository batteries) {
        this.clients = clients;
        this.measurements = measurements;
        this.batteries = batteries;
    }

    /**
     * A motion of the body.
     *
     * @param passive true range at the start, left side
     * @param uneven right − left
     * @param gap true control gap
     * @param gain true gain till the second assessment
     */
    private record Part(String motion, String position, double passive, double uneven, double gap, double gain) {}

    private static final List<Part> PARTS = List.of(
            new Part("neck-rotation", "seated-tall", 68, 3, 4, 1),
            new Part("shoulder-flexion", "supine-arm-overhead", 158, 5, 10, 3),
            new Part("shoulder-internal-rotation", "supine-arm-square", 46, 9, 9, 6),
            new Part("shoulder-external-rotation", "supine-arm-square", 92, -4, 12, 0),
            new Part("thoracic-rotation", "seated-arms-crossed", 34, 6, 6, 4),
            new Part("wrist-extension", "forearm-on-table", 66, -2, 7, 0),
            new Part("hip-flexion", "supine-knee-to-chest", 108, 2, 16, 5),
            new Part("hip-extension", "prone-leg-lift", 8, 2, 6, 1),
            new Part("hip-abduction", "supine-leg-slide", 36, -5, 14, 4),
            new Part("hip-external-rotation", "prone-knee-bent", 31, 7, 9, 2),
            new Part("knee-flexion", "supine-heel-slide", 138, 1, 8, 0),
            new Part("ankle-plantarflexion", "long-sitting", 44, 0, 5, 0),
            new Part("ankle-dorsiflexion", "long-sitting", 9, 3, 4, 2),
            new Part("big-toe-extension", "seated-foot-flat", 52, -6, 22, 3));

    private static final MovementTest SQUAT = new MovementTest("Deep squat, heels down", Unit.GRADE, true);
    private static final MovementTest KNEE_TO_WALL = new MovementTest("Toe to wall, heel down", Unit.CENTIMETRE, true);

    void tell(DemoLife life, Moment now, Random random) {
        if (life.weeks() < 8 || !life.course().measuredAll()) {
            return;
        }
        var start = at(now, life.weeks() * 7);
        var battery = new Battery(life.id() + "-battery", life.id(), "Whole body", set(), start);
        batteries.insert(battery);
        assess(life, new Visit(battery, start, 0, Map.of(SQUAT, 4.0, KNEE_TO_WALL, 6.5)), random);
        var halfWay = at(now, life.weeks() * 7 / 2);
        assess(life, new Visit(battery, halfWay, 1, Map.of(SQUAT, 6.0, KNEE_TO_WALL, 8.0)), random);
    }

    /**
     * One time that the battery was gone through.
     *
     * @param share of the gain that is there by then
     */
    private record Visit(Battery battery, Instant start, double share, Map<MovementTest, Double> movements) {
        String id() {
            return battery.clientId() + "-assessment-" + start.toEpochMilli();
        }
    }

    private static BatterySet set() {
        var items = PARTS.stream()
                .flatMap(part -> Catalogue.motion(part.motion()).map(Side::of).orElseThrow().stream()
                        .flatMap(side -> Stream.of(Mode.PASSIVE, Mode.ACTIVE).map(mode -> item(part, side, mode))))
                .toList();
        return new BatterySet(items, List.of(SQUAT, KNEE_TO_WALL));
    }

    private static Item item(Part part, Side side, Mode mode) {
        return new Item(part.motion(), side, mode, Warmth.COLD, part.position(), Instrument.GONIOMETER);
    }

    private static Instant at(Moment now, int daysAgo) {
        return now.day(now.instant())
                .minusDays(daysAgo)
                .atTime(LocalTime.of(10, 0))
                .atZone(now.zone())
                .toInstant();
    }

    private void assess(DemoLife life, Visit visit, Random random) {
        var assessment = new Assessment(visit.id(), life.id(), visit.battery().id(), visit.start(), visit.start());
        batteries.insert(assessment);
        var readings =
                new DemoReadings(clients.find(life.id()).orElseThrow(), random, EndFeel.STRETCH, assessment.id());
        var all = new ArrayList<Measurement>();
        for (var part : PARTS) {
            for (var side : Catalogue.motion(part.motion()).map(Side::of).orElseThrow()) {
                double truth = part.passive() + part.gain() * visit.share() + (side == Side.RIGHT ? part.uneven() : 0);
                for (var mode : List.of(Mode.PASSIVE, Mode.ACTIVE)) {
                    var key = new SeriesKey(part.motion(), side, mode, part.position(), Instrument.GONIOMETER);
                    double value = mode == Mode.PASSIVE ? truth : truth - part.gap();
                    all.add(readings.cold(
                            key, value, visit.start().plusSeconds((long) all.size() * SECONDS_A_READING)));
                }
            }
        }
        measurements.insert(all);
        movements(visit, visit.start().plusSeconds((long) all.size() * SECONDS_A_READING));
    }

    private void movements(Visit visit, Instant at) {
        visit.movements()
                .forEach((test, value) -> batteries.insert(new MovementResult(
                        visit.id() + "-" + test.name().replaceAll("[^A-Za-z0-9]+", "-"),
                        visit.battery().clientId(),
                        visit.id(),
                        null,
                        test.name(),
                        test.unit(),
                        Warmth.COLD,
                        value,
                        at,
                        at,
                        "")));
    }
}
