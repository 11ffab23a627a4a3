package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.Threshold;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.Dose;
import java.util.function.Predicate;

/** What the record of a side says was done often enough, clean, to go on from. */
public final class Mastered {
    private Mastered() {}

    /** Without a load at top repetitions, or with one already. */
    public static boolean unloaded(Situation s) {
        return isDone(
                s,
                dose -> LoadedBlock.of(s.method(), dose.blocks())
                        .filter(block -> block.loadKg() > 0 || block.now() >= block.top())
                        .isPresent());
    }

    public static boolean liftOffs(Situation s) {
        return isDone(
                s, dose -> !BlockNumbers.of(dose.blocks(), BlockForm.LIFT_OFF).isEmpty());
    }

    private static boolean isDone(Situation s, Predicate<Dose> what) {
        return s.state().sessions().stream()
                        .filter(x -> what.test(x.doses().on(s.side())))
                        .filter(s::isClean)
                        .limit(s.whole(Threshold.SESSIONS_NEEDED))
                        .count()
                >= s.whole(Threshold.SESSIONS_NEEDED);
    }
}
