package gradino.server.measure;

import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.Warmth;
import gradino.server.measure.Ranges.Difference;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A saved set of measures: what is measured, in which order, and which movements are tested with it. */
public record Battery(String id, String clientId, String name, BatterySet body, Instant recordedAt) {

    /** What a battery is made of. */
    public record BatterySet(List<Item> items, List<MovementTest> movements) {
        public BatterySet {
            items = List.copyOf(items);
            movements = List.copyOf(movements);
        }

        public Optional<MovementTest> movement(String name) {
            return movements.stream().filter(m -> m.name().equals(name)).findFirst();
        }
    }

    /** One measure; a re-test takes the same ones in the same order. */
    public record Item(String motion, Side side, Mode mode, Warmth warmth, String position, Instrument instrument) {
        boolean matches(Measurement m) {
            return m.motion().equals(motion)
                    && m.side() == side
                    && m.mode() == mode
                    && m.warmth() == warmth
                    && m.position().equals(position)
                    && m.instrument() == instrument;
        }
    }

    /**
     * A movement that is looked at before and after: graded 0 to 10, or a length by tape.
     *
     * @param higherIsBetter false where a smaller length is the better one
     */
    public record MovementTest(String name, Unit unit, boolean higherIsBetter) {}

    public enum Unit {
        GRADE(10),
        CENTIMETRE(300);

        private final double most;

        Unit(double most) {
            this.most = most;
        }

        public double most() {
            return most;
        }
    }

    /** One time that a battery was gone through. */
    public record Assessment(String id, String clientId, String batteryId, Instant happenedAt, Instant recordedAt) {}

    /**
     * How a movement went.
     *
     * @param assessmentId in which it was tested; null in a run
     * @param runId in which it was tested; null in an assessment
     */
    public record MovementResult(
            String id,
            String clientId,
            @Nullable String assessmentId,
            @Nullable String runId,
            String movement,
            Unit unit,
            Warmth warmth,
            double value,
            Instant happenedAt,
            Instant recordedAt,
            String note) {}

    /** A battery with every time it was gone through. */
    record BatteryView(Battery battery, List<Assessment> assessments) {}

    /**
     * An assessment beside the first one of its battery.
     *
     * @param next index of the first item without a reading; null when all are there
     */
    record Paired(
            Battery battery,
            Assessment assessment,
            @Nullable Assessment baseline,
            List<ItemPair> items,
            List<MovementPair> movements,
            @Nullable Integer next) {}

    /**
     * One measure then and now.
     *
     * @param change of the estimates, with the correlation of the two counted; null without both
     */
    record ItemPair(
            Item item,
            @Nullable Double then,
            @Nullable Double now,
            @Nullable Difference change) {}

    record MovementPair(
            MovementTest movement,
            @Nullable Double then,
            @Nullable Double now) {}
}
