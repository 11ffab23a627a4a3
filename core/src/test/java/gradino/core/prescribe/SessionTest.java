package gradino.core.prescribe;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockDraft.Tread;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.MethodFile;
import gradino.core.prescribe.program.SessionCheck;
import gradino.core.prescribe.program.SessionContext;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.prescribe.timeline.Totals;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class SessionTest {
    private static final String AT = "stations[0].lines[0].";

    private static Method method(String id) {
        return Method.byId(id).orElseThrow();
    }

    public static LineDraft line(String id, Position position, Method method, List<BlockDraft> blocks) {
        var motion = position.motions().get(0);
        boolean midline = Catalogue.motion(motion).orElseThrow().midline();
        return new LineDraft(
                id,
                motion,
                position.id(),
                method.id(),
                midline ? SideOrder.MIDLINE : SideOrder.ONE_AFTER_OTHER,
                Side.RIGHT,
                new Sided<>(20.0, 20.0),
                blocks,
                midline ? List.of() : blocks,
                method.setUp().usual(),
                method.sideChange().usual(),
                (int) method.week().usual(),
                "",
                null);
    }

    private static LineDraft hip(List<BlockDraft> blocks) {
        return line("a", Catalogue.position("prone-knee-bent").orElseThrow(), method(Method.RAMP_BOTH_WAYS), blocks);
    }

    private static SessionDraft of(LineDraft... lines) {
        return new SessionDraft(
                List.of(), java.util.Arrays.stream(lines).map(StationDraft::of).toList());
    }

    private static SessionCheck.Checked check(SessionDraft draft, SessionContext context) {
        return SessionCheck.check(draft, context, Method.shipped());
    }

    private static List<Finding> findings(BlockDraft... blocks) {
        return check(of(hip(List.of(blocks))), SessionContext.unrestricted()).findings();
    }

    @DataProvider
    public Object[][] everyMethodInEveryPositionItSuits() {
        return Catalogue.positions().stream()
                .filter(Position::trains)
                .flatMap(p -> Optional.ofNullable(p.training()).orElseThrow().methods().stream()
                        .map(m -> new Object[] {p.id(), m}))
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "everyMethodInEveryPositionItSuits")
    public void everyMethodCompilesForEveryPositionItNamesWithEqualSides(String positionId, String methodId) {
        var position = Catalogue.position(positionId).orElseThrow();
        var method = method(methodId);
        for (boolean newcomer : new boolean[] {true, false}) {
            var line = line("a", position, method, method.firstBlocks(newcomer));
            var checked = check(of(line), SessionContext.unrestricted());
            // A method that comes oftener than its class allows says so; that is all there is to say.
            assertThat(checked.findings()).allMatch(f -> f.code().equals("weekly-cap"));
            var timeline = checked.timeline().orElseThrow();
            contiguous(timeline);
            var totals = Totals.of(timeline, false);
            if (line.sides().both()) {
                assertThat(work(totals.sides().left()))
                        .isEqualTo(work(totals.sides().right()));
            }
            assertThat(timeline.phases()).allMatch(p -> p.line().equals("a"));
        }
    }

    private static List<Number> work(Totals.SideTotals side) {
        return List.of(side.pressSeconds(), side.pullSeconds(), side.holdSeconds(), side.impulse());
    }

    private static void contiguous(Timeline timeline) {
        int now = 0;
        for (var phase : timeline.phases()) {
            assertThat(phase.startSecond()).isEqualTo(now);
            assertThat(phase.seconds()).isPositive();
            now = phase.endSecond();
        }
    }

    private static BlockDraft ramp(double... efforts) {
        var steps = new ArrayList<Tread>();
        for (double effort : efforts) {
            steps.add(new Tread(effort, 5));
        }
        return new BlockDraft(BlockForm.PRESS_RAMP, Map.of("top-hold", 0.0), Map.of(), steps, List.of());
    }

    private static BlockDraft block(BlockForm form, String name, double value) {
        return BlockDraft.of(form, Map.of(name, value));
    }

    @DataProvider
    public Object[][] badBlocks() {
        var left = AT + "left[0]";
        return new Object[][] {
            {ramp(20, 40, 30), left + ".steps[2].effort", "ramp-not-rising"},
            {ramp(20, 20), left + ".steps[1].effort", "ramp-not-rising"},
            {ramp(0), left + ".steps[0].effort", "out-of-bounds"},
            {ramp(101), left + ".steps[0].effort", "out-of-bounds"},
            {ramp(Double.NaN), left + ".steps[0].effort", "out-of-bounds"},
            {ramp(), left + ".steps", "number-of-steps"},
            {block(BlockForm.SUPPORTED_HOLD, "seconds", 0), left + ".numbers.seconds", "out-of-bounds"},
            {block(BlockForm.SUPPORTED_HOLD, "seconds", 3600), left + ".numbers.seconds", "out-of-bounds"},
            {block(BlockForm.SUPPORTED_HOLD, "seconds", 130), left + ".numbers.seconds", "hold-too-long"},
            {block(BlockForm.SUPPORTED_HOLD, "colour", 3), left + ".numbers.colour", "unknown-field"},
            {block(BlockForm.RELEASE, "seconds", 60), left, "release-alone"},
        };
    }

    @Test(dataProvider = "badBlocks")
    public void whatCannotBeIsAFindingAtItsPlace(BlockDraft block, String path, String code) {
        assertThat(findings(block))
                .anySatisfy(f -> assertThat(f.path() + " " + f.code()).isEqualTo(path + " " + code));
    }

    /** Of the same motion alone: rocks without any lift-offs are in order, and so are lift-offs of another motion after them. */
    @Test
    public void transitionsComeAfterTheLiftOffsOfTheirMotion() {
        var facts = new LineFacts(
                Limits.NONE, false, Sided.both(Optional.empty()), Sided.both(Optional.empty()), true, false);
        var context = new SessionContext(null, List.of(), l -> facts);
        var rock = block(BlockForm.TRANSITION, "repetitions", 4);
        var lift = block(BlockForm.LIFT_OFF, "repetitions", 4);
        assertThat(early(context, hip(List.of(rock)))).isEmpty();
        assertThat(early(context, hip(List.of(lift, rock)))).isEmpty();
        assertThat(early(context, hip(List.of(rock, lift)))).isEqualTo(List.of(AT + "left[0]", AT + "right[0]"));
        var rocks = hip(List.of(rock));
        var same = line("b", Catalogue.position("seated-edge").orElseThrow(), method("stage-ladder"), List.of(lift));
        assertThat(early(context, rocks, same)).hasSize(2);
        var other = line("b", Catalogue.position("calf-lean").orElseThrow(), method("stage-ladder"), List.of(lift));
        assertThat(early(context, rocks, other)).isEmpty();
    }

    private static List<String> early(SessionContext context, LineDraft... lines) {
        return check(of(lines), context).findings().stream()
                .filter(f -> f.code().equals("transition-early"))
                .map(Finding::path)
                .toList();
    }

    @Test
    public void aReleaseIsFineWhenTheAreaIsWokenUpAfterIt() {
        assertThat(findings(block(BlockForm.RELEASE, "seconds", 60), ramp(20, 40)))
                .noneMatch(f -> f.code().equals("release-alone"));
    }

    @Test
    public void twoHundredBlocksAreRefusedInOneSentence() {
        var many = Collections.nCopies(100, block(BlockForm.REST, "seconds", 5));
        var checked = check(of(hip(many)), SessionContext.unrestricted());
        assertThat(checked.timeline()).isEmpty();
        assertThat(checked.findings()).singleElement().matches(f -> f.code().equals("too-many") && f.blocks());
    }

    @Test
    public void roundsInRoundsInRoundsEnd() {
        var inner = block(BlockForm.REST, "seconds", 5);
        for (int depth = 0; depth < 5; depth++) {
            inner = new BlockDraft(BlockForm.GROUP, Map.of(), Map.of(), List.of(), List.of(inner));
        }
        assertThat(findings(inner)).anyMatch(f -> f.code().equals("too-deep"));
    }

    @Test
    public void unequalSidesAndAMissingSideAskForAReason() {
        var line = hip(List.of(ramp(20)));
        var other = new LineDraft(
                "a",
                line.motion(),
                line.position(),
                line.method(),
                line.sides(),
                line.firstSide(),
                line.angles(),
                line.left(),
                List.of(ramp(20, 40)),
                20,
                20,
                3,
                "",
                null);
        assertThat(check(of(other), SessionContext.unrestricted()).findings())
                .extracting(Finding::code)
                .containsExactly("unequal-sides");
        var missing = new LineDraft(
                "a",
                line.motion(),
                line.position(),
                line.method(),
                line.sides(),
                line.firstSide(),
                line.angles(),
                line.left(),
                List.of(),
                20,
                20,
                3,
                "",
                null);
        assertThat(check(of(missing), SessionContext.unrestricted()).findings())
                .extracting(Finding::code)
                .containsExactly("second-side-missing");
    }

    /** Every way in which a line can break a restriction. */
    @DataProvider
    public Object[][] restrictions() {
        return new Object[][] {
            {AnyLimits.one(RestrictionKind.STOPPED, null), AT + "left", "stopped"},
            {AnyLimits.one(RestrictionKind.NO_ISOMETRICS, null), AT + "left", "stopped"},
            {AnyLimits.one(RestrictionKind.EFFORT_CAP, 50.0), AT + "left[1]", "effort-cap"},
            {AnyLimits.one(RestrictionKind.CONTRACTION_CAP, 10.0), AT + "left[1]", "contraction-cap"},
            {AnyLimits.one(RestrictionKind.ANGLE_CAP, 15.0), AT + "angles.left", "angle-cap"},
            {AnyLimits.one(RestrictionKind.NO_DEEPENING, null), AT + "angles.left", "no-deepening"},
            {AnyLimits.one(RestrictionKind.NOT_LYING, null), AT + "angles.left", "not-lying"},
            {AnyLimits.one(RestrictionKind.NO_RELEASE_PRESSURE, null), AT + "left[0]", "no-release-pressure"},
        };
    }

    @Test(dataProvider = "restrictions")
    public void aRestrictionIsKeptByEveryBlockOfEveryLine(
            gradino.core.intake.Restriction restriction, String path, String code) {
        var facts = new LineFacts(
                Limits.of("hip-internal-rotation", List.of(restriction)),
                false,
                Sided.both(Optional.of(Degrees.of(18))),
                Sided.both(Optional.empty()),
                true,
                true);
        var context = new SessionContext(null, List.of(), l -> facts);
        var line = hip(List.of(block(BlockForm.RELEASE, "seconds", 60), ramp(20, 40, 60)));
        var checked = check(of(line), context);
        assertThat(checked.findings()).anyMatch(Finding::blocks);
        assertThat(checked.findings())
                .anySatisfy(f -> assertThat(f.path() + " " + f.code()).isEqualTo(path + " " + code));
    }

    /** Ways round the restrictions: the warm-up, another joint's line, a second line under the first one's id. */
    @Test
    public void theWarmUpAndALinesDoubleAreNoWayRoundARestriction() {
        var wrist =
                new BlockDraft(BlockForm.CONTROLLED_ROTATION, Map.of(), Map.of("joint", "wrist"), List.of(), List.of());
        var context = new SessionContext(null, List.of(), java.util.Set.of("wrist"), l -> LineFacts.UNKNOWN);
        var sneaky = new SessionDraft(
                List.of(wrist, ramp(20, 90)),
                List.of(StationDraft.of(hip(List.of(wrist))), StationDraft.of(hip(List.of(ramp(20))))));
        assertThat(check(sneaky, context).findings())
                .filteredOn(Finding::blocks)
                .extracting(f -> f.path() + " " + f.code())
                .contains(
                        "warmUp[0] stopped",
                        "warmUp[1] rotations-only",
                        "stations[0].lines[0].left[0] stopped",
                        "stations[1].lines[0].id twice");
    }

    @Test
    public void aNewcomerStaysUnderSixtySecondsAndFiftyPercentAndInsideTheRange() {
        var facts = new LineFacts(
                Limits.NONE,
                true,
                Sided.both(Optional.empty()),
                Sided.both(Optional.of(UncertainAngle.of(15, 1))),
                false,
                false);
        var context = new SessionContext(5, List.of("wall"), l -> facts);
        var line = line(
                "a",
                Catalogue.position("supine-strap-raise").orElseThrow(),
                method(Method.RAMP_BOTH_WAYS),
                List.of(
                        block(BlockForm.SUPPORTED_HOLD, "seconds", 90),
                        ramp(20, 60),
                        block(BlockForm.ECCENTRIC, "load", 2)));
        assertThat(check(of(line), context).findings())
                .extracting(Finding::code)
                .contains("newcomer-hold", "newcomer-ceiling", "above-range", "load-early", "equipment", "too-long");
    }

    @Test
    public void aFrontAndARearLegShareOneSetUp() {
        var front =
                line("f", Catalogue.position("seated-90-90-front").orElseThrow(), method("pulses"), List.of(ramp(20)));
        var rear =
                line("r", Catalogue.position("seated-90-90-rear").orElseThrow(), method("pulses"), List.of(ramp(30)));
        var draft = new SessionDraft(
                List.of(block(BlockForm.CONTROLLED_ROTATION, "repetitions", 2)),
                List.of(new StationDraft(List.of(front, rear), 2, 30, true)));
        var timeline = check(draft, SessionContext.unrestricted()).timeline().orElseThrow();
        contiguous(timeline);
        assertThat(timeline.phases())
                .extracting(p -> p.block() + " " + p.line() + p.side().word().charAt(0))
                .containsSequence(
                        "SET_UP fr",
                        "PRESS fr",
                        "PRESS rl",
                        "SIDE_CHANGE fl",
                        "PRESS fl",
                        "PRESS rr",
                        "REST m",
                        "SIDE_CHANGE fr");
        assertThat(timeline.phases())
                .extracting(Timeline.Phase::blockId)
                .contains(BlockId.parse("l1-right-press"), BlockId.parse("l1-right-press-2"));
    }

    @Test
    public void alternatingGoesBlockByBlock() {
        var line = hip(List.of(ramp(20), ramp(30)));
        var alternating = new LineDraft(
                "a",
                line.motion(),
                line.position(),
                line.method(),
                SideOrder.ALTERNATING,
                Side.LEFT,
                line.angles(),
                line.left(),
                line.right(),
                10,
                5,
                3,
                "",
                null);
        var timeline =
                check(of(alternating), SessionContext.unrestricted()).timeline().orElseThrow();
        assertThat(timeline.phases().stream()
                        .filter(p -> p.block() == BlockKind.PRESS)
                        .map(p -> p.side().word() + p.effortTo()))
                .containsExactly("left20 %", "right20 %", "left30 %", "right30 %");
        assertThat(timeline.seconds()).isEqualTo(10 + 4 * 5 + 3 * 5);
    }

    @DataProvider
    public Object[][] methodFiles() {
        var head = String.join(",", MethodFile.COLUMNS) + "\r\n";
        var fine = DataRows.shipped("pulses");
        return new Object[][] {
            {"a,b\r\n", "row 1", "unknown-header"},
            {head + fine + "pulses,,,colour,red,,,,common practice\r\n", "row 26", "unknown-field"},
            {head + fine + "pulses,1.1,pulses,colour,3,,,,common practice\r\n", "row 26", "unknown-field"},
            {head + fine + "pulses,2,juggling,,,,,,common practice\r\n", "row 26", "unknown-form"},
            {head + fine + "pulses,2,rest,seconds,9000,,,,common practice\r\n", "row 26", "out-of-bounds"},
            {head + fine + "pulses,2,rest,seconds,ten,,,,common practice\r\n", "row 26", "unreadable"},
            {head + fine + "pulses,2,rest,seconds,10,,,,\r\n", "row 26", "no-source"},
            {head + fine + "pulses,2\r\n", "row 26", "cells"},
            {head + "mine,1,rest,seconds,10,,,,common practice\r\n", "row 2", "missing"},
            {head + fine + "pulses,,,cramp,now and then,,,,common practice\r\n", "row 26", "unreadable"},
            {head + fine + "pulses,,,breath,as it comes,,,,common practice\r\n", "row 26", "unreadable"},
            {head + fine + "pulses,,,stretching,a bit,,,,common practice\r\n", "row 26", "unreadable"},
            {head + fine + "pulses,3,eccentric,moves,the dog,,,,common practice\r\n", "row 26", "unreadable"},
            // A ladder's step: for a role that is not there, a number that is not there, beyond the range, down, in a
            // circle.
            {head + fine + "pulses,ladder,wings,repetitions,,,,,common practice\r\n", "row 26", "ladder"},
            {head + fine + "pulses,ladder,pulses,feathers,,,,,common practice\r\n", "row 26", "ladder"},
            {head + fine + "pulses,ladder,pulses,effort,,,101,,common practice\r\n", "row 26", "ladder"},
            {head + fine + "pulses,ladder,pulses,effort,-5,,,,common practice\r\n", "row 26", "ladder"},
            {head + fine + "pulses,ladder,pulses,effort,much,,,,common practice\r\n", "row 26", "unreadable"},
            {head + fine + "pulses,ladder,pulses,repetitions,,,12,,common practice\r\n", "row 26", "ladder"},
            {head + fine + "pulses,ladder,pulses,,,,,,common practice\r\n", "row 26", "ladder"},
        };
    }

    /** Rows of a shipped method as the file has them. */
    private static final class DataRows {
        static String shipped(String id) {
            return gradino.core.body.DataFile.text("methods.csv")
                    .lines()
                    .filter(l -> l.startsWith(id + ","))
                    .reduce("", (a, b) -> a + b + "\r\n");
        }
    }

    @Test(dataProvider = "methodFiles")
    public void aMethodFilesWrongRowIsNamed(String text, String row, String code) {
        var read = MethodFile.read("ours.csv", text);
        assertThat(read.findings()).anySatisfy(f -> {
            assertThat(f.code()).isEqualTo(code);
            assertThat(f.path()).isEqualTo("ours.csv, " + row);
        });
    }

    @Test
    public void everyShippedMethodComesBackFromItsFileAsItWas() {
        var read = MethodFile.read("again.csv", MethodFile.write(Method.shipped()));
        assertThat(read.findings()).isEmpty();
        assertThat(read.methods()).isEqualTo(Method.shipped());
    }

    @Test
    public void everyShippedMethodSaysWhatItIsForAndWhereItIsDone() {
        assertThat(Method.shipped()).hasSizeGreaterThanOrEqualTo(14);
        var named = Catalogue.positions().stream()
                .flatMap(p -> Optional.ofNullable(p.training()).stream())
                .flatMap(t -> t.methods().stream())
                .toList();
        for (var method : Method.shipped()) {
            assertThat(named).as(method.id()).contains(method.id());
            assertThat(method.variantOf().isEmpty()
                            || Method.byId(method.variantOf()).isPresent())
                    .isTrue();
        }
        assertThat(named).allMatch(id -> Method.byId(id).isPresent());
    }

    @DataProvider
    public Object[][] schools() {
        return new Object[][] {
            {"controlled-movement", BlockDraft.usual(BlockForm.SUPPORTED_HOLD), "no-stretching"},
            {"strength-first", hold(46, 5), "long-stretching"},
            {"strength-first", hold(45, 5), ""},
            {"contract-relax-linger", hold(60, 10), "last-of-the-stretch"},
            {"contract-relax-linger", hold(60, 9), ""},
            {"ramp-both-ways", hold(120, 10), ""},
            {"light-breath", BlockDraft.usual(BlockForm.CONTRACT_RELAX).with("effort", 55), "breath-cannot-flow"},
            {"light-breath", BlockDraft.usual(BlockForm.CONTRACT_RELAX).with("effort", 50), ""},
            {"sidestep", BlockDraft.usual(BlockForm.CONTRACT_RELAX).with("effort", 55), ""},
        };
    }

    private static BlockDraft hold(double seconds, double sensation) {
        return BlockDraft.of(BlockForm.SUPPORTED_HOLD, Map.of("seconds", seconds, "sensation", sensation));
    }

    /** What a school says of breath and stretching is a rule: a block against it is told, on both sides of the limit. */
    @Test(dataProvider = "schools")
    public void aBlockAgainstTheSchoolIsTold(String school, BlockDraft block, String code) {
        var position = Catalogue.position("prone-knee-bent").orElseThrow();
        var line = line("a", position, method(school), List.of(block));
        var codes = check(of(line), SessionContext.unrestricted()).findings().stream()
                .map(Finding::code)
                .filter(c -> !c.equals("outside-method") && !c.equals("weekly-cap"))
                .distinct()
                .toList();
        assertThat(codes).isEqualTo(code.isEmpty() ? List.of() : List.of(code));
    }
}
