package gradino.core.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gradino.core.body.Side;
import gradino.core.intake.Clearance.Loosening;
import gradino.core.intake.Clearance.MotionLimit;
import gradino.core.intake.Intake.Due;
import gradino.core.intake.Screening.BloodPressure;
import gradino.core.intake.Screening.EventKind;
import gradino.core.intake.Screening.Guardian;
import gradino.core.intake.Screening.JointEvent;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What answers forbid, what a clearance loosens, and when it is asked again. */
public class IntakeTest {
    private static final Instant NOW = Instant.parse("2026-03-02T09:00:00Z");
    private static final LocalDate TODAY = LocalDate.parse("2026-03-02");
    private static final ZoneId ZONE = ZoneOffset.UTC;

    private static Screening said(String... yes) {
        return screening(null, List.of(), Set.of(yes));
    }

    private static Screening screening(@Nullable BloodPressure bp, List<JointEvent> events, Set<String> yes) {
        var answers = new HashMap<String, Boolean>();
        Question.all().forEach(q -> answers.put(q.id(), yes.contains(q.id())));
        return new Screening(NOW, answers, bp, events, List.of(), null, null, null, 0, "");
    }

    private static Intake.Noted noted(int score) {
        return new Intake.Noted(new Beighton(score), NOW.minus(Duration.ofDays(300)));
    }

    private static List<Restriction> after(Screening screening, Clearance... clearances) {
        return new Intake(screening, null, null, List.of(), List.of(clearances)).restrictions(NOW, ZONE);
    }

    private static Limits limits(String motion, List<Restriction> all) {
        return Limits.of(motion, all);
    }

    @DataProvider
    public Object[][] answers() {
        // Handbook of the studio: usual cautions, common practice unless the row names a source.
        return new Object[][] {
            {"heart", Set.of(RestrictionKind.NO_ISOMETRICS)},
            {"cancer", Set.of(RestrictionKind.NO_ISOMETRICS)},
            {"connective-tissue", Set.of(RestrictionKind.NO_ISOMETRICS)},
            {"medication", Set.of(RestrictionKind.NO_ISOMETRICS)},
            {"hernia", capped()},
            {"eye", capped()},
            {"bp-uncontrolled", capped()},
            {"pregnant", Set.of(RestrictionKind.NO_DEEPENING, RestrictionKind.EFFORT_CAP)},
            {"birth", Set.of(RestrictionKind.NO_DEEPENING, RestrictionKind.EFFORT_CAP)},
            {"mid-pregnancy", Set.of(RestrictionKind.NOT_LYING)},
            {"fever", Set.of(RestrictionKind.STOPPED)},
            {"flare", Set.of(RestrictionKind.STOPPED, RestrictionKind.NO_DEEPENING, RestrictionKind.EFFORT_CAP)},
            {"neurological", Set.of(RestrictionKind.STOPPED)},
            {"night-pain", Set.of(RestrictionKind.STOPPED)},
            {"weight-loss", Set.of(RestrictionKind.STOPPED)},
            {"blood-thinners", Set.of(RestrictionKind.NO_RELEASE_PRESSURE)},
            {"vascular", Set.of(RestrictionKind.NO_RELEASE_PRESSURE)},
            {"osteoporosis", Set.of(RestrictionKind.NO_LOADED_END_RANGE, RestrictionKind.EFFORT_CAP)},
        };
    }

    private static Set<RestrictionKind> capped() {
        return Set.of(
                RestrictionKind.NO_ISOMETRICS,
                RestrictionKind.EFFORT_CAP,
                RestrictionKind.CONTRACTION_CAP,
                RestrictionKind.MOVING_BREATH);
    }

    @Test(dataProvider = "answers")
    public void anAnswerForbidsWhatTheRulesSayWithReasonAndSource(String question, Set<RestrictionKind> expected) {
        var restrictions = after(said(question));
        assertThat(restrictions).extracting(Restriction::kind).containsExactlyInAnyOrderElementsOf(expected);
        assertThat(restrictions)
                .allMatch(r -> !r.reason().isBlank() && !r.source().text().isBlank());
        assertThat(restrictions).allMatch(r -> r.since().equals(NOW));
    }

    @Test
    public void everyQuestionHasItsRuleAndNothingIsForbiddenWithoutAnAnswer() {
        assertThat(after(said())).isEmpty();
        for (var question : Question.all()) {
            assertThat(after(said(question.id()))).as(question.id()).isNotEmpty();
        }
    }

    @DataProvider
    public Object[][] pressures() {
        // Williams et al. 2007 (AHA), Circulation 116:572-584 (value from memory): above 160/100, above 180/110.
        return new Object[][] {
            {160, 100, 0}, {161, 90, 4}, {150, 101, 4}, {180, 110, 4}, {181, 90, 5}, {150, 111, 5}, {120, 80, 0},
        };
    }

    @Test(dataProvider = "pressures")
    public void bloodPressureForbidsAboveItsBoundsOnly(int systolic, int diastolic, int restrictions) {
        var bp = new BloodPressure(systolic, diastolic, TODAY);
        assertThat(after(screening(bp, List.of(), Set.of()))).hasSize(restrictions);
    }

    private static JointEvent event(EventKind kind, String joint, @Nullable Side side, String on) {
        return new JointEvent(kind, joint, side, LocalDate.parse(on), "");
    }

    @Test
    public void anOperationBlocksItsOwnJointAndNoOther() {
        var operated = event(EventKind.OPERATION, "hip", Side.LEFT, "2025-01-10");
        var restrictions = after(screening(null, List.of(operated), Set.of()));
        assertThat(limits("hip-flexion", restrictions).stopped()).isPresent();
        assertThat(limits("knee-flexion", restrictions).stopped()).isEmpty();
        assertThat(restrictions.get(0).reason()).contains("left hip").contains("2025-01-10");
    }

    @Test
    public void aClearanceWithMotionLimitsTurnsTheBlockIntoAngleCapsOfThatSide() {
        var operated = event(EventKind.OPERATION, "hip", Side.LEFT, "2025-01-10");
        var screening = screening(null, List.of(operated), Set.of("pregnant"));
        var id = after(screening).stream()
                .filter(r -> r.kind() == RestrictionKind.STOPPED)
                .findFirst()
                .orElseThrow()
                .id();
        var loosening = new Loosening(id, null, List.of(new MotionLimit("hip-flexion", 90)));
        var clearance = new Clearance("invented", TODAY, null, "to 90", false, List.of(), List.of(loosening));
        var flexion = limits("hip-flexion", after(screening, clearance));
        assertThat(flexion.stopped()).isEmpty();
        assertThat(flexion.angleCap(Side.LEFT).orElseThrow().bound()).isEqualTo(90);
        assertThat(flexion.angleCap(Side.RIGHT)).isEmpty();
        // Exactly what it says: the cap and the depth of the pregnancy stay.
        assertThat(flexion.noDeepening()).isPresent();
        assertThat(flexion.highestEffort().value()).isEqualTo(60);
    }

    @Test
    public void aClearanceMovesALimitAndEndsOnItsDay() {
        var id = "pregnant/" + RestrictionKind.EFFORT_CAP;
        var to80 = new Loosening(id, 80.0, List.of());
        var written = new Clearance("invented", TODAY.minusMonths(11), null, "80 %", false, List.of(), List.of(to80));
        assertThat(limits("hip-flexion", after(said("pregnant"), written))
                        .highestEffort()
                        .value())
                .isEqualTo(80);
        for (var over : List.of(
                new Clearance("invented", TODAY.minusMonths(13), null, "80 %", false, List.of(), List.of(to80)),
                new Clearance(
                        "invented", TODAY.minusMonths(2), TODAY.minusDays(1), "80 %", false, List.of(), List.of(to80)),
                new Clearance("invented", TODAY.plusDays(1), null, "80 %", false, List.of(), List.of(to80)))) {
            assertThat(limits("hip-flexion", after(said("pregnant"), over))
                            .highestEffort()
                            .value())
                    .isEqualTo(60);
        }
    }

    @Test
    public void aLetterClearsTheStopSignsOfItsDayAndNoneAfterIt() {
        var letter = new Clearance("invented", TODAY, null, "may train", true, List.of(), List.of());
        var dayAfter = TODAY.plusDays(1).atStartOfDay(ZONE).toInstant();
        assertThat(letter.clearsUpTo(dayAfter.plusSeconds(86_400), ZONE)).isEqualTo(dayAfter);
        assertThat(letter.clearsUpTo(dayAfter.minusSeconds(60), ZONE)).isEqualTo(dayAfter.minusSeconds(60));
    }

    private static List<RestrictionKind> kinds(Intake intake, Instant at) {
        return intake.restrictions(at, ZONE).stream().map(Restriction::kind).toList();
    }

    /** Blocked for 72 h, then careful until it is screened again (handbook chapter 7, common practice); a break counts for a year. */
    @Test
    public void aStrainBlocksAndThenCallsForCareUntilItIsScreenedAgain() {
        var strain = event(EventKind.STRAIN, "knee", Side.RIGHT, "2026-03-01");
        var fracture = event(EventKind.FRACTURE, "wrist", Side.LEFT, "2025-03-10");
        var screening = screening(null, List.of(strain, fracture), Set.of());
        var intake = new Intake(screening, null, null, List.of(), List.of());
        var careful = List.of(RestrictionKind.NO_DEEPENING, RestrictionKind.EFFORT_CAP);
        assertThat(kinds(intake, Instant.parse("2026-03-04T23:59:00Z")))
                .containsExactly(
                        RestrictionKind.STOPPED,
                        RestrictionKind.NO_DEEPENING,
                        RestrictionKind.EFFORT_CAP,
                        RestrictionKind.STOPPED);
        assertThat(kinds(intake, Instant.parse("2026-03-05T00:00:00Z")))
                .containsAll(careful)
                .hasSize(3);
        assertThat(kinds(intake, Instant.parse("2026-03-10T00:00:00Z"))).isEqualTo(careful);
        var later = Instant.parse("2026-03-11T09:00:00Z");
        var again =
                new Screening(later, screening.answers(), null, List.of(strain), List.of(), null, null, null, 0, "");
        assertThat(new Intake(again, null, null, List.of(), List.of()).restrictions(later, ZONE))
                .isEmpty();
    }

    @Test
    public void aFlareBlocksForThreeDaysOnly() {
        var answers = new HashMap<>(said().answers());
        answers.put("flare", true);
        var flare = new Screening(NOW, answers, null, List.of(), List.of("hip"), null, null, null, 0, "");
        var intake = new Intake(flare, null, null, List.of(), List.of());
        assertThat(kinds(intake, NOW.plusSeconds(72 * 3600 - 1))).contains(RestrictionKind.STOPPED);
        assertThat(kinds(intake, NOW.plusSeconds(72 * 3600)))
                .containsExactly(RestrictionKind.NO_DEEPENING, RestrictionKind.EFFORT_CAP);
    }

    @Test
    public void aMinorNeedsAGuardianAndStaysUnderEighty() {
        var child = new Intake(said(), TODAY.minusYears(16), null, List.of(), List.of());
        assertThat(child.restrictions(NOW, ZONE))
                .extracting(Restriction::kind)
                .containsExactlyInAnyOrder(RestrictionKind.EFFORT_CAP, RestrictionKind.STOPPED);
        var s = said();
        var agreed = new Screening(
                NOW, s.answers(), null, List.of(), List.of(), null, new Guardian("invented", TODAY), null, 0, "");
        var with = new Intake(agreed, TODAY.minusYears(16), null, List.of(), List.of());
        assertThat(with.restrictions(NOW, ZONE)).extracting(Restriction::bound).containsExactly(80.0);
        assertThat(new Intake(s, TODAY.minusYears(18), null, List.of(), List.of()).restrictions(NOW, ZONE))
                .isEmpty();
    }

    @Test
    public void hypermobilityComesFromTheManoeuvresSeenBeforeANotedScore() {
        var s = said();
        var five = Set.of(
                Beighton.Item.PALMS,
                Beighton.Item.THUMB_LEFT,
                Beighton.Item.THUMB_RIGHT,
                Beighton.Item.KNEE_LEFT,
                Beighton.Item.KNEE_RIGHT);
        var scored = new Screening(NOW, s.answers(), null, List.of(), List.of(), null, null, five, 0, "");
        var intake = new Intake(scored, TODAY.minusYears(30), noted(0), List.of(), List.of());
        assertThat(intake.hypermobile(TODAY)).isTrue();
        assertThat(intake.restrictions(NOW, ZONE))
                .singleElement()
                .matches(r ->
                        r.kind() == RestrictionKind.NO_DEEPENING && r.reason().contains("5 of 9"));
        assertThat(new Intake(s, null, noted(6), List.of(), List.of()).hypermobile(TODAY))
                .isTrue();
    }

    @Test
    public void itIsAskedAgainAfterTwelveMonthsAndAfterAFlag() {
        var intake = new Intake(said(), null, null, List.of(), List.of());
        assertThat(new Intake(null, null, null, List.of(), List.of()).due(NOW, ZONE, null))
                .isEqualTo(Due.NEVER_ASKED);
        assertThat(intake.due(NOW, ZONE, NOW.minusSeconds(60))).isEqualTo(Due.NOT_DUE);
        assertThat(intake.due(NOW, ZONE, NOW.plusSeconds(60))).isEqualTo(Due.FLAG_SINCE);
        assertThat(intake.due(NOW.plus(Duration.ofDays(365)), ZONE, null)).isEqualTo(Due.NOT_DUE);
        assertThat(intake.due(NOW.plus(Duration.ofDays(366)), ZONE, null)).isEqualTo(Due.OLDER_THAN_TWELVE_MONTHS);
        // Old answers go on forbidding what they forbade.
        var old = new Intake(said("hernia"), null, null, List.of(), List.of());
        assertThat(old.restrictions(NOW.plus(Duration.ofDays(900)), ZONE)).hasSize(4);
    }

    @Test
    public void aNotedBeightonScoreIsAskedForAgainUnlessAScreeningSawIt() {
        var later = NOW.plus(Duration.ofDays(70));
        var plain = new Intake(said(), null, noted(2), List.of(), List.of());
        assertThat(plain.due(NOW, ZONE, null)).isEqualTo(Due.NOT_DUE);
        assertThat(plain.due(later, ZONE, null)).isEqualTo(Due.OLDER_THAN_TWELVE_MONTHS);
        var s = said();
        var seen = new Screening(NOW, s.answers(), null, List.of(), List.of(), null, null, Set.of(), 0, "");
        assertThat(new Intake(seen, null, noted(2), List.of(), List.of()).due(later, ZONE, null))
                .isEqualTo(Due.NOT_DUE);
    }

    @Test
    public void theStrictestOfAKindHoldsAndOnlyWhereItCovers() {
        var wide = AnyLimits.one(RestrictionKind.EFFORT_CAP, 70.0);
        var spine = new Restriction(
                "s", RestrictionKind.EFFORT_CAP, Scope.joint("lumbar", null), 50.0, "r", wide.source(), NOW, null);
        assertThat(limits("lumbar-flexion", List.of(wide, spine))
                        .highestEffort()
                        .value())
                .isEqualTo(50);
        assertThat(limits("hip-flexion", List.of(wide, spine)).highestEffort().value())
                .isEqualTo(70);
        assertThatThrownBy(() -> AnyLimits.one(RestrictionKind.EFFORT_CAP, null))
                .hasMessageContaining("EFFORT_CAP");
        assertThatThrownBy(() -> AnyLimits.one(RestrictionKind.EFFORT_CAP, 130.0))
                .hasMessageContaining("130");
    }

    @Test
    public void whatCannotBeIsFoundAtItsPlace() {
        var bad = new Screening(
                NOW,
                java.util.Map.of("heart", true, "wings", true),
                new BloodPressure(100, 120, TODAY.plusDays(1)),
                List.of(event(EventKind.STRAIN, "wing", null, "1960-01-01")),
                List.of("fin"),
                null,
                new Guardian(" ", TODAY),
                null,
                0,
                "");
        assertThat(IntakeCheck.check(bad, LocalDate.parse("1970-01-01"), TODAY))
                .extracting(f -> f.path())
                .contains(
                        "answers.wings",
                        "answers.hernia",
                        "bloodPressure.diastolic",
                        "bloodPressure.measuredOn",
                        "events[0].joint",
                        "events[0].on",
                        "flareJoints[0]",
                        "guardian.name");
    }
}
