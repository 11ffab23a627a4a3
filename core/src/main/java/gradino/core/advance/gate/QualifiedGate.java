package gradino.core.advance.gate;

import gradino.core.advance.state.Threshold;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import java.util.List;

/**
 * Gate 5: the last two sessions at this rung were clean.
 *
 * <p>Sessions closer together than the class's spacing count as one, which is clean only if all of them were: so one day
 * counts once. A session whose morning was never answered neither qualifies nor breaks the run.
 */
public final class QualifiedGate implements Gate {

    @Override
    public String id() {
        return "qualified";
    }

    @Override
    public Judgement judge(Situation s) {
        int needed = s.whole(Threshold.SESSIONS_NEEDED);
        var looked = s.rung().lastRuns();
        var found = new Failings(s);
        looked.forEach(run -> run.forEach(found::add));
        s.rung().silent().forEach(found::add);
        if (found.isEmpty() && looked.size() < needed) {
            found.fewer(looked.size(), needed);
        }
        var parts = found.inOrder();
        if (parts.isEmpty()) {
            return passed(s, Threshold.SESSIONS_NEEDED, (double) looked.size(), Reason.QUALIFIED);
        }
        var first = parts.get(0);
        var judgement = decided(Verdict.STAY, first.value(), first.limit(), first.because());
        return new Judgement(
                judgement.result(),
                List.of(),
                List.of(),
                parts.stream().map(Failings.Part::because).distinct().toList());
    }
}
