package gradino.core.advance;

import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Verdict;
import gradino.core.prescribe.method.Dose;
import org.jspecify.annotations.Nullable;

/**
 * What a proposal comes to, without what it rests on.
 *
 * @param stage harder position that the line moves to; null where it stays
 */
public record Proposed(
        Verdict verdict,
        @Nullable LeverId lever,
        Because why,
        Dose to,
        @Nullable String stage) {
    Proposed(Verdict verdict, @Nullable LeverId lever, Because why, Dose to) {
        this(verdict, lever, why, to, null);
    }
}
