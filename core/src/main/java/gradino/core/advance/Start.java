package gradino.core.advance;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.Restriction;
import gradino.core.measure.PropGrid;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Plan;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;

/** Where a new line begins (house rule): a newcomer's dose at min(estimate − 2°, estimate − 1.645·SE), worse side first. */
public final class Start {
    private Start() {}

    public static Plan firstPlan(
            String motion,
            String position,
            Sided<UncertainAngle> passive,
            PropGrid grid,
            Restriction restriction,
            Policy policy) {
        var angles = passive.map((side, p) -> firstAngle(p, grid, policy));
        var worse = passive.left().value().compareTo(passive.right().value()) <= 0 ? Side.LEFT : Side.RIGHT;
        var plan = Plan.first(motion, position, angles, worse);
        return plan.withDoses(plan.doses().map((side, dose) -> capped(dose, restriction)));
    }

    private static Degrees firstAngle(UncertainAngle passive, PropGrid grid, Policy policy) {
        double margin = Math.max(
                policy.value(Threshold.ANGLE_MARGIN),
                policy.value(Threshold.ANGLE_SIGMAS) * passive.standardUncertainty());
        return grid.roundDown(passive.value().plus(-margin));
    }

    private static Dose capped(Dose dose, Restriction restriction) {
        return dose.withCeiling(dose.ceiling().atMost(restriction.highestEffort()));
    }
}
