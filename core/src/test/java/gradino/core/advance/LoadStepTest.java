package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gradino.core.advance.lever.LoadStep;
import gradino.core.advance.state.Policy;
import gradino.core.because.Reason;
import gradino.core.effort.Gravity;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class LoadStepTest {
    private static final Policy HOUSE = Policy.house();
    /** Worked case 14 of handbook 5: limb torque 11.7 N·m, ankle lever 0.43 m, weights from 0.5 kg. */
    private static final Gravity SHANK = new Gravity("foot-and-shank", 75, 43, 11.7);

    @Test
    public void theFirstLoadIsHalfAKiloAfterTwelveLiftOffsWithout() {
        var step = LoadStep.next(SHANK, 0, 12, 6, 12, HOUSE).orElseThrow();
        assertThat(step.loadKg()).isEqualTo(0.5);
        assertThat(step.repetitions()).isEqualTo(6);
        assertThat(step.share()).isCloseTo(0.18, within(0.001));
        assertThat(step.why().text()).isEqualTo("Load 0 kg → 0.5 kg (18 % more torque), repetitions 12 → 6");
    }

    @Test
    public void withoutLoadRepetitionsComeFirst() {
        var step = LoadStep.next(SHANK, 0, 8, 6, 12, HOUSE).orElseThrow();
        assertThat(step.why().reason()).isEqualTo(Reason.STEP_REPETITIONS);
        assertThat(step.repetitions()).isEqualTo(10);
        assertThat(LoadStep.next(SHANK, 0, 11, 6, 12, HOUSE).orElseThrow().repetitions())
                .isEqualTo(12);
    }

    @Test
    public void aFirstLoadOfMoreThanAFifthIsNone() {
        var light = new Gravity("foot", 75, 43, 10.5);
        assertThat(LoadStep.next(light, 0, 12, 6, 12, HOUSE)).isEmpty();
    }

    /** 2 to 10 % (ACSM 2009, from memory), on both sides of each limit; a leg of 45.5 N·m with weights at 0.8 m. */
    @DataProvider
    public Object[][] later() {
        return new Object[][] {
            {45.5, 80, 1.0, 8, 1.25, 6},
            // A quarter kilo is 1.9 % here: the next weight up is taken.
            {95.0, 80, 1.0, 8, 1.5, 6},
            // Half a kilo is over 10 %: repetitions first, to twelve, then it is taken all the same.
            {11.7, 43, 0.5, 8, 0.5, 10},
            {11.7, 43, 0.5, 12, 1.0, 6}
        };
    }

    @Test(dataProvider = "later")
    public void laterStepsAreTheSmallestThatAddsTwoToTenPercent(
            double own, double lever, double load, int repetitions, double expected, int then) {
        var step = LoadStep.next(new Gravity("leg", 75, lever, own), load, repetitions, 6, 12, HOUSE)
                .orElseThrow();
        assertThat(step.loadKg()).isEqualTo(expected);
        assertThat(step.repetitions()).isEqualTo(then);
    }
}
