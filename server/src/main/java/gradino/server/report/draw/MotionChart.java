package gradino.server.report.draw;

import gradino.server.report.draw.Drawing.Ink;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Cold readings of one motion over time: passive as rings with the band of the estimate, active as dots, steps as marks, the goal. */
public final class MotionChart {
    private static final double WIDTH = 320;
    private static final double HEIGHT = 130;
    private static final double LEFT = 30;
    private static final double BOTTOM = 22;
    private static final double TOP = 8;
    private static final double STEP = 10;

    private MotionChart() {}

    /** One reading, degrees. */
    public record Point(Instant at, double degrees) {}

    /** The estimate just after a reading, degrees. */
    public record Band(Instant at, double lower, double upper) {}

    /**
     * What is drawn.
     *
     * @param steps when the dose was changed
     * @param goal degrees; null without one
     */
    public record Motion(
            String words,
            Instant from,
            Instant to,
            List<Point> passive,
            List<Point> active,
            List<Band> band,
            List<Instant> steps,
            @Nullable Double goal,
            String firstDay,
            String lastDay) {}

    public static Drawing of(Motion m) {
        var days = new Scale(0, seconds(m, m.to()), LEFT, WIDTH - 12);
        var degrees = degrees(m);
        var sheet = new Sheet();
        for (double d = degrees.from(); d <= degrees.to(); d += (degrees.to() - degrees.from()) / 2) {
            sheet.path(Ink.FAINT, LEFT, degrees.at(d), WIDTH - 12, degrees.at(d));
            sheet.text(Ink.SOFT, LEFT - 5, degrees.at(d) + 3.5, Sheet.END, Math.round(d) + "°");
        }
        band(sheet, m, days, degrees);
        var goal = m.goal();
        if (goal != null) {
            sheet.dashed(Ink.GOAL, LEFT, degrees.at(goal), WIDTH - 12, degrees.at(goal));
            sheet.text(Ink.GOAL, WIDTH - 12, degrees.at(goal) - 3, Sheet.END, "goal");
        }
        m.steps().forEach(at -> {
            double x = days.at(seconds(m, at));
            sheet.path(Ink.SOFT, x, HEIGHT - BOTTOM, x, HEIGHT - BOTTOM - 7);
        });
        m.passive().forEach(p -> sheet.ring(Ink.INK, days.at(seconds(m, p.at())), degrees.at(p.degrees()), 3));
        m.active().forEach(p -> sheet.dot(Ink.NOW, days.at(seconds(m, p.at())), degrees.at(p.degrees()), 3));
        sheet.path(Ink.SOFT, LEFT, HEIGHT - BOTTOM, WIDTH - 12, HEIGHT - BOTTOM);
        sheet.text(Ink.SOFT, LEFT, HEIGHT - 8, Sheet.START, m.firstDay());
        sheet.text(Ink.SOFT, WIDTH - 12, HEIGHT - 8, Sheet.END, m.lastDay());
        return sheet.drawing(WIDTH, HEIGHT, m.words());
    }

    private static double seconds(Motion m, Instant at) {
        return Duration.between(m.from(), at).toSeconds();
    }

    private static Scale degrees(Motion m) {
        var all = Stream.of(m.passive(), m.active())
                .flatMap(List::stream)
                .map(Point::degrees)
                .toList();
        double low = all.stream().mapToDouble(d -> d).min().orElse(0);
        double high = all.stream().mapToDouble(d -> d).max().orElse(STEP);
        var goal = m.goal();
        high = goal == null ? high : Math.max(high, goal);
        low = goal == null ? low : Math.min(low, goal);
        return new Scale(Scale.down(low - STEP / 2, STEP), Scale.up(high + STEP / 2, STEP), HEIGHT - BOTTOM, TOP);
    }

    private static void band(Sheet sheet, Motion m, Scale days, Scale degrees) {
        if (m.band().size() < 2) {
            return;
        }
        var points = new ArrayList<Double>();
        m.band().forEach(b -> points.addAll(List.of(days.at(seconds(m, b.at())), degrees.at(b.upper()))));
        for (int i = m.band().size() - 1; i >= 0; i--) {
            var b = m.band().get(i);
            points.addAll(List.of(days.at(seconds(m, b.at())), degrees.at(b.lower())));
        }
        sheet.area(Ink.BAND, points.stream().mapToDouble(p -> p).toArray());
    }
}
