package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;

/** The next load by torque, on the first block that a load can hang on; repetitions come first where the smallest is too much. */
final class LoadLever implements Lever {

    @Override
    public LeverId id() {
        return LeverId.LOAD;
    }

    @Override
    public Attempt attempt(Situation s) {
        var loaded = LoadedBlock.of(s.method(), s.dose().blocks());
        var band = BandStep.of(s.dose());
        if (loaded.isEmpty() && band.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.NOT_IN_LINE, Term.of("a load")));
        }
        var limb = s.state().client().limb();
        if (limb == null) {
            return Attempt.blocked(Because.of(Reason.MASS_UNKNOWN), Because.of(Reason.ASK_MASS));
        }
        if (!s.rung().isObserved()) {
            return Attempt.blocked(AngleLever.notObserved(s), Because.of(Reason.ASK_OBSERVE));
        }
        if (band.isPresent()) {
            return band.get().attempt(s, limb);
        }
        var spot = loaded.orElseThrow();
        var cut = s.cutShort(spot.place().block().form());
        if (cut.isPresent()) {
            return Attempt.blocked(cut.get());
        }
        return spot.next(limb, s.policy())
                .map(step -> Attempt.step(s.dose().withBlocks(spot.with(s.dose().blocks(), step)), step.why()))
                .orElseGet(() -> Attempt.blocked(Because.of(
                        Reason.NO_WEIGHT_FITS,
                        Term.of(
                                s.value(spot.loadKg() <= 0 ? Threshold.LOAD_FIRST : Threshold.LOAD_MOST),
                                Unit.PERCENT))));
    }
}
