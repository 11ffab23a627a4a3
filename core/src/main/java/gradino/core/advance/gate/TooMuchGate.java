package gradino.core.advance.gate;

import gradino.core.advance.state.SessionFacts;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.perform.PainKind;
import gradino.core.prescribe.block.BlockKind;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Gate 2: pain that is too high, stays, or rises; a wrong joint; an angle above the range that is left. */
public final class TooMuchGate implements Gate {

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
        for (var question : questions) {
            var answer = question.apply(s);
            if (answer.isPresent()) {
                return answer.get();
            }
        }
        return passed(s, Threshold.PAIN_TOO_MUCH, (double) worst(s), Reason.PAIN_IN_BOUNDS);
    }

    private Optional<Judgement> capExceeded(Situation s) {
        var cap = s.state().client().limits().highestEffort();
        if (s.dose().ceiling().compareTo(cap) <= 0) {
            return Optional.empty();
        }
        var because = Because.of(
                Reason.ABOVE_EFFORT_CAP,
                amount(s.dose().ceiling().value(), Unit.PERCENT),
                amount(cap.value(), Unit.PERCENT));
        return Optional.of(down(s, Threshold.PAIN_TOO_MUCH, worst(s), because, DownCause.EFFORT_CAPPED));
    }

    private Optional<Judgement> angleCapExceeded(Situation s) {
        return s.state()
                .client()
                .limits()
                .angleCap(s.reach())
                .filter(r -> s.dose().angle().value() > r.bound())
                .map(r -> {
                    var because = Because.of(
                            Reason.ABOVE_ANGLE_CAP,
                            amount(s.dose().angle().value(), Unit.DEGREE),
                            amount(r.bound(), Unit.DEGREE));
                    return down(s, Threshold.PAIN_TOO_MUCH, worst(s), because, DownCause.ANGLE_CAPPED);
                });
    }

    private Optional<Judgement> contractionTooLong(Situation s) {
        var cap = s.state().client().limits().contractionCap();
        if (cap.isEmpty() || s.dose().topHoldSeconds() == 0) {
            return Optional.empty();
        }
        int longest = s.planWith(s.dose()).longestContractionSeconds(s.side());
        return cap.filter(r -> longest > r.bound()).map(r -> {
            var because = Because.of(
                    Reason.CONTRACTION_TOO_LONG, amount(longest, Unit.SECOND), amount(r.bound(), Unit.SECOND));
            return down(s, Threshold.PAIN_TOO_MUCH, worst(s), because, DownCause.CONTRACTION_CAPPED);
        });
    }

    private Optional<Judgement> painAbove(Situation s) {
        double most = s.value(Threshold.PAIN_TOO_MUCH);
        if (s.worst().pain() <= most) {
            return Optional.empty();
        }
        for (var x : s.undecided()) {
            if (pain(s, x) > most) {
                var said = painSaid(s, Reason.PAIN_TOO_HIGH, x);
                return Optional.of(down(s, Threshold.PAIN_TOO_MUCH, pain(s, x), said, cause(s, x))
                        .in(felt(s, x)));
            }
        }
        return Optional.empty();
    }

    private Optional<Judgement> painUnsettled(Situation s) {
        double least = s.value(Threshold.PAIN_UNSETTLED);
        if (s.worst().pain() < least) {
            return Optional.empty();
        }
        for (var x : s.undecided()) {
            if (pain(s, x) >= least && x.morning() != null && !x.morning().settled()) {
                var said = painSaid(s, Reason.PAIN_NOT_SETTLED, x);
                return Optional.of(down(s, Threshold.PAIN_UNSETTLED, pain(s, x), said, cause(s, x))
                        .in(felt(s, x)));
            }
        }
        return Optional.empty();
    }

    private Optional<Judgement> painRising(Situation s) {
        var all = s.state().sessions();
        int n = all.size();
        if (n < 3 || !s.isUndecided(all.get(n - 1))) {
            return Optional.empty();
        }
        int first = pain(s, all.get(n - 3));
        int second = pain(s, all.get(n - 2));
        int third = pain(s, all.get(n - 1));
        double rise = s.value(Threshold.PAIN_RISE);
        if (second - first < rise || third - second < rise) {
            return Optional.empty();
        }
        var because = Because.of(
                Reason.PAIN_RISING, amount(first, Unit.COUNT), amount(second, Unit.COUNT), amount(third, Unit.COUNT));
        return Optional.of(down(s, Threshold.PAIN_RISE, third - second, because, cause(s, all.get(n - 1)))
                .in(felt(s, all.get(n - 1))));
    }

    private Optional<Judgement> painWeek(Situation s) {
        if (s.undecided().isEmpty()) {
            return Optional.empty();
        }
        int days = s.whole(Threshold.PAIN_WINDOW_DAYS);
        var now = s.moment().instant();
        var since = now.minus(Duration.ofDays(days));
        var recent = meanPain(s, since, now);
        if (recent.isEmpty()) {
            return Optional.empty();
        }
        var before = meanPain(s, now.minus(Duration.ofDays(2L * days)), since);
        if (before.isEmpty()) {
            return Optional.empty();
        }
        double rise = recent.getAsDouble() - before.getAsDouble();
        if (rise < s.value(Threshold.PAIN_RISE)) {
            return Optional.empty();
        }
        var because = Because.of(
                Reason.PAIN_UP_OVER_WEEK,
                amount(before.getAsDouble(), Unit.OF_TEN),
                amount(recent.getAsDouble(), Unit.OF_TEN));
        return Optional.of(down(s, Threshold.PAIN_RISE, rise, because, DownCause.UNKNOWN));
    }

    private Optional<Judgement> wrongJoint(Situation s) {
        if (!s.worst().wrongJoint()) {
            return Optional.empty();
        }
        for (var x : s.undecided()) {
            if (x.on(s.side()).wrongJoint()) {
                var felt = Because.of(Reason.WRONG_JOINT);
                return Optional.of(down(s, Threshold.PAIN_TOO_MUCH, pain(s, x), felt, DownCause.ANGLE_TOO_DEEP)
                        .in(felt(s, x)));
            }
        }
        return Optional.empty();
    }

    private Optional<Judgement> rangeLost(Situation s) {
        return s.passive()
                .filter(p -> s.dose().angle().compareTo(p.value()) > 0)
                .map(p -> {
                    var because = Because.of(
                            Reason.RANGE_LOST,
                            amount(s.dose().angle().value(), Unit.DEGREE),
                            amount(p.value().value(), Unit.DEGREE));
                    return down(
                            s,
                            Threshold.ANGLE_MARGIN,
                            s.dose().angle().minus(p.value()),
                            because,
                            DownCause.RANGE_LOST);
                });
    }

    /** Mean over a window; empty with fewer than two sessions in it. */
    private static OptionalDouble meanPain(Situation s, Instant from, Instant to) {
        var all = s.state().sessions();
        int count = 0;
        int sum = 0;
        for (int i = all.size() - 1; i >= 0 && all.get(i).endedAt().isAfter(from); i--) {
            if (!all.get(i).endedAt().isAfter(to)) {
                count++;
                sum += pain(s, all.get(i));
            }
        }
        return count < 2 ? OptionalDouble.empty() : OptionalDouble.of((double) sum / count);
    }

    private Judgement down(Situation s, Threshold threshold, double value, Because because, DownCause cause) {
        return decided(s, Verdict.STEP_DOWN, threshold, value, because).by(cause);
    }

    private Because painSaid(Situation s, Reason reason, SessionFacts session) {
        return Because.of(reason, amount(pain(s, session), Unit.OF_TEN));
    }

    /** By the block in which it was felt; a pinch and a wrong joint are of the angle wherever they were felt. */
    private static DownCause cause(Situation s, SessionFacts session) {
        var facts = session.on(s.side());
        var kind = facts.worstKind();
        var in = facts.worstIn();
        if (kind == null || in == null) {
            return DownCause.UNKNOWN;
        } else if (kind == PainKind.PINCH_THAT_EASED || kind == PainKind.WRONG_JOINT) {
            return DownCause.ANGLE_TOO_DEEP;
        }
        return switch (in) {
            case SUPPORTED_HOLD, SETTLE -> DownCause.PAIN_STRETCHED;
            case PRESS, PULL, CONTRACT_RELAX, HANDS_OFF, PULSES, SIDESTEP ->
                kind == PainKind.WHILE_CONTRACTING ? DownCause.PAIN_CONTRACTING : DownCause.UNKNOWN;
            case LIFT_OFF, ECCENTRIC -> s.dose().loadKg() > 0 ? DownCause.UNDER_LOAD : DownCause.PAIN_LIFTING;
            case LOADED_STRETCH -> s.dose().loadKg() > 0 ? DownCause.UNDER_LOAD : DownCause.PAIN_MOVING;
            case ROTATION, TRANSITION -> DownCause.PAIN_MOVING;
            case SET_UP, RELEASE, REST, PROP, RE_MEASURE, MOVEMENT_RETEST, SIDE_CHANGE -> DownCause.UNKNOWN;
        };
    }

    /** The block in which the worst pain of a session was felt. */
    private static @Nullable BlockKind felt(Situation s, SessionFacts session) {
        return session.on(s.side()).worstIn();
    }

    private static int worst(Situation s) {
        return s.worst().pain();
    }

    private static int pain(Situation s, SessionFacts session) {
        return session.on(s.side()).worstPain().value();
    }
}
