package gradino.core.advance;

import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.prescribe.method.Dose;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a proposal comes to, without what it rests on: for lists of many lines.
 *
 * @param stage harder position that the line moves to; null where it stays
 * @param requests what is asked of coach or client
 * @param suspends id of the accepted step that later facts took back; null for none
 */
public record Proposed(
        Side side,
        Verdict verdict,
        @Nullable LeverId lever,
        Because why,
        Dose to,
        @Nullable String stage,
        List<Because> requests,
        @Nullable String suspends) {
    /** The same while another line of the joint has its turn. */
    public Proposed waiting(Because reason, Dose inForce) {
        return new Proposed(side, Verdict.STAY, null, reason, inForce, null, requests, suspends);
    }
}
