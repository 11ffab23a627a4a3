package gradino.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class BeightonTest {
    @DataProvider
    public Object[][] cutOffs() {
        // Malfait et al. 2017, Am J Med Genet C 175:8-26 (value from memory).
        return new Object[][] {
            {5, 10, false}, {6, 10, true}, {4, 30, false}, {5, 50, true}, {3, 51, false}, {4, 51, true}
        };
    }

    @Test(dataProvider = "cutOffs")
    public void hypermobileFromTheCutOffOfTheAge(int score, int age, boolean expected) {
        assertThat(new Beighton(score).isHypermobileAt(age)).isEqualTo(expected);
    }

    @Test
    public void refusesATenth() {
        assertThatThrownBy(() -> new Beighton(10)).hasMessageContaining("10");
    }
}
