package gradino.core.report;

import gradino.core.quantity.UncertainAngle;

/**
 * A range held against what the goal needs, by the estimate's own bound.
 *
 * @param shortOf degrees still missing; negative beyond it
 */
public record GoalReach(double needed, double shortOf, Reached reached) {
    /** Whether it is there. */
    public enum Reached {
        YES,
        NO,
        /** The 95 % band holds it. */
        NOT_TOLD_APART
    }

    /** @param needed degrees that the goal needs */
    public static GoalReach of(UncertainAngle now, double needed) {
        var reached =
                now.lower95() >= needed ? Reached.YES : now.upper95() < needed ? Reached.NO : Reached.NOT_TOLD_APART;
        return new GoalReach(needed, needed - now.value().value(), reached);
    }
}
