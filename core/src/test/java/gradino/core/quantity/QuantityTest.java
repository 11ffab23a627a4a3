package gradino.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class QuantityTest {

    @DataProvider
    public Object[][] nonsense() {
        return new Object[][] {
            {(ThrowingCallable) () -> Degrees.of(Double.NaN), "Angle must lie between -180 and 360 °, was NaN"},
            {(ThrowingCallable) () -> Degrees.of(361), "was 361"},
            {(ThrowingCallable) () -> Degrees.of(Double.POSITIVE_INFINITY), "Infinity"},
            {(ThrowingCallable) () -> Centimetres.of(-0.1), "was -0.1"},
            {(ThrowingCallable) () -> EffortPercent.of(101), "between 0 and 100 %, was 101"},
            {(ThrowingCallable) () -> EffortPercent.of(-1), "was -1"},
            {(ThrowingCallable) () -> PainScore.of(11), "between 0 and 10"},
            {(ThrowingCallable) () -> Tenths.of(-1), "was -1"},
            {(ThrowingCallable) () -> UncertainAngle.of(10, -1), "standard uncertainty"},
            {(ThrowingCallable) () -> UncertainAngle.of(10, Double.NaN), "NaN"},
            {
                (ThrowingCallable) () -> OutOfBoundsException.require("topHoldSeconds", 601, 0, 600, "s"),
                "top hold seconds"
            },
        };
    }

    @Test(dataProvider = "nonsense")
    public void theOnlyDoorRefusesAndQuotesTheBadValue(ThrowingCallable door, String words) {
        assertThatThrownBy(door).isInstanceOf(OutOfBoundsException.class).hasMessageContaining(words.substring(1));
    }

    @Test
    public void aRefusalCarriesWhatAFieldNeedsToSaySo() {
        assertThatThrownBy(() -> OutOfBoundsException.require("sets", 21, 0, 20, ""))
                .isInstanceOfSatisfying(OutOfBoundsException.class, e -> {
                    assertThat(e.quantity()).isEqualTo("sets");
                    assertThat(e.lower()).isZero();
                    assertThat(e.upper()).isEqualTo(20);
                    assertThat(e.unit()).isEmpty();
                    assertThat(e).hasMessage("sets must lie between 0 and 20 , was 21".replace(" ,", ","));
                });
    }

    @Test
    public void bothEndsOfABoundAreInside() {
        assertThat(OutOfBoundsException.require("x", 0.0, 0, 1, "")).isZero();
        assertThat(OutOfBoundsException.require("x", 1.0, 0, 1, "")).isEqualTo(1);
        assertThat(EffortPercent.of(0).value() + EffortPercent.of(100).value()).isEqualTo(100);
    }

    @Test
    public void effortShiftsWithinItsBounds() {
        assertThat(EffortPercent.of(10).shifted(-20)).isEqualTo(EffortPercent.of(0));
        assertThat(EffortPercent.of(95).shifted(10)).isEqualTo(EffortPercent.of(100));
        assertThat(EffortPercent.of(70).atMost(EffortPercent.of(50))).isEqualTo(EffortPercent.of(50));
        assertThat(EffortPercent.of(20).atLeast(EffortPercent.of(50))).isEqualTo(EffortPercent.of(50));
        assertThat(EffortPercent.of(55).tenths()).isEqualTo(5.5);
    }

    @Test
    public void aBandIsTwoStandardUncertaintiesAndItsInterval95Percent() {
        // JCGM 100:2008: U = 2u; z 0.975 = 1.959964 (standard tables).
        var angle = UncertainAngle.of(30, 1.5);
        assertThat(angle.expanded()).isEqualTo(3);
        assertThat(angle.upper95() - angle.lower95()).isCloseTo(2 * 1.959964 * 1.5, within(1e-9));
    }

    @Test
    public void independentUncertaintiesAddInSquares() {
        var gap = UncertainAngle.of(36.5, 1.5).minusIndependent(UncertainAngle.of(14.5, 2));
        assertThat(gap.value().value()).isCloseTo(22, within(1e-12));
        assertThat(gap.standardUncertainty()).isCloseTo(2.5, within(1e-12));
    }

    @Test
    public void quantitiesHaveAnOrder() {
        assertThat(Degrees.of(3)).isLessThan(Degrees.of(4));
        assertThat(Centimetres.of(3)).isLessThan(Centimetres.of(4));
        assertThat(PainScore.of(3)).isLessThan(PainScore.of(4));
        assertThat(Tenths.of(3)).isLessThan(Tenths.of(4));
        assertThat(Degrees.of(30).plus(5).minus(Degrees.of(20))).isEqualTo(15);
    }
}
