package gradino.core.body;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Method;
import org.testng.annotations.Test;

/** Every row of every data file parses, has a source and points at things that exist. */
public class DataFilesTest {

    @Test
    public void everyMotionHasItsOppositeInTheSameJoint() {
        assertThat(Catalogue.motions()).hasSizeGreaterThanOrEqualTo(40);
        for (var motion : Catalogue.motions()) {
            var opposite = Catalogue.motion(motion.opposite()).orElseThrow();
            assertThat(opposite.opposite()).isEqualTo(motion.id());
            assertThat(opposite.joint()).isEqualTo(motion.joint());
            assertThat(motion.source().text()).isNotBlank();
            assertThat(motion.zero()).isNotBlank();
            assertThat(motion.landmarks()).contains(",");
        }
        assertThat(Catalogue.motions().stream().map(Motion::joint).distinct())
                .contains(
                        "shoulder", "elbow", "wrist", "neck", "thoracic", "lumbar", "hip", "knee", "ankle", "big toe");
    }

    @Test
    public void everyMotionCanBeMeasuredSomewhereAndEveryTapeFormulaIsUsed() {
        for (var motion : Catalogue.motions()) {
            assertThat(Catalogue.positions()).as(motion.id()).anyMatch(p -> p.allows(motion.id()));
        }
        for (var position : Catalogue.positions()) {
            assertThat(position.motions()).allMatch(m -> Catalogue.motion(m).isPresent());
            assertThat(position.faults()).isNotEmpty().doesNotContain("");
            assertThat(position.zero()).isNotBlank();
        }
        for (var formula : Position.TapeFormulaId.values()) {
            assertThat(Catalogue.positions()).anyMatch(p -> p.tape() == formula);
        }
    }

    @Test
    public void everyGoalMovementNeedsMotionsThatThereAreWithinWhatAJointDoes() {
        assertThat(Catalogue.goalMovements()).hasSizeGreaterThan(10);
        for (var movement : Catalogue.goalMovements()) {
            assertThat(movement.needs()).as(movement.id()).isNotEmpty();
            assertThat(movement.needs().stream().map(GoalMovement.Need::motion)).doesNotHaveDuplicates();
            for (var need : movement.needs()) {
                assertThat(Catalogue.motion(need.motion())).as(need.motion()).isPresent();
                assertThat(need.degrees()).isBetween(1.0, 200.0);
                assertThat(need.source().kind()).isNotEqualTo(gradino.core.because.Source.Kind.HOUSE_RULE);
            }
        }
    }

    @Test
    public void whoHasNoAgeOrSexOnFileIsHeldAgainstATableByAGuess() {
        // Roaas & Andersson 1982: men of 30 to 40 years.
        var men = Catalogue.norms().get(0);
        assertThat(men.fit(UNKNOWN)).isEqualTo(Norm.Fit.GUESS);
        assertThat(men.fit(new Norm.Person(null, 35))).isEqualTo(Norm.Fit.GUESS);
        assertThat(men.fit(new Norm.Person("male", 35))).isEqualTo(Norm.Fit.SAME_GROUP);
        assertThat(men.fit(new Norm.Person("female", 35))).isEqualTo(Norm.Fit.OTHER_GROUP);
    }

    @Test
    public void everyTableRowHasItsPlaceAndOnlyPeopleWithASpreadGiveAUsualRange() {
        for (var norm : Catalogue.norms()) {
            assertThat(Catalogue.motion(norm.motion())).as(norm.motion()).isPresent();
            assertThat(Catalogue.positions())
                    .as(norm.position())
                    .anyMatch(p -> norm.position().equals(p.table()) && p.allows(norm.motion()));
            assertThat(norm.source().kind()).isEqualTo(gradino.core.because.Source.Kind.PUBLISHED);
            assertThat(norm.sex()).isIn("male", "female", "any");
            if (norm.kind() != Norm.Kind.STUDY) {
                assertThat(norm.hasEdges()).isFalse();
            }
            if (norm.lowerDegrees() != null && norm.upperDegrees() != null) {
                // Soucie et al. 2011 (value from memory): every interval is symmetric about its mean.
                assertThat((norm.lowerDegrees() + norm.upperDegrees()) / 2)
                        .isCloseTo(norm.meanDegrees(), org.assertj.core.api.Assertions.within(0.051));
            }
        }
    }

    private static final Norm.Person UNKNOWN = Norm.Person.UNKNOWN;

    @Test
    public void usualRangesAreComparedOnlyInTheTablesOwnJointPosition() {
        // Roaas & Andersson 1982 (value from memory): hip internal rotation 32.6 ± 8.2, passive.
        var prone = Catalogue.usual("hip-internal-rotation", "passive", "prone-knee-bent", UNKNOWN)
                .orElseThrow();
        assertThat(prone.lowerEdge()).isEqualTo(32.6 - 8.2);
        assertThat(Catalogue.usual("hip-internal-rotation", "passive", "seated-90-90-rear", UNKNOWN))
                .isEmpty();
        assertThat(Catalogue.usual("hip-internal-rotation", "active", "prone-knee-bent", UNKNOWN))
                .isEmpty();
        // Soucie et al. 2011 give only the interval of a mean: never a usual range.
        assertThat(Catalogue.usual("elbow-flexion", "passive", "supine-arm-down", UNKNOWN))
                .isEmpty();
        assertThat(Catalogue.norms("elbow-flexion", "passive", "supine-arm-down", UNKNOWN))
                .isNotEmpty();
    }

    @Test
    public void theTableOfTheNearestPeopleIsTaken() {
        // Boone & Azen 1979 by age, Roach & Miles 1991 for women and men 25 to 74 (values from memory).
        var boy = Catalogue.usual("hip-flexion", "active", "supine-knee-to-chest", new Norm.Person("male", 14));
        assertThat(boy.orElseThrow().meanDegrees()).isEqualTo(123.4);
        var woman = Catalogue.usual("hip-flexion", "active", "supine-knee-to-chest", new Norm.Person("female", 60));
        assertThat(woman.orElseThrow().source().text()).startsWith("Roach & Miles 1991");
        assertThat(woman.orElseThrow().fit(new Norm.Person("female", 60))).isEqualTo(Norm.Fit.SAME_GROUP);
        assertThat(boy.orElseThrow().fit(new Norm.Person("female", 14))).isEqualTo(Norm.Fit.OTHER_GROUP);
    }

    @Test
    public void segmentSharesAreThoseOfTheTables() {
        // Drillis & Contini 1966 (value from memory).
        assertThat(Anthropometry.share("ankle-height") + Anthropometry.share("shank"))
                .isCloseTo(Anthropometry.share("knee-height"), org.assertj.core.api.Assertions.within(1e-9));
        assertThat(Anthropometry.share("knee-height") + Anthropometry.share("thigh"))
                .isCloseTo(Anthropometry.share("trochanter-height"), org.assertj.core.api.Assertions.within(1e-9));
        // Winter, table 4.1 (value from memory): centres of mass split the segment, parallel axes within rounding; the
        // table's own exceptions are left out.
        var exceptions = java.util.Set.of("leg", "upper-arm", "forearm");
        for (var mass : Anthropometry.masses()) {
            assertThat(mass.centreFromProximal() + mass.centreFromDistal())
                    .isCloseTo(1, org.assertj.core.api.Assertions.within(1e-9));
            if (!exceptions.contains(mass.id())) {
                assertThat(Math.hypot(mass.centreFromProximal(), mass.gyrationCentre()))
                        .isCloseTo(mass.gyrationProximal(), org.assertj.core.api.Assertions.within(0.0015));
            }
        }
        var whole = Anthropometry.masses().stream()
                .filter(m -> m.id().equals("head-arms-trunk") || m.id().equals("leg"))
                .mapToDouble(m -> m.id().equals("leg") ? 2 * m.massShare() : m.massShare())
                .sum();
        assertThat(whole).isCloseTo(1, org.assertj.core.api.Assertions.within(1e-9));
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
        var graded = Method.rampBothWays()
                .everyBlock()
                .filter(b -> b.form() == BlockForm.GRADED_SET)
                .findFirst()
                .orElseThrow();
        assertThat(graded.steps()).extracting(BlockDraft.Tread::effort).containsExactly(20.0, 40.0, 60.0, 80.0, 100.0);
    }
}
