package gradino.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Method;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import java.util.Random;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class DoseTextTest {

    @DataProvider
    public Object[][] doses() {
        return IntStream.range(0, 30)
                .mapToObj(n -> new Object[] {dose(new Random(n))})
                .toArray(Object[][]::new);
    }

    private static Dose dose(Random random) {
        return new Dose(
                Degrees.of(random.nextDouble() * 80 - 5),
                random.nextInt(121),
                random.nextInt(5),
                EffortPercent.of(random.nextInt(101)),
                random.nextInt(30),
                random.nextInt(16),
                random.nextInt(6));
    }

    @Test(dataProvider = "doses")
    public void aDoseComesBackToTheLastBit(Dose dose) {
        assertThat(DoseText.parse(DoseText.of(dose))).isEqualTo(dose);
    }

    @Test
    public void aComposedDoseComesBackWithItsBlocksWhateverTheMethod() {
        for (var method : Method.shipped()) {
            var dose = Dose.composed(Degrees.of(31.5), method.firstBlocks(true));
            assertThat(DoseText.parse(DoseText.of(dose))).as(method.id()).isEqualTo(dose);
        }
    }

    @Test
    public void aStaircaseComesBack() {
        var pattern = Method.rampBothWays().pattern();
        assertThat(DoseText.steps(pattern)).isEqualTo("20:5;40:5;60:5;80:5;100:5");
        assertThat(DoseText.steps(DoseText.steps(pattern))).isEqualTo(pattern);
    }

    @DataProvider
    public Object[][] nonsense() {
        return new Object[][] {
            {"", "a dose is"},
            {"angle=30", "a dose is"},
            {"hold=60;angle=30;sets=2;ceiling=50;top=10;handsoff=0x0", "expected angle="},
            {"angle=x;hold=60;sets=2;ceiling=50;top=10;handsoff=0x0", "x"},
            {"angle=NaN;hold=60;sets=2;ceiling=50;top=10;handsoff=0x0", "NaN"},
            {"angle=30;hold=60;sets=2;ceiling=150;top=10;handsoff=0x0", "150"},
            {"angle=30;hold=60;sets=-2;ceiling=50;top=10;handsoff=0x0", "-2"},
            {"angle=30;hold=60;sets=2;ceiling=50;top=10;handsoff=3", "repetitions x seconds"},
        };
    }

    @Test(dataProvider = "nonsense")
    public void nonsenseIsRefusedInWords(String text, String words) {
        assertThatThrownBy(() -> DoseText.parse(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(words);
    }

    @Test
    public void aStepWithoutItsSecondsIsRefused() {
        assertThatThrownBy(() -> DoseText.steps("20:5;40")).hasMessageContaining("effort:seconds");
        assertThatThrownBy(() -> DoseText.steps("20:0")).hasMessageContaining("was 0");
    }
}
