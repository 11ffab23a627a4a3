package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.BlockNumbers.Place;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.MethodBlock;
import java.util.List;
import java.util.Optional;

/** The next load by torque, on the first block that a load can hang on; repetitions come first where the smallest is too much. */
final class LoadLever implements Lever {
    private static final List<BlockForm> LOADABLE =
            List.of(BlockForm.LOADED_STRETCH, BlockForm.LIFT_OFF, BlockForm.ECCENTRIC);

    @Override
    public LeverId id() {
        return LeverId.LOAD;
    }

    @Override
    public Attempt attempt(Situation s) {
        var place = loadable(s);
        if (place.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.NOT_IN_LINE, Term.of("a load")));
        }
        var limb = s.state().client().limb();
        if (limb == null) {
            return Attempt.blocked(Because.of(Reason.MASS_UNKNOWN), Because.of(Reason.ASK_MASS));
        }
        if (!s.rung().isObserved()) {
            return Attempt.blocked(Because.of(Reason.NOT_OBSERVED), Because.of(Reason.ASK_OBSERVE));
        }
        var block = place.get().block();
        int repetitions = (int) Math.round(block.number("repetitions"));
        boolean first = block.number("load") <= 0;
        return LoadStep.next(limb, block.number("load"), repetitions, s.policy())
                .map(step -> Attempt.step(with(s, place.get(), step), step.why()))
                .orElseGet(() -> Attempt.blocked(Because.of(
                        Reason.NO_WEIGHT_FITS,
                        Term.of(s.value(first ? Threshold.LOAD_FIRST : Threshold.LOAD_MOST), Unit.PERCENT))));
    }

    /** What the method does a few times only, at the end of its range, is not what it loads. */
    private static Optional<Place> loadable(Situation s) {
        var blocks = s.dose().blocks();
        return LOADABLE.stream()
                .flatMap(form -> BlockNumbers.of(blocks, form).stream())
                .filter(place -> BlockNumbers.range(s.method(), blocks, place, "repetitions")
                        .map(MethodBlock.Range::most)
                        .filter(most -> most < LoadStep.LOW_REPETITIONS)
                        .isEmpty())
                .findFirst();
    }

    private static Dose with(Situation s, Place place, LoadStep step) {
        return s.dose()
                .withBlocks(BlockNumbers.with(
                        s.dose().blocks(),
                        place.path(),
                        b -> b.with("load", step.loadKg()).with("repetitions", step.repetitions())));
    }
}
