package gradino.core.intake;

import gradino.core.quantity.EffortPercent;
import org.jspecify.annotations.Nullable;

/**
 * What must not be done with a client, whoever asks. The strictest of each part holds.
 *
 * @param effortCap highest effort allowed; null for none
 * @param noDeepening the working angle must not rise
 * @param stopped nothing is trained until cleared in writing
 * @param reason why, in the coach's words; shown wherever the restriction bites
 */
public record Restriction(@Nullable EffortPercent effortCap, boolean noDeepening, boolean stopped, String reason) {
    public static final Restriction NONE = new Restriction(null, false, false, "");

    public boolean isNone() {
        return effortCap == null && !noDeepening && !stopped;
    }

    /** Highest effort allowed, 100 % when there is no cap. */
    public EffortPercent highestEffort() {
        return effortCap == null ? EffortPercent.of(100) : effortCap;
    }
}
