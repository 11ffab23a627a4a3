package gradino.server.report;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.report.AttendanceDays.Day;
import gradino.core.report.AttendanceDays.Mark;
import gradino.core.report.Period;
import gradino.core.report.Work.LoadWeek;
import gradino.server.report.draw.Drawing;
import gradino.server.report.draw.Drawing.Shape;
import gradino.server.report.draw.FlightChart;
import gradino.server.report.draw.FlightChart.Climber;
import gradino.server.report.draw.FlightChart.Rise;
import gradino.server.report.draw.MotionChart;
import gradino.server.report.draw.MotionChart.Band;
import gradino.server.report.draw.MotionChart.Point;
import gradino.server.report.draw.RangeMap;
import gradino.server.report.draw.WorkCharts;
import gradino.server.report.draw.WorkCharts.Sides;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Nothing of a chart lies outside its sheet, whatever is drawn. */
public class DrawingsTest {
    /** A letter is about that wide, in parts of its size; names are longer than numbers. */
    private static final double LETTER = 0.62;

    private static final Instant FROM = Instant.parse("2026-03-02T08:00:00Z");
    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    @DataProvider
    public Object[][] seeds() {
        return IntStream.range(0, 25).mapToObj(seed -> new Object[] {seed}).toArray(Object[][]::new);
    }

    private static void assertWithin(Drawing drawing) {
        assertThat(drawing.words()).isNotBlank();
        // Of a page of letter paper, 696 points, what its heading leaves; wide ones are brought down to 516 points
        // across.
        double scale = Math.min(1, 516 / drawing.width());
        assertThat(drawing.height() * (drawing.width() <= 340 ? 225 / 340.0 : scale))
                .isLessThan(600);
        for (var stroke : drawing.strokes()) {
            var at = stroke.at();
            assertThat(at).as(stroke.toString()).allSatisfy(n -> assertThat(n).isFinite());
            switch (stroke.shape()) {
                case PATH, DASHED, AREA -> {
                    for (int i = 0; i < at.size(); i += 2) {
                        assertInside(drawing, at.get(i), at.get(i + 1), stroke);
                    }
                }
                case DOT, RING -> {
                    assertInside(drawing, at.get(0) - at.get(2), at.get(1) - at.get(2), stroke);
                    assertInside(drawing, at.get(0) + at.get(2), at.get(1) + at.get(2), stroke);
                }
                case BAR, FRAME -> {
                    assertInside(drawing, at.get(0), at.get(1), stroke);
                    assertInside(drawing, at.get(0) + at.get(2), at.get(1) + at.get(3), stroke);
                }
                case TEXT -> {
                    double wide = stroke.text().length() * at.get(2) * LETTER;
                    double left = at.get(0) - at.get(3) * wide;
                    assertInside(drawing, left, at.get(1), stroke);
                    assertInside(drawing, left + wide, at.get(1), stroke);
                }
            }
        }
    }

    private static void assertInside(Drawing drawing, double x, double y, Drawing.Stroke stroke) {
        assertThat(x).as(stroke + " of " + drawing.width()).isBetween(-0.5, drawing.width() + 0.5);
        assertThat(y).as(stroke + " of " + drawing.height()).isBetween(-0.5, drawing.height() + 0.5);
    }

    @Test(dataProvider = "seeds")
    public void rangesStayOnTheirMap(int seed) {
        var random = new Random(seed);
        var rows = IntStream.range(0, 1 + random.nextInt(90))
                .mapToObj(i -> {
                    double now = random.nextDouble() * 220 - 30;
                    double band = random.nextDouble() * 40;
                    var before = random.nextBoolean() ? null : Double.valueOf(random.nextDouble() * 200 - 20);
                    var goal = random.nextBoolean() ? null : Double.valueOf(random.nextDouble() * 180);
                    return new RangeMap.Row(
                            "Right shoulder internal rotation", before, now, now - band, now + band, goal);
                })
                .toList();
        for (boolean narrow : new boolean[] {false, true}) {
            RangeMap.of(rows, narrow).forEach(DrawingsTest::assertWithin);
        }
    }

    @Test(dataProvider = "seeds")
    public void readingsStayOnTheirChart(int seed) {
        var random = new Random(seed);
        var passive = new ArrayList<Point>();
        var band = new ArrayList<Band>();
        for (int i = 0; i < random.nextInt(30); i++) {
            double degrees = random.nextDouble() * 180 - 20;
            var at = FROM.plus(Duration.ofHours(i * 50L));
            passive.add(new Point(at, degrees));
            band.add(new Band(at, degrees - 20, degrees + 20));
        }
        var goal = random.nextBoolean() ? null : Double.valueOf(random.nextDouble() * 180);
        var chart = MotionChart.of(new MotionChart.Motion(
                "readings",
                FROM,
                FROM.plus(Duration.ofDays(1 + random.nextInt(200))),
                passive,
                passive,
                band,
                List.of(FROM.plus(Duration.ofDays(3)), FROM.plus(Duration.ofDays(400))),
                goal,
                "2 Mar 2026",
                "28 Sep 2026"));
        assertWithin(chart);
    }

    @Test(dataProvider = "seeds")
    public void stepsStayOnTheirFlight(int seed) {
        var random = new Random(seed);
        var sides = List.of("left", "right").stream()
                .map(side -> new Climber(
                        side,
                        random.nextInt(5) - 2,
                        IntStream.range(0, random.nextInt(40))
                                .mapToObj(i -> new Rise(FROM.plus(Duration.ofDays(i)), random.nextInt(30) - 10))
                                .toList()))
                .toList();
        assertWithin(FlightChart.of(sides, FROM, FROM.plus(Duration.ofDays(40)), "2 Mar 2026", "11 Apr 2026"));
    }

    @Test(dataProvider = "seeds")
    public void daysLoadsAndSidesStayOnTheirCharts(int seed) {
        var random = new Random(seed);
        int weeks = 1 + random.nextInt(120);
        var days = new ArrayList<Day>();
        var loads = new ArrayList<LoadWeek>();
        for (int w = 0; w < weeks; w++) {
            loads.add(new LoadWeek(MONDAY.plusWeeks(w), random.nextDouble() * 3000, 3, random.nextBoolean()));
            for (int d = 0; d < 7; d++) {
                days.add(new Day(MONDAY.plusDays(w * 7L + d), Mark.values()[random.nextInt(Mark.values().length)]));
            }
        }
        assertWithin(WorkCharts.strip(
                days, new Period(MONDAY, MONDAY.plusWeeks(weeks).minusDays(1))));
        assertWithin(WorkCharts.load(loads));
        var sides = IntStream.range(0, random.nextInt(60))
                .mapToObj(i ->
                        new Sides("Shoulder internal rotation", random.nextDouble(), 0, 900, random.nextDouble() * 400))
                .toList();
        WorkCharts.balance(sides).forEach(DrawingsTest::assertWithin);
    }

    @Test
    public void nothingDrawnIsAnEmptyChart() {
        assertThat(WorkCharts.load(List.of(new LoadWeek(MONDAY, 0, 0, true))).strokes().stream()
                        .filter(s -> s.shape() == Shape.BAR)
                        .allMatch(s -> s.at().get(3) == 0))
                .isTrue();
    }
}
