package gradino.core.advance;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.Mode;
import gradino.core.measure.NoiseRules;
import gradino.core.measure.PropGrid;
import gradino.core.measure.RangeState;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.Plan;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * All that is known of a line, folded from its events. An instance never changes.
 *
 * @param plan what both sides share; its doses are the first ones
 * @param grid the angles the props can give
 * @param sessions in the order of time
 * @param stops stop signs that are not cleared yet
 */
public record LineState(
        Plan plan,
        PropGrid grid,
        ClientFacts client,
        Sided<SideState> sides,
        List<SessionFacts> sessions,
        List<StopFact> stops) {

    /** A stop sign in force for this line. */
    record StopFact(
            String sessionId, StopSign sign, @Nullable Side side, Instant at) {
        /** Whether it suspends this side: systemic and joint-wide signs reach both. */
        boolean reaches(Side other) {
            return sign.scope() != StopSign.Scope.JOINT_SIDE || side == null || side == other;
        }
    }

    public LineState {
        sessions = List.copyOf(sessions);
        stops = List.copyOf(stops);
    }

    public static LineState open(Plan plan, PropGrid grid, ClientFacts client) {
        return new LineState(plan, grid, client, plan.doses().map((s, d) -> SideState.first(d)), List.of(), List.of());
    }

    /** Folds events, whatever order they come in: by the time they happened, then by the time they were recorded. */
    public static LineState fold(LineState start, List<Event> events, NoiseRules noise) {
        var ordered = new ArrayList<>(events);
        ordered.sort(Comparator.comparing(Event::happenedAt).thenComparing(Event::recordedAt));
        var state = start;
        for (var event : ordered) {
            state = state.step(event, noise);
        }
        return state;
    }

    /**
     * The state after one more event.
     *
     * @throws IllegalArgumentException for a reading before the last one of its series
     */
    public LineState step(Event event, NoiseRules noise) {
        if (event instanceof Event.MeasuredCold measured) {
            return with(measured.side(), measured(measured, noise));
        } else if (event instanceof Event.SessionHeld held) {
            return held(held);
        } else if (event instanceof Event.MorningAnswered answered) {
            return answered(answered);
        } else if (event instanceof Event.DoseDecided decided) {
            return with(decided.side(), side(decided.side()).decided(decided));
        } else if (event instanceof Event.StopSignElsewhere stop) {
            return stopped(new StopFact(stop.sessionId(), stop.sign(), stop.side(), stop.happenedAt()));
        } else {
            return new LineState(plan, grid, client, sides, sessions, List.of());
        }
    }

    public SideState side(Side side) {
        return sides.on(side);
    }

    public LineState with(Side side, SideState state) {
        return new LineState(plan, grid, client, sides.with(side, state), sessions, stops);
    }

    public LineState with(ClientFacts facts) {
        return new LineState(plan, grid, facts, sides, sessions, stops);
    }

    public int sessionCount() {
        return sessions.size();
    }

    /** The plan with the doses in force. */
    public Plan currentPlan() {
        return plan.withDoses(sides.map((s, state) -> state.dose()));
    }

    /** The state just before a decision on one side, with what has become known of earlier sessions since. */
    LineState before(Event.DoseDecided decision) {
        var earlier = sessions.stream()
                .filter(s -> !s.endedAt().isAfter(decision.happenedAt()))
                .toList();
        var then = sides.with(decision.side(), side(decision.side()).before(decision));
        return new LineState(plan, grid, client, then, earlier, stops);
    }

    private SideState measured(Event.MeasuredCold measured, NoiseRules noise) {
        var state = side(measured.side());
        var reading = measured.reading();
        var before = measured.mode() == Mode.PASSIVE ? state.passive() : state.active();
        var range = before == null ? RangeState.first(reading, noise) : before.next(reading, noise);
        if (measured.mode() != Mode.PASSIVE) {
            return state.withActive(range);
        }
        var feel = measured.endFeel();
        return feel == null
                ? state.withPassive(range)
                : state.withPassive(range).withEndFeel(feel);
    }

    private LineState held(Event.SessionHeld held) {
        var all = new ArrayList<>(sessions);
        all.add(SessionFacts.of(held.session(), held.recordedAt()));
        var sign = held.session().stopSign();
        var next = new LineState(plan, grid, client, sides, all, stops);
        return sign == null
                ? next
                : next.stopped(
                        new StopFact(held.session().id(), sign, held.session().stopSide(), held.happenedAt()));
    }

    private LineState answered(Event.MorningAnswered answered) {
        var morning = new SessionFacts.Morning(answered.settled(), answered.soreness(), answered.recordedAt());
        var all = new ArrayList<>(sessions);
        all.replaceAll(s -> s.id().equals(answered.sessionId()) ? s.with(morning) : s);
        return new LineState(plan, grid, client, sides, all, stops);
    }

    private LineState stopped(StopFact stop) {
        var all = new ArrayList<>(stops);
        all.add(stop);
        return new LineState(plan, grid, client, sides, sessions, all);
    }
}
