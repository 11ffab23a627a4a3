package gradino.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.quantity.Degrees;
import gradino.server.exchange.table.DoseText;
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
        var methods = Method.shipped();
        var method = methods.get(random.nextInt(methods.size()));
        var dose = new Dose(Degrees.of(random.nextDouble() * 80 - 5), method.firstBlocks(random.nextBoolean()));
        return dose.withTopHold(random.nextInt(30)).plusHandsOff(1 + random.nextInt(6), 1 + random.nextInt(15));
    }

    @Test(dataProvider = "doses")
    public void aDoseComesBackToTheLastBit(Dose dose) {
        assertThat(DoseText.parse(DoseText.of(dose))).isEqualTo(dose);
    }

    @DataProvider
    public Object[][] nonsense() {
        return new Object[][] {
            {"", "a dose is"},
            {"angle=30", "a dose is"},
            {"blocks=[];angle=30", "a dose is"},
            {"angle=x;blocks=[]", "x"},
            {"angle=NaN;blocks=[]", "NaN"},
            {"angle=30;blocks=[{]", ""},
            {"angle=30;blocks=[{\"form\":\"SNEEZE\"}]", "JSON"},
        };
    }

    @Test(dataProvider = "nonsense")
    public void nonsenseIsRefusedInWords(String text, String words) {
        assertThatThrownBy(() -> DoseText.parse(text))
                .isInstanceOf(RuntimeException.class)
                .hasMessageContaining(words);
    }
}
