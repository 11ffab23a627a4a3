package gradino.core.advance.gate;

import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.GateResult;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.prescribe.block.BlockKind;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** One question before any step. The first gate that decides, decides. */
public interface Gate {
    String id();

    Judgement judge(Situation situation);

    /**
     * A gate's answer.
     *
     * @param cause how to step down, when that is the verdict
     * @param felt kind of block in which the pain was felt that decided; null for none
     * @param requests what the coach or client is asked for
     * @param parts every single thing that failed, where a gate looks at several
     */
    record Judgement(
            GateResult result,
            @Nullable DownCause cause,
            @Nullable BlockKind felt,
            List<Because> requests,
            List<Because> parts) {
        public Judgement {
            requests = List.copyOf(requests);
            parts = List.copyOf(parts);
        }

        static Judgement of(GateResult result) {
            return new Judgement(
                    result, null, null, List.of(), result.decided() ? List.of(result.because()) : List.of());
        }

        Judgement asking(Because... wanted) {
            return new Judgement(result, cause, felt, List.of(wanted), parts);
        }

        Judgement by(DownCause why) {
            return new Judgement(result, why, felt, requests, parts);
        }

        Judgement in(@Nullable BlockKind where) {
            return new Judgement(result, cause, where, requests, parts);
        }
    }

    /** Passed or decided against one threshold of the policy. */
    default Judgement passed(Situation s, Threshold threshold, @Nullable Double value, Reason reason) {
        var because = value == null
                ? Because.of(reason)
                : Because.of(reason, Term.of(value, s.policy().unit(threshold)));
        return Judgement.of(GateResult.passed(
                id(),
                value,
                s.value(threshold),
                s.policy().unit(threshold),
                because,
                s.policy().source(threshold)));
    }

    default Judgement decided(Situation s, Verdict verdict, Threshold threshold, double value, Because because) {
        return Judgement.of(GateResult.decided(
                id(),
                verdict,
                value,
                s.value(threshold),
                s.policy().unit(threshold),
                because,
                s.policy().source(threshold)));
    }

    default Term amount(double value, Unit unit) {
        return Term.of(value, unit);
    }
}
