package gradino.core.advance;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Finding;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.LineCheck;
import gradino.core.quantity.UncertainAngle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Holds a coach's own answer to a proposal against the same rules as any other change. */
public final class DecisionCheck {
    private DecisionCheck() {}

    /**
     * @param wanted the dose the coach wants instead
     * @param reason why; needed when it goes further than proposed
     */
    public static List<Finding> check(
            LineState state, Proposal proposal, Dose wanted, String reason, Policy policy, Moment moment) {
        var s = new Situation(state, proposal.side(), policy, moment);
        var findings = new ArrayList<>(LineCheck.checkSide(
                s.planWith(wanted),
                s.side(),
                s.facts(Sided.both(Optional.<UncertainAngle>empty()).with(s.side(), s.passive())),
                s.method()));
        if (Change.isMore(proposal.to(), wanted) && reason.isBlank()) {
            findings.add(Finding.blocking(
                    "reason",
                    "reason-needed",
                    null,
                    "",
                    "This goes further than proposed: say why, the record keeps it."));
        }
        return List.copyOf(findings);
    }
}
