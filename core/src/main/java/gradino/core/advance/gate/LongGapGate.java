package gradino.core.advance.gate;

import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;

/** Gate 3: a pause, or days without this joint beyond its planned interval. A gap that was decided upon is asked again in the next band only. */
public final class LongGapGate implements Gate {
    private static final Limit PAUSE =
            Limit.none(Unit.DAY, "common practice, no source: nothing is moved on while somebody is away");

    @Override
    public String id() {
        return "long-gap";
    }

    @Override
    public Judgement judge(Situation s) {
        var paused = s.attendance().pausedNow();
        if (paused.isPresent()) {
            var since = paused.get();
            int lasted = since.days(s.moment());
            var because = Because.of(Reason.PAUSED, Term.of(since.kind().words()), Gate.amount(lasted, Unit.DAY));
            return decided(Verdict.STAY, lasted, PAUSE, because);
        }
        int beyond = s.attendance().daysBeyondPlan();
        if (isOpen(s, beyond, Threshold.GAP_NEWCOMER_DAYS)) {
            return gap(s, Verdict.STEP_DOWN, Threshold.GAP_NEWCOMER_DAYS, beyond, Reason.AWAY_NEWCOMER)
                    .by(DownCause.AWAY_LONG)
                    .asking(Because.of(Reason.ASK_REMEASURE));
        }
        if (isOpen(s, beyond, Threshold.GAP_DOWN_DAYS)) {
            return gap(s, Verdict.STEP_DOWN, Threshold.GAP_DOWN_DAYS, beyond, Reason.AWAY_DOWN)
                    .by(DownCause.AWAY)
                    .asking(Because.of(Reason.ASK_REMEASURE));
        }
        int ill = s.attendance().daysIllSinceLastSession();
        if (ill >= s.value(Threshold.ILLNESS_DAYS)) {
            return gap(s, Verdict.STAY, Threshold.ILLNESS_DAYS, ill, Reason.AFTER_ILLNESS);
        }
        if (beyond >= s.value(Threshold.GAP_STAY_DAYS)) {
            return gap(s, Verdict.STAY, Threshold.GAP_STAY_DAYS, beyond, Reason.AWAY_STAY);
        }
        return passed(s, Threshold.GAP_STAY_DAYS, (double) Math.max(0, beyond), Reason.NO_GAP);
    }

    private Judgement gap(Situation s, Verdict verdict, Threshold threshold, int days, Reason reason) {
        var because = Because.of(reason, Gate.amount(days, Unit.DAY));
        return decided(verdict, days, Limit.of(s, threshold), because);
    }

    private static boolean isOpen(Situation s, int beyond, Threshold band) {
        if (beyond < s.value(band)) {
            return false;
        }
        int bandEntered = beyond - s.whole(band);
        return s.me().lastDecision()
                .map(d -> s.moment().daysSince(d.happenedAt()) > bandEntered)
                .orElse(true);
    }
}
