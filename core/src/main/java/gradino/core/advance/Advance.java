package gradino.core.advance;

import gradino.core.advance.Turns.Rival;
import gradino.core.advance.gate.Checked;
import gradino.core.advance.gate.Gate;
import gradino.core.advance.gate.LongGapGate;
import gradino.core.advance.gate.QualifiedGate;
import gradino.core.advance.gate.Situation;
import gradino.core.advance.gate.StopSignGate;
import gradino.core.advance.gate.TooMuchGate;
import gradino.core.advance.gate.UnknownsGate;
import gradino.core.advance.gate.Watch;
import gradino.core.advance.lever.Ladder;
import gradino.core.advance.lever.Lever;
import gradino.core.advance.lever.Lower;
import gradino.core.advance.lever.Mastered;
import gradino.core.advance.lever.StepDown;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Because;
import gradino.core.because.Finding;
import gradino.core.because.GateResult;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.LineCheck;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.timeline.EffortClass;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.IntConsumer;
import org.jspecify.annotations.Nullable;

/**
 * The engine: {@code propose} judges a folded state at a moment. Deterministic, without a clock of its own.
 *
 * <p>Gates give the verdict; for a step up the ladder is walked and the first lever that passes its evidence, the
 * restrictions, the method's limits and the client's minutes is the step.
 */
public final class Advance {
    /** Changes whenever the same state and policy could give another proposal. */
    public static final String ENGINE_VERSION = "9";

    private static final List<Gate> GATES =
            List.of(new StopSignGate(), new TooMuchGate(), new LongGapGate(), new UnknownsGate(), new QualifiedGate());

    private static final int MAINTAINED_A_WEEK = 1;

    /** Place of the last gate that may step down. */
    private static final int LAST_DOWN = 2;

    private Advance() {}

    /**
     * As {@link #propose}, only what it comes to.
     *
     * @param firstGate those before it are known to decide nothing
     * @param judged hears of each gate as it is judged, up to the one that decides
     */
    public static Proposed step(Situation now, int firstGate, IntConsumer judged) {
        return suspension(now).map(Proposal::proposed).orElseGet(() -> {
            var draft = new Draft(now, now.dose(), null, true);
            for (int i = firstGate; i < GATES.size() && draft.goesOn(i); i++) {
                boolean first = draft.deciding == null;
                draft.judge(GATES.get(i));
                if (first) {
                    judged.accept(i);
                }
            }
            return draft.proposed(draft.step());
        });
    }

    /** As {@link #step}, by all gates: for going through many lines. */
    public static Proposed step(LineState state, Side side, Policy policy, Moment moment, Checked checked) {
        return step(new Situation(state, side, policy, moment, checked), 0, gate -> {});
    }

    public static Proposal propose(LineState state, Side side, Policy policy, Moment moment) {
        return propose(state, side, policy, moment, new Checked());
    }

    /** @param checked what was found of this state's doses before */
    public static Proposal propose(LineState state, Side side, Policy policy, Moment moment, Checked checked) {
        var now = new Situation(state, side, policy, moment, checked);
        return suspension(now).orElseGet(() -> judged(now, now.dose(), null));
    }

    /**
     * The dose to train with: the one in force, unless later facts suspended the step that brought it; then of the doses before
     * and after it the lower, number by number.
     */
    public static Dose effectiveDose(LineState state, Side side, Policy policy, Moment moment) {
        var inForce = state.side(side).dose();
        return suspension(new Situation(state, side, policy, moment)).isPresent()
                ? Lower.of(
                        state.side(side).lastChange().orElseThrow().before(),
                        inForce,
                        state.plan().position())
                : inForce;
    }

    /**
     * The dose to train with where no coach leads: a step down that waits for the coach counts already, number by number.
     *
     * @param proposed what is proposed now
     */
    public static Dose unledDose(LineState state, Proposed proposed, Dose led) {
        boolean lower = proposed.verdict() == Verdict.STEP_DOWN && waits(state, proposed);
        return lower ? Lower.of(proposed.to(), led, state.plan().position()) : led;
    }

    /**
     * What is left of a step up while another line of the joint has its turn.
     *
     * @param line id
     * @param rivals other lines of the client
     */
    public static Proposal inTurn(
            String line, LineState state, Proposal proposal, Collection<Rival> rivals, Moment moment) {
        return turn(line, state, proposal.proposed(), rivals, moment)
                .map(why -> proposal.waiting(why, state.plan().sessionsPerWeek()))
                .orElse(proposal);
    }

    /** The same of what it comes to. */
    public static Proposed inTurn(
            String line, LineState state, Proposed proposed, Collection<Rival> rivals, Moment moment) {
        return turn(line, state, proposed, rivals, moment)
                .map(why -> proposed.waiting(why, state.side(proposed.side()).dose()))
                .orElse(proposed);
    }

    private static Optional<Because> turn(
            String line, LineState state, Proposed proposed, Collection<Rival> rivals, Moment moment) {
        return rivals.isEmpty() || proposed.verdict() != Verdict.STEP_UP
                ? Optional.empty()
                : Turns.waitsFor(Rival.of(line, state, proposed), rivals, moment);
    }

    /** Whether a proposal waits for the coach: it asks for something, be it fewer days, that was not declined on the same facts. */
    public static boolean waits(LineState state, Proposed proposal) {
        boolean fewer =
                proposal.why().reason() == Reason.MAINTAIN && state.plan().sessionsPerWeek() > MAINTAINED_A_WEEK;
        if (proposal.verdict() == Verdict.STAY && (!fewer || proposal.suspends() != null)) {
            return proposal.suspends() != null;
        }
        var me = state.side(proposal.side());
        return me.lastDecision()
                .filter(d -> d.answer() == Event.Answer.DECLINED && d.proposed() == proposal.verdict())
                .map(d -> state.sessions().stream().anyMatch(s -> s.lastHeard().isAfter(d.recordedAt()))
                        || (me.passive() != null && me.passive().at().isAfter(d.happenedAt())))
                .orElse(true);
    }

    /**
     * Whether a coach has to look at this: it waits, or it says stay with something to know beside it, to sessions that nobody has
     * decided on yet. A plain stay asks for nothing.
     */
    public static boolean isNew(LineState state, Proposal proposal) {
        if (proposal.verdict() != Verdict.STAY || waits(state, proposal.proposed())) {
            return waits(state, proposal.proposed());
        } else if (proposal.plain()) {
            return false;
        }
        return state.side(proposal.side())
                .lastDecision()
                .map(d -> state.sessions().stream().anyMatch(s -> s.lastHeard().isAfter(d.recordedAt())))
                .orElse(!state.sessions().isEmpty());
    }

    /**
     * Whether a session is due: there was none yet, or the last one is as far back as sessions of the plan are apart.
     *
     * @param last end of the last session; null for none
     */
    public static boolean isDue(Plan plan, @Nullable Instant last, Moment moment) {
        return last == null || moment.daysSince(last) >= plan.plannedIntervalDays();
    }

    /** The plan as it would be with what was proposed accepted. */
    public static Plan planAfter(LineState state, List<Proposed> proposals) {
        var after = state.currentPlan();
        for (var proposal : proposals) {
            after = after.withDose(proposal.side(), proposal.to());
        }
        return after;
    }

    /** What a coach's own change of a line is held against at a moment. */
    public static LineFacts facts(LineState state, Policy policy, Moment moment) {
        var passive = Sided.of(side -> Optional.ofNullable(state.side(side).passive())
                .map(r -> r.predict(moment.instant(), policy.noise()).estimate()));
        var trained = state.plan().trained().stream()
                .map(side -> new Situation(state, side, policy, moment))
                .toList();
        boolean newcomer = trained.stream().anyMatch(s -> s.attendance().newcomer());
        return state.facts(
                passive,
                newcomer,
                !trained.isEmpty() && trained.stream().allMatch(Mastered::unloaded),
                !trained.isEmpty() && trained.stream().allMatch(Mastered::liftOffs));
    }

    /**
     * Facts about sessions before a step up, accepted or a coach's own, that were recorded after it: judged again, as of then. A
     * result more cautious than what was proposed suspends the step.
     */
    private static Optional<Proposal> suspension(Situation now) {
        return now.me()
                .lastChange()
                .filter(d -> d.equals(now.me().lastDecision().orElseThrow())
                        && heardLate(now, d)
                        && Change.isMore(d.before(), d.after()))
                .flatMap(d -> Optional.of(judged(asOf(now, d), now.dose(), d.id()))
                        .filter(p -> p.verdict().isMoreCautiousThan(d.proposed())));
    }

    private static boolean heardLate(Situation now, Event.DoseDecided decision) {
        return now.state().sessions().stream()
                .anyMatch(s -> !s.endedAt().isAfter(decision.happenedAt())
                        && s.lastHeard().isAfter(decision.recordedAt()));
    }

    private static Situation asOf(Situation now, Event.DoseDecided decision) {
        return new Situation(
                now.state().before(decision),
                now.side(),
                now.policy(),
                now.moment().at(decision.happenedAt()));
    }

    private static Proposal judged(Situation s, Dose inForce, @Nullable String suspends) {
        var draft = new Draft(s, inForce, suspends, false);
        GATES.forEach(draft::judge);
        return draft.proposal(draft.step());
    }

    private record Step(
            Verdict verdict,
            @Nullable LeverId lever,
            Because why,
            Dose to,
            @Nullable String stage) {}

    /** Gathers one proposal; lives for one call. Lean, it leaves out what only a reader needs: levers after the step. */
    private static final class Draft {
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
                    verdict == null ? Verdict.STAY : verdict,
                    null,
                    decided.result().because(),
                    s.dose(),
                    null);
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
                alternatives.add(
                        new Proposal.Alternative(LeverId.HANDS_OFF_HOLD, true, Because.of(Reason.BORROWED_FIRST)));
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
                    ENGINE_VERSION);
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
                return Math.min(now, MAINTAINED_A_WEEK);
            }
            var before = EffortClass.of(s.dose());
            var after = EffortClass.of(to);
            return after.compareTo(before) > 0 ? Math.min(now, s.method().weeklyCap(after.weeklyCap())) : now;
        }
    }
}
