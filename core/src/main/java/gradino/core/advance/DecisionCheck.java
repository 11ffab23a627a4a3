package gradino.core.advance;

import gradino.core.because.Finding;
import gradino.core.body.Sided;
import gradino.core.prescribe.ComposedCheck;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.PlanCheck;
import gradino.core.prescribe.PlanContext;
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
        var findings = new ArrayList<>(against(s, s.planWith(wanted)));
        if (goesFurther(wanted, proposal.to()) && reason.isBlank()) {
            findings.add(Finding.blocking(
                    "reason",
                    "reason-needed",
                    null,
                    "",
                    "This goes further than proposed: say why, the record keeps it."));
        }
        return List.copyOf(findings);
    }

    private static List<Finding> against(Situation s, Plan plan) {
        if (s.isComposed()) {
            return ComposedCheck.checkSide(plan, s.side(), contextOf(s), s.method());
        }
        return PlanCheck.check(plan, contextOf(s)).stream()
                .filter(f -> f.path().startsWith("doses." + s.side().word()))
                .toList();
    }

    private static PlanContext contextOf(Situation s) {
        var context = s.context();
        return new PlanContext(
                context.limits(),
                context.newcomer(),
                context.minutes(),
                context.held(),
                Sided.<Optional<UncertainAngle>>both(Optional.empty()).with(s.side(), s.passive()));
    }

    private static boolean goesFurther(Dose wanted, Dose proposed) {
        return (wanted.hasBlocks() && Change.isMore(proposed, wanted))
                || wanted.angle().compareTo(proposed.angle()) > 0
                || wanted.ceiling().compareTo(proposed.ceiling()) > 0
                || wanted.sets() > proposed.sets()
                || wanted.topHoldSeconds() > proposed.topHoldSeconds()
                || wanted.supportedHoldSeconds() > proposed.supportedHoldSeconds()
                || wanted.handsOffSeconds() * wanted.handsOffRepetitions()
                        > proposed.handsOffSeconds() * proposed.handsOffRepetitions();
    }
}
