package gradino.core.because;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.TreeSet;
import org.testng.annotations.Test;

public class BecauseTest {

    @Test
    public void saysItsNumbersWithTheirUnits() {
        var because = Because.of(Reason.STEP_ANGLE, Term.of(30, Unit.DEGREE), Term.of(34.04, Unit.DEGREE));
        assertThat(because.text()).isEqualTo("Working angle 30° → 34°");
        assertThat(Because.of(
                                Reason.DONE_TOO_LITTLE,
                                Term.of("Contraction"),
                                Term.of(0.9, Unit.RATIO),
                                Term.of(0.95, Unit.RATIO))
                        .text())
                .isEqualTo("Contraction done: 0.90 of what was planned, below 0.95");
        assertThat(Because.of(Reason.ABOVE_EFFORT_CAP, Term.of(50, Unit.PERCENT), Term.of(40, Unit.PERCENT))
                        .text())
                .contains("client's cap of 40 %");
    }

    @Test
    public void everyReasonHasItsWordsAndSaysEachOfItsTerms() {
        for (var reason : Reason.values()) {
            var filled = Words.filled(reason);
            assertThat(filled.text()).as(reason.name()).isNotBlank().doesNotContain("{");
            assertThat(filled.terms()).allSatisfy(t -> assertThat(filled.text()).contains(t.text()));
        }
    }

    @Test
    public void whatChangedIsASetDifference() {
        var before = new TreeSet<Because>();
        before.add(Because.of(Reason.PAIN_NOT_CLEAN, Term.of(3, Unit.OF_TEN), Term.of(2, Unit.OF_TEN)));
        before.add(Because.of(Reason.EFFORT_NOT_RATED));
        var now = new TreeSet<>(before);
        now.add(Because.of(Reason.UNPLANNED_STOP));
        now.removeAll(before);
        assertThat(now).containsExactly(Because.of(Reason.UNPLANNED_STOP));
    }

    @Test
    public void sameReasonWithOtherNumbersIsAnotherReason() {
        var one = Because.of(Reason.PAIN_TOO_HIGH, Term.of(6, Unit.OF_TEN));
        var other = Because.of(Reason.PAIN_TOO_HIGH, Term.of(7, Unit.OF_TEN));
        assertThat(one).isNotEqualTo(other).isLessThan(other);
        assertThat(one).isEqualByComparingTo(Because.of(Reason.PAIN_TOO_HIGH, Term.of(6, Unit.OF_TEN)));
    }

    @Test
    public void sourcesSayWhatTheyAre() {
        assertThat(Source.parse("common practice, no source").kind()).isEqualTo(Source.Kind.COMMON_PRACTICE);
        assertThat(Source.parse("house rule: ours").kind()).isEqualTo(Source.Kind.HOUSE_RULE);
        assertThat(Source.parse("Thomee 1997 (value from memory)").kind()).isEqualTo(Source.Kind.PUBLISHED);
        assertThatThrownBy(() -> Source.parse(" ")).hasMessageContaining("source");
    }

    @Test
    public void verdictsAreOrderedByCaution() {
        assertThat(Verdict.STOP_AND_REFER.isMoreCautiousThan(Verdict.STEP_DOWN)).isTrue();
        assertThat(Verdict.STEP_DOWN.isMoreCautiousThan(Verdict.STAY)).isTrue();
        assertThat(Verdict.STAY.isMoreCautiousThan(Verdict.STEP_UP)).isTrue();
        assertThat(Verdict.STEP_UP.isMoreCautiousThan(Verdict.STEP_UP)).isFalse();
    }
}
