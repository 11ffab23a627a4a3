package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.effort.Band;
import gradino.core.effort.Gravity;
import gradino.core.prescribe.method.Apparatuses;
import gradino.core.prescribe.method.BlockNumbers.Place;
import gradino.core.prescribe.method.Dose;
import java.util.Optional;

/**
 * A band is stepped by its force–length line, not as kilograms: the smallest whole centimetre that adds 2 to 10 % to the torque of
 * limb and band together (ACSM 2009, value from memory; across the limb at its far end, house rule).
 */
record BandStep(Place place, Band band) {
    private static final double LONGEST_CM = 500;

    /** House rule. */
    private static final double NOTCH_CM = 5;

    /** Empty without a band, and for one without its line. */
    static Optional<BandStep> of(Dose dose) {
        return Apparatuses.place(dose.blocks())
                .filter(p -> p.block().number(Apparatuses.BAND) > 0 && !Apparatuses.lacksLine(p.block()))
                .map(p -> new BandStep(
                        p,
                        new Band(
                                p.block().number(Apparatuses.BAND_SLACK),
                                p.block().number(Apparatuses.BAND_FORCE))));
    }

    Lever.Attempt attempt(Situation s, Gravity limb) {
        double from = place.block().number(Apparatuses.BAND);
        var policy = s.policy();
        double least = policy.value(Threshold.LOAD_LEAST) / 100;
        for (double to = Math.floor(from) + 1; to <= LONGEST_CM; to++) {
            double share = torque(limb, to) / torque(limb, from) - 1;
            if (share >= least) {
                return share <= most(policy)
                        ? Lever.Attempt.step(
                                s.dose().withNumber(place, Apparatuses.BAND, to),
                                Because.of(
                                        Reason.STEP_BAND,
                                        Term.of(from, Unit.CENTIMETRE),
                                        Term.of(to, Unit.CENTIMETRE),
                                        Term.of(100 * share, Unit.PERCENT)))
                        : none(policy);
            }
        }
        return none(policy);
    }

    /** A notch back, not below what it is long by itself. */
    Dose looser(Dose dose) {
        double now = place.block().number(Apparatuses.BAND);
        double slack = place.block().number(Apparatuses.BAND_SLACK);
        return dose.withNumber(place, Apparatuses.BAND, Math.min(now, Math.max(slack, now - NOTCH_CM)));
    }

    private static Lever.Attempt none(Policy policy) {
        return Lever.Attempt.blocked(
                Because.of(Reason.NO_WEIGHT_FITS, Term.of(policy.value(Threshold.LOAD_MOST), Unit.PERCENT)));
    }

    private static double most(Policy policy) {
        return policy.value(Threshold.LOAD_MOST) / 100;
    }

    /** About the joint, N·m, level. */
    private double torque(Gravity limb, double lengthCm) {
        return limb.torque(0, 0).newtonMetres() + band.newtons(lengthCm) * limb.lengthCm() / 100;
    }
}
