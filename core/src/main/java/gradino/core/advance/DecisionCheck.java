package gradino.core.advance;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Finding;
import gradino.core.because.Verdict;
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
     * Restrictions, range, method limits and the minutes of that moment, whatever the answer. A step down is not refused for what
     * stands against the dose in force as well.
     *
     * @param wanted the dose that would be in force
     * @param reason why; needed when it goes further than proposed
     */
    public static List<Finding> check(
            LineState state, Proposal proposal, Dose wanted, String reason, Policy policy, Moment moment) {
        var s = new Situation(state, proposal.side(), policy, moment);
        var findings = new ArrayList<>(standing(s, wanted));
        if (proposal.verdict() == Verdict.STEP_DOWN && !Change.isMore(proposal.from(), wanted)) {
            var before =
                    standing(s, proposal.from()).stream().map(Finding::code).toList();
            findings.removeIf(f -> before.contains(f.code()));
        }
        if (Change.isMore(proposal.to(), wanted) && reason.isBlank()) {
            findings.add(Finding.blocking(
                    "reason",
                    "reason-needed",
                    null,
                    "",
                    "This goes further than proposed: say why, it goes on record."));
        }
        return List.copyOf(findings);
    }

    private static List<Finding> standing(Situation s, Dose wanted) {
        var plan = s.planWith(wanted);
        var passive = Sided.both(Optional.<UncertainAngle>empty()).with(s.side(), s.passive());
        var findings = new ArrayList<>(LineCheck.checkSide(plan, s.side(), s.facts(passive), s.method()));
        s.tooLong(plan).ifPresent(findings::add);
        return findings;
    }
}
