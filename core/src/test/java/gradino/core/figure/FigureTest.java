package gradino.core.figure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gradino.core.body.Catalogue;
import gradino.core.body.Norm;
import gradino.core.body.Side;
import gradino.core.figure.Angles.Freedom;
import gradino.core.figure.Figure.Kind;
import gradino.core.figure.Figure.Mark;
import gradino.core.figure.Figure.Role;
import gradino.core.figure.FigureMaker.Asked;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every position of the catalogue as a body in space. */
public class FigureTest {
    /** 2 mm of 170 cm, hundredths of stature. */
    private static final double TWO_MILLIMETRES = 0.118;

    /** Of the angle that a pose is written with. */
    private static final List<Double> SHARES = List.of(0.5, 0.75, 1.0, 1.1, 1.2);

    private static final int LARGEST_BYTES = 12_000;

    @DataProvider
    public Object[][] positions() {
        return Catalogue.positions().stream().map(p -> new Object[] {p.id()}).toArray(Object[][]::new);
    }

    private static Asked asked(String id, String motion) {
        return Asked.of(Catalogue.position(id).orElseThrow(), motion).orElseThrow();
    }

    private static List<Asked> atAngles(String id) {
        var asked = asked(id, Catalogue.position(id).orElseThrow().motions().get(0));
        double written = FigureMaker.draw(asked).angleDegrees();
        return SHARES.stream().map(share -> asked.at(share * written)).toList();
    }

    @Test(dataProvider = "positions")
    public void contactsLieOnTheFloorAndNothingGoesThroughIt(String id) {
        for (var asked : atAngles(id)) {
            var body = FigureMaker.body(asked);
            for (var contact : asked.pose().contacts.values()) {
                assertThat(body.at(contact.spot()).z() - contact.spot().radius())
                        .as("%s of %s at %s".formatted(contact.spot().name(), asked.motion(), asked.angle()))
                        .isCloseTo(contact.height(), within(TWO_MILLIMETRES));
            }
            for (var spot : Spot.every()) {
                assertThat(body.at(spot).z() - spot.radius())
                        .as("%s of %s at %s".formatted(spot.name(), asked.motion(), asked.angle()))
                        .isGreaterThan(-TWO_MILLIMETRES);
            }
        }
    }

    @Test(dataProvider = "positions")
    public void noLimbGoesThroughTheTrunk(String id) {
        for (var asked : atAngles(id)) {
            var body = FigureMaker.body(asked);
            for (var limb : List.of("elbow wrist", "wrist finger", "knee ankle", "heel toe")) {
                for (var side : List.of("W", "O")) {
                    var ends = limb.split(" ");
                    assertThat(apart(body, ends[0] + side, ends[1] + side))
                            .as("%s%s of %s at %s".formatted(limb, side, asked.motion(), asked.angle()))
                            .isGreaterThan(3);
                }
            }
        }
    }

    /** Between a limb's bone and the spine, by points along both. */
    private static double apart(Body body, String from, String to) {
        var spine = List.of("pelvis", "waist", "chest", "neck");
        double least = Double.MAX_VALUE;
        for (int i = 0; i <= 8; i++) {
            var limb = between(body.at(Spot.of(from)), body.at(Spot.of(to)), i / 8.0);
            for (int part = 0; part + 1 < spine.size(); part++) {
                var lower = body.joint(Bone.ofJoint(spine.get(part)).orElseThrow());
                var upper = body.joint(Bone.ofJoint(spine.get(part + 1)).orElseThrow());
                for (int k = 0; k <= 4; k++) {
                    least = Math.min(
                            least, between(lower, upper, k / 4.0).minus(limb).length());
                }
            }
        }
        return least;
    }

    private static Vec between(Vec a, Vec b, double share) {
        return a.times(1 - share).plus(b.times(share));
    }

    @Test(dataProvider = "positions")
    public void theSlicesAngleIsTheOneAskedFor(String id) {
        for (var motion : Catalogue.position(id).orElseThrow().motions()) {
            for (double angle : List.of(10.0, 25.0, 40.0, 55.0, 70.0)) {
                var asked = asked(id, motion).at(angle);
                var corners = FigureMaker.slices(asked);
                if (!corners.isEmpty()) {
                    boolean shared = motion.equals("straddle");
                    double drawn =
                            corners.stream().mapToDouble(FigureTest::opening).sum();
                    double wanted = shared ? angle : angle * corners.size();
                    assertThat(drawn).as("%s %s".formatted(motion, angle)).isCloseTo(wanted, within(0.5));
                }
                assertThat(FigureMaker.draw(asked).angleDegrees())
                        .isCloseTo(corners.isEmpty() ? 0 : angle, within(0.001));
            }
        }
    }

    /** Between neighbouring edges, summed: the slice may be no flat one where two joints share it. */
    private static double opening(List<Vec> corners) {
        var tip = corners.get(0);
        return IntStream.range(1, corners.size() - 1)
                .mapToDouble(i -> {
                    var a = corners.get(i).minus(tip).unit();
                    var b = corners.get(i + 1).minus(tip).unit();
                    return Math.toDegrees(Math.atan2(a.cross(b).length(), a.dot(b)));
                })
                .sum();
    }

    @Test(dataProvider = "positions")
    public void aRightSideIsTheMirrorImageOfTheLeft(String id) {
        var left = FigureMaker.draw(
                asked(id, Catalogue.position(id).orElseThrow().motions().get(0)));
        var right = FigureMaker.draw(
                asked(id, Catalogue.position(id).orElseThrow().motions().get(0)).on(Side.RIGHT));
        assertThat(right.box().left()).isCloseTo(-left.box().right(), within(0.02));
        assertThat(right.box().top()).isCloseTo(left.box().top(), within(0.02));
        assertThat(right.marks())
                .extracting(Mark::role)
                .containsExactlyElementsOf(left.marks().stream().map(Mark::role).toList());
        for (int i = 0; i < left.marks().size(); i++) {
            if (left.marks().get(i).kind() == Kind.POLYGON) {
                assertThat(right.marks().get(i).numbers().get(0))
                        .isCloseTo(-left.marks().get(i).numbers().get(0), within(0.02));
            }
        }
    }

    @Test(dataProvider = "positions")
    public void everyPoseIsWithinTheJointsLimitsAndSmallToSend(String id) {
        var asked = asked(id, Catalogue.position(id).orElseThrow().motions().get(0));
        for (var bone : Bone.values()) {
            for (var freedom : Freedom.of(bone)) {
                assertThat(Limit.of(freedom).allows(asked.pose().angles.get(freedom)))
                        .as("%s %s %s"
                                .formatted(
                                        bone,
                                        freedom.number(),
                                        asked.pose().angles.get(freedom)))
                        .isTrue();
            }
        }
        var figure = FigureMaker.draw(asked);
        int bytes = figure.marks().stream()
                .mapToInt(m -> m.toString().getBytes(StandardCharsets.UTF_8).length)
                .sum();
        assertThat(bytes).isLessThan(LARGEST_BYTES);
        assertThat(figure.marks()).extracting(Mark::role).contains(Role.FLOOR, Role.TRUNK);
    }

    /** Roaas &amp; Andersson 1982, Boone &amp; Azen 1979 as norms.csv has them (values from memory). */
    @Test
    public void noReadingWithinThreeDeviationsOfAUsualRangeIsBeyondALimit() {
        var standing = new Pose();
        for (var motion : Catalogue.motions()) {
            Work.of(standing, motion.id()).ifPresent(work -> {
                var freedom = work.parts().get(0).freedom();
                double share = work.parts().get(0).share();
                for (Norm norm : Catalogue.norms()) {
                    if (norm.motion().equals(motion.id()) && norm.hasEdges()) {
                        double most = work.sign() * share * norm.edge(3);
                        assertThat(Limit.of(freedom).allows(most))
                                .as("%s to %s".formatted(motion.id(), most))
                                .isTrue();
                    }
                }
            });
        }
    }

    /** A shank of .246 of stature turned up by 30° raises the ankle by half of it. */
    @Test
    public void theBlockUnderTheRearFootIsToScale() {
        var asked = asked("seated-90-90-rear", "hip-internal-rotation");
        double lifted =
                FigureMaker.draw(asked.at(30.0).of(Build.of(180, null, null))).propCm();
        double flat =
                FigureMaker.draw(asked.at(5.0).of(Build.of(180, null, null))).propCm();
        double rise = 0.246 * 180 * (Math.sin(Math.toRadians(30)) - Math.sin(Math.toRadians(5)));
        assertThat(lifted - flat).isCloseTo(rise, within(7.0));
        double twice =
                FigureMaker.draw(asked.at(30.0).of(Build.of(360, null, null))).propCm();
        assertThat(twice).isCloseTo(2 * lifted, within(1e-6));
    }

    /** A capsule's outline is two half circles joined by its tangents. */
    @Test
    public void anOutlineRunsRoundAllItsCircles() {
        var arcs = Outline.of(List.of(new Outline.Circle(0, 0, 1), new Outline.Circle(10, 0, 1)));
        assertThat(arcs).hasSize(10);
        assertThat(arcs[4] - arcs[3]).isCloseTo(180, within(1e-6));
        var inner = Outline.of(List.of(new Outline.Circle(0, 0, 5), new Outline.Circle(1, 0, 1)));
        assertThat(inner).containsExactly(0, 0, 5, 0, 360);
    }

    @DataProvider
    public Object[][] motions() {
        return Catalogue.motions().stream().map(m -> new Object[] {m.id()}).toArray(Object[][]::new);
    }

    /** Every landmark that a motion names is a point of the body, marked by its number. */
    @Test(dataProvider = "motions")
    public void landmarksAreMarkedWhereTheyLie(String motion) {
        for (var name : Landmarks.names(motion)) {
            assertThat(Landmarks.spots(name)).as(name).isNotEmpty();
        }
        var position =
                Catalogue.positions().stream().filter(p -> p.allows(motion)).findFirst();
        position.ifPresent(p -> {
            var asked = Asked.of(p, motion).orElseThrow();
            assertThat(FigureMaker.draw(asked).marks()).noneMatch(m -> m.kind() == Kind.DOT);
            assertThat(FigureMaker.draw(asked.withLandmarks()).marks().stream()
                            .filter(m -> m.kind() == Kind.DOT)
                            .map(m -> m.numbers().get(2).intValue())
                            .distinct())
                    .hasSize(Landmarks.names(motion).size());
        });
    }

    @Test
    public void aWorkingAngleHasTheRangeOfItsJoint() {
        var range = asked("prone-knee-bent", "hip-internal-rotation").range().orElseThrow();
        assertThat(range.allows(45)).isTrue();
        assertThat(range.allows(71)).isFalse();
        var front = asked("seated-90-90-front", "hip-external-rotation").range().orElseThrow();
        assertThat(front.allows(10)).isTrue();
    }
}
