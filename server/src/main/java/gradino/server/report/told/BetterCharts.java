package gradino.server.report.told;

import gradino.core.measure.noise.Mode;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.RangeState;
import gradino.core.report.LineClimb;
import gradino.core.report.MotionChange;
import gradino.core.report.Pair;
import gradino.core.report.Report;
import gradino.core.report.Series;
import gradino.server.report.draw.Drawing;
import gradino.server.report.draw.MotionChart;
import gradino.server.report.draw.MotionChart.Band;
import gradino.server.report.draw.MotionChart.Point;
import gradino.server.report.draw.RangeMap;
import gradino.server.report.read.ReportReader.Read;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Draws the ranges of a report. */
final class BetterCharts {
    private final Read read;
    private final Report report;
    private final ZoneId zone;

    BetterCharts(Read read, ZoneId zone) {
        this.read = read;
        this.report = read.report();
        this.zone = zone;
    }

    /** None while nothing was measured. */
    List<Drawing> map(List<MotionChange> of, boolean narrow) {
        var rows = of.stream()
                .filter(m -> m.now() != null)
                .filter(m -> m.tested() != null || report.better().family().tested() == 0)
                .map(BetterCharts::row)
                .toList();
        return RangeMap.of(rows, narrow);
    }

    private static RangeMap.Row row(MotionChange m) {
        var now = Optional.ofNullable(m.now()).orElseThrow();
        Pair pair = now.mode() == Mode.PASSIVE ? m.passive() : m.active();
        var goal = m.goal();
        return new RangeMap.Row(
                Says.side(m.of()),
                pair == null ? null : Double.valueOf(pair.from().degrees()),
                now.degrees(),
                now.lower(),
                now.upper(),
                goal == null ? null : Double.valueOf(goal.needed()));
    }

    /** Empty where there is no more than one day to draw. */
    Optional<Drawing> of(MotionChange m) {
        return motion(m).map(MotionChart::of);
    }

    /** Those that are told together. */
    List<Drawing> small(List<MotionChange> of) {
        return MotionChart.small(of.stream().flatMap(m -> motion(m).stream()).toList());
    }

    private Optional<MotionChart.Motion> motion(MotionChange m) {
        if (m.passive() == null && m.active() == null) {
            return Optional.empty();
        }
        var passive = cold(m, Mode.PASSIVE);
        var active = cold(m, Mode.ACTIVE);
        var from = report.period().from();
        var first = java.util.stream.Stream.concat(passive.stream(), active.stream())
                .map(RangeReading::at)
                .min(Instant::compareTo)
                .filter(at -> at.isBefore(from.atStartOfDay(zone).toInstant()))
                .orElse(from.atStartOfDay(zone).toInstant());
        var end = report.period().to().plusDays(1).atStartOfDay(zone).toInstant();
        var goal = m.goal();
        return Optional.of(new MotionChart.Motion(
                Says.side(m.of()),
                first,
                end,
                points(passive),
                points(active),
                band(passive),
                steps(m),
                goal == null ? null : Double.valueOf(goal.needed()),
                Says.day(first, zone),
                Says.day(report.period().to())));
    }

    private List<RangeReading> cold(MotionChange m, Mode mode) {
        var end = report.period().to().plusDays(1).atStartOfDay(zone).toInstant();
        Pair pair = mode == Mode.PASSIVE ? m.passive() : m.active();
        var start = pair == null
                ? report.period().from().atStartOfDay(zone).toInstant()
                : pair.from().at();
        return series(m, mode).map(Series::cold).orElse(List.of()).stream()
                .filter(r -> !r.at().isBefore(start) && r.at().isBefore(end))
                .toList();
    }

    private Optional<Series> series(MotionChange m, Mode mode) {
        return read.measured().series().stream()
                .filter(s -> s.key().equals(m.of().series(mode)))
                .findFirst();
    }

    private static List<Point> points(List<RangeReading> readings) {
        return readings.stream().map(r -> new Point(r.at(), r.degrees())).toList();
    }

    private List<Band> band(List<RangeReading> cold) {
        var bands = new ArrayList<Band>();
        @Nullable RangeState state = null;
        var noise = read.measured().noise();
        for (var reading : cold) {
            state = state == null ? RangeState.first(reading, noise) : state.next(reading, noise);
            bands.add(new Band(
                    reading.at(), state.estimate().lower95(), state.estimate().upper95()));
        }
        return bands;
    }

    private List<Instant> steps(MotionChange m) {
        return report.climb().stream()
                .filter(l -> l.motion().equals(m.of().motion()) && l.side() == m.of().side())
                .flatMap(l -> l.steps().stream())
                .filter(s -> !s.changes().isEmpty())
                .map(LineClimb.Step::at)
                .toList();
    }
}
