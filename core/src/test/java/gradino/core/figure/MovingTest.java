package gradino.core.figure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.figure.FigureMaker.Asked;
import gradino.core.figure.Moving.Way;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every position that is trained, in the ways that its methods move it. */
public class MovingTest {
    /** Hundredths of stature: 2 mm of 170 cm. */
    private static final double TWO_MM = 0.12;

    private static final Set<String> CIRCLED = Set.of("controlled-circles");

    @DataProvider
    public Object[][] moved() {
        var all = new ArrayList<Object[]>();
        for (var position : Catalogue.positions()) {
            var training = position.training();
            if (training != null) {
                all.add(new Object[] {position, Way.BETWEEN});
                all.add(new Object[] {position, Way.LIFT});
                if (training.methods().stream().anyMatch(CIRCLED::contains)) {
                    all.add(new Object[] {position, Way.CIRCLE});
                }
            }
        }
        return all.toArray(Object[][]::new);
    }

    private static Asked asked(Position position) {
        return Asked.of(position, position.motions().get(0)).orElseThrow();
    }

    @Test(dataProvider = "moved")
    public void nothingSinksIntoTheFloorOrBendsBeyondItsLimit(Position position, Way way) {
        var asked = asked(position);
        var course = Course.of(asked, way);
        if (course.isEmpty()) {
            assertThat(position.motions()).allMatch(m -> m.startsWith("big-toe"));
            return;
        }
        for (double place = 0; place <= 1; place += 0.25) {
            var pose = course.get().at(place);
            for (var f : course.get().moved()) {
                double written = asked.pose().angles.get(f);
                double now = pose.angles.get(f);
                assertThat(Limit.of(f).clamp(now, written))
                        .as("%s at %s", f, place)
                        .isCloseTo(now, within(1e-9));
            }
            var body = FigureMaker.settled(asked, pose, course.get().moved()).body();
            for (var spot : Spot.every()) {
                assertThat(spot.radius() - body.at(spot).z())
                        .as("%s at %s", spot.name(), place)
                        .isLessThan(TWO_MM);
            }
        }
    }

    @DataProvider
    public Object[][] some() {
        return List.of("squat-rocks", "knee-rolls", "supine-strap-raise", "standing-hip-circles", "seated-90-90-rear")
                .stream()
                .flatMap(id -> Arrays.stream(Way.values())
                        .map(way -> new Object[] {Catalogue.position(id).orElseThrow(), way}))
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "some")
    public void framesLieInOneBoxOnOneFloor(Position position, Way way) {
        Moving.of(asked(position), way).ifPresent(moving -> {
            var frames = moving.frames();
            assertThat(frames).hasSize(12);
            assertThat(frames.stream().map(Figure::box).distinct()).hasSize(1);
            assertThat(frames.stream().map(f -> f.marks().get(0)).distinct()).hasSize(1);
            assertThat(frames.stream().map(Figure::marks).distinct().count()).isGreaterThan(6);
        });
    }

    @Test
    public void aLegRaisedByAStrapEndsAtItsAngle() {
        var frames = Moving.of(
                        asked(Catalogue.position("supine-strap-raise").orElseThrow())
                                .at(70.0),
                        Way.BETWEEN)
                .orElseThrow()
                .frames();
        assertThat(frames.get(0).angleDegrees()).isCloseTo(17.5, within(0.5));
        assertThat(frames.get(11).angleDegrees()).isCloseTo(70, within(0.5));
    }

    /** Over to the other side and back: both ends are each other's mirror image. */
    @Test
    public void aSwingIsTheSameOnBothSides() {
        for (var id : List.of("wide-knee-sit-transitions", "upper-back-swing", "knee-rolls")) {
            var course = Course.of(asked(Catalogue.position(id).orElseThrow()), Way.BETWEEN)
                    .orElseThrow();
            assertThat(Mirror.of(course.at(0).angles).get(new Angles.Freedom(Bone.THIGH_W, 2)))
                    .isEqualTo(course.at(1).angles.get(new Angles.Freedom(Bone.THIGH_W, 2)));
        }
    }

    @Test
    public void everyWarmUpJointHasAPlaceToCircleIn() {
        for (var joint : List.of("neck", "shoulder", "elbow", "wrist", "spine", "hip", "knee", "ankle", "big toe")) {
            assertThat(Catalogue.circles(joint)).as(joint).isPresent();
        }
        assertThat(Catalogue.circles("shoulder blade"))
                .get()
                .extracting(Position::id)
                .isEqualTo("shoulder-blade-circles");
    }
}
