package gradino.core.prescribe;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.quantity.Degrees;

/** Lines of tests by the house method: rotations, a supported hold and graded sets of press and pull. */
public final class House {
    private House() {}

    /** A newcomer's blocks with these numbers. */
    public static Dose dose(double angle, int hold, int sets, int ceiling, int topHold) {
        return held(newcomers(angle).withSupportedHold(hold).withSets(sets), topHold)
                .withCeiling(ceiling(ceiling));
    }

    /** Press and pull held together. */
    public static Dose held(Dose dose, int seconds) {
        var blocks = dose.withTopHold(seconds).blocks().stream()
                .map(b -> b.form() == BlockForm.GRADED_SET ? b.with("pull", seconds) : b)
                .toList();
        return dose.withBlocks(blocks);
    }

    public static Dose newcomers(double angle) {
        return new Dose(Degrees.of(angle), Method.rampBothWays().firstBlocks(true));
    }

    private static gradino.core.quantity.EffortPercent ceiling(int percent) {
        return gradino.core.quantity.EffortPercent.of(percent);
    }

    /** Three times a week, the left side first. */
    public static Plan line(String method, Sided<Dose> doses) {
        return line("prone-knee-bent", method, Side.LEFT, doses);
    }

    public static Plan line(String position, String method, Side first, Sided<Dose> doses) {
        return line(position, method, SideOrder.ONE_AFTER_OTHER, first, doses);
    }

    public static Plan line(String position, String method, SideOrder order, Side first, Sided<Dose> doses) {
        var motion = Catalogue.position(position).orElseThrow().motions().get(0);
        return new Plan(motion, position, method, order, first, 20, 20, 3, "", null, doses);
    }
}
