package gradino.core.advance.look;

import gradino.core.advance.Change;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.SessionFacts;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.prescribe.method.Dose;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The rungs that one side of a line has stood on, and how each decision turned out. */
public final class Flight {
    private Flight() {}

    /** How a rung turned out, by what was logged on it. */
    public enum Turned {
        /** Fewer sessions than a step needs, so far. */
        TOO_EARLY,
        /** Trained on without pain above a clean session's. */
        HELD,
        /** Pain above a clean session's, or a morning that had not settled. */
        HURT,
        /** The next change took it back. */
        TAKEN_BACK
    }

    /**
     * One rung: a dose and what was logged on it.
     *
     * @param decisionId null for the first dose
     * @param answer null for the first dose
     * @param level rungs above the first; below it negative
     * @param override the coach went another way than proposed
     * @param worstPain 0 to 10
     */
    public record Rung(
            @Nullable String decisionId,
            Instant at,
            Event.@Nullable Answer answer,
            @Nullable Verdict proposed,
            @Nullable LeverId lever,
            Dose before,
            Dose after,
            int level,
            boolean override,
            int sessions,
            int worstPain,
            Turned turned) {}

    /** From the first dose to the one in force; declined proposals stand among them and change no dose. */
    public static List<Rung> of(LineState state, Side side, Policy policy) {
        var me = state.side(side);
        var rungs = new ArrayList<Rung>();
        var first = state.sessions().isEmpty()
                ? Instant.EPOCH
                : state.sessions().get(0).endedAt();
        var facts = new Facts(state, side, policy);
        var decisions = me.decisions();
        rungs.add(facts.rung(null, Instant.MIN, first, me.base(), me.base(), 0, next(decisions, -1)));
        int level = 0;
        for (int i = 0; i < decisions.size(); i++) {
            var decision = decisions.get(i);
            if (isSeenOnly(decision)) {
                continue;
            }
            level += rise(decision);
            rungs.add(facts.rung(
                    decision,
                    decision.happenedAt(),
                    decision.happenedAt(),
                    decision.before(),
                    decision.after(),
                    level,
                    next(decisions, i)));
        }
        return List.copyOf(rungs);
    }

    /** A stay that was accepted is no rung. */
    private static boolean isSeenOnly(Event.DoseDecided decision) {
        return decision.proposed() == Verdict.STAY && decision.before().equals(decision.after());
    }

    private static int rise(Event.DoseDecided d) {
        if (d.before().equals(d.after())) {
            return 0;
        }
        boolean asProposed = d.answer() == Event.Answer.ACCEPTED;
        boolean up = asProposed ? d.proposed() == Verdict.STEP_UP : Change.isMore(d.before(), d.after());
        return up ? 1 : -1;
    }

    private static Event.@Nullable DoseDecided next(List<Event.DoseDecided> decisions, int after) {
        for (int i = after + 1; i < decisions.size(); i++) {
            if (!decisions.get(i).before().equals(decisions.get(i).after())) {
                return decisions.get(i);
            }
        }
        return null;
    }

    /** What was logged between two decisions. */
    private record Facts(LineState state, Side side, Policy policy) {
        Rung rung(
                Event.@Nullable DoseDecided decision,
                Instant since,
                Instant at,
                Dose before,
                Dose after,
                int level,
                Event.@Nullable DoseDecided next) {
            var until = next == null ? Instant.MAX : next.happenedAt();
            var on = state.sessions().stream()
                    .filter(s -> s.endedAt().isAfter(since) && !s.endedAt().isAfter(until))
                    .toList();
            int pain = on.stream()
                    .mapToInt(s -> s.on(side).worstPain().value())
                    .max()
                    .orElse(0);
            return new Rung(
                    decision == null ? null : decision.id(),
                    at,
                    decision == null ? null : decision.answer(),
                    decision == null ? null : decision.proposed(),
                    decision == null ? null : decision.lever(),
                    before,
                    after,
                    level,
                    decision != null && decision.answer() != Event.Answer.ACCEPTED,
                    on.size(),
                    pain,
                    turned(on, pain, next));
        }

        private Turned turned(List<SessionFacts> on, int pain, Event.@Nullable DoseDecided next) {
            if (next != null && rise(next) < 0) {
                return Turned.TAKEN_BACK;
            }
            boolean unsettled = on.stream()
                    .anyMatch(s -> s.morning() != null && !s.morning().settled());
            if (pain > policy.value(Threshold.PAIN_CLEAN) || unsettled) {
                return Turned.HURT;
            }
            return on.size() < policy.whole(Threshold.SESSIONS_NEEDED) ? Turned.TOO_EARLY : Turned.HELD;
        }
    }
}
