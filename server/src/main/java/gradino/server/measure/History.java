package gradino.server.measure;

import gradino.core.body.Catalogue;
import gradino.core.body.Norm;
import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.Repeatability.UnusableException;
import gradino.core.measure.noise.Warmth;
import gradino.core.measure.reading.InclineLine;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.RangeSeries;
import gradino.core.measure.reading.RangeState;
import gradino.core.measure.reading.Retention;
import gradino.core.measure.reading.Visits;
import gradino.server.measure.Ranges.Difference;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The history of one motion in one position with one instrument. */
final class History {
    private History() {}

    /**
     * One motion's history.
     *
     * @param tables every published value for this motion and joint position, nearest people first
     */
    record MotionHistory(
            String motion,
            String position,
            Instrument instrument,
            List<SideHistory> sides,
            List<TableValue> tables,
            List<BenchLine> benches) {}

    /**
     * @param passiveChange since the asked date, by the fixed-point difference; null when never measured
     * @param retention null while the span is too short
     */
    record SideHistory(
            Side side,
            List<Dot> dots,
            List<Band> passive,
            List<Band> active,
            @Nullable Difference passiveChange,
            @Nullable Difference activeChange,
            @Nullable Retention retention) {}

    /** One reading; an outlier is flagged, never dropped. */
    record Dot(String id, Instant at, Mode mode, Warmth warmth, double degrees, boolean outlier, boolean ownStudy) {}

    /** The estimate just after a cold reading with its 95 % band. */
    record Band(Instant at, double degrees, double lower, double upper) {}

    /**
     * A published value.
     *
     * @param sd null when the source has none: then it is no usual range
     */
    record TableValue(
            String mode,
            String population,
            double mean,
            @Nullable Double sd,
            @Nullable Double lower,
            @Nullable Double upper,
            Norm.Fit fit,
            Norm.Kind kind,
            String source) {}

    /** A bench's fitted line, or why there is none. */
    record BenchLine(String bench, Side side, @Nullable InclineLine line, String missing) {}

    static MotionHistory of(Asked asked, List<Measurement> measurements, NoiseBook noise, ZoneId zone) {
        var mine = measurements.stream().filter(asked::covers).toList();
        var sides = Catalogue.motion(asked.motion()).map(Side::of).orElse(Side.PAIR).stream()
                .map(s -> side(s, mine.stream().filter(m -> m.side() == s).toList(), asked.since(), noise, zone))
                .toList();
        return new MotionHistory(
                asked.motion(), asked.position(), asked.instrument(), sides, tables(asked), benches(mine));
    }

    /** Which history. */
    record Asked(
            String motion,
            String position,
            Instrument instrument,
            @Nullable Instant since,
            Norm.Person person) {
        boolean covers(Measurement m) {
            return m.motion().equals(motion) && m.position().equals(position) && m.instrument() == instrument;
        }
    }

    private static SideHistory side(
            Side side, List<Measurement> mine, @Nullable Instant since, NoiseBook noise, ZoneId zone) {
        var cold = Series.readings(mine, Mode.PASSIVE, Warmth.COLD, noise);
        var warm = Series.readings(mine, Mode.PASSIVE, Warmth.WARM, noise);
        var visits = Visits.of(cold, warm, zone);
        return new SideHistory(
                side,
                dots(mine, noise),
                band(cold, noise),
                band(Series.readings(mine, Mode.ACTIVE, Warmth.COLD, noise), noise),
                change(cold, since, noise),
                change(Series.readings(mine, Mode.ACTIVE, Warmth.COLD, noise), since, noise),
                Retention.over(visits).orElse(null));
    }

    private static @Nullable Difference change(List<RangeReading> cold, @Nullable Instant since, NoiseBook noise) {
        return RangeSeries.fold(cold, noise.rules(), since == null ? Instant.MIN : since)
                .map(s -> Difference.of(s.change()))
                .orElse(null);
    }

    private static List<Band> band(List<RangeReading> cold, NoiseBook noise) {
        var bands = new ArrayList<Band>();
        RangeState state = null;
        for (var reading : cold) {
            state = state == null ? RangeState.first(reading, noise.rules()) : state.next(reading, noise.rules());
            var angle = state.estimate();
            bands.add(new Band(reading.at(), angle.value().value(), angle.lower95(), angle.upper95()));
        }
        return bands;
    }

    private static List<Dot> dots(List<Measurement> mine, NoiseBook noise) {
        var states = new java.util.EnumMap<Mode, RangeState>(Mode.class);
        var dots = new ArrayList<Dot>();
        for (var m : mine) {
            var reading = m.reading(noise);
            boolean cold = m.warmth() == Warmth.COLD;
            var before = states.get(m.mode());
            boolean outlier = cold && before != null && before.isOutlier(reading, noise.rules());
            if (cold) {
                states.put(
                        m.mode(),
                        before == null
                                ? RangeState.first(reading, noise.rules())
                                : before.next(reading, noise.rules()));
            }
            boolean own = noise.study(m.measuredBy(), m.tester(), m.motion(), m.instrument(), m.happenedAt())
                    .isPresent();
            dots.add(new Dot(m.id(), m.happenedAt(), m.mode(), m.warmth(), reading.degrees(), outlier, own));
        }
        return dots;
    }

    private static List<TableValue> tables(Asked asked) {
        return java.util.stream.Stream.of("passive", "active")
                .flatMap(mode -> Catalogue.norms(asked.motion(), mode, asked.position(), asked.person()).stream())
                .distinct()
                .map(n -> new TableValue(
                        n.mode(),
                        n.population(),
                        n.meanDegrees(),
                        n.sdDegrees(),
                        n.lowerDegrees(),
                        n.upperDegrees(),
                        n.fit(asked.person()),
                        n.kind(),
                        n.source().text()))
                .toList();
    }

    private static List<BenchLine> benches(List<Measurement> mine) {
        record Key(String bench, Side side) {}
        var points = mine.stream()
                .filter(m -> m.incline() != null && m.mode() == Mode.PASSIVE)
                .collect(Collectors.groupingBy(m -> new Key(
                        Optional.ofNullable(m.incline())
                                .map(Measurement.Incline::bench)
                                .orElseThrow(),
                        m.side())));
        return points.entrySet().stream()
                .map(e -> line(e.getKey().bench(), e.getKey().side(), e.getValue()))
                .toList();
    }

    private static BenchLine line(String bench, Side side, List<Measurement> on) {
        try {
            var points = on.stream()
                    .map(m -> new InclineLine.Point(
                            Optional.ofNullable(m.incline()).orElseThrow().degrees(),
                            m.trials().median().value()))
                    .toList();
            return new BenchLine(bench, side, InclineLine.fit(points), "");
        } catch (UnusableException e) {
            return new BenchLine(bench, side, null, String.valueOf(e.getMessage()));
        }
    }
}
