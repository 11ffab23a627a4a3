package gradino.core.advance.gate;

import static gradino.core.advance.gate.Gate.amount;

import gradino.core.advance.state.SessionFacts;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.intake.Restriction;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * Gate 2: pain that is too high, stays, or rises; a wrong joint; an angle above the range that is left; a dose above a restriction.
 * Everything that is found counts; the first of it is shown.
 */
public final class TooMuchGate implements Gate {
    private static final Limit ANOTHER_JOINT =
            Limit.none(Unit.COUNT, "common practice: what is felt in another joint does not train this one");

    @Override
    public String id() {
        return "too-much";
    }

    private final List<Function<Situation, Optional<Judgement>>> questions = List.of(
            this::capExceeded,
            this::angleCapExceeded,
            this::contractionTooLong,
            this::painAbove,
            this::painUnsettled,
            this::painRising,
            this::painWeek,
            this::wrongJoint,
            this::rangeLost);

    @Override
    public Judgement judge(Situation s) {
        var found = new ArrayList<Judgement>();
        for (var question : questions) {
            question.apply(s).ifPresent(found::add);
        }
        return found.isEmpty()
                ? passed(s, Threshold.PAIN_TOO_MUCH, (double) s.worst().pain(), Reason.PAIN_IN_BOUNDS)
                : Judgement.all(found);
    }

    private Optional<Judgement> capExceeded(Situation s) {
        int ceiling = s.dose().ceiling().value();
        return s.state()
                .client()
                .limits()
                .effortCap()
                .filter(r -> ceiling > r.bound())
                .map(r -> above(r, ceiling, Reason.ABOVE_EFFORT_CAP, DownCause.EFFORT_CAPPED));
    }

    private Optional<Judgement> angleCapExceeded(Situation s) {
        double angle = s.dose().angle().value();
        return s.state()
                .client()
                .limits()
                .angleCap(s.reach())
                .filter(r -> angle > r.bound())
                .map(r -> above(r, angle, Reason.ABOVE_ANGLE_CAP, DownCause.ANGLE_CAPPED));
    }

    private Optional<Judgement> contractionTooLong(Situation s) {
        var cap = s.state().client().limits().contractionCap();
        if (cap.isEmpty()) {
            return Optional.empty();
        }
        int longest = s.planWith(s.dose()).longestContractionSeconds(s.side());
        return cap.filter(r -> longest > r.bound())
                .map(r -> above(r, longest, Reason.CONTRACTION_TOO_LONG, DownCause.CONTRACTION_CAPPED));
    }

    private Judgement above(Restriction restriction, double value, Reason reason, DownCause cause) {
        var limit = Limit.of(restriction);
        var because = Because.of(reason, amount(value, limit.unit()), amount(restriction.bound(), limit.unit()));
        return decided(Verdict.STEP_DOWN, value, limit, because).by(cause);
    }

    /** Pain that a decision knew is answered. */
    private Optional<Judgement> painAbove(Situation s) {
        double most = s.value(Threshold.PAIN_TOO_MUCH);
        return s.worst().pain() <= most
                ? Optional.empty()
                : s.newer().stream()
                        .filter(x -> Pains.of(s, x) > most)
                        .findFirst()
                        .map(x -> pained(s, x, Threshold.PAIN_TOO_MUCH, Reason.PAIN_TOO_HIGH));
    }

    private Optional<Judgement> painUnsettled(Situation s) {
        double least = s.value(Threshold.PAIN_UNSETTLED);
        return s.worst().pain() < least
                ? Optional.empty()
                : s.undecided().stream()
                        .filter(x -> Pains.of(s, x) >= least && isUnsettled(x) && !s.isAnswered(x))
                        .findFirst()
                        .map(x -> pained(s, x, Threshold.PAIN_UNSETTLED, Reason.PAIN_NOT_SETTLED));
    }

    private static boolean isUnsettled(SessionFacts session) {
        return session.morning() != null && !session.morning().settled();
    }

    private Judgement pained(Situation s, SessionFacts session, Threshold threshold, Reason reason) {
        int pain = Pains.of(s, session);
        return caused(
                s,
                session,
                decided(
                        Verdict.STEP_DOWN,
                        pain,
                        Limit.of(s, threshold),
                        Because.of(reason, amount(pain, Unit.OF_TEN))));
    }

    private static Judgement caused(Situation s, SessionFacts session, Judgement judgement) {
        var cause = new Pains(s).cause(session);
        return judgement.by(cause.down(), cause.felt());
    }

    private Optional<Judgement> painRising(Situation s) {
        return new Pains(s).rising().map(rise -> {
            var because = Because.of(
                    Reason.PAIN_RISING,
                    amount(rise.first(), Unit.COUNT),
                    amount(rise.second(), Unit.COUNT),
                    amount(rise.third(), Unit.COUNT));
            var limit = Limit.of(s, Threshold.PAIN_RISE);
            return caused(s, rise.completed(), decided(Verdict.STEP_DOWN, rise.step(), limit, because));
        });
    }

    private Optional<Judgement> painWeek(Situation s) {
        return new Pains(s).risenOverWeeks().map(weeks -> {
            var because = Because.of(
                    Reason.PAIN_UP_OVER_WEEK, amount(weeks.before(), Unit.OF_TEN), amount(weeks.now(), Unit.OF_TEN));
            return decided(Verdict.STEP_DOWN, weeks.rise(), Limit.of(s, Threshold.PAIN_RISE), because)
                    .by(DownCause.UNKNOWN);
        });
    }

    private Optional<Judgement> wrongJoint(Situation s) {
        return !s.worst().wrongJoint()
                ? Optional.empty()
                : s.newer().stream()
                        .filter(x -> x.on(s.side()).wrongJoint())
                        .findFirst()
                        .map(x -> decided(Verdict.STEP_DOWN, 1, ANOTHER_JOINT, Because.of(Reason.WRONG_JOINT))
                                .by(DownCause.ANGLE_TOO_DEEP, x.on(s.side()).worstIn()));
    }

    private Optional<Judgement> rangeLost(Situation s) {
        var angle = s.dose().angle();
        return s.passive().filter(p -> angle.compareTo(p.value()) > 0).map(p -> {
            double range = p.value().value();
            var because = Because.of(Reason.RANGE_LOST, amount(angle.value(), Unit.DEGREE), amount(range, Unit.DEGREE));
            var limit = new Limit(range, Unit.DEGREE, s.policy().source(Threshold.ANGLE_MARGIN));
            return decided(Verdict.STEP_DOWN, angle.value(), limit, because).by(DownCause.RANGE_LOST);
        });
    }
}
