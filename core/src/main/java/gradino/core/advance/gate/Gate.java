package gradino.core.advance.gate;

import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.GateResult;
import gradino.core.because.Reason;
import gradino.core.because.Source;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.intake.Restriction;
import gradino.core.prescribe.block.BlockKind;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** One question before any step. The first gate that decides, decides. */
public interface Gate {
    String id();

    Judgement judge(Situation situation);

    /**
     * What a number is held against, in its own unit and from its own source.
     *
     * @param value null where there is no number to it
     */
    record Limit(@Nullable Double value, Unit unit, Source source) {
        static Limit of(Situation s, Threshold threshold) {
            var entry = s.policy().entry(threshold);
            return new Limit(entry.value(), entry.unit(), entry.source());
        }

        static Limit of(Restriction restriction) {
            return new Limit(restriction.bound(), restriction.kind().unit(), restriction.source());
        }

        static Limit none(Unit unit, String source) {
            return new Limit(null, unit, Source.parse(source));
        }
    }

    /**
     * What a step down answers to.
     *
     * @param felt kind of block in which the pain was felt; null for none
     */
    record Cause(DownCause down, @Nullable BlockKind felt) {}

    /**
     * A gate's answer.
     *
     * @param causes of a step down, when that is the verdict; all that were found are answered in one step
     * @param requests what the coach or client is asked for
     * @param parts every single thing that failed, where a gate looks at several
     */
    record Judgement(GateResult result, List<Cause> causes, List<Because> requests, List<Because> parts) {
        public Judgement {
            causes = List.copyOf(causes);
            requests = List.copyOf(requests);
            parts = List.copyOf(parts);
        }

        static Judgement of(GateResult result) {
            return new Judgement(
                    result, List.of(), List.of(), result.decided() ? List.of(result.because()) : List.of());
        }

        Judgement asking(Because... wanted) {
            return new Judgement(result, causes, List.of(wanted), parts);
        }

        Judgement by(DownCause why) {
            return by(why, null);
        }

        Judgement by(DownCause why, @Nullable BlockKind felt) {
            return new Judgement(result, List.of(new Cause(why, felt)), requests, parts);
        }

        /** This one decides and is shown; what others found goes with it. */
        static Judgement all(List<Judgement> found) {
            return new Judgement(
                    found.get(0).result(),
                    found.stream().flatMap(j -> j.causes().stream()).distinct().toList(),
                    found.stream()
                            .flatMap(j -> j.requests().stream())
                            .distinct()
                            .toList(),
                    found.stream().flatMap(j -> j.parts().stream()).distinct().toList());
        }

        /** One step for what two gates found. */
        public Judgement and(Judgement other) {
            return all(List.of(this, other));
        }

        /** Whether nothing but a long gap asks for it. */
        public boolean isGap() {
            return !causes.isEmpty() && causes.stream().allMatch(c -> c.down().isGap());
        }

        public boolean isStepDown() {
            return result.verdict() == Verdict.STEP_DOWN;
        }
    }

    /** Passed against one threshold of the policy. */
    default Judgement passed(Situation s, Threshold threshold, @Nullable Double value, Reason reason) {
        var limit = Limit.of(s, threshold);
        var because = value == null ? Because.of(reason) : Because.of(reason, Term.of(value, limit.unit()));
        return Judgement.of(GateResult.passed(id(), value, limit.value(), limit.unit(), because, limit.source()));
    }

    default Judgement decided(Verdict verdict, double value, Limit limit, Because because) {
        return Judgement.of(
                GateResult.decided(id(), verdict, value, limit.value(), limit.unit(), because, limit.source()));
    }

    static Term amount(double value, Unit unit) {
        return Term.of(value, unit);
    }
}
