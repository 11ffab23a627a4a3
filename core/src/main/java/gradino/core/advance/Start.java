package gradino.core.advance;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.Limits;
import gradino.core.measure.PropGrid;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.EffortStep;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.RampPattern;
import gradino.core.prescribe.ShortRamp;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.UncertainAngle;
import java.util.function.UnaryOperator;

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
        var angles = passive.map((side, p) -> angle(p, limits, side, policy, grid::roundDown));
        var worse = passive.left().value().compareTo(passive.right().value()) <= 0 ? Side.LEFT : Side.RIGHT;
        var plan = Plan.first(motion, position, angles, worse);
        return shortened(plan.withDoses(plan.doses().map((side, dose) -> capped(dose, limits))), limits);
    }

    /** The first angle: short of the estimate by 2° or by its error, whichever is more, within a cap, on the props. */
    static Degrees angle(
            UncertainAngle passive, Limits limits, Side side, Policy policy, UnaryOperator<Degrees> onProps) {
        var wanted = policy.deepest(passive);
        return onProps.apply(limits.angleCap(side)
                .filter(r -> wanted.value() > r.bound())
                .map(r -> Degrees.of(r.bound()))
                .orElse(wanted));
    }

    private static Plan shortened(Plan plan, Limits limits) {
        var cap = limits.contractionCap();
        if (cap.isEmpty()) {
            return plan;
        }
        int most = (int) cap.get().bound();
        int treads = plan.press().cappedAt(plan.dose(Side.LEFT).ceiling()).size();
        var fits = ShortRamp.of(most, treads);
        var ramp = new RampPattern(plan.press().steps().stream()
                .map(s -> new EffortStep(s.effort(), Math.min(s.seconds(), fits.eachSeconds())))
                .toList());
        return plan.withContractions(ramp, Math.min(plan.pullSeconds(), most))
                .withDoses(plan.doses()
                        .map((side, d) -> d.withTopHold(Math.min(d.topHoldSeconds(), fits.topHoldSeconds()))));
    }

    private static Dose capped(Dose dose, Limits limits) {
        return dose.withCeiling(dose.ceiling().atMost(limits.highestEffort()));
    }
}
