package gradino.server.report.draw;

import gradino.server.report.draw.Drawing.Ink;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** A line's flight of steps over time, one for each side. */
public final class FlightChart {
    private static final double WIDTH = 320;
    private static final double HEIGHT = 96;
    private static final double LEFT = 30;
    private static final double BOTTOM = 20;
    private static final double TOP = 10;

    private FlightChart() {}

    /** @param level from then on, rungs above the first dose */
    public record Rise(Instant at, int level) {}

    /**
     * One side's flight.
     *
     * @param started level at the beginning
     */
    public record Climber(String name, int started, List<Rise> rises) {}

    public static Drawing of(List<Climber> sides, Instant from, Instant to, String firstDay, String lastDay) {
        var levels = sides.stream()
                .flatMap(s -> java.util.stream.Stream.concat(
                        java.util.stream.Stream.of(s.started()),
                        s.rises().stream().map(Rise::level)))
                .toList();
        int low = levels.stream().mapToInt(l -> l).min().orElse(0);
        int high = levels.stream().mapToInt(l -> l).max().orElse(0);
        var rungs = new Scale(low, Math.max(high, low + 1.0), HEIGHT - BOTTOM - 8, TOP);
        var days = new Scale(0, (double) Duration.between(from, to).toSeconds(), LEFT, WIDTH - 40);
        var sheet = new Sheet();
        sheet.text(Ink.SOFT, LEFT - 6, rungs.at(low) + 3.5, Sheet.END, String.valueOf(low));
        sheet.text(Ink.SOFT, LEFT - 6, rungs.at(high) + 3.5, Sheet.END, high == low ? "" : String.valueOf(high));
        sheet.path(Ink.SOFT, LEFT, HEIGHT - BOTTOM, WIDTH - 40, HEIGHT - BOTTOM);
        for (int i = 0; i < sides.size(); i++) {
            climber(sheet, sides.get(i), from, days, rungs, i);
        }
        sheet.text(Ink.SOFT, LEFT, HEIGHT - 7, Sheet.START, firstDay);
        sheet.text(Ink.SOFT, WIDTH - 40, HEIGHT - 7, Sheet.END, lastDay);
        return sheet.drawing(WIDTH, HEIGHT, "How the dose climbed, step by step.");
    }

    private static void climber(Sheet sheet, Climber side, Instant from, Scale days, Scale rungs, int nth) {
        var points = new ArrayList<Double>();
        double shift = nth * 2.5;
        double y = rungs.at(side.started()) + shift;
        points.addAll(List.of(LEFT, y));
        for (var rise : side.rises()) {
            double x = days.at((double) Duration.between(from, rise.at()).toSeconds());
            points.addAll(List.of(x, y));
            y = rungs.at(rise.level()) + shift;
            points.addAll(List.of(x, y));
        }
        points.addAll(List.of(WIDTH - 40, y));
        var line = points.stream().mapToDouble(p -> p).toArray();
        if (nth == 0) {
            sheet.path(Ink.NOW, line);
        } else {
            sheet.dashed(Ink.INK, line);
        }
        sheet.text(nth == 0 ? Ink.NOW : Ink.INK, WIDTH - 36, y + 3.5 + nth * 7, Sheet.START, side.name());
    }
}
