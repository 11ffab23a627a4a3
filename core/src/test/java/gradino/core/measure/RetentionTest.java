package gradino.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.limit.GapLimit;
import gradino.core.measure.limit.Limiter;
import gradino.core.measure.limit.LimiterReason;
import gradino.core.measure.limit.Priority;
import gradino.core.measure.reading.InclineLine;
import gradino.core.measure.reading.RangeReading;
import gradino.core.measure.reading.Retention;
import gradino.core.measure.reading.Retention.Visit;
import gradino.core.measure.reading.SimulatedLimb;
import gradino.core.measure.reading.SteadyWindow;
import gradino.core.measure.reading.SteadyWindow.Sample;
import gradino.core.measure.reading.Visits;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Kept or borrowed, the line of a bench, priority, and the inclinometer's steady window. */
public class RetentionTest {
    private static final Instant DAY_0 = Instant.parse("2026-01-05T08:00:00Z");

    private static RangeReading at(double day, double degrees, double sd) {
        return new RangeReading(DAY_0.plusSeconds(Math.round(day * 86_400)), degrees, sd * sd);
    }

    private static List<Visit> visits(int sessions, double everyDays, double acute, double kept, double sd) {
        var cold = new ArrayList<RangeReading>();
        var warm = new ArrayList<RangeReading>();
        for (int n = 0; n <= sessions; n++) {
            cold.add(at(n * everyDays, 30 + n * kept, sd));
            warm.add(at(n * everyDays + 0.05, 30 + n * kept + acute, sd));
        }
        return Visits.of(cold, warm, ZoneOffset.UTC);
    }

    @Test
    public void retentionIsTheKeptShareOfTheAcuteGain() {
        var r = Retention.over(visits(6, 3, 8, 2, 1)).orElseThrow();
        assertThat(r.sessions()).isEqualTo(6);
        assertThat(r.acuteDegrees()).isCloseTo(48, within(1e-9));
        assertThat(r.keptDegrees()).isCloseTo(12, within(1e-9));
        assertThat(r.ratio()).isCloseTo(0.25, within(1e-9));
        assertThat(r.lower95()).isLessThan(0.25);
        assertThat(r.upper95()).isGreaterThan(0.25);
        assertThat(r.borrowed()).isFalse();
    }

    @Test
    public void borrowedIsRealWarmGainsWithoutARealChangeCold() {
        // Over four weeks: 28 days and 24, nothing kept and 3° kept a session.
        assertThat(Retention.over(visits(7, 4, 8, 0, 1)).orElseThrow().borrowed())
                .isTrue();
        assertThat(Retention.over(visits(6, 4, 8, 0, 1)).orElseThrow().borrowed())
                .isFalse();
        assertThat(Retention.over(visits(7, 4, 8, 3, 1)).orElseThrow().borrowed())
                .isFalse();
        // Pairs over 14 days apart say nothing about what was kept.
        assertThat(visits(6, 14, 8, 0, 1)).hasSize(6);
        assertThat(visits(6, 14.1, 8, 0, 1)).isEmpty();
        // Gains within the noise are not told from nothing: nothing is called borrowed.
        assertThat(Retention.over(visits(10, 3, 2, 0, 3)).orElseThrow().borrowed())
                .isFalse();
    }

    @Test
    public void nothingIsSaidUnderFourSessionsOrTwoWeeks() {
        assertThat(Retention.over(visits(3, 7, 8, 1, 1))).isEmpty();
        assertThat(Retention.over(visits(6, 2, 8, 1, 1))).isEmpty();
        assertThat(Retention.over(visits(4, 3.5, 8, 1, 1))).isPresent();
    }

    @Test
    public void theIntervalHasNoEndWhileTheAcuteGainIsNotToldFromZero() {
        var r = Retention.over(visits(6, 3, 0.2, 0, 4)).orElseThrow();
        assertThat(r.lower95()).isNull();
        assertThat(r.upper95()).isNull();
    }

    /** Fieller's interval covers the true ratio about 95 times in 100 (sampled, seeded). */
    @Test
    public void theIntervalCoversTheTruth() {
        var random = new Random(5);
        int covered = 0;
        int lives = 600;
        for (int life = 0; life < lives; life++) {
            var cold = new ArrayList<RangeReading>();
            var warm = new ArrayList<RangeReading>();
            for (int n = 0; n <= 6; n++) {
                cold.add(at(n * 3, 30 + n * 2 + random.nextGaussian(), 1));
                warm.add(at(n * 3 + 0.05, 30 + n * 2 + 8 + random.nextGaussian(), 1));
            }
            var r = Retention.over(Visits.of(cold, warm, ZoneOffset.UTC)).orElseThrow();
            if (r.lower95() != null && r.upper95() != null && r.lower95() <= 0.25 && r.upper95() >= 0.25) {
                covered++;
            }
        }
        assertThat((double) covered / lives).isBetween(0.93, 0.975);
    }

    @Test
    public void aBenchHasItsOwnLineWithAnInterval() {
        var points = Stream.of(0, 10, 20, 30)
                .map(x -> new InclineLine.Point(x, 50 - 0.6 * x + (x == 10 ? 1 : -1.0 / 3)))
                .toList();
        var line = InclineLine.fit(points);
        assertThat(line.slope()).isNegative();
        var expected = line.at(15);
        assertThat(expected.lower95()).isLessThan(expected.value());
        assertThat(line.at(60).upper95() - line.at(60).lower95())
                .isGreaterThan(expected.upper95() - expected.lower95());
        assertThatThrownBy(() -> InclineLine.fit(points.subList(0, 2))).hasMessageContaining("three readings");
        var flat = List.of(points.get(0), points.get(0), points.get(0));
        assertThatThrownBy(() -> InclineLine.fit(flat)).hasMessageContaining("one incline");
    }

    /** An exact line is found back exactly (closed form). */
    @Test
    public void pointsOnALineGiveThatLine() {
        var line = InclineLine.fit(Stream.of(5, 15, 25, 40)
                .map(x -> new InclineLine.Point(x, 60 - 0.5 * x))
                .toList());
        assertThat(line.intercept()).isCloseTo(60, within(1e-9));
        assertThat(line.slope()).isCloseTo(-0.5, within(1e-9));
        assertThat(line.residualSd()).isCloseTo(0, within(1e-7));
    }

    @DataProvider
    public Object[][] pairs() {
        return new Object[][] {
            {new Priority(1, 0, 0, 0), new Priority(0, 9, 9, 9)},
            {new Priority(5, 0, 0, 0), new Priority(4, 9, 9, 9)},
            {new Priority(0, 1, 0, 0), new Priority(0, 0.8, 9, 9)},
            {new Priority(0, 0, 3, 0), new Priority(0, 0, 2, 9)},
            {new Priority(0, 0, 0, 2), Priority.NONE},
        };
    }

    @Test(dataProvider = "pairs")
    public void partsOfThePriorityAreComparedInTheirOrderAndNeverAdded(Priority first, Priority second) {
        assertThat(first).isLessThan(second);
        assertThat(new Priority(-3, -1, -2, -4)).isEqualTo(Priority.NONE);
    }

    private static SteadyWindow stream(double from, double step, int samples, long everyMillis) {
        var window = SteadyWindow.EMPTY;
        for (int n = 0; n < samples; n++) {
            window = window.next(new Sample(n * everyMillis, from + n * step));
        }
        return window;
    }

    @Test
    public void aStillLimbIsHeldAndAMovingOneIsNot() {
        var still = stream(44, 0.001, 40, 50).held();
        assertThat(still).isNotNull();
        assertThat(still.degrees()).isCloseTo(44.03, within(0.02));
        assertThat(stream(10, 0.5, 40, 50).held()).isNull();
        assertThat(stream(44, 0, 5, 50).held()).isNull();
    }

    @Test
    public void zeroIsTakenOffAndAGapStartsAnew() {
        var zeroed = stream(4, 0, 30, 50).zeroedHere();
        assertThat(zeroed.angle()).isCloseTo(0, within(1e-9));
        var later = zeroed.next(new Sample(1550, 34));
        assertThat(later.angle()).isCloseTo(30, within(1e-9));
        assertThat(zeroed.next(new Sample(10_000, 4)).samples()).hasSize(1);
        assertThat(zeroed.next(new Sample(10, 4)).samples())
                .as("time running backwards")
                .hasSize(1);
        assertThatThrownBy(() -> new Sample(0, Double.NaN)).hasMessageContaining("NaN");
    }

    @Test
    public void theSimulatedLimbComesToItsEndAndHoldsThere() {
        var limb = new SimulatedLimb(50, 3);
        var window = SteadyWindow.EMPTY;
        SteadyWindow.Held zero = null;
        SteadyWindow.Held end = null;
        for (long ms = 0; ms <= 6500; ms += 50) {
            window = window.next(new Sample(ms, limb.degreesAt(ms / 1000.0)));
            zero = ms < 2000 && window.held() != null ? window.held() : zero;
            end = window.held();
        }
        assertThat(zero).isNotNull();
        assertThat(end).isNotNull();
        assertThat(end.degrees() - zero.degrees()).isCloseTo(50, within(5.0));
        assertThat(new SimulatedLimb(50, 3).degreesAt(1)).isEqualTo(new SimulatedLimb(50, 3).degreesAt(1));
    }

    @Test
    public void whatLimitsIsSaidWithItsNumbers() {
        var wanted = new LimiterReason.Wanted(45, "that the goal needs", 60.0);
        var passive = gradino.core.quantity.UncertainAngle.of(30, 2);
        var active = gradino.core.quantity.UncertainAngle.of(10, 2);
        var both = new LimiterReason(passive, active, wanted, EndFeel.STRETCH, GapLimit.HOUSE);
        assertThat(both.limiter()).isEqualTo(Limiter.BOTH);
        assertThat(both.why()).extracting(b -> b.text()).anyMatch(t -> t.contains("30°") && t.contains("45°"));
        assertThat(both.why()).hasSize(3);
        var block = new LimiterReason(passive, active, wanted, EndFeel.PINCH, GapLimit.HOUSE);
        assertThat(block.why()).singleElement().matches(b -> b.text().contains("pinch"));
        var mobile =
                new LimiterReason(gradino.core.quantity.UncertainAngle.of(70, 2), null, wanted, null, GapLimit.HOUSE);
        assertThat(mobile.veryMobile()).isTrue();
        assertThat(new LimiterReason(null, null, wanted, null, GapLimit.HOUSE).why())
                .hasSize(1);
        assertThat(new LimiterReason(passive, null, null, null, GapLimit.HOUSE).why())
                .hasSize(1);
    }
}
