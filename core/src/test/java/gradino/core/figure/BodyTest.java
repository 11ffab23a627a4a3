package gradino.core.figure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gradino.core.body.Anthropometry;
import gradino.core.figure.Angles.Freedom;
import gradino.core.figure.Turn.Axis;
import java.util.EnumMap;
import java.util.Objects;
import java.util.Random;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.testng.annotations.Test;

/** The skeleton against a linear-algebra package and published lengths. */
public class BodyTest {
    private static final int POSES = 1000;

    @Test
    public void aThousandRandomPosesStandWhereMatricesOfHipparchusPutThem() {
        var random = new Random(7);
        for (int n = 0; n < POSES; n++) {
            var angles = random(random);
            var body = new Body(Build.typical(), angles, 50);
            var placed = new EnumMap<Bone, RealMatrix>(Bone.class);
            for (var bone : Bone.values()) {
                var parent = bone.parent == null
                        ? MatrixUtils.createRealIdentityMatrix(4)
                        : Objects.requireNonNull(placed.get(bone.parent));
                var own = parent.multiply(moved(bone.parent == null ? new Vec(0, 0, 50) : joint(bone)));
                for (var freedom : Freedom.of(bone)) {
                    var hinge = bone.hinge(freedom.number());
                    own = own.multiply(turned(hinge.axis(), hinge.sign() * angles.get(freedom)));
                }
                placed.put(bone, own);
                var at = body.joint(bone);
                assertThat(new double[] {at.x(), at.y(), at.z()})
                        .containsExactly(
                                new double[] {own.getEntry(0, 3), own.getEntry(1, 3), own.getEntry(2, 3)},
                                within(1e-9));
            }
        }
    }

    private static Vec joint(Bone bone) {
        return Build.typical().joint(bone);
    }

    private static Angles random(Random random) {
        var angles = new Angles();
        for (var bone : Bone.values()) {
            Freedom.of(bone).forEach(f -> angles.set(f, random.nextDouble() * 360 - 180));
        }
        return angles;
    }

    private static RealMatrix moved(Vec by) {
        return MatrixUtils.createRealMatrix(
                new double[][] {{1, 0, 0, by.x()}, {0, 1, 0, by.y()}, {0, 0, 1, by.z()}, {0, 0, 0, 1}});
    }

    /** Rodrigues' formula: R = I + sin·K + (1 − cos)·K². */
    private static RealMatrix turned(Axis axis, double degrees) {
        var k = axis.vec();
        var cross = MatrixUtils.createRealMatrix(
                new double[][] {{0, -k.z(), k.y(), 0}, {k.z(), 0, -k.x(), 0}, {-k.y(), k.x(), 0, 0}, {0, 0, 0, 0}});
        double a = Math.toRadians(degrees);
        return MatrixUtils.createRealIdentityMatrix(4)
                .add(cross.scalarMultiply(Math.sin(a)))
                .add(cross.multiply(cross).scalarMultiply(1 - Math.cos(a)));
    }

    /** 0.1 mm of 170 cm is 0.006 hundredths. */
    @Test
    public void limbsKeepTheirLengthHoweverTheyAreBent() {
        var random = new Random(11);
        for (int n = 0; n < POSES; n++) {
            var body = new Body(Build.typical(), random(random), 0);
            for (var bone : Bone.values()) {
                if (bone.parent != null) {
                    double length =
                            body.joint(bone).minus(body.joint(bone.parent)).length();
                    assertThat(length).isCloseTo(joint(bone).length(), within(0.006));
                }
            }
        }
    }

    /** Drillis &amp; Contini 1966, Body Segment Parameters, NYU TR 1166-03, as Winter fig. 4.1 (values from memory). */
    @Test
    public void segmentsAreAsLongAsPublishedSharesOfStature() {
        var standing = new Body(Build.typical(), new Angles(), 0);
        assertThat(length(standing, Bone.THIGH_W, Bone.SHANK_W)).isCloseTo(24.5, within(0.01));
        assertThat(length(standing, Bone.SHANK_W, Bone.FOOT_W)).isCloseTo(24.6, within(0.01));
        assertThat(length(standing, Bone.UPPER_ARM_W, Bone.FOREARM_W)).isCloseTo(18.6, within(0.01));
        assertThat(length(standing, Bone.FOREARM_W, Bone.HAND_W)).isCloseTo(14.6, within(0.01));
        double sole = standing.at(Spot.of("heelW")).z() - Spot.of("heelW").radius();
        assertThat(standing.joint(Bone.THIGH_W).z() - sole).isCloseTo(53.0, within(0.3));
        assertThat(standing.joint(Bone.SHANK_W).z() - sole).isCloseTo(28.5, within(0.3));
        double ball = Spot.of("ballW").at().x() - Spot.of("heelW").at().x();
        assertThat(ball + Spot.of("toeW").at().x() - Spot.of("ballW").at().x())
                .isCloseTo(100 * Anthropometry.share("foot-length"), within(2.0));
        double crown = standing.at(Spot.of("skull")).z() + Spot.of("skull").radius() - sole;
        assertThat(crown).isCloseTo(100, within(1.0));
    }

    private static double length(Body body, Bone from, Bone to) {
        return body.joint(to).minus(body.joint(from)).length();
    }

    @Test
    public void aClientsOwnLengthsAreDrawnAndNonsenseIsNot() {
        assertThat(Build.of(180, 45.0, 43.0).thighShare()).isEqualTo(0.25);
        assertThat(Build.of(180, 4.5, 430.0)).isEqualTo(Build.of(180, null, null));
    }
}
