package gradino.core.prescribe;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import java.util.Optional;

/**
 * A dose that somebody wants on one side of a plan.
 *
 * @param held the dose before the change; empty for a new line
 */
public record DoseChange(Plan plan, Side side, Optional<Dose> held, Dose wanted) {

    /** Seconds of the longest contraction without a pause: a whole ramp counts as one. */
    public int longestContractionSeconds() {
        if (wanted.hasBlocks()) {
            return Hardest.longest(
                    PlanBlocks.protocol(plan.withDose(side, wanted)).on(side));
        }
        int press = wanted.topHoldSeconds();
        for (var step : plan.press().cappedAt(wanted.ceiling())) {
            press += step.seconds();
        }
        int alone = wanted.hasHandsOff() ? wanted.handsOffSeconds() : 0;
        return Math.max(Math.max(press, plan.pullSeconds()), alone);
    }

    public boolean goesDeeper() {
        return held.filter(h -> wanted.angle().compareTo(h.angle()) > 0).isPresent();
    }

    Demand demand(String at) {
        return new Demand(
                side,
                wanted.ceiling().value(),
                longestContractionSeconds(),
                Optional.of(wanted.angle()),
                held.map(Dose::angle),
                Catalogue.position(plan.position()).filter(Position::lying).isPresent(),
                false,
                Demand.Places.ofDose(at));
    }
}
