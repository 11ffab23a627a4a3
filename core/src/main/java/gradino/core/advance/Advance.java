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
import gradino.core.advance.lever.Lower;
import gradino.core.advance.lever.Mastered;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import java.time.Instant;
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

    static final int MAINTAINED_A_WEEK = 1;

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
                boolean first = draft.isUndecided();
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
}
