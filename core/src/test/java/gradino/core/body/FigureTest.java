package gradino.core.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gradino.core.body.Figure.Kind;
import gradino.core.body.Figure.Mark;
import gradino.core.body.Figure.Role;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class FigureTest {
    @DataProvider
    public Object[][] trained() {
        return Catalogue.positions().stream()
                .filter(Position::trains)
                .map(p -> new Object[] {p.id()})
                .toArray(Object[][]::new);
    }

    private static Pose pose(String id) {
        return Optional.ofNullable(Catalogue.position(id).orElseThrow().pose()).orElseThrow();
    }

    @Test(dataProvider = "trained")
    public void everyTrainedPositionIsDrawnWholeAndStandsOnItsFloor(String id) {
        var figure = FigureMaker.draw(pose(id), 170);
        var box = figure.box();
        assertThat(box.right() - box.left()).isBetween(20.0, 220.0);
        assertThat(box.top() - box.bottom()).isBetween(20.0, 160.0);
        for (var mark : figure.marks()) {
            assertThat(mark.numbers()).allMatch(Double::isFinite);
            boolean body = mark.role() == Role.NEAR || mark.role() == Role.FAR || mark.role() == Role.TRUNK;
            if (body && mark.kind() == Kind.LINE) {
                assertThat(Math.min(mark.numbers().get(1), mark.numbers().get(3)))
                        .isGreaterThan(-3);
            }
        }
        // Seen from the feet the trunk is a disc behind the legs.
        assertThat(figure.marks())
                .filteredOn(m -> m.role() == Role.TRUNK || (m.kind() == Kind.CIRCLE && m.role() == Role.FAR))
                .isNotEmpty();
        assertThat(figure.marks())
                .filteredOn(m -> m.kind() == Kind.ARROW)
                .allMatch(m -> Math.min(m.numbers().get(1), m.numbers().get(3)) > box.bottom());
    }

    @Test(dataProvider = "trained")
    public void theWorkingSegmentFollowsTheAngle(String id) {
        var pose = pose(id);
        if (pose.work() == null) {
            return;
        }
        var small = FigureMaker.draw(pose, 170, 10);
        var large = FigureMaker.draw(pose, 170, 50);
        assertThat(direction(large) - direction(small))
                .satisfies(turn -> assertThat(Math.abs(wrapped(turn))).isCloseTo(40, within(0.3)));
        assertThat(large.angleDegrees()).isEqualTo(50);
    }

    private static double wrapped(double degrees) {
        return degrees - 360 * Math.rint(degrees / 360);
    }

    private static double direction(Figure figure) {
        Mark working = figure.marks().stream()
                .filter(m -> m.kind() == Kind.SECTOR)
                .findFirst()
                .orElseThrow();
        return working.numbers().get(4);
    }

    @Test
    public void theBlockUnderTheRearFootIsToScale() {
        // A shank of .246 of 180 cm lifted by 30° raises the ankle by half of it.
        var pose = pose("seated-90-90-rear");
        double flat = FigureMaker.draw(pose, 180, 0).propCm();
        double lifted = FigureMaker.draw(pose, 180, 30).propCm();
        double foot = 0.6 * 11 / 100 * 180;
        assertThat(lifted - flat).isBetween(0.5 * 0.246 * 180 - foot, 0.5 * 0.246 * 180 + foot);
        double twice = FigureMaker.draw(pose, 360, 30).propCm();
        assertThat(twice).isCloseTo(2 * lifted, within(1e-6));
    }
}
