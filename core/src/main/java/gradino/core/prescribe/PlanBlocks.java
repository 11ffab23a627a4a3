package gradino.core.prescribe;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.prescribe.Contraction.HandsOffHold;
import gradino.core.prescribe.GradedSet.Contacts;
import gradino.core.prescribe.Movement.ControlledRotation;
import gradino.core.prescribe.Quiet.Settle;
import gradino.core.prescribe.Quiet.SupportedHold;
import java.util.ArrayList;
import java.util.List;

/**
 * A plan as blocks: those it was composed of, or by a method with ramps rotations, supported hold, graded sets, hands-off holds.
 */
final class PlanBlocks {
    private static final int RE_STRETCH_SECONDS = 5;

    private PlanBlocks() {}

    /** @throws IllegalArgumentException for a motion or position outside the catalogue */
    static Protocol protocol(Plan plan) {
        var position = Catalogue.position(plan.position())
                .orElseThrow(() -> new IllegalArgumentException("unknown position " + plan.position()));
        var joint = Catalogue.motion(plan.motion())
                .orElseThrow(() -> new IllegalArgumentException("unknown motion " + plan.motion()))
                .joint();
        return new Protocol(
                "",
                plan.motion(),
                plan.position(),
                plan.method(),
                plan.sides(),
                plan.firstSide(),
                plan.doses().map((side, dose) -> blocks(plan, side, position, joint)),
                plan.setUpSeconds(),
                plan.sideChangeSeconds());
    }

    private static List<Block> blocks(Plan plan, Side side, Position position, String joint) {
        var dose = plan.dose(side);
        if (dose.hasBlocks()) {
            var world = new BlockReader.BlockWorld(joint, position.press(), position.pull());
            return new BlockReader(world, new ArrayList<>()).all(dose.blocks(), "");
        } else if (plan.hasBlocks()) {
            return List.of();
        }
        var blocks = new ArrayList<Block>();
        blocks.add(new ControlledRotation(joint, plan.rotationsEachWay(), plan.secondsPerCircle()));
        blocks.add(SupportedHold.of(dose.supportedHoldSeconds()));
        blocks.add(new GradedSet(
                GradedSet.Order.PRESS_PULL,
                plan.press(),
                dose.ceiling(),
                dose.topHoldSeconds(),
                plan.pullSeconds(),
                dose.sets(),
                plan.settleSeconds() > 0 ? new Settle(plan.settleSeconds(), plan.settleBreathing()) : null,
                0,
                new Contacts(position.press(), position.pull())));
        if (dose.hasHandsOff()) {
            blocks.add(new HandsOffHold(
                    dose.handsOffRepetitions(), RE_STRETCH_SECONDS, dose.handsOffSeconds(), dose.ceiling()));
        }
        return blocks;
    }
}
