package gradino.server.report.draw;

import gradino.server.report.draw.Drawing.Ink;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Ranges before and after: the beginning as an outline, now solid with its 95 % band, the goal as a flag. */
public final class RangeMap {
    private static final double TOP = 18;
    private static final double STEP = 30;
    private static final int MOST_ROWS = 20;

    /** How wide it is: on a phone names stand above their bars. */
    private record Frame(double width, double left, double row, double bar) {
        static final Frame WIDE = new Frame(640, 210, 24, 12);
        static final Frame NARROW = new Frame(340, 18, 40, 28);

        boolean above() {
            return left < bar;
        }
    }

    private RangeMap() {}

    /**
     * One row of it, degrees.
     *
     * @param before null without a reading at the beginning
     * @param goal null without one
     */
    public record Row(
            String name,
            @Nullable Double before,
            double now,
            double lower,
            double upper,
            @Nullable Double goal) {}

    /** As many maps as it takes for each to stay on a page. */
    public static List<Drawing> of(List<Row> rows, boolean narrow) {
        var frame = narrow ? Frame.NARROW : Frame.WIDE;
        return Sheet.parts(rows, MOST_ROWS).map(part -> map(part, frame)).toList();
    }

    private static Drawing map(List<Row> rows, Frame frame) {
        double height = rows.size() * frame.row();
        double most = rows.stream().mapToDouble(RangeMap::most).max().orElse(STEP);
        double least =
                Math.min(0, rows.stream().mapToDouble(RangeMap::least).min().orElse(0));
        var scale = new Scale(Scale.down(least, STEP), Scale.up(most, STEP), frame.left(), frame.width() - 20);
        var sheet = new Sheet();
        for (double d = scale.from(); d <= scale.to(); d += STEP) {
            sheet.path(Ink.FAINT, scale.at(d), TOP, scale.at(d), TOP + height);
            sheet.text(
                    Ink.SOFT, scale.at(d), TOP - 6, Sheet.MIDDLE, (d < 0 ? "−" : "") + Math.round(Math.abs(d)) + "°");
        }
        for (int i = 0; i < rows.size(); i++) {
            row(sheet, rows.get(i), scale, frame, TOP + i * frame.row());
        }
        return sheet.drawing(
                frame.width(),
                TOP + height + 4,
                "Ranges at the beginning as outlines, now as solid bars with their 95 % band; a flag is the goal.");
    }

    private static double most(Row row) {
        return Math.max(
                Math.max(row.now(), Math.min(row.upper(), row.now() + STEP)),
                Math.max(
                        Optional.ofNullable(row.before()).orElse(row.now()),
                        Optional.ofNullable(row.goal()).orElse(row.now())));
    }

    private static double least(Row row) {
        return Math.min(row.now(), Optional.ofNullable(row.before()).orElse(row.now()));
    }

    private static void row(Sheet sheet, Row row, Scale scale, Frame frame, double top) {
        double middle = top + frame.bar();
        double zero = scale.at(0);
        if (frame.above()) {
            sheet.text(Ink.INK, frame.left(), top + 14, Sheet.START, row.name());
        } else {
            sheet.text(Ink.INK, frame.left() - 10, middle + 3.5, Sheet.END, row.name());
        }
        sheet.bar(Ink.NOW, zero, middle - 3, scale.at(row.now()) - zero, 6);
        var before = row.before();
        if (before != null) {
            sheet.frame(Ink.BEFORE, zero, middle - 7, scale.at(before) - zero, 14);
        }
        sheet.path(Ink.INK, scale.at(row.lower()), middle, scale.at(row.upper()), middle);
        for (double end : new double[] {row.lower(), row.upper()}) {
            sheet.path(Ink.INK, scale.at(end), middle - 4, scale.at(end), middle + 4);
        }
        var goal = row.goal();
        if (goal != null) {
            double x = scale.at(goal);
            sheet.path(Ink.GOAL, x, middle - 9, x, middle + 9);
            sheet.area(Ink.GOAL, x, middle - 9, x + 9, middle - 5, x, middle - 1);
        }
    }
}
