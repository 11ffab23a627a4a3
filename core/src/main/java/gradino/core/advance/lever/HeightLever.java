package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;

/** The limb lifted higher: a centimetre at a time, five above what the line began with (house rule). */
final class HeightLever implements Lever {
    private static final String HEIGHT = "height";
    private static final double MOST_ABOVE_BASE = 5;

    @Override
    public LeverId id() {
        return LeverId.HEIGHT;
    }

    @Override
    public Attempt attempt(Situation s) {
        var lifts = BlockNumbers.of(s.dose().blocks(), BlockForm.LIFT_OFF);
        if (lifts.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.NOT_IN_LINE, Term.of("lift-offs")));
        }
        var place = lifts.get(0);
        double now = place.block().number(HEIGHT);
        double top = base(s, place.block()) + MOST_ABOVE_BASE;
        double next = Math.min(top, now + 1);
        if (next <= now) {
            return Attempt.blocked(
                    Because.of(Reason.AT_TOP, Term.of("height of the lift"), Term.of(top, Unit.CENTIMETRE)));
        }
        var cut = s.cutShort(BlockForm.LIFT_OFF);
        if (cut.isPresent()) {
            return Attempt.blocked(cut.get());
        }
        var dose = s.moved(
                HEIGHT + next,
                () -> s.dose()
                        .withBlocks(BlockNumbers.with(s.dose().blocks(), place.path(), b -> b.with(HEIGHT, next))));
        return Attempt.step(
                dose,
                Because.of(
                        Reason.STEP_NUMBER,
                        Term.of("Height of the lift"),
                        Term.of(now, Unit.CENTIMETRE),
                        Term.of(next, Unit.CENTIMETRE)));
    }

    private static double base(Situation s, BlockDraft now) {
        var first = BlockNumbers.of(s.me().base().blocks(), BlockForm.LIFT_OFF);
        return first.isEmpty() ? now.number(HEIGHT) : first.get(0).block().number(HEIGHT);
    }
}
