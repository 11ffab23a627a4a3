package gradino.core.advance.gate;

import gradino.core.advance.state.SessionFacts;
import gradino.core.advance.state.SideFacts;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.GateResult;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.perform.DoneRatio;
import gradino.core.prescribe.block.Apparatus;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.Cramp;
import java.util.ArrayList;
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
        var parts = new ArrayList<Because>();
        looked.forEach(run -> run.forEach(session -> failings(s, session, parts)));
        if (parts.isEmpty() && looked.size() < needed) {
            parts.add(
                    Because.of(Reason.TOO_FEW_SESSIONS, amount(looked.size(), Unit.COUNT), amount(needed, Unit.COUNT)));
        }
        if (parts.isEmpty()) {
            return passed(s, Threshold.SESSIONS_NEEDED, (double) looked.size(), Reason.QUALIFIED);
        }
        var distinct = parts.stream().distinct().sorted().toList();
        var judgement = decided(s, Verdict.STAY, Threshold.SESSIONS_NEEDED, looked.size(), distinct.get(0));
        return new Judgement(shown(s, judgement.result(), looked), null, null, List.of(), distinct);
    }

    /** Shows the failed number beside its own limit where the first failing part has one. */
    private GateResult shown(Situation s, GateResult result, List<List<SessionFacts>> looked) {
        if (result.because().reason() != Reason.DONE_TOO_LITTLE) {
            return result;
        }
        double lowest = looked.stream()
                .flatMap(List::stream)
                .mapToDouble(x -> x.on(s.side()).done().ratio())
                .min()
                .orElse(0);
        return GateResult.decided(
                id(),
                Verdict.STAY,
                lowest,
                s.value(Threshold.DONE_RATIO),
                Unit.RATIO,
                result.because(),
                s.policy().source(Threshold.DONE_RATIO));
    }

    private void failings(Situation s, SessionFacts session, List<Because> parts) {
        var facts = session.on(s.side());
        var done = facts.done();
        if (done.ratio() < s.value(Threshold.DONE_RATIO)) {
            parts.add(tooLittle(s, done));
        }
        if (done.lowestPhase() < s.value(Threshold.PHASE_RATIO)) {
            parts.add(against(s, Reason.PHASE_TOO_SHORT, done.lowestPhase(), Threshold.PHASE_RATIO));
        }
        if (facts.worstPain().value() > s.value(Threshold.PAIN_CLEAN)) {
            parts.add(against(s, Reason.PAIN_NOT_CLEAN, facts.worstPain().value(), Threshold.PAIN_CLEAN));
        }
        if (session.morning() != null && !session.morning().settled()) {
            parts.add(Because.of(Reason.MORNING_NOT_SETTLED));
        }
        if (session.observer().seesFaults() && facts.mostFaults() > s.value(Threshold.FAULTS_A_SET)) {
            parts.add(against(s, Reason.FAULTS_SEEN, facts.mostFaults(), Threshold.FAULTS_A_SET));
        }
        if (facts.otherAngle() != null) {
            parts.add(Because.of(
                    Reason.OTHER_ANGLE,
                    amount(facts.otherAngle().value(), Unit.DEGREE),
                    amount(session.doses().on(s.side()).angle().value(), Unit.DEGREE)));
        }
        var apparatus = facts.otherApparatus();
        if (apparatus != null) {
            var asked = session.doses().on(s.side()).apparatus();
            parts.add(Because.of(Reason.OTHER_APPARATUS, Term.of(told(apparatus)), Term.of(told(asked))));
        }
        effort(s, facts, parts);
        cramps(s, facts, parts);
        if (facts.unplannedStop()) {
            parts.add(Because.of(Reason.UNPLANNED_STOP));
        }
    }

    private static String told(Apparatus apparatus) {
        return apparatus.namesNothing() ? "nothing" : apparatus.words();
    }

    private static Because tooLittle(Situation s, DoneRatio done) {
        var unit = s.policy().unit(Threshold.DONE_RATIO);
        var what = switch (done.least() == null ? BlockKind.Work.NONE : done.least()) {
            case CONTRACTION -> "Contraction";
            case REPETITIONS -> "Repetitions";
            case HOLD -> "Hold";
            case NONE -> "Work";
        };
        return Because.of(
                Reason.DONE_TOO_LITTLE,
                Term.of(what),
                Term.of(done.ratio(), unit),
                Term.of(s.value(Threshold.DONE_RATIO), unit));
    }

    private void effort(Situation s, SideFacts facts, List<Because> parts) {
        if (facts.unrated()) {
            parts.add(Because.of(Reason.EFFORT_NOT_RATED));
        }
        if (facts.effortOff() != null && facts.effortOff() > s.value(Threshold.EFFORT_TENTHS)) {
            parts.add(against(s, Reason.EFFORT_OFF, facts.effortOff(), Threshold.EFFORT_TENTHS));
        }
        if (facts.effortWithin() != null && facts.effortWithin() < s.value(Threshold.EFFORT_WITHIN)) {
            parts.add(against(s, Reason.EFFORT_OFF_TARGET, facts.effortWithin(), Threshold.EFFORT_WITHIN));
        }
        if (facts.nearMaxPeak() != null && facts.nearMaxPeak() < s.value(Threshold.NEAR_MAX_PEAK)) {
            parts.add(against(s, Reason.PEAK_TOO_LOW, facts.nearMaxPeak(), Threshold.NEAR_MAX_PEAK));
        }
    }

    /** By the method's own rule; a newcomer eases off whatever the method allows. */
    private static void cramps(Situation s, SideFacts facts, List<Because> parts) {
        var rule = s.method().rules().cramp();
        if (rule == Cramp.EXPECTED) {
            return;
        }
        boolean allowed = rule == Cramp.ALLOWED && !s.attendance().newcomer();
        double most = s.value(Threshold.CRAMPS_A_SET) + (allowed ? 1 : 0);
        if (facts.mostCramps() > most) {
            var unit = s.policy().unit(Threshold.CRAMPS_A_SET);
            parts.add(Because.of(Reason.CRAMPS, Term.of(facts.mostCramps(), unit), Term.of(most, unit)));
        }
    }

    private static Because against(Situation s, Reason reason, double value, Threshold threshold) {
        var unit = s.policy().unit(threshold);
        return Because.of(reason, Term.of(value, unit), Term.of(s.value(threshold), unit));
    }
}
