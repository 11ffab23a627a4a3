package gradino.core.perform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gradino.core.because.Finding;
import gradino.core.effort.ForceTrace;
import gradino.core.intake.Limits;
import gradino.core.quantity.Degrees;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Three tries, their times, and how long what they gave holds. */
public class ReferenceContractionTest {
    private static final Instant THEN = Instant.parse("2026-03-02T09:00:00Z");

    private static ForceTrace pressed(double from, double lasting, double newtons) {
        int samples = (int) Math.round(lasting * 50) + 1;
        return ForceTrace.read(
                        IntStream.range(0, samples)
                                .mapToDouble(i -> from + i / 50.0)
                                .toArray(),
                        IntStream.range(0, samples)
                                .mapToDouble(i -> i < 50 ? 0.5 * newtons : newtons)
                                .toArray())
                .trace()
                .orElseThrow();
    }

    @Test
    public void theBestSecondOfThreeTriesCounts() {
        var read = ReferenceContraction.read(List.of(pressed(0, 4, 180), pressed(35, 4, 212), pressed(70, 4, 195)));
        assertThat(read.findings()).isEmpty();
        assertThat(read.newtons().orElseThrow()).isCloseTo(212, within(1e-6));
    }

    @DataProvider
    public Object[][] badTries() {
        return new Object[][] {
            {List.of(pressed(0, 4, 180), pressed(35, 4, 212)), "three-tries"},
            {List.of(pressed(0, 4, 180), pressed(35, 2, 212), pressed(70, 4, 190)), "try-length"},
            {List.of(pressed(0, 4, 180), pressed(35, 6, 212), pressed(75, 4, 190)), "try-length"},
            {List.of(pressed(0, 4, 180), pressed(30, 4, 212), pressed(70, 4, 190)), "try-rest"},
            {List.of(pressed(0, 4, 2), pressed(35, 4, 2), pressed(70, 4, 2)), "too-weak"},
        };
    }

    @Test(dataProvider = "badTries")
    public void aBadTryIsNamed(List<ForceTrace> tries, String code) {
        var read = ReferenceContraction.read(tries);
        assertThat(read.newtons()).isEmpty();
        assertThat(read.findings()).extracting(Finding::code).containsExactly(code);
    }

    @Test
    public void nobodyNewIsAskedForAllTheirStrength() {
        assertThat(ReferenceContraction.allowed(Limits.NONE, true))
                .extracting(Finding::code)
                .containsExactly("newcomer");
        assertThat(ReferenceContraction.allowed(Limits.NONE, false)).isEmpty();
    }

    @Test
    public void itIsVoidAfterAStepOfTheAngleOr28Days() {
        var day = LocalDate.of(2026, 3, 2);
        var reference = new ReferenceContraction(200, Degrees.of(40), THEN);
        assertThat(reference.voidBecause(Degrees.of(40.5), day, day.plusDays(28)))
                .isNull();
        assertThat(reference.voidBecause(Degrees.of(42.5), day, day)).contains("40.0°", "42.5°");
        assertThat(reference.voidBecause(Degrees.of(40), day, day.plusDays(29))).contains("29 days");
    }
}
