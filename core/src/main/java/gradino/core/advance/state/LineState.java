package gradino.core.advance.state;

import gradino.core.advance.state.Signs.StopFact;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.reading.PropGrid;
import gradino.core.measure.reading.RangeState;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.quantity.UncertainAngle;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * All that is known of a line, folded from its events. An instance never changes.
 *
 * @param plan what both sides share; its doses are the first ones
 * @param grid the angles the props can give
 * @param sessions in the order of time
 * @param signs stop signs, what cleared them, and answers whose session is not known yet
 * @param pauses in the order in which they began
 * @param methodSince when the line's method was last changed; what came before is no evidence for its rungs
 * @param later facts that lie after the moment of the fold, which are not counted
 * @param own the studio's method that the line follows; null where it is one that ships
 */
public record LineState(
        Plan plan,
        PropGrid grid,
        ClientFacts client,
        Sided<SideState> sides,
        List<SessionFacts> sessions,
        Signs signs,
        List<Event.Paused> pauses,
        Instant methodSince,
        int later,
        @Nullable Method own) {

    public LineState {
        sessions = List.copyOf(sessions);
        pauses = List.copyOf(pauses);
    }

    public static LineState open(Plan plan, PropGrid grid, ClientFacts client) {
        return open(plan, grid, client, null);
    }

    public static LineState open(Plan plan, PropGrid grid, ClientFacts client, @Nullable Method own) {
        return new LineState(
                plan,
                grid,
                client,
                plan.doses().map((s, d) -> SideState.first(d)),
                List.of(),
                Signs.NONE,
                List.of(),
                Instant.MIN,
                0,
                own);
    }

    /**
     * As below, without what happened after a moment: a clock was wrong, or a file is. It is counted, so that it can be said.
     */
    public static LineState fold(LineState start, List<Event> events, NoiseRules noise, Instant upTo) {
        var known = upTo(events, upTo);
        return fold(start, known, noise).withLater(events.size() - known.size());
    }

    /** Without what lies ahead, but for a pause, which may well be known beforehand. */
    public static List<Event> upTo(List<Event> events, Instant moment) {
        return events.stream()
                .filter(e -> e instanceof Event.Paused || !e.happenedAt().isAfter(moment))
                .toList();
    }

    /** By the time they happened, then by the time they were recorded. */
    public static List<Event> inOrder(List<Event> events) {
        var ordered = new ArrayList<>(events);
        ordered.sort(Comparator.comparing(Event::happenedAt).thenComparing(Event::recordedAt));
        return ordered;
    }

    private LineState withLater(int count) {
        return new LineState(plan, grid, client, sides, sessions, signs, pauses, methodSince, count, own);
    }

    /** Folds events, whatever order they come in. */
    public static LineState fold(LineState start, List<Event> events, NoiseRules noise) {
        var state = start;
        for (var event : inOrder(events)) {
            state = state.step(event, noise);
        }
        return state;
    }

    /** A line now, and as it was known at an earlier moment. */
    public record NowAndThen(LineState now, LineState then) {}

    /** Both of {@link #fold} at two moments; what has come to be known since is mostly the end of it, and folded once. */
    public static NowAndThen fold(LineState start, List<Event> events, NoiseRules noise, Instant now, Instant then) {
        var known = events.stream().filter(e -> !e.recordedAt().isAfter(then)).toList();
        var before = inOrder(upTo(known, then));
        var all = inOrder(upTo(events, now));
        var earlier = fold(start, before, noise);
        int n = before.size();
        var isBeginning = n <= all.size() && before.equals(all.subList(0, n));
        var newest = isBeginning ? fold(earlier, all.subList(n, all.size()), noise) : fold(start, all, noise);
        return new NowAndThen(newest.withLater(events.size() - all.size()), earlier.withLater(known.size() - n));
    }

    /**
     * The state after one more event.
     *
     * @throws IllegalArgumentException for a reading before the last one of its series
     */
    public LineState step(Event event, NoiseRules noise) {
        if (event instanceof Event.MeasuredCold measured) {
            return with(measured.side(), measured(measured, noise));
        } else if (event instanceof Event.ControlGraded graded) {
            return with(graded.side(), side(graded.side()).withControlGrade(graded.grade()));
        } else if (event instanceof Event.RangeBorrowed borrowed) {
            return with(borrowed.side(), side(borrowed.side()).withBorrowed());
        } else if (event instanceof Event.SessionHeld held) {
            return held(held);
        } else if (event instanceof Event.MorningAnswered answered) {
            return answered(answered);
        } else if (event instanceof Event.DoseDecided decided) {
            return decided(decided);
        } else if (event instanceof Event.StopSignElsewhere stop) {
            return with(signs.with(new StopFact(stop.sessionId(), stop.sign(), stop.side(), stop.recordedAt())));
        } else if (event instanceof Event.MethodChanged changed) {
            return new LineState(plan, grid, client, sides, sessions, signs, pauses, changed.happenedAt(), later, own);
        } else if (event instanceof Event.Paused paused) {
            var all = new ArrayList<>(pauses);
            all.add(paused);
            return new LineState(plan, grid, client, sides, sessions, signs, all, methodSince, later, own);
        } else if (event instanceof Event.Cleared cleared) {
            return with(signs.cleared(cleared));
        } else {
            throw new IllegalArgumentException("nothing is known of " + event);
        }
    }

    private LineState with(Signs to) {
        return new LineState(plan, grid, client, sides, sessions, to, pauses, methodSince, later, own);
    }

    public SideState side(Side side) {
        return sides.on(side);
    }

    public LineState with(Side side, SideState state) {
        return new LineState(
                plan, grid, client, sides.with(side, state), sessions, signs, pauses, methodSince, later, own);
    }

    public LineState with(ClientFacts facts) {
        return new LineState(plan, grid, facts, sides, sessions, signs, pauses, methodSince, later, own);
    }

    public LineState withSessionsPerWeek(int perWeek) {
        return new LineState(
                plan.withSessionsPerWeek(perWeek),
                grid,
                client,
                sides,
                sessions,
                signs,
                pauses,
                methodSince,
                later,
                own);
    }

    public Method method() {
        return own != null ? own : Method.byId(plan.method()).orElseThrow();
    }

    public int sessionCount() {
        return sessions.size();
    }

    /** End of the newest session; empty before the first. */
    public Optional<Instant> lastSessionAt() {
        return sessions.isEmpty()
                ? Optional.empty()
                : Optional.of(sessions.get(sessions.size() - 1).endedAt());
    }

    /** Worst pain, 0 to 10, of the sessions of the last days on any side; empty when none was reported. */
    public Optional<Integer> worstPain(int days, Moment moment) {
        return sessions.stream()
                .filter(s -> moment.daysSince(s.endedAt()) <= days)
                .flatMap(s -> Side.PAIR.stream().map(side -> s.on(side)))
                .filter(f -> f.worstKind() != null)
                .map(f -> f.worstPain().value())
                .max(Integer::compare);
    }

    /**
     * What a change of the line is held against.
     *
     * @param passive cold estimates of that moment; empty where the angle is judged elsewhere
     * @param unloadedMastered the record has the unloaded version at top repetitions, twice
     * @param liftOffsMastered the record has clean lift-offs, twice
     */
    public LineFacts facts(
            Sided<Optional<UncertainAngle>> passive,
            boolean newcomer,
            boolean unloadedMastered,
            boolean liftOffsMastered) {
        return new LineFacts(
                client.limits(),
                newcomer,
                sides.map((s, side) -> Optional.of(side.dose().angle())),
                passive,
                unloadedMastered,
                liftOffsMastered);
    }

    /** The plan with the doses in force. */
    public Plan currentPlan() {
        return plan.withDoses(sides.map((s, state) -> state.dose()));
    }

    /** The state just before a decision on one side, with what has become known of earlier sessions since. */
    public LineState before(Event.DoseDecided decision) {
        var earlier = sessions.stream()
                .filter(s -> !s.endedAt().isAfter(decision.happenedAt()))
                .toList();
        var then = sides.with(decision.side(), side(decision.side()).before(decision));
        return new LineState(plan, grid, client, then, earlier, signs, pauses, methodSince, later, own);
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

    /** Where both sides work at one dose, a step of it is one of both. */
    private LineState decided(Event.DoseDecided decided) {
        var next = with(decided.side(), side(decided.side()).decided(decided));
        boolean moved = !decided.before().equals(decided.after());
        return moved && plan.sides() == SideOrder.TOGETHER
                ? next.with(Side.RIGHT, next.side(Side.RIGHT).fixedHere())
                : next;
    }

    private LineState held(Event.SessionHeld held) {
        int n = sessions.size();
        // Copied once and no more: a fold goes through thousands of them.
        var all = sessions.toArray(new SessionFacts[n + 1]);
        all[n] = SessionFacts.of(held.session(), held.recordedAt(), n == 0 ? null : all[n - 1], sides);
        var sign = held.session().stopSign();
        var next = new LineState(plan, grid, client, sides, List.of(all), signs, pauses, methodSince, later, own);
        return sign == null
                ? next
                : next.with(signs.with(
                        new StopFact(held.session().id(), sign, held.session().stopSide(), held.recordedAt())));
    }

    /** The first answer to a question holds, until it is corrected; what comes too early is no morning's. */
    private LineState answered(Event.MorningAnswered answered) {
        // The newest is asked about most often: look from the end.
        for (int i = sessions.size() - 1; i >= 0; i--) {
            if (sessions.get(i).id().equals(answered.sessionId())) {
                return answered(i, answered);
            }
        }
        return this;
    }

    private LineState answered(int place, Event.MorningAnswered answered) {
        var session = sessions.get(place);
        var question = answered.question();
        boolean before = session.hasAnswered(question);
        if (!question.holds(session.endedAt(), answered.happenedAt(), before, answered.correction())) {
            return this;
        }
        var all = sessions.toArray(new SessionFacts[0]);
        all[place] = session.with(answered);
        var told = question == MorningQuestion.AFTER_48_HOURS ? settled(session, answered) : signs;
        return new LineState(plan, grid, client, sides, List.of(all), told, pauses, methodSince, later, own);
    }

    /** Pain that has not settled after two days is a stop sign, and none once that is corrected. */
    private Signs settled(SessionFacts session, Event.MorningAnswered answered) {
        var sign = StopSign.PAIN_AFTER_48_HOURS;
        var before = signs.without(session.id(), sign);
        return answered.settled()
                ? before
                : before.with(new StopFact(session.id(), sign, session.painfulSide(), answered.recordedAt()));
    }
}
