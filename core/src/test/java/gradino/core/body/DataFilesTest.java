package gradino.core.body;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.Policy;
import gradino.core.advance.Threshold;
import gradino.core.prescribe.Method;
import org.testng.annotations.Test;

/** Every row of every data file parses, has a source and points at things that exist. */
public class DataFilesTest {

    @Test
    public void everyMotionHasItsOppositeInTheCatalogue() {
        for (var motion : Catalogue.motions()) {
            var opposite = Catalogue.motion(motion.opposite()).orElseThrow();
            assertThat(opposite.opposite()).isEqualTo(motion.id());
            assertThat(motion.source().text()).isNotBlank();
        }
    }

    @Test
    public void everyPositionTrainsKnownMotionsAndNamesItsFaults() {
        for (var position : Catalogue.positions()) {
            assertThat(position.motions()).allMatch(m -> Catalogue.motion(m).isPresent());
            assertThat(position.faults()).isNotEmpty().doesNotContain("");
        }
    }

    @Test
    public void usualRangesAreComparedOnlyInTheTablesOwnJointPosition() {
        // Roaas & Andersson 1982 (value from memory): hip internal rotation 32.6 ± 8.2, passive.
        var prone = Catalogue.norm("hip-internal-rotation", "passive", "prone-knee-bent")
                .orElseThrow();
        assertThat(prone.lowerEdge()).isEqualTo(32.6 - 8.2);
        assertThat(Catalogue.norm("hip-internal-rotation", "passive", "seated-90-90-rear"))
                .isEmpty();
        assertThat(Catalogue.norm("hip-internal-rotation", "active", "prone-knee-bent"))
                .isEmpty();
        assertThat(Catalogue.norms())
                .allMatch(n -> n.sdDegrees() > 0 && Catalogue.motion(n.motion()).isPresent());
    }

    @Test
    public void theHousePolicySetsEveryThresholdWithASource() {
        for (var threshold : Threshold.values()) {
            assertThat(Policy.house().source(threshold).text()).isNotBlank();
        }
        assertThat(Policy.house().value(Threshold.DONE_RATIO)).isEqualTo(0.95);
    }

    @Test
    public void theHouseMethodHasAStaircaseOfFive() {
        assertThat(Method.rampBothWays().pattern().steps()).hasSize(5);
        assertThat(Method.rampBothWays().pattern().firstNotRising()).isEqualTo(-1);
    }
}
