package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.intake.Restriction;
import gradino.core.measure.limit.Limiter;
import gradino.core.prescribe.method.Dose;
import gradino.core.quantity.Degrees;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * Further into the range: min(estimate − 2°, estimate − 1.645·SE, old + 5°, what is left of 5° in any seven days), down
 * to what the props give. Top hold returns to its base and the ceiling drops 20 points, not below its base: a wider step
 * starts lower. An angle held before, and given up for another reason than pain,
 * needs less evidence ({@link Returning}).
 */
final class AngleLever implements Lever {
    /** Control ratio from which a very mobile motion may still advance (house rule). */
    private static final double BEYOND_CONTROL_RATIO = 0.9;

    private static final int NOTCH_DAYS = 7;

    @Override
    public LeverId id() {
        return LeverId.ANGLE;
    }

    @Override
    public Attempt attempt(Situation s) {
        return forbidden(s).orElseGet(() -> allowed(s));
    }

    private static Attempt allowed(Situation s) {
        var known = Returning.to(s);
        var tooOld = known.isPresent() ? tooOld(s, Threshold.RETURN_DAYS, Integer.MAX_VALUE) : unproven(s);
        return tooOld.orElseGet(() -> move(s, known));
    }

    private static Optional<Attempt> forbidden(Situation s) {
        if (s.state().client().hypermobile()) {
            return blocked(Because.of(Reason.HYPERMOBILE));
        }
        var kept = s.state().client().limits().noDeepening();
        if (kept.isPresent()) {
            return blocked(Because.of(Reason.NO_DEEPENING, Term.of(kept.get().reason())));
        }
        Double flag = s.state().client().flagAboveDegrees();
        if (flag != null && isBeyond(s, flag) && !mayGoBeyond(s)) {
            return blocked(Because.of(
                    Reason.BEYOND_USUAL, Term.of(flag, Unit.DEGREE), Term.of(BEYOND_CONTROL_RATIO, Unit.RATIO)));
        }
        if (s.value(Threshold.LEVEL_FIRST) > 0
                && s.reallyBehind().filter(side -> side != s.side()).isPresent()) {
            return blocked(Because.of(Reason.LEVEL_FIRST));
        }
        var feel = s.range().endFeel();
        if (feel != null && feel.isStructure()) {
            return blocked(Because.of(Reason.END_FEEL_STRUCTURE));
        }
        var limiter = s.limiter();
        if (limiter == Limiter.NEITHER) {
            return blocked(Because.of(Reason.MAINTAIN));
        }
        return limiter == Limiter.CONTROL || limiter == Limiter.BOTH
                ? blocked(Because.of(Reason.CONTROL_FIRST))
                : Optional.empty();
    }

    private static boolean isBeyond(Situation s, double flag) {
        return s.passive().filter(p -> p.value().value() > flag).isPresent();
    }

    /** A very mobile motion goes deeper only for a goal that needs it, and with own strength nearly to its end. */
    private static boolean mayGoBeyond(Situation s) {
        Double goal = s.state().client().goalDegrees();
        double passive = s.passive().orElseThrow().value().value();
        boolean needed = goal != null && goal > passive;
        return needed
                && s.active()
                        .filter(a -> a.value().value() / passive >= BEYOND_CONTROL_RATIO)
                        .isPresent();
    }

    private static Optional<Attempt> unproven(Situation s) {
        return tooOld(s, Threshold.COLD_DAYS, s.value(Threshold.COLD_SESSIONS)).or(() -> unobserved(s));
    }

    /**
     * What bars whatever goes deeper at the same working angle; there is room when that lies within today's estimate, and a line
     * without degrees needs a coach's eye instead.
     */
    static Optional<Attempt> barred(Situation s) {
        return forbidden(s)
                .or(() -> s.isWithoutAngle() ? unobserved(s) : unproven(s).or(() -> beyond(s)));
    }

    static Optional<Attempt> unobserved(Situation s) {
        return s.rung().isObserved() ? Optional.empty() : blocked(notObserved(s), Because.of(Reason.ASK_OBSERVE));
    }

    private static Optional<Attempt> beyond(Situation s) {
        var bound = s.angleBound().orElseThrow();
        return s.dose().angle().compareTo(bound) > 0
                ? blocked(Because.of(
                        Reason.BEYOND_ESTIMATE,
                        Term.of(s.dose().angle().value(), Unit.DEGREE),
                        Term.of(bound.value(), Unit.DEGREE)))
                : Optional.empty();
    }

    static Because notObserved(Situation s) {
        return Because.of(Reason.NOT_OBSERVED, Term.of(s.value(Threshold.SESSIONS_NEEDED), Unit.COUNT));
    }

    /** A cold reading grows old by days and by sessions. */
    private static Optional<Attempt> tooOld(Situation s, Threshold mostDays, double mostSessions) {
        var reading = s.range().measuredAt();
        if (s.range().series().isEmpty() || reading.isEmpty()) {
            return blocked(Because.of(Reason.NEVER_MEASURED), Because.of(Reason.ASK_COLD));
        }
        int days = s.moment().daysSince(reading.get());
        if (days > s.value(mostDays)) {
            return blocked(
                    Because.of(Reason.COLD_READING_OLD, Term.of(days, Unit.DAY), Term.of(s.value(mostDays), Unit.DAY)),
                    Because.of(Reason.ASK_COLD));
        }
        int sessions = sessionsSince(s, reading.get());
        return sessions > mostSessions
                ? blocked(
                        Because.of(
                                Reason.COLD_READING_USED,
                                Term.of(sessions, Unit.COUNT),
                                Term.of(mostSessions, Unit.COUNT)),
                        Because.of(Reason.ASK_COLD))
                : Optional.empty();
    }

    private static int sessionsSince(Situation s, Instant reading) {
        var all = s.state().sessions();
        int first = all.size();
        while (first > 0 && all.get(first - 1).endedAt().isAfter(reading)) {
            first--;
        }
        return all.size() - first;
    }

    /** @param known the angle that it returns to, at most; empty for a new one */
    private static Attempt move(Situation s, Optional<Degrees> known) {
        var old = s.dose().angle();
        var cap = s.state().client().limits().angleCap(s.reach());
        if (cap.filter(c -> c.bound() - old.value() < s.value(Threshold.ANGLE_LEAST))
                .isPresent()) {
            var at = cap.get();
            return Attempt.blocked(
                    Because.of(Reason.AT_ANGLE_CAP, Term.of(at.bound(), Unit.DEGREE), Term.of(at.reason())));
        }
        var bound = s.angleBound();
        if (bound.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.NEVER_MEASURED), Because.of(Reason.ASK_COLD));
        }
        double stepped = old.value() + Math.min(s.value(Threshold.ANGLE_STEP), leftThisWeek(s));
        double most = known.map(Degrees::value).orElse(Double.MAX_VALUE);
        double capped = Math.min(most, cap.map(Restriction::bound).orElse(Double.MAX_VALUE));
        double wanted = Math.min(bound.get().value(), Math.min(stepped, capped));
        var reached = s.onProps(Degrees.of(wanted));
        double gain = reached.minus(old);
        var notch = ApparatusNotch.of(s.dose(), s.state().plan().position());
        if (gain < s.value(Threshold.ANGLE_LEAST)) {
            return Attempt.blocked(Because.of(
                    Reason.ANGLE_STEP_TOO_SMALL,
                    Term.of(Math.max(0, gain), Unit.DEGREE),
                    Term.of(s.value(Threshold.ANGLE_LEAST), Unit.DEGREE)));
        }
        if (notch.isPresent()) {
            return notched(s, notch.get());
        }
        return Attempt.step(
                moved(s, reached),
                Because.of(
                        Reason.STEP_ANGLE, Term.of(old.value(), Unit.DEGREE), Term.of(reached.value(), Unit.DEGREE)));
    }

    /** Where a bench or a strap mark makes the depth, it goes a notch deeper instead, one in seven days; there must be room all the same. */
    private static Attempt notched(Situation s, ApparatusNotch notch) {
        if (!notch.hasDeeper(s.dose())) {
            return Attempt.blocked(notch.atTop(s.dose()));
        }
        for (var d : s.me().decisions()) {
            int days = s.moment().daysSince(d.happenedAt());
            if (days < NOTCH_DAYS && notch.isDeeper(d.after(), d.before())) {
                return Attempt.blocked(
                        Because.of(Reason.APPARATUS_THIS_WEEK, Term.of(days, Unit.DAY), Term.of(NOTCH_DAYS, Unit.DAY)));
            }
        }
        int drop = s.whole(Threshold.ANGLE_CEILING_DROP);
        var eased = s.moved(new Ease(drop), () -> eased(s, drop));
        var deeper = s.moved(notch, () -> notch.deeper(eased));
        return Attempt.step(deeper, notch.said(Reason.STEP_APPARATUS, s.dose(), deeper));
    }

    /** By how much the ceiling drops is the policy's: two may look at the same line. */
    private record Move(Degrees angle, int drop) {}

    private record Ease(int drop) {}

    private static Dose moved(Situation s, Degrees angle) {
        int drop = s.whole(Threshold.ANGLE_CEILING_DROP);
        var eased = s.moved(new Ease(drop), () -> eased(s, drop));
        return s.moved(new Move(angle, drop), () -> eased.withAngle(angle));
    }

    /** A wider step starts lower. */
    static Dose eased(Situation s, int drop) {
        var lower = new Lower(s);
        return lower.topHolds(lower.ceilings(s.dose(), drop));
    }

    /** What is left of the degrees allowed in any seven days. */
    private static double leftThisWeek(Situation s) {
        var weekAgo = s.moment().instant().minus(Duration.ofDays(7));
        double used = 0;
        for (var d : s.me().decisions()) {
            if (d.happenedAt().isAfter(weekAgo)) {
                used += Math.max(0, d.after().angle().minus(d.before().angle()));
            }
        }
        return Math.max(0, s.value(Threshold.ANGLE_WEEK) - used);
    }

    private static Optional<Attempt> blocked(Because why, Because... requests) {
        return Optional.of(Attempt.blocked(why, requests));
    }
}
