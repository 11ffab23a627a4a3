package gradino.core.advance;

import gradino.core.advance.gate.Gate;
import gradino.core.advance.gate.Situation;
import gradino.core.advance.gate.Watch;
import gradino.core.advance.lever.Ladder;
import gradino.core.advance.lever.Lever;
import gradino.core.advance.lever.Lower;
import gradino.core.advance.lever.StepDown;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Finding;
import gradino.core.because.GateResult;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.LineCheck;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.timeline.EffortClass;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Gathers one proposal; lives for one call. Lean, it leaves out what only a reader needs: levers after the step. */
final class Draft {
    /** Place of the last gate that may step down. */
    private static final int LAST_DOWN = 2;

    record Step(
            Verdict verdict,
            @Nullable LeverId lever,
            Because why,
            Dose to,
            @Nullable String stage) {}

    private final Situation s;
    private final Dose inForce;
    private final @Nullable String suspends;
    private final boolean lean;
    private final List<GateResult> gates = new ArrayList<>();
    private final List<Because> requests = new ArrayList<>();
    private final List<Proposal.Alternative> alternatives = new ArrayList<>();
    private final List<Because> unlock = new ArrayList<>();
    private Gate.@Nullable Judgement deciding;

    Draft(Situation s, Dose inForce, @Nullable String suspends, boolean lean) {
        this.lean = lean;
        this.s = s;
        this.inForce = inForce;
        this.suspends = suspends;
    }

    boolean isUndecided() {
        return deciding == null;
    }

    /** Until a gate decides; a long gap is asked for beside what is too much. */
    boolean goesOn(int gate) {
        return deciding == null || (deciding.isStepDown() && gate <= LAST_DOWN);
    }

    void judge(Gate gate) {
        var judgement = gate.judge(s);
        if (deciding == null) {
            gates.add(judgement.result());
            deciding = judgement.result().decided() ? judgement : null;
        } else if (deciding.isStepDown() && judgement.isStepDown()) {
            gates.add(judgement.result());
            deciding = deciding.and(judgement);
        } else {
            gates.add(judgement.result().notReached());
        }
    }

    Step step() {
        var decided = deciding;
        var verdict = decided == null ? Verdict.STEP_UP : decided.result().verdict();
        if (decided != null) {
            requests.addAll(decided.requests());
            unlock.addAll(decided.parts());
        }
        if (verdict != Verdict.STOP_AND_REFER && Watch.isRetestWeek(s)) {
            requests.add(Because.of(Reason.ASK_RETEST));
        }
        if (s.isEmpty() && verdict != Verdict.STOP_AND_REFER) {
            return new Step(Verdict.STAY, null, Because.of(Reason.EMPTY_SIDE), s.dose(), null);
        }
        if (decided == null) {
            return stepUp();
        }
        if (decided.isStepDown()) {
            return stepDown(decided);
        }
        return new Step(
                verdict == null ? Verdict.STAY : verdict, null, decided.result().because(), s.dose(), null);
    }

    /** Every cause that was found is answered in one step; a gap that lowers nothing asks for a measurement only. */
    private Step stepDown(Gate.Judgement decided) {
        var down = StepDown.of(decided.causes(), s);
        var lower = suspends == null
                ? down.dose()
                : Lower.of(down.dose(), inForce, s.state().plan().position());
        if (lower.equals(s.dose()) && decided.isGap()) {
            return new Step(Verdict.STAY, null, decided.result().because(), s.dose(), null);
        }
        return new Step(Verdict.STEP_DOWN, null, down.why(), lower, null);
    }

    private Step stepUp() {
        Step step = null;
        if (s.range().borrowed() && !s.dose().hasHandsOff()) {
            alternatives.add(new Proposal.Alternative(LeverId.HANDS_OFF_HOLD, true, Because.of(Reason.BORROWED_FIRST)));
        }
        var ladder = Ladder.of(s);
        for (var lever : ladder) {
            if (lean && step != null) {
                break;
            }
            var attempt = lever.attempt(s);
            var dose = attempt.dose();
            var blocked = dose == null
                    ? attempt.why()
                    : s.checkedOnce(dose, this::notAllowed).orElse(null);
            if (blocked == null && step == null && dose != null) {
                step = new Step(Verdict.STEP_UP, lever.id(), attempt.why(), dose, attempt.stage());
            } else {
                alternatives.add(new Proposal.Alternative(
                        lever.id(), blocked == null, blocked == null ? attempt.why() : blocked));
                passedOver(attempt, step == null);
            }
        }
        if (step != null) {
            return step;
        }
        var top = Because.of(ladder.isEmpty() ? Reason.MAINTAIN : Reason.AT_TOP_OF_LADDER);
        return new Step(Verdict.STAY, null, top, s.dose(), null);
    }

    private void passedOver(Lever.Attempt attempt, boolean beforeTheStep) {
        if (beforeTheStep) {
            requests.addAll(attempt.requests());
            unlock.addAll(attempt.requests());
        }
    }

    /**
     * Restrictions, method limits and the client's minutes, by the same check that a coach's own edit meets. A session
     * that is too long already does not forbid a step that does not lengthen it.
     */
    private Optional<Because> notAllowed(Dose dose) {
        var plan = s.planWith(dose);
        var facts = s.facts(Sided.both(Optional.empty()));
        return LineCheck.checkAngle(plan, s.side(), facts).stream()
                .filter(Finding::blocks)
                .findFirst()
                .or(() -> s.blocksOnce(dose.blocks(), () -> firstBlocking(plan, facts)))
                .or(() -> s.tooLong(plan))
                .map(Finding::message)
                .map(message -> Because.of(Reason.NOT_ALLOWED, Term.of(message)));
    }

    private Optional<Finding> firstBlocking(Plan plan, LineFacts facts) {
        return LineCheck.checkSide(plan, s.side(), facts, s.method()).stream()
                .filter(Finding::blocks)
                .findFirst();
    }

    Proposed proposed(Step step) {
        return new Proposed(
                s.side(), step.verdict(), step.lever(), step.why(), step.to(), step.stage(), asked(), suspends);
    }

    private List<Because> asked() {
        return requests.isEmpty() ? List.of() : requests.stream().distinct().toList();
    }

    Proposal proposal(Step step) {
        var to = step.to();
        return new Proposal(
                s.side(),
                step.verdict(),
                step.lever(),
                step.why(),
                s.limiter(),
                inForce,
                to,
                step.stage(),
                consequences(to),
                asked(),
                gates,
                deciding == null ? List.of() : deciding.parts(),
                alternatives,
                unlock.stream().distinct().toList(),
                Watch.of(s),
                Watch.methods(s),
                suspends,
                s.evidence(),
                sessionsPerWeek(to),
                s.policy().version(),
                Advance.ENGINE_VERSION);
    }

    private List<Change> consequences(Dose to) {
        var changes = new ArrayList<>(Change.between(inForce, to));
        int now = s.state().plan().sessionsPerWeek();
        if (sessionsPerWeek(to) < now) {
            changes.add(new Change("sessions a week", now, sessionsPerWeek(to), Unit.COUNT));
        }
        return List.copyOf(changes);
    }

    private int sessionsPerWeek(Dose to) {
        int now = s.state().plan().sessionsPerWeek();
        if (deciding == null && to.equals(s.dose()) && Ladder.isMaintained(s)) {
            return Math.min(now, Advance.MAINTAINED_A_WEEK);
        }
        var before = EffortClass.of(s.dose());
        var after = EffortClass.of(to);
        return after.compareTo(before) > 0 ? Math.min(now, s.method().weeklyCap(after.weeklyCap())) : now;
    }
}
