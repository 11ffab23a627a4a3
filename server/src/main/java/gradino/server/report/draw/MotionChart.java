package gradino.server.report.draw;

import gradino.server.report.draw.Drawing.Ink;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Cold readings of one motion over time: passive as rings with the band of the estimate, active as dots, steps as marks, the goal. */
public final class MotionChart {
    private static final double WIDTH = 320;
    private static final double HEIGHT = 130;
    /** Charts of motions that are told together, side by side. */
    private static final int IN_A_ROW = 3;

    private static final double SMALL_WIDTH = 200;
    private static final double SMALL_HEIGHT = 96;
    private static final double TITLE = 16;
    private static final double LEFT = 30;
    private static final double RIGHT = 12;
    private static final double BOTTOM = 22;
    private static final double TOP = 8;
    private static final double STEP = 10;
    private static final String WORDS =
            "cold readings over time, passive as rings with the band of the estimate, active as dots.";

    private final Motion m;
    private final Sheet sheet;
    private final double left;
    private final double right;
    private final double base;
    private final Scale days;
    private final Scale degrees;

    private MotionChart(Motion m, Sheet sheet, double x, double top, double width, double height) {
        this.m = m;
        this.sheet = sheet;
        left = x + LEFT;
        right = x + width - RIGHT;
        base = top + height - BOTTOM;
        days = new Scale(0, seconds(m.to()), left, right);
        degrees = degrees(m, base, top + TOP);
    }

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
            String name,
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
        var sheet = new Sheet();
        new MotionChart(m, sheet, 0, 0, WIDTH, HEIGHT).draw();
        return sheet.drawing(WIDTH, HEIGHT, m.name() + ": " + WORDS);
    }

    /** Small ones, each under its name; a row of them is one drawing. */
    public static List<Drawing> small(List<Motion> all) {
        return Sheet.parts(all, IN_A_ROW).map(MotionChart::row).toList();
    }

    private static Drawing row(List<Motion> motions) {
        var sheet = new Sheet();
        for (int i = 0; i < motions.size(); i++) {
            double x = i * SMALL_WIDTH;
            sheet.text(Ink.INK, x, TITLE - 5, Sheet.START, motions.get(i).name());
            new MotionChart(motions.get(i), sheet, x, TITLE, SMALL_WIDTH, SMALL_HEIGHT - TITLE).draw();
        }
        var names = motions.stream().map(Motion::name).collect(Collectors.joining("; "));
        return sheet.drawing(IN_A_ROW * SMALL_WIDTH, SMALL_HEIGHT, names + ": " + WORDS);
    }

    private void draw() {
        double step = (degrees.to() - degrees.from()) / 2;
        for (double d = degrees.from(); d <= degrees.to(); d += step) {
            sheet.path(Ink.FAINT, left, degrees.at(d), right, degrees.at(d));
            sheet.text(Ink.SOFT, left - 5, degrees.at(d) + 3.5, Sheet.END, Math.round(d) + "°");
        }
        band();
        var goal = m.goal();
        if (goal != null) {
            sheet.dashed(Ink.GOAL, left, degrees.at(goal), right, degrees.at(goal));
            sheet.text(Ink.GOAL, right, degrees.at(goal) - 3, Sheet.END, "goal");
        }
        m.steps().forEach(at -> sheet.path(Ink.SOFT, x(at), base, x(at), base - 7));
        m.passive().forEach(p -> sheet.ring(Ink.INK, x(p.at()), degrees.at(p.degrees()), 3));
        m.active().forEach(p -> sheet.dot(Ink.NOW, x(p.at()), degrees.at(p.degrees()), 3));
        sheet.path(Ink.SOFT, left, base, right, base);
        sheet.text(Ink.SOFT, left, base + 14, Sheet.START, m.firstDay());
        sheet.text(Ink.SOFT, right, base + 14, Sheet.END, m.lastDay());
    }

    private double x(Instant at) {
        return days.at(seconds(at));
    }

    private double seconds(Instant at) {
        return Duration.between(m.from(), at).toSeconds();
    }

    private static Scale degrees(Motion m, double base, double top) {
        var all = Stream.of(m.passive(), m.active())
                .flatMap(List::stream)
                .map(Point::degrees)
                .toList();
        double low = all.stream().mapToDouble(d -> d).min().orElse(0);
        double high = all.stream().mapToDouble(d -> d).max().orElse(STEP);
        var goal = m.goal();
        high = goal == null ? high : Math.max(high, goal);
        low = goal == null ? low : Math.min(low, goal);
        return new Scale(Scale.down(low - STEP / 2, STEP), Scale.up(high + STEP / 2, STEP), base, top);
    }

    private void band() {
        if (m.band().size() < 2) {
            return;
        }
        var points = new ArrayList<Double>();
        m.band().forEach(b -> points.addAll(List.of(x(b.at()), degrees.at(b.upper()))));
        for (int i = m.band().size() - 1; i >= 0; i--) {
            var b = m.band().get(i);
            points.addAll(List.of(x(b.at()), degrees.at(b.lower())));
        }
        sheet.area(Ink.BAND, points.stream().mapToDouble(p -> p).toArray());
    }
}
