package gradino.core.advance;

import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.GateResult;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.measure.limit.Limiter;
import gradino.core.prescribe.method.Dose;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What Gradino would do with one side of a line, with every reason. The coach decides.
 *
 * @param lever raised, when the verdict is a step up
 * @param why the step in one reason
 * @param from dose in force
 * @param to dose proposed; equal to {@code from} for stay and stop
 * @param consequences every number that changes
 * @param requests what is asked of coach or client
 * @param gates in order, those after the deciding one as not reached
 * @param stage harder position that the line moves to; null where it stays
 * @param failed every single part that kept the line from stepping up
 * @param alternatives levers that were looked at and not taken
 * @param unlock what would open the next step
 * @param notes what a coach should know beside the verdict
 * @param methods ids of those to go on with, on a plateau of the whole line; empty where there is none
 * @param suspends id of the accepted step that later facts took back; null for none
 * @param evidence ids of the sessions looked at
 * @param sessionsPerWeek what the plan's frequency becomes when the step enters a harder class
 */
public record Proposal(
        Side side,
        Verdict verdict,
        @Nullable LeverId lever,
        Because why,
        Limiter limiter,
        Dose from,
        Dose to,
        @Nullable String stage,
        List<Change> consequences,
        List<Because> requests,
        List<GateResult> gates,
        List<Because> failed,
        List<Alternative> alternatives,
        List<Because> unlock,
        List<Because> notes,
        List<String> methods,
        @Nullable String suspends,
        List<String> evidence,
        int sessionsPerWeek,
        String policyVersion,
        String engineVersion) {

    /** A lever that was not taken, and why not. */
    public record Alternative(LeverId lever, boolean possible, Because why) {}

    /** Whether it may be accepted among others at once: a step up or a stay that asks for nothing and warns of nothing. */
    public boolean plain() {
        boolean quiet = suspends == null && stage == null && requests.isEmpty() && notes.isEmpty();
        return quiet
                && (verdict == Verdict.STEP_UP
                        || (verdict == Verdict.STAY && failed.stream().noneMatch(f -> WARNINGS.contains(f.reason()))));
    }

    private static final Set<Reason> WARNINGS = EnumSet.of(
            Reason.PAIN_NOT_CLEAN,
            Reason.MORNING_NOT_SETTLED,
            Reason.MORNING_AWAITED,
            Reason.FAULTS_SEEN,
            Reason.CRAMPS,
            Reason.UNPLANNED_STOP,
            Reason.AFTER_ILLNESS,
            Reason.AWAY_STAY);

    /** Everything it rests on, so that what changed since another is a difference of sets. */
    public Set<Because> reasons() {
        var all = new LinkedHashSet<Because>();
        all.add(why);
        all.addAll(failed);
        all.addAll(requests);
        all.addAll(notes);
        alternatives.stream().filter(a -> !a.possible()).forEach(a -> all.add(a.why()));
        return all;
    }

    /** The same while another line of the joint has its turn: the step is what comes then. */
    public Proposal waiting(Because why, int perWeek) {
        var later = new ArrayList<Alternative>();
        if (lever != null) {
            later.add(new Alternative(lever, true, this.why));
        }
        later.addAll(alternatives);
        return new Proposal(
                side,
                Verdict.STAY,
                null,
                why,
                limiter,
                from,
                from,
                null,
                List.of(),
                requests,
                gates,
                failed,
                later,
                List.of(why),
                notes,
                methods,
                suspends,
                evidence,
                perWeek,
                policyVersion,
                engineVersion);
    }

    public Proposed proposed() {
        return new Proposed(side, verdict, lever, why, to, stage, requests, suspends);
    }

    public boolean changesDose() {
        return !from.equals(to);
    }
}
