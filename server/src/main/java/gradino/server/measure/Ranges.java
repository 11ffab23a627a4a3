package gradino.server.measure;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.EndFeel;
import gradino.core.measure.Instrument;
import gradino.core.measure.Limiter;
import gradino.core.measure.Mode;
import gradino.core.measure.NoiseRules;
import gradino.core.measure.RangeReading;
import gradino.core.measure.RangeSeries;
import gradino.core.measure.RangeState;
import gradino.core.measure.Warmth;
import gradino.core.quantity.UncertainAngle;
import gradino.server.intake.Client;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What a client's measurements say about each motion in each position, as it stands at a moment. */
public final class Ranges {
    private Ranges() {}

    /** One motion in one position with one instrument, both sides. */
    public record RangeRow(
            String motion,
            String position,
            Instrument instrument,
            @Nullable Usual usualPassive,
            @Nullable Usual usualActive,
            @Nullable Double goalDegrees,
            Sided<RangeSide> sides,
            @Nullable Difference asymmetry) {}

    /** A published usual range with its table. */
    public record Usual(double lower, double upper, String source) {}

    /**
     * One side's range.
     *
     * @param gap passive − active; null unless both were measured
     * @param gapLimit largest gap in order, degrees
     */
    public record RangeSide(
            @Nullable Estimate passive,
            @Nullable Estimate active,
            @Nullable Difference gap,
            @Nullable Double gapLimit,
            Limiter limiter,
            @Nullable EndFeel endFeel,
            List<Dot> dots) {}

    /**
     * An estimate with its 95 % band and the change since the first reading.
     *
     * @param asOf time of the last cold reading
     */
    public record Estimate(
            double degrees,
            double standardError,
            double lower,
            double upper,
            Instant asOf,
            int readings,
            Difference change) {}

    /** A difference with its 95 % interval; real when it leaves out zero. */
    public record Difference(double degrees, double lower, double upper, boolean real) {}

    /** One reading, for the history. */
    public record Dot(Instant at, Mode mode, Warmth warmth, double degrees, boolean outlier) {}

    private record RowKey(String motion, String position, Instrument instrument) {}

    public static List<RangeRow> of(Client client, List<Measurement> measurements, NoiseRules noise, Instant now) {
        Map<RowKey, List<Measurement>> rows = new LinkedHashMap<>();
        measurements.stream()
                .sorted(Comparator.comparing(Measurement::happenedAt))
                .forEach(m -> rows.computeIfAbsent(
                                new RowKey(m.motion(), m.position(), m.instrument()), k -> new ArrayList<>())
                        .add(m));
        return rows.entrySet().stream()
                .map(e -> row(client, e.getKey(), e.getValue(), noise, now))
                .toList();
    }

    private static RangeRow row(Client client, RowKey key, List<Measurement> all, NoiseRules noise, Instant now) {
        var wanted = wanted(client, key.motion(), key.position());
        var sides = Sided.of(side -> side(all, side, wanted.orElse(null), noise, now));
        return new RangeRow(
                key.motion(),
                key.position(),
                key.instrument(),
                usual(key, Mode.PASSIVE),
                usual(key, Mode.ACTIVE),
                client.goalFor(key.motion()).orElse(null),
                sides,
                asymmetry(sides));
    }

    /** What the passive range is held against: the greater of the goal and the usual range's lower edge. */
    public static Optional<Double> wanted(Client client, String motion, String position) {
        var usual = Catalogue.norm(motion, "passive", position).map(n -> n.lowerEdge());
        var goal = client.goalFor(motion);
        return usual.isPresent() && goal.isPresent()
                ? Optional.of(Math.max(usual.get(), goal.get()))
                : usual.or(() -> goal);
    }

    private static @Nullable Usual usual(RowKey key, Mode mode) {
        return Catalogue.norm(key.motion(), mode.tableMode(), key.position())
                .map(n -> new Usual(n.lowerEdge(), n.upperEdge(), n.source().text() + ", " + n.population()))
                .orElse(null);
    }

    private static RangeSide side(
            List<Measurement> all, Side side, @Nullable Double wanted, NoiseRules noise, Instant now) {
        var mine = all.stream().filter(m -> m.side() == side).toList();
        var passive = estimate(mine, Mode.PASSIVE, noise, now);
        var active = estimate(mine, Mode.ACTIVE, noise, now);
        var feel = mine.stream()
                .filter(m -> m.mode() == Mode.PASSIVE && m.warmth() == Warmth.COLD && m.endFeel() != null)
                .reduce((a, b) -> b)
                .map(Measurement::endFeel)
                .orElse(null);
        return new RangeSide(
                passive,
                active,
                passive == null || active == null
                        ? null
                        : difference(angle(passive).minusIndependent(angle(active))),
                passive == null ? null : Limiter.gapLimit(passive.degrees()),
                Limiter.judge(
                        passive == null ? null : angle(passive), active == null ? null : angle(active), wanted, feel),
                feel,
                dots(mine, noise));
    }

    private static UncertainAngle angle(Estimate estimate) {
        return UncertainAngle.of(estimate.degrees(), estimate.standardError());
    }

    private static @Nullable Estimate estimate(List<Measurement> mine, Mode mode, NoiseRules noise, Instant now) {
        var readings = cold(mine, mode, noise);
        return RangeSeries.fold(readings, noise)
                .map(state -> {
                    var angle = state.predict(now, noise).estimate();
                    var change = state.change();
                    return new Estimate(
                            angle.value().value(),
                            angle.standardUncertainty(),
                            angle.lower95(),
                            angle.upper95(),
                            state.at(),
                            readings.size(),
                            new Difference(change.degrees(), change.lower95(), change.upper95(), change.isReal()));
                })
                .orElse(null);
    }

    private static List<RangeReading> cold(List<Measurement> mine, Mode mode, NoiseRules noise) {
        return mine.stream()
                .filter(m -> m.mode() == mode && m.warmth() == Warmth.COLD)
                .map(m -> m.reading(noise))
                .toList();
    }

    private static List<Dot> dots(List<Measurement> mine, NoiseRules noise) {
        Map<Mode, RangeState> states = new LinkedHashMap<>();
        var dots = new ArrayList<Dot>();
        for (var m : mine) {
            var reading = m.reading(noise);
            var before = states.get(m.mode());
            boolean cold = m.warmth() == Warmth.COLD;
            boolean outlier = cold && before != null && before.isOutlier(reading, noise);
            if (cold) {
                states.put(m.mode(), before == null ? RangeState.first(reading, noise) : before.next(reading, noise));
            }
            dots.add(new Dot(m.happenedAt(), m.mode(), m.warmth(), reading.degrees(), outlier));
        }
        return dots;
    }

    private static @Nullable Difference asymmetry(Sided<RangeSide> sides) {
        var left = sides.left().passive();
        var right = sides.right().passive();
        return left == null || right == null
                ? null
                : difference(angle(Objects.requireNonNull(left)).minusIndependent(angle(right)));
    }

    private static Difference difference(UncertainAngle d) {
        boolean real = d.lower95() > 0 || d.upper95() < 0;
        return new Difference(d.value().value(), d.lower95(), d.upper95(), real);
    }
}
