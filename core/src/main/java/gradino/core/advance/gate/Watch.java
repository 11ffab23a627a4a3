package gradino.core.advance.gate;

import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.measure.limit.Limiter;
import gradino.core.prescribe.method.Method;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** What a coach should know beside the verdict: soreness, a plateau, a side really behind, a week for testing anew. */
public final class Watch {
    private static final int MOST_METHODS = 3;
    private static final int DAYS_PER_WEEK = 7;

    private Watch() {}

    public static List<Because> of(Situation s) {
        var notes = new ArrayList<Because>();
        soreness(s, notes);
        behind(s, notes);
        plateau(s, notes);
        retest(s, notes);
        records(s, notes);
        return List.copyOf(notes);
    }

    private static void soreness(Situation s, List<Because> notes) {
        s.attendance()
                .lastSession()
                .filter(x -> x.sorenessOrZero() >= s.value(Threshold.SORENESS_SPACING))
                .ifPresent(x -> notes.add(Because.of(
                        Reason.SORE,
                        Term.of(x.sorenessOrZero(), Unit.OF_TEN),
                        Term.of(s.rung().spacingHours(x), Unit.HOUR))));
    }

    private static void behind(Situation s, List<Because> notes) {
        s.reallyBehind()
                .filter(side -> side == s.side())
                .ifPresent(side -> notes.add(Because.of(Reason.REALLY_BEHIND)));
    }

    /** Another method, ranked by what limits the motion; never more intensity alone. */
    private static void plateau(Situation s, List<Because> notes) {
        if (!isStuck(s)) {
            return;
        }
        var methods = others(s).stream().map(Method::name).toList();
        notes.add(Because.of(
                Reason.PLATEAU,
                Term.of(s.value(Threshold.PLATEAU_DAYS) / DAYS_PER_WEEK, Unit.COUNT),
                Term.of(methods.isEmpty() ? "another method" : String.join(", ", methods))));
    }

    private static boolean isStuck(Situation s) {
        return s.plateau() && s.limiter() != Limiter.NEITHER;
    }

    /** Methods to go on with, where neither side gets on with this one; a method is the whole line's. */
    public static List<String> methods(Situation s) {
        boolean both = s.state().plan().trained().size() < 2 || isStuck(s.ofOtherSide());
        return isStuck(s) && both ? others(s).stream().map(Method::id).toList() : List.of();
    }

    private static List<Method> others(Situation s) {
        var wanted = wanted(s.limiter());
        var now = s.method();
        return Method.shipped().stream()
                .filter(m -> !m.id().equals(now.id()) && m.variantOf().isEmpty())
                .filter(m -> m.suits().contains(wanted))
                .sorted((a, b) -> a.suits().indexOf(wanted) - b.suits().indexOf(wanted))
                .limit(MOST_METHODS)
                .toList();
    }

    private static String wanted(Limiter limiter) {
        return switch (limiter) {
            case CONTROL -> "control";
            case BOTH -> "both";
            default -> "range";
        };
    }

    /** What of the records does not count, or counts differently. */
    private static void records(Situation s, List<Because> notes) {
        if (s.state().later() > 0) {
            notes.add(Because.of(Reason.FROM_FUTURE, Term.of(s.state().later(), Unit.COUNT)));
        }
        var since = s.state().methodSince();
        if (since.isAfter(Instant.MIN) && s.rung().all().size() < s.whole(Threshold.SESSIONS_NEEDED)) {
            notes.add(Because.of(Reason.METHOD_CHANGED, Term.of(s.moment().daysSince(since), Unit.DAY)));
        }
    }

    /** In the last week of a block everything is measured anew, once. */
    private static void retest(Situation s, List<Because> notes) {
        if (isRetestWeek(s)) {
            notes.add(Because.of(Reason.RETEST_WEEK, Term.of(week(s) + 1.0, Unit.COUNT)));
        }
    }

    private static int week(Situation s) {
        return s.moment().daysSince(s.state().sessions().get(0).endedAt()) / DAYS_PER_WEEK;
    }

    public static boolean isRetestWeek(Situation s) {
        if (s.state().sessions().isEmpty()) {
            return false;
        }
        int weeks = s.whole(Threshold.BLOCK_WEEKS);
        var range = s.range().series().orElse(null);
        boolean measured = range != null && s.moment().daysSince(range.last().at()) < DAYS_PER_WEEK;
        return week(s) % weeks == weeks - 1 && !measured;
    }
}
