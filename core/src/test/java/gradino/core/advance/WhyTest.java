package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gradino.core.advance.look.HistoryFile;
import gradino.core.advance.look.Why;
import gradino.core.advance.state.Policy;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A small history told fact by fact; the history is invented. */
public class WhyTest {
    private static final String HEAD = "at,fact,side,value,detail\n";
    private static final String LINE = HEAD + """
            2026-03-01T09:00:00Z,line,,prone-knee-bent,ramp-both-ways
            2026-03-01T09:00:00Z,wanted,,60,
            2026-03-01T09:00:00Z,angle,,30,
            2026-03-01T09:05:00Z,reading,,40,passive
            2026-03-02T18:00:00Z,session,,,
            2026-03-03T08:00:00Z,morning,,yes,1
            2026-03-05T18:00:00Z,session,,,
            2026-03-06T08:00:00Z,morning,,yes,0
            """;

    private static List<Why.Fact> explained(String text) {
        return HistoryFile.read(text).explained(Policy.house());
    }

    private static Why.WhyJudged left(List<Why.Fact> facts) {
        return facts.get(facts.size() - 1).sides().get(0);
    }

    @Test
    public void eachFactSaysWhatItChangedAndWhatItCameTo() {
        var facts = explained(LINE);
        assertThat(facts)
                .extracting(Why.Fact::what)
                .containsExactly(
                        "Cold passive reading, left: 40°",
                        "Cold passive reading, right: 40°",
                        "Session, a coach watching: left 100 % done, right 100 % done",
                        "Next morning: pain back to usual, soreness 1/10",
                        "Session, a coach watching: left 100 % done, right 100 % done",
                        "Next morning: pain back to usual, soreness 0/10");
        assertThat(facts.get(0).sides().get(0).changed()).containsExactly("passive range: unknown → 40° ± 5.9°");
        assertThat(facts.get(2).sides().get(0).verdict()).isEqualTo(Verdict.STAY);
        assertThat(facts.get(3).sides().get(0).changed()).containsExactly("counted at this rung: 0 → 1");
        var last = left(facts);
        assertThat(last.verdict()).isEqualTo(Verdict.STEP_UP);
        assertThat(last.gates()).hasSize(5);
        assertThat(last.why().text()).isEqualTo("Working angle 30° → 34.5°");
        assertThat(last.evidence()).isEqualTo(2);
    }

    @Test
    public void painAfterAnAcceptedStepTakesItDown() {
        var text = LINE + """
                2026-03-06T09:00:00Z,accept,,,
                2026-03-08T18:00:00Z,session,,,
                2026-03-08T18:00:00Z,pain,left,6,press while_contracting
                2026-03-09T08:00:00Z,morning,,yes,2
                """;
        var facts = explained(text);
        assertThat(facts.get(6).what()).isEqualTo("Decision, left: accepted: working angle 30° → 34.5°");
        assertThat(facts.get(8).what()).contains("left 100 % done with pain 6");
        assertThat(left(facts).verdict()).isEqualTo(Verdict.STEP_DOWN);
        assertThat(facts.get(9).sides().get(1).side()).isEqualTo(Side.RIGHT);
        assertThat(facts.get(9).sides().get(1).verdict()).isEqualTo(Verdict.STAY);
        var stopped = explained(text + "2026-03-09T09:00:00Z,stop,,numbness_tingling_weakness,\n");
        assertThat(left(stopped).verdict()).isEqualTo(Verdict.STOP_AND_REFER);
        var cleared = explained(text
                + "2026-03-09T09:00:00Z,stop,,sharp_pain,\n2026-03-10T09:00:00Z,clearance,,,\n"
                + "2026-03-11T09:00:00Z,pause,,5,away\n2026-03-12T09:00:00Z,now,,,\n");
        assertThat(left(cleared).verdict()).isEqualTo(Verdict.STEP_DOWN);
    }

    @DataProvider
    public Object[][] broken() {
        return new Object[][] {
            {HEAD, "names no line"},
            {HEAD + "2026-03-01T09:00:00Z,angle,,30,\n", "Row 1: the line comes first"},
            {HEAD + "yesterday,line,,prone-knee-bent,ramp-both-ways\n", "Row 1: "},
            {HEAD + "2026-03-01T09:00:00Z,line,,nowhere,ramp-both-ways\n", "there is no position nowhere"},
            {LINE + "2026-03-01T09:00:00Z,session,,,\n", "Row 9: it lies before the row above it"},
            {LINE + "2026-03-09T09:00:00Z,session,,1.5,\n", "between 0 and 1"},
            {LINE + "2026-03-09T09:00:00Z,pain,left,6,press while_contracting\n", "right after its session"},
            {LINE + "2026-03-09T09:00:00Z,dance,,,\n", "a fact called dance"},
            {LINE + "2026-03-09T09:00:00Z,morning,,perhaps,\n", "yes or no"},
        };
    }

    @Test(dataProvider = "broken")
    public void aRowThatCannotBeReadIsNamed(String text, String said) {
        assertThatThrownBy(() -> explained(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(said);
    }
}
