package gradino.core.advance.gate;

import gradino.core.advance.gate.Gate.Limit;
import gradino.core.advance.state.SessionFacts;
import gradino.core.advance.state.SideFacts;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.perform.DoneRatio;
import gradino.core.prescribe.block.Apparatus;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.Cramp;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Everything about some sessions that keeps a line from stepping up, each with the number that failed and its own limit. */
final class Failings {
    private static final Limit AS_PLANNED =
            Limit.none(Unit.COUNT, "house rule: as it was planned, and nothing left over");
    private static final Comparator<Part> ORDER =
            Comparator.comparing(Part::because).thenComparing(Part::value);

    private final Situation s;
    private final List<Part> parts = new ArrayList<>();

    Failings(Situation s) {
        this.s = s;
    }

    record Part(Because because, double value, Limit limit) {}

    boolean isEmpty() {
        return parts.isEmpty();
    }

    List<Part> inOrder() {
        return parts.isEmpty()
                ? List.of()
                : parts.stream().distinct().sorted(ORDER).toList();
    }

    void fewer(int sessions, int needed) {
        var because = Because.of(Reason.TOO_FEW_SESSIONS, Term.of(sessions, Unit.COUNT), Term.of(needed, Unit.COUNT));
        parts.add(new Part(because, sessions, Limit.of(s, Threshold.SESSIONS_NEEDED)));
    }

    void add(SessionFacts session) {
        var facts = session.on(s.side());
        var done = facts.done();
        if (done.ratio() < s.value(Threshold.DONE_RATIO)) {
            tooLittle(done);
        }
        below(Reason.PHASE_TOO_SHORT, done.lowestPhase(), Threshold.PHASE_RATIO);
        above(Reason.PAIN_NOT_CLEAN, facts.worstPain().value(), Threshold.PAIN_CLEAN);
        if (session.morning() != null && !session.morning().settled()) {
            plain(Because.of(Reason.MORNING_NOT_SETTLED));
        }
        if (session.observer().seesFaults()) {
            above(Reason.FAULTS_SEEN, facts.mostFaults(), Threshold.FAULTS_A_SET);
        }
        setUp(session, facts);
        effort(facts);
        cramps(facts);
        if (facts.unplannedStop()) {
            plain(Because.of(Reason.UNPLANNED_STOP));
        }
    }

    private void setUp(SessionFacts session, SideFacts facts) {
        var asked = session.doses().on(s.side());
        if (facts.otherAngle() != null) {
            plain(Because.of(
                    Reason.OTHER_ANGLE,
                    Term.of(facts.otherAngle().value(), Unit.DEGREE),
                    Term.of(asked.angle().value(), Unit.DEGREE)));
        }
        var apparatus = facts.otherApparatus();
        if (apparatus != null) {
            plain(Because.of(Reason.OTHER_APPARATUS, Term.of(told(apparatus)), Term.of(told(asked.apparatus()))));
        }
    }

    private static String told(Apparatus apparatus) {
        return apparatus.namesNothing() ? "nothing" : apparatus.words();
    }

    private void tooLittle(DoneRatio done) {
        var limit = Limit.of(s, Threshold.DONE_RATIO);
        double least = s.value(Threshold.DONE_RATIO);
        var what = switch (done.least() == null ? BlockKind.Work.NONE : done.least()) {
            case CONTRACTION -> "Contraction";
            case REPETITIONS -> "Repetitions";
            case HOLD -> "Hold";
            case NONE -> "Work";
        };
        var because = Because.of(
                Reason.DONE_TOO_LITTLE,
                Term.of(what),
                Term.beside(done.ratio(), least, limit.unit()),
                Term.of(least, limit.unit()));
        parts.add(new Part(because, done.ratio(), limit));
    }

    private void effort(SideFacts facts) {
        if (facts.effortOff() != null) {
            above(Reason.EFFORT_OFF, facts.effortOff(), Threshold.EFFORT_TENTHS);
        }
        if (facts.effortWithin() != null) {
            below(Reason.EFFORT_OFF_TARGET, facts.effortWithin(), Threshold.EFFORT_WITHIN);
        }
        if (facts.nearMaxPeak() != null) {
            below(Reason.PEAK_TOO_LOW, facts.nearMaxPeak(), Threshold.NEAR_MAX_PEAK);
        }
    }

    /** By the method's own rule; a newcomer eases off whatever the method allows. */
    private void cramps(SideFacts facts) {
        var rule = s.method().rules().cramp();
        if (rule == Cramp.EXPECTED) {
            return;
        }
        boolean allowed = rule == Cramp.ALLOWED && !s.attendance().newcomer();
        double most = s.value(Threshold.CRAMPS_A_SET) + (allowed ? 1 : 0);
        if (facts.mostCramps() > most) {
            var limit = Limit.of(s, Threshold.CRAMPS_A_SET);
            add(Reason.CRAMPS, facts.mostCramps(), new Limit(most, limit.unit(), limit.source()));
        }
    }

    /** What has no number, or none that a policy sets. */
    private void plain(Because because) {
        parts.add(new Part(because, 1, AS_PLANNED));
    }

    private void below(Reason reason, double value, Threshold least) {
        if (value < s.value(least)) {
            add(reason, value, Limit.of(s, least));
        }
    }

    private void above(Reason reason, double value, Threshold most) {
        if (value > s.value(most)) {
            add(reason, value, Limit.of(s, most));
        }
    }

    private void add(Reason reason, double value, Limit limit) {
        double bound = limit.value() == null ? value : limit.value();
        var because = Because.of(reason, Term.beside(value, bound, limit.unit()), Term.of(bound, limit.unit()));
        parts.add(new Part(because, value, limit));
    }
}
