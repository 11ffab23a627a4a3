package gradino.core.advance;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.measure.PropGrid;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.EffortStep;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.RampPattern;
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
            Limits limits,
            Policy policy) {
        var angles = passive.map((side, p) -> within(firstAngle(p, grid, policy), limits, side, grid));
        var worse = passive.left().value().compareTo(passive.right().value()) <= 0 ? Side.LEFT : Side.RIGHT;
        var plan = Plan.first(motion, position, angles, worse);
        return shortened(plan.withDoses(plan.doses().map((side, dose) -> capped(dose, limits))), limits);
    }

    private static Degrees within(Degrees angle, Limits limits, Side side, PropGrid grid) {
        return limits.angleCap(side)
                .filter(r -> angle.value() > r.bound())
                .map(r -> grid.roundDown(Degrees.of(r.bound())))
                .orElse(angle);
    }

    /** Under a cap on contractions, half of it climbs the ramp and the rest is held. */
    private static Plan shortened(Plan plan, Limits limits) {
        var cap = limits.contractionCap();
        if (cap.isEmpty()) {
            return plan;
        }
        int most = (int) cap.get().bound();
        int treads = plan.press().cappedAt(plan.dose(Side.LEFT).ceiling()).size();
        int each = Math.max(1, most / (2 * treads));
        var ramp = new RampPattern(plan.press().steps().stream()
                .map(s -> new EffortStep(s.effort(), Math.min(s.seconds(), each)))
                .toList());
        int hold = Math.max(0, most - each * treads);
        return plan.withContractions(ramp, Math.min(plan.pullSeconds(), most))
                .withDoses(plan.doses().map((side, d) -> d.withTopHold(Math.min(d.topHoldSeconds(), hold))));
    }

    private static Degrees firstAngle(UncertainAngle passive, PropGrid grid, Policy policy) {
        double margin = Math.max(
                policy.value(Threshold.ANGLE_MARGIN),
                policy.value(Threshold.ANGLE_SIGMAS) * passive.standardUncertainty());
        return grid.roundDown(passive.value().plus(-margin));
    }

    private static Dose capped(Dose dose, Limits limits) {
        return dose.withCeiling(dose.ceiling().atMost(limits.highestEffort()));
    }
}
