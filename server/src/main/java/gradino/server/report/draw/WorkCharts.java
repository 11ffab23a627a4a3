package gradino.server.report.draw;

import gradino.core.report.AttendanceDays.Day;
import gradino.core.report.AttendanceDays.Mark;
import gradino.core.report.Period;
import gradino.core.report.Work.LoadWeek;
import gradino.server.report.draw.Drawing.Ink;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Locale;

/** What was planned and done day by day, the load week by week, left against right. */
public final class WorkCharts {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final double WIDE = 640;
    private static final double NARROW = 340;
    private static final int FEW_WEEKS = 14;
    private static final double LEFT = 30;
    private static final double LABEL = 38;
    private static final int MOST_MOTIONS = 20;
    private static final String[] DAYS = {"M", "T", "W", "T", "F", "S", "S"};

    private WorkCharts() {}

    private static LocalDate monday(LocalDate of) {
        return of.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    /** A column a week. */
    public static Drawing strip(List<Day> days, Period period) {
        long weeks = ChronoUnit.WEEKS.between(monday(period.from()), monday(period.to())) + 1;
        double width = width(weeks);
        double cell = Math.min(17, (width - LEFT) / weeks);
        var sheet = new Sheet();
        for (int d = 0; d < DAYS.length; d++) {
            sheet.text(Ink.SOFT, LEFT - 10, 6 + 17 * d + 7, Sheet.END, DAYS[d]);
        }
        for (var day : days) {
            long week = ChronoUnit.WEEKS.between(monday(period.from()), monday(day.date()));
            mark(
                    sheet,
                    day.mark(),
                    LEFT + week * cell,
                    2 + 17.0 * (day.date().getDayOfWeek().getValue() - 1),
                    cell - 3);
        }
        double end = legend(sheet, 2 + 17 * 7 + 6, width);
        return sheet.drawing(width, end + 16, "Days that were planned and done, a column a week.");
    }

    private static double width(long weeks) {
        return weeks > FEW_WEEKS ? WIDE : NARROW;
    }

    private static void mark(Sheet sheet, Mark mark, double x, double y, double side) {
        switch (mark) {
            case DONE -> sheet.bar(Ink.NOW, x, y, side, side);
            case PARTLY -> {
                sheet.frame(Ink.NOW, x, y, side, side);
                sheet.area(Ink.NOW, x, y + side, x + side, y + side, x + side, y);
            }
            case MISSED -> {
                sheet.frame(Ink.WARN, x, y, side, side);
                sheet.path(Ink.WARN, x, y, x + side, y + side);
                sheet.path(Ink.WARN, x, y + side, x + side, y);
            }
            case MOVED -> {
                sheet.frame(Ink.NOW, x, y, side, side);
                sheet.path(Ink.NOW, x + side * 0.25, y + side / 2, x + side * 0.75, y + side / 2);
            }
            case EXTRA -> sheet.dot(Ink.NOW, x + side / 2, y + side / 2, side / 2.6);
            case PAUSED -> sheet.path(Ink.SOFT, x, y + side / 2, x + side, y + side / 2);
            case PLANNED -> sheet.frame(Ink.FAINT, x, y, side, side);
        }
    }

    /** @return where its last row begins */
    private static double legend(Sheet sheet, double top, double width) {
        double x = LEFT;
        double y = top;
        var names = List.of("done", "partly", "moved in its week", "missed", "not planned", "paused", "ahead");
        var marks = List.of(Mark.DONE, Mark.PARTLY, Mark.MOVED, Mark.MISSED, Mark.EXTRA, Mark.PAUSED, Mark.PLANNED);
        for (int i = 0; i < names.size(); i++) {
            double wide = 30 + names.get(i).length() * 5.6;
            if (x + wide > width) {
                x = LEFT;
                y += 16;
            }
            mark(sheet, marks.get(i), x, y, 10);
            sheet.text(Ink.SOFT, x + 14, y + 9, Sheet.START, names.get(i));
            x += wide;
        }
        return y;
    }

    /** Rating × minutes a week. */
    public static Drawing load(List<LoadWeek> weeks) {
        double height = 110;
        double most =
                Math.max(1, weeks.stream().mapToDouble(LoadWeek::points).max().orElse(1));
        var scale = new Scale(0, most, height - 16, 12);
        double width = width(weeks.size());
        double step = (width - LEFT - 10) / Math.max(8, weeks.size());
        var sheet = new Sheet();
        sheet.path(Ink.SOFT, LEFT, scale.at(0), width - 10, scale.at(0));
        sheet.text(Ink.SOFT, LEFT - 4, scale.at(most) + 6, Sheet.END, String.valueOf(Math.round(most)));
        for (int i = 0; i < weeks.size(); i++) {
            var week = weeks.get(i);
            double y = scale.at(week.points());
            double x = LEFT + i * step + 2;
            if (week.whole()) {
                sheet.bar(Ink.NOW, x, y, step - 4, scale.at(0) - y);
            } else {
                sheet.frame(Ink.NOW, x, y, step - 4, scale.at(0) - y);
            }
            if (i % Math.max(1, weeks.size() / (width == WIDE ? 8 : 5)) == 0 && x + LABEL < width) {
                sheet.text(Ink.SOFT, x, height - 4, Sheet.START, DAY.format(week.monday()));
            }
        }
        return sheet.drawing(width, height, "Load of each week: rating times minutes.");
    }

    /** Seconds under tension of one motion. */
    public record Sides(String name, double leftPress, double leftPull, double rightPress, double rightPull) {
        double left() {
            return leftPress + leftPull;
        }

        double right() {
            return rightPress + rightPull;
        }
    }

    /** Left from the middle to the left, right to the right. */
    public static List<Drawing> balance(List<Sides> motions) {
        return Sheet.parts(motions, MOST_MOTIONS).map(WorkCharts::sides).toList();
    }

    private static Drawing sides(List<Sides> motions) {
        double row = 34;
        double middle = NARROW / 2;
        double most = Math.max(
                1,
                motions.stream()
                        .mapToDouble(m -> Math.max(m.left(), m.right()))
                        .max()
                        .orElse(1));
        var scale = new Scale(0, most, 0, middle - 10);
        var sheet = new Sheet();
        sheet.text(Ink.SOFT, middle - 6, 10, Sheet.END, "left");
        sheet.text(Ink.SOFT, middle + 6, 10, Sheet.START, "right");
        for (int i = 0; i < motions.size(); i++) {
            var m = motions.get(i);
            double y = 16 + i * row;
            sheet.text(Ink.INK, 10, y + 12, Sheet.START, m.name());
            sheet.bar(Ink.PRESS, middle, y + 17, -scale.at(m.leftPress()), 12);
            sheet.bar(Ink.PULL, middle - scale.at(m.leftPress()), y + 17, -scale.at(m.leftPull()), 12);
            sheet.bar(Ink.PRESS, middle, y + 17, scale.at(m.rightPress()), 12);
            sheet.bar(Ink.PULL, middle + scale.at(m.rightPress()), y + 17, scale.at(m.rightPull()), 12);
        }
        sheet.path(Ink.INK, middle, 14, middle, 16 + motions.size() * row);
        double y = 16 + motions.size() * row + 6;
        sheet.bar(Ink.PRESS, 60, y, 10, 10);
        sheet.text(Ink.SOFT, 74, y + 9, Sheet.START, "press and other work");
        sheet.bar(Ink.PULL, 210, y, 10, 10);
        sheet.text(Ink.SOFT, 224, y + 9, Sheet.START, "pull");
        return sheet.drawing(NARROW, y + 16, "Time under tension, left against right.");
    }
}
