package gradino.core.advance.look;

import gradino.core.advance.Proposal;
import gradino.core.because.Because;
import java.util.List;

/**
 * What two proposals for the same side rest on differently.
 *
 * @param fresh what was not there before
 * @param gone what no longer holds
 */
public record ReasonChange(List<Because> fresh, List<Because> gone) {
    public ReasonChange {
        fresh = List.copyOf(fresh);
        gone = List.copyOf(gone);
    }

    public static ReasonChange between(Proposal before, Proposal now) {
        var then = before.reasons();
        var here = now.reasons();
        return new ReasonChange(
                here.stream().filter(r -> !then.contains(r)).toList(),
                then.stream().filter(r -> !here.contains(r)).toList());
    }
}
