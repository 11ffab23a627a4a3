package gradino.core.figure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.figure.Angles.Freedom;
import gradino.core.figure.FigureMaker.Asked;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Poses as data: of positions that ship and of the studio's own. */
public class OwnPositionTest {
    @DataProvider
    public Object[][] shipped() {
        return Catalogue.positions().stream().map(p -> new Object[] {p}).toArray(Object[][]::new);
    }

    private static PoseDraft draft(String position) {
        return OwnPosition.of(Catalogue.position(position).orElseThrow())
                .orElseThrow()
                .pose();
    }

    private static List<String> codes(PoseDraft draft) {
        return PoseCheck.of(draft, "pose").stream().map(Finding::code).toList();
    }

    /** Written out and read in again a position is drawn as before, to the last mark. */
    @Test(dataProvider = "shipped")
    public void aPoseIsTheSameAsData(Position position) {
        var draft = draft(position.id());
        assertThat(PoseDraft.of(draft.pose())).isEqualTo(draft);
        var motion = position.motions().get(0);
        var asked = Asked.of(position, motion).orElseThrow().arrows(true, true);
        assertThat(FigureMaker.drawOnce(Asked.plain(draft.pose(), motion)).marks())
                .isEqualTo(FigureMaker.drawOnce(asked).marks());
    }

    private static PoseDraft with(PoseDraft draft, String joint, Double... degrees) {
        Map<String, List<Double>> joints = new HashMap<>(draft.joints());
        joints.put(joint, List.of(degrees));
        return draft.with(joints, draft.contacts());
    }

    @Test
    public void whatNoBodyCanTakeIsSaidByItsName() {
        var lying = draft("supine-strap-raise");
        assertThat(codes(lying)).isEmpty();
        assertThat(PoseCheck.of(with(lying, "kneeW", 200.0, 0.0, 0.0), "pose"))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.path()).isEqualTo("pose.joints.kneeW");
                    assertThat(f.message()).contains("kneeW").contains("165");
                });
        assertThat(PoseCheck.of(with(lying, "tail", 10.0, 0.0, 0.0), "pose"))
                .singleElement()
                .satisfies(f -> assertThat(f.message()).contains("tail"));
        assertThat(codes(with(lying, "hipW", 10.0))).containsExactly("three-angles");
        assertThat(codes(lying.with(lying.joints(), Map.of()))).containsExactly("no-contact");
        assertThat(codes(lying.with(lying.joints(), Map.of("wing", 0.0)))).containsExactly("unknown-segment");
        assertThat(codes(lying.with(lying.joints(), Map.of("skull", 0.0, "toeW", 70.0, "toeO", 70.0, "palmW", 75.0))))
                .isNotEmpty();
    }

    @DataProvider
    public Object[][] pulls() {
        return new Object[][] {
            {"standing-knee-hug", "ankleW", 12, 6},
            {"standing-knee-hug", "wristO", -10, 8},
            {"supine-strap-raise", "ankleW", 6, -10},
            {"kneeling-leg-out", "ballW", 8, 4},
            {"seated-tall", "skull", 4, -2},
        };
    }

    /** A point goes where it is pulled, as far as its joints let it; nothing leaves its limits. */
    @Test(dataProvider = "pulls")
    public void aPointFollowsThePull(String position, String spot, int right, int up) {
        var draft = draft(position);
        var from = handle(draft, spot);
        var pulled = Drag.to(draft, spot, from.x() + right, from.y() + up);
        assertThat(codes(pulled)).isEmpty();
        var to = handle(pulled, spot);
        double before = Math.hypot(right, up);
        double left = Math.hypot(from.x() + right - to.x(), from.y() + up - to.y());
        assertThat(left).isLessThan(0.5 * before);
        for (var bone : Bone.values()) {
            for (var f : Freedom.of(bone)) {
                double now = pulled.pose().angles.get(f);
                assertThat(Limit.of(f).clamp(now, draft.pose().angles.get(f))).isCloseTo(now, within(1.0));
            }
        }
    }

    private static Drag.Handle handle(PoseDraft draft, String spot) {
        return Drag.handles(draft).stream()
                .filter(h -> h.spot().equals(spot))
                .findFirst()
                .orElseThrow();
    }

    /** A foot that is lifted lies on the floor no more; put down, it does again. */
    @Test
    public void aFootLeavesTheFloorAndComesBack() {
        var standing = draft("standing-trunk");
        assertThat(standing.contacts()).containsKeys("heelW", "ballW", "heelO", "ballO");
        var at = handle(standing, "ballW");
        var lifted = Drag.to(standing, "ballW", at.x() + 8, at.y() + 20);
        assertThat(lifted.contacts()).containsKeys("heelO", "ballO").doesNotContainKeys("heelW", "ballW");
        var down = Drag.to(lifted, "ballW", at.x(), at.y());
        assertThat(down.contacts().keySet()).anyMatch(name -> name.endsWith("W"));
    }
}
