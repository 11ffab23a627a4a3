package gradino.core.measure.limit;

import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.UncertainAngle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What limits one motion on one side, with the numbers it rests on.
 *
 * @param passive estimate, with the uncertainty of body lengths; null when never measured cold
 * @param active null when never measured cold
 * @param wanted what the passive range is held against; null for nothing
 * @param endFeel at the last cold passive reading; null when unknown
 * @param gapLimit largest control gap that is in order
 */
public record LimiterReason(
        @Nullable UncertainAngle passive,
        @Nullable UncertainAngle active,
        @Nullable Wanted wanted,
        @Nullable EndFeel endFeel,
        GapLimit gapLimit) {

    /**
     * What a passive range is held against.
     *
     * @param words where it comes from: goal, or the table's lower edge
     * @param flagAboveDegrees usual mean + 2 SD; null without a table
     */
    public record Wanted(
            double degrees, String words, @Nullable Double flagAboveDegrees) {
        public Wanted {
            OutOfBoundsException.require("wanted range", degrees, -180, 360, "°");
            OutOfBoundsException.requireIfAny("very mobile from", flagAboveDegrees, -180, 360, "°");
        }
    }

    public Limiter limiter() {
        return Limiter.judge(passive, active, wanted == null ? null : wanted.degrees(), endFeel, gapLimit);
    }

    /** Whether the passive estimate lies beyond usual mean + 2 SD. A flag, no finding. */
    public boolean veryMobile() {
        return passive != null
                && wanted != null
                && wanted.flagAboveDegrees() != null
                && passive.value().value() > wanted.flagAboveDegrees();
    }

    public List<Because> why() {
        var why = new ArrayList<Because>();
        var limiter = limiter();
        if (limiter == Limiter.STRUCTURE && endFeel != null) {
            var word = endFeel.name().toLowerCase(Locale.ROOT).replace('_', ' ');
            why.add(Because.of(Reason.LIMIT_STRUCTURE, Term.of(word)));
        } else if (passive == null) {
            why.add(Because.of(Reason.LIMIT_NO_PASSIVE));
        } else {
            measured(limiter, passive, why);
        }
        if (veryMobile() && wanted != null && wanted.flagAboveDegrees() != null) {
            why.add(Because.of(Reason.VERY_MOBILE, Term.of(wanted.flagAboveDegrees(), Unit.DEGREE)));
        }
        return List.copyOf(why);
    }

    private void measured(Limiter limiter, UncertainAngle range, List<Because> why) {
        var value = Term.of(range.value().value(), Unit.DEGREE);
        if (wanted == null) {
            why.add(Because.of(Reason.LIMIT_NO_MEASURE, value));
        } else if (limiter == Limiter.RANGE || limiter == Limiter.BOTH) {
            why.add(Because.of(
                    Reason.LIMIT_RANGE,
                    value,
                    Term.of(range.upper95(), Unit.DEGREE),
                    Term.of(wanted.degrees(), Unit.DEGREE),
                    Term.of(wanted.words())));
        } else if (limiter == Limiter.NEITHER) {
            why.add(Because.of(
                    Reason.LIMIT_NOTHING, value, Term.of(wanted.degrees(), Unit.DEGREE), Term.of(wanted.words())));
        }
        if (active != null && (limiter == Limiter.CONTROL || limiter == Limiter.BOTH)) {
            var gap = range.minusIndependent(active);
            why.add(Because.of(
                    Reason.LIMIT_CONTROL,
                    Term.of(gap.value().value(), Unit.DEGREE),
                    Term.of(gap.lower95(), Unit.DEGREE),
                    Term.of(gapLimit.degrees(range.value().value()), Unit.DEGREE)));
        }
        if (limiter == Limiter.BOTH) {
            why.add(Because.of(Reason.LIMIT_CONTROL_FIRST));
        }
    }
}
