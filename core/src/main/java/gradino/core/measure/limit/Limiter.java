package gradino.core.measure.limit;

import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.UncertainAngle;
import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What limits a motion on one side. */
public enum Limiter {
    RANGE,
    CONTROL,
    BOTH,
    NEITHER,
    STRUCTURE,
    /** Nothing measured, or nothing to hold it against. */
    UNKNOWN;

    private static final List<Limiter> MOST_CAUTIOUS_FIRST = List.of(STRUCTURE, CONTROL, BOTH, RANGE, NEITHER);

    /** Of both sides the more cautious; unknown only when neither says anything. */
    public static Limiter worse(Collection<Limiter> sides) {
        return MOST_CAUTIOUS_FIRST.stream().filter(sides::contains).findFirst().orElse(UNKNOWN);
    }

    /**
     * Judges by 95 % bounds, so that noise does not decide.
     *
     * @param passive estimate of the passive range; null when never measured cold
     * @param active estimate of the active range; null when never measured cold
     * @param wantedDegrees what the range is held against: the goal, or the usual range's lower edge; null for none
     * @param endFeel at the last measurement; null when unknown
     * @param gapLimit largest control gap that is in order
     */
    public static Limiter judge(
            @Nullable UncertainAngle passive,
            @Nullable UncertainAngle active,
            @Nullable Double wantedDegrees,
            @Nullable EndFeel endFeel,
            GapLimit gapLimit) {
        OutOfBoundsException.requireIfAny("wanted range", wantedDegrees, -180, 360, "°");
        if (endFeel != null && endFeel.isStructure()) {
            return STRUCTURE;
        }
        if (passive == null) {
            return UNKNOWN;
        }
        boolean control = active != null && isControlLimited(passive, active, gapLimit);
        if (wantedDegrees == null) {
            return control ? CONTROL : UNKNOWN;
        }
        boolean range = passive.upper95() < wantedDegrees;
        if (control) {
            return range ? BOTH : CONTROL;
        }
        return range ? RANGE : NEITHER;
    }

    private static boolean isControlLimited(UncertainAngle passive, UncertainAngle active, GapLimit limit) {
        return passive.minusIndependent(active).lower95()
                > limit.degrees(passive.value().value());
    }
}
