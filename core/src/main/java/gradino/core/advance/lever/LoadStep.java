package gradino.core.advance.lever;

import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.effort.Gravity;
import gradino.core.quantity.OutOfBoundsException;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The next load of what is lifted against gravity, by torque: first the unloaded version at top repetitions, then the smallest
 * weight up to a fifth more; later the smallest that adds 2 to 10 %, and where the smallest adds more, repetitions come first, then up to a fifth. A
 * load step goes back to the low repetitions.
 *
 * <p>Source: ACSM 2009, Med Sci Sports Exerc 41:687–708 (2–10 %; value from memory); NSCA 2-for-2 rule (Baechle &amp; Earle);
 * repetitions 6 to 12 and the first fifth are common practice, no source.
 *
 * @param loadKg after the step
 * @param repetitions after the step
 * @param share more torque than before, as a share; 0 when only repetitions grow
 */
public record LoadStep(double loadKg, int repetitions, double share, Because why) {
    public LoadStep {
        OutOfBoundsException.require("load", loadKg, 0, 300, "kg");
        OutOfBoundsException.require("share", share, -1, 10, "");
    }

    public static final int LOW_REPETITIONS = 6;
    public static final int TOP_REPETITIONS = 12;

    private static final int REPETITIONS_MORE = 2;
    private static final double A_LITTLE_KG = 0.01;

    /**
     * Empty at the top: no weight is left that adds little enough.
     *
     * @param repetitions now, or rounds where the method counts those
     * @param low of the method, to which a heavier load goes back
     * @param top of the method, which comes before a first load
     */
    public static Optional<LoadStep> next(
            Gravity limb, double loadKg, int repetitions, int low, int top, Policy policy) {
        OutOfBoundsException.require("loadKg", loadKg, 0, 300, "kg");
        boolean first = loadKg == 0;
        if (first && repetitions < top) {
            return Optional.of(moreRepetitions(loadKg, repetitions, top));
        }
        double least = first ? 0 : policy.value(Threshold.LOAD_LEAST) / 100;
        double most = policy.value(first ? Threshold.LOAD_FIRST : Threshold.LOAD_MOST) / 100;
        var heavier = heavier(limb, loadKg, least);
        if (heavier.isEmpty()) {
            return Optional.empty();
        }
        double share = share(limb, loadKg, heavier.getAsDouble());
        if (share <= most) {
            return Optional.of(loaded(limb, loadKg, heavier.getAsDouble(), repetitions, low));
        } else if (!first && repetitions < top) {
            return Optional.of(moreRepetitions(loadKg, repetitions, top));
        }
        boolean fits = !first && share <= policy.value(Threshold.LOAD_FIRST) / 100;
        return fits ? Optional.of(loaded(limb, loadKg, heavier.getAsDouble(), repetitions, low)) : Optional.empty();
    }

    /** The smallest weight that adds at least a share. */
    private static OptionalDouble heavier(Gravity limb, double loadKg, double least) {
        var found = Gravity.nearestPlate(loadKg + A_LITTLE_KG);
        while (found.isPresent() && share(limb, loadKg, found.getAsDouble()) < least) {
            found = Gravity.nearestPlate(found.getAsDouble() + A_LITTLE_KG);
        }
        return found;
    }

    private static double share(Gravity limb, double from, double to) {
        double now = limb.torque(from, 0).newtonMetres();
        return now == 0 ? Double.MAX_VALUE : limb.torque(to, 0).newtonMetres() / now - 1;
    }

    private static LoadStep loaded(Gravity limb, double from, double to, int repetitions, int low) {
        double share = share(limb, from, to);
        var before = Term.of(from, Unit.KILOGRAM);
        var after = Term.of(to, Unit.KILOGRAM);
        var torque = Term.of(100 * share, Unit.PERCENT);
        var why = repetitions == low
                ? Because.of(Reason.STEP_LOAD, before, after, torque)
                : Because.of(
                        Reason.STEP_LOAD_FEWER,
                        before,
                        after,
                        torque,
                        Term.of(repetitions, Unit.COUNT),
                        Term.of(low, Unit.COUNT));
        return new LoadStep(to, low, share, why);
    }

    private static LoadStep moreRepetitions(double loadKg, int repetitions, int top) {
        int next = Math.min(top, repetitions + REPETITIONS_MORE);
        return new LoadStep(
                loadKg,
                next,
                0,
                Because.of(Reason.STEP_REPETITIONS, Term.of(repetitions, Unit.COUNT), Term.of(next, Unit.COUNT)));
    }
}
