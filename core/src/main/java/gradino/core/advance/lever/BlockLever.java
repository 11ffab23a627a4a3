package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.BlockNumbers.Place;
import gradino.core.prescribe.method.MethodBlock;
import java.util.List;

/** One step of a number inside a line's blocks, to the method's most. */
final class BlockLever implements Lever {
    private final String word;
    private final List<LadderStep> steps;

    BlockLever(String word) {
        this.word = word;
        this.steps = LadderStep.of(word);
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("a ladder has no '" + word + "'");
        }
    }

    @Override
    public LeverId id() {
        return steps.get(0).lever();
    }

    @Override
    public Attempt attempt(Situation s) {
        boolean there = false;
        for (var step : steps) {
            for (var place : BlockNumbers.of(s.dose().blocks(), step.form())) {
                there = true;
                double old = place.block().number(step.number());
                double next = Math.min(most(s, place, step), old + step.step(s.policy()));
                if (next > old) {
                    return moved(s, place, step, next);
                }
            }
        }
        return Attempt.blocked(Because.of(there ? Reason.ALL_AT_TOP : Reason.NOT_IN_LINE, Term.of(word)));
    }

    /** One set more for the side that is really behind. */
    private double most(Situation s, Place place, LadderStep step) {
        double most = BlockNumbers.range(s.method(), s.dose().blocks(), place, step.number())
                .map(MethodBlock.Range::most)
                .orElse(0.0);
        boolean behind = step.lever() == LeverId.SETS
                && s.reallyBehind().filter(side -> side == s.side()).isPresent();
        return behind ? most + 1 : most;
    }

    private record Move(List<Integer> path, String number, double to) {}

    private static Attempt moved(Situation s, Place place, LadderStep step, double to) {
        var dose = s.moved(
                new Move(place.path(), step.number(), to),
                () -> s.dose()
                        .withBlocks(
                                BlockNumbers.with(s.dose().blocks(), place.path(), b -> b.with(step.number(), to))));
        return Attempt.step(
                dose,
                Because.of(
                        Reason.STEP_NUMBER,
                        Term.of(Character.toUpperCase(step.label().charAt(0))
                                + step.label().substring(1)),
                        Term.of(place.block().number(step.number()), step.unit()),
                        Term.of(to, step.unit())));
    }
}
