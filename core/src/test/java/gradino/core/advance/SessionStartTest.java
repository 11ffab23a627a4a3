package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.Policy;
import gradino.core.because.Because;
import gradino.core.because.Finding;
import gradino.core.because.Reason;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.measure.limit.Limiter;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Experience;
import gradino.core.prescribe.program.FirstDose;
import gradino.core.prescribe.program.SessionCheck;
import gradino.core.prescribe.program.SessionContext;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.program.SessionReader;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.UncertainAngle;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class SessionStartTest {
    private static final Set<BlockForm> GIVEN = Set.of(
            BlockForm.HANDS_OFF_HOLD,
            BlockForm.LIFT_OFF,
            BlockForm.ECCENTRIC,
            BlockForm.LOADED_STRETCH,
            BlockForm.PULSES,
            BlockForm.SIDESTEP_ROUNDS);
    private static final Position PRONE = position("prone-knee-bent");

    private static Position position(String id) {
        return Catalogue.position(id).orElseThrow();
    }

    private static Motion motion(String id) {
        return Catalogue.motion(id).orElseThrow();
    }

    /** One motion of an invented client, 30° on the left and 26° on the right. */
    private record Told(
            Motion motion, Position position, Limiter limiter, Limits limits, boolean newcomer, boolean measured) {
        static Told of(Limiter limiter) {
            return new Told(SessionStartTest.motion("hip-internal-rotation"), PRONE, limiter, Limits.NONE, false, true);
        }

        Told under(Limits restrictions) {
            return new Told(motion, position, limiter, restrictions, newcomer, measured);
        }

        Told asNewcomer() {
            return new Told(motion, position, limiter, limits, true, measured);
        }

        Told in(Position other) {
            return new Told(
                    SessionStartTest.motion(other.motions().get(0)), other, limiter, limits, newcomer, measured);
        }

        SessionStart.Wish wish() {
            Sided<Optional<UncertainAngle>> passive =
                    measured ? new Sided<>(angle(30), angle(26)) : Sided.both(Optional.empty());
            return new SessionStart.Wish(
                    motion,
                    position,
                    Sided.both(limiter),
                    passive,
                    limits,
                    false,
                    newcomer ? Experience.NEWCOMER : Experience.of(EffortPercent.of(100)));
        }

        private static Optional<UncertainAngle> angle(double degrees) {
            return Optional.of(new UncertainAngle(Degrees.of(degrees), 1.5));
        }
    }

    private static SessionStart.Suggested suggest(@Nullable Integer minutes, List<String> equipment, Told... told) {
        return SessionStart.suggest(new SessionStart.Asked(
                Stream.of(told).map(Told::wish).toList(),
                equipment,
                minutes,
                (position, angle) -> angle,
                Policy.house()));
    }

    private static SessionStart.Suggested suggest(Told... told) {
        return suggest(null, List.of(), told);
    }

    private static List<Reason> reasons(SessionStart.Suggested suggested) {
        return suggested.reasons().stream().map(Because::reason).toList();
    }

    private static LineDraft only(SessionStart.Suggested suggested) {
        var lines = suggested.draft().lines();
        assertThat(lines).hasSize(1);
        return lines.get(0);
    }

    @DataProvider
    public Object[][] limiters() {
        return new Object[][] {
            {Limiter.RANGE, Method.RAMP_BOTH_WAYS, Reason.SUGGEST_RANGE},
            {Limiter.CONTROL, "hands-off", Reason.SUGGEST_CONTROL},
            {Limiter.BOTH, "hands-off", Reason.SUGGEST_CONTROL},
            {Limiter.STRUCTURE, null, Reason.SUGGEST_STRUCTURE},
            {Limiter.NEITHER, null, Reason.SUGGEST_NEITHER},
            {Limiter.UNKNOWN, null, Reason.SUGGEST_UNJUDGED},
        };
    }

    @Test(dataProvider = "limiters")
    public void whatLimitsTheMotionChoosesTheMethod(Limiter limiter, @Nullable String method, Reason reason) {
        var suggested = suggest(Told.of(limiter));
        assertThat(reasons(suggested)).contains(reason);
        assertThat(suggested.draft().lines().stream().map(LineDraft::method))
                .isEqualTo(Stream.ofNullable(method).toList());
    }

    @Test
    public void theWorseSideBeginsAndTheAnglesAreNeverAboveTheEstimate() {
        var line = only(suggest(Told.of(Limiter.RANGE)));
        assertThat(line.firstSide()).isEqualTo(Side.RIGHT);
        assertThat(line.angles().left()).isPositive().isLessThanOrEqualTo(30);
        assertThat(line.angles().right()).isPositive().isLessThanOrEqualTo(26);
    }

    @Test
    public void aLowEffortCapAsksForTheLightMethodAndAStopForNone() {
        assertThat(only(suggest(Told.of(Limiter.RANGE).under(AnyLimits.of(30, false, false))))
                        .method())
                .isEqualTo("light-breath");
        var stopped = suggest(Told.of(Limiter.RANGE).under(AnyLimits.of(null, false, true)));
        assertThat(stopped.draft().lines()).isEmpty();
        assertThat(reasons(stopped)).contains(Reason.SUGGEST_STOPPED);
    }

    @Test
    public void whatWasNeverMeasuredIsMeasuredFirst() {
        var told = Told.of(Limiter.RANGE);
        var unmeasured =
                new Told(told.motion(), told.position(), told.limiter(), told.limits(), told.newcomer(), false);
        assertThat(reasons(suggest(unmeasured))).contains(Reason.SUGGEST_UNMEASURED);
    }

    @Test
    public void aNewcomerBeginsLowAndIsToldSo() {
        var suggested = suggest(Told.of(Limiter.RANGE).asNewcomer());
        assertThat(suggested.reasons().stream().map(Because::text))
                .contains("A newcomer: holds of 60 s and efforts of 50 % at most in the first 4 sessions");
        var peak = SessionReader.read(suggested.draft()).plan().stream()
                .flatMap(p -> Compiler.compile(p).phases().stream())
                .mapToInt(p -> p.effortTo().value())
                .max();
        assertThat(peak).hasValue(50);
    }

    @Test
    public void aFewMinutesHoldFewerLines() {
        var told = new Told[] {
            Told.of(Limiter.RANGE),
            Told.of(Limiter.RANGE).in(position("half-kneeling-heel-to-buttock")),
            Told.of(Limiter.RANGE).in(position("lunge-rocks"))
        };
        int all = suggest(told).draft().lines().size();
        var short_ = suggest(8, List.of(), told);
        assertThat(short_.draft().lines()).hasSizeLessThan(all).isNotEmpty();
        assertThat(reasons(short_)).contains(Reason.SUGGEST_MINUTES);
    }

    @Test
    public void equipmentThatIsNotThereIsNotAskedFor() {
        for (var position : Catalogue.positions()) {
            if (position.trains() && !position.equipment().isEmpty()) {
                var suggested =
                        suggest(null, List.of("mat"), Told.of(Limiter.RANGE).in(position));
                suggested
                        .draft()
                        .lines()
                        .forEach(l ->
                                assertThat(position(l.position()).equipment()).isSubsetOf("mat"));
            }
        }
    }

    @Test
    public void theJointsToComeAreCircledFirst() {
        var suggested = suggest(Told.of(Limiter.RANGE));
        assertThat(suggested.draft().warmUp())
                .extracting(BlockDraft::form, b -> b.word("joint", ""))
                .containsExactly(org.assertj.core.groups.Tuple.tuple(BlockForm.CONTROLLED_ROTATION, "hip"));
        assertThat(only(suggested).left()).noneMatch(b -> b.form() == BlockForm.CONTROLLED_ROTATION);
    }

    @DataProvider
    public Object[][] everyLine() {
        return Catalogue.positions().stream()
                .filter(Position::trains)
                .flatMap(p ->
                        Objects.requireNonNull(p.training()).methods().stream().map(m -> new Object[] {p.id(), m}))
                .toArray(Object[][]::new);
    }

    /** Whatever the coach picks for a newcomer under any cap, the first dose is one that may be kept. */
    @Test(dataProvider = "everyLine")
    public void everyFirstDoseMayBeKept(String positionId, String methodId) {
        var position = position(positionId);
        var method = Method.byId(methodId);
        var motion = motion(position.motions().get(0));
        for (var limits : List.of(
                Limits.NONE,
                AnyLimits.of(30, false, false),
                AnyLimits.of(50, true, false),
                AnyLimits.of(RestrictionKind.CONTRACTION_CAP, 10.0))) {
            var told = new Told(motion, position, Limiter.RANGE, limits, true, true);
            var asked = new SessionStart.Asked(List.of(), List.of(), null, (p, angle) -> angle, Policy.house());
            var line = SessionStart.line(told.wish(), asked, method, "a");
            assertThat(blocking(line, limits)).as(limits.toString()).isEmpty();
        }
    }

    /**
     * A block whose effort or seconds are its nature, like a hands-off hold or a stretch under load, is no lighter for being
     * asked for: there the finding tells the coach to choose another.
     */
    private static List<Finding> blocking(LineDraft line, Limits limits) {
        var held = Sided.<Optional<Degrees>>both(
                Optional.of(Degrees.of(line.angles().left())));
        var facts = new LineFacts(limits, true, held, Sided.both(Optional.empty()), true, true);
        var context = new SessionContext(null, List.of(), Set.of(), l -> facts);
        var draft = new SessionDraft(List.of(), List.of(StationDraft.of(line)));
        return SessionCheck.check(draft, context, Method.shipped()).findings().stream()
                .filter(Finding::blocks)
                .filter(f -> canBeLighter(f, line))
                .toList();
    }

    private static boolean canBeLighter(Finding finding, LineDraft line) {
        if (!List.of("effort-cap", "contraction-cap").contains(finding.code())) {
            return true;
        }
        var index = finding.path().replaceAll(".*(?:left|right)\\[(\\d+)\\].*", "$1");
        var block = line.left().get(Integer.parseInt(index));
        return Stream.concat(Stream.of(block), block.blocks().stream()).noneMatch(b -> GIVEN.contains(b.form()));
    }

    @DataProvider
    public Object[][] experiences() {
        return new Object[][] {
            {Experience.NEWCOMER, "ramp-both-ways", 50},
            {Experience.of(EffortPercent.of(0)), "ramp-both-ways", 50},
            {Experience.of(EffortPercent.of(80)), "ramp-both-ways", 60},
            {Experience.of(EffortPercent.of(100)), "ramp-both-ways", 80},
            {Experience.of(EffortPercent.of(30)), "ramp-both-ways", 20},
            {Experience.of(EffortPercent.of(100)), "release-activate-load", 70},
            {Experience.of(EffortPercent.of(100)), "ramp-ten-scale", 80},
            {Experience.of(EffortPercent.of(100)), "light-breath", 25},
        };
    }

    /** First holds and counts; the effort 20 below the last in force, at least 20 %, or the method's own where that is lower. */
    @Test(dataProvider = "experiences")
    public void whoHasTrainedTheMotionBeginsBelowTheirLastEffort(Experience experience, String method, int ceiling) {
        var dose =
                new Dose(Degrees.of(20), FirstDose.blocks(Method.byId(method).orElseThrow(), experience, Limits.NONE));
        assertThat(dose.ceiling()).isEqualTo(EffortPercent.of(ceiling));
        var first = FirstDose.blocks(Method.byId(method).orElseThrow(), Experience.NEWCOMER, Limits.NONE);
        assertThat(dose.topHoldSeconds()).isEqualTo(new Dose(Degrees.of(20), first).topHoldSeconds());
        assertThat(dose.sets()).isEqualTo(new Dose(Degrees.of(20), first).sets());
    }
}
