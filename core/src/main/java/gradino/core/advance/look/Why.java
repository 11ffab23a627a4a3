package gradino.core.advance.look;

import gradino.core.advance.Advance;
import gradino.core.advance.Change;
import gradino.core.advance.Proposal;
import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.because.Because;
import gradino.core.because.GateResult;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.quantity.UncertainAngle;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

/** The fold of a line, fact by fact: what each changed, how every gate judged then, and what would have been proposed. */
public final class Why {
    private final LineState start;
    private final Policy policy;
    private final Moment now;
    private final BiFunction<LineState, Proposal, Proposal> atLast;

    private Why(LineState start, Policy policy, Moment now, BiFunction<LineState, Proposal, Proposal> atLast) {
        this.atLast = atLast;
        this.start = start;
        this.policy = policy;
        this.now = now;
    }

    /**
     * One fact.
     *
     * @param recorded when it became known; long after it happened, it judges again what was decided meanwhile
     * @param what in words
     */
    public record Fact(Instant at, Instant recorded, String what, List<WhyJudged> sides) {}

    /**
     * A side as it stood after a fact.
     *
     * @param changed by the fact, in words
     * @param evidence sessions that count at this rung
     * @param changes every number that the proposal changes
     * @param alternatives levers that were looked at and not taken, with why not
     */
    public record WhyJudged(
            Side side,
            List<String> changed,
            int evidence,
            Verdict verdict,
            Because why,
            List<GateResult> gates,
            List<Change> changes,
            List<Because> alternatives,
            List<Because> requests) {}

    /**
     * @param now what lies after it is left out, and the last fact is judged as of then
     * @param atLast what becomes of the last proposal beside the client's other lines, which are known as they are now only
     */
    public static List<Fact> of(
            LineState start,
            List<Event> events,
            Policy policy,
            Moment now,
            BiFunction<LineState, Proposal, Proposal> atLast) {
        return new Why(start, policy, now, atLast).facts(LineState.inOrder(LineState.upTo(events, now.instant())));
    }

    private List<Fact> facts(List<Event> ordered) {
        var found = new ArrayList<Fact>();
        var state = start;
        for (int i = 0; i < ordered.size(); i++) {
            var event = ordered.get(i);
            var next = state.step(event, policy.noise());
            boolean last = i == ordered.size() - 1;
            var before = state;
            var sides = start.plan().trained().stream()
                    .map(side -> judged(before, next, side, last ? now : now.at(event.happenedAt()), last))
                    .toList();
            found.add(new Fact(event.happenedAt(), event.recordedAt(), FactWords.of(event), sides));
            state = next;
        }
        return List.copyOf(found);
    }

    private WhyJudged judged(LineState before, LineState after, Side side, Moment moment, boolean last) {
        var proposed = Advance.propose(after, side, policy, moment);
        var p = last ? atLast.apply(after, proposed) : proposed;
        var then = new Situation(after, side, policy, moment);
        return new WhyJudged(
                side,
                changed(new Situation(before, side, policy, moment), then),
                then.rung().lastRuns().size(),
                p.verdict(),
                p.why(),
                p.gates(),
                p.consequences(),
                p.alternatives().stream().map(Proposal.Alternative::why).toList(),
                p.requests());
    }

    private static List<String> changed(Situation before, Situation after) {
        var changed = new ArrayList<String>();
        Change.between(before.dose(), after.dose())
                .forEach(c -> add(changed, c.what(), Term.of(c.from(), c.unit()), Term.of(c.to(), c.unit())));
        range(
                changed,
                "passive range",
                before.passive().map(Why::told),
                after.passive().map(Why::told));
        range(
                changed,
                "active range",
                before.active().map(Why::told),
                after.active().map(Why::told));
        count(changed, "sessions", before.state().sessionCount(), after.state().sessionCount());
        count(
                changed,
                "counted at this rung",
                before.rung().lastRuns().size(),
                after.rung().lastRuns().size());
        count(
                changed,
                "open stop signs",
                before.state().signs().open().size(),
                after.state().signs().open().size());
        if (before.attendance().newcomer() != after.attendance().newcomer()) {
            changed.add(after.attendance().newcomer() ? "a newcomer again" : "no newcomer any more");
        }
        return List.copyOf(changed);
    }

    private static String told(UncertainAngle angle) {
        return Term.of(angle.value().value(), Unit.DEGREE).text() + " ± "
                + Term.of(angle.expanded(), Unit.DEGREE).text();
    }

    private static void range(List<String> changed, String what, Optional<String> from, Optional<String> to) {
        if (!from.equals(to)) {
            changed.add(what + ": " + from.orElse("unknown") + " → " + to.orElse("unknown"));
        }
    }

    private static void count(List<String> changed, String what, int from, int to) {
        if (from != to) {
            changed.add(what + ": " + from + " → " + to);
        }
    }

    private static void add(List<String> changed, String what, Term from, Term to) {
        changed.add(what + ": " + from.text() + " → " + to.text());
    }
}
