package gradino.core.prescribe.program;

import gradino.core.quantity.EffortPercent;
import org.jspecify.annotations.Nullable;

/**
 * What a client has done of a motion before they begin a line of it.
 *
 * @param lastCeiling highest effort in force in their other lines of the motion; null for a newcomer to it
 */
public record Experience(@Nullable EffortPercent lastCeiling) {
    public static final Experience NEWCOMER = new Experience(null);

    private static final int BELOW_THE_LAST = 20;
    private static final int LEAST_PERCENT = 20;

    /** Of lines that ask for no effort nobody can tell how hard the next may begin: as a newcomer's. */
    public static Experience of(EffortPercent lastCeiling) {
        return lastCeiling.value() == 0 ? NEWCOMER : new Experience(lastCeiling);
    }

    public boolean isNewcomer() {
        return lastCeiling == null;
    }

    /** Highest effort of a first dose: a newcomer's, or 20 points below the last in force, at least 20 % (common practice, no source). */
    int startsAt() {
        return lastCeiling == null
                ? FirstDose.NEWCOMER_CEILING
                : Math.max(LEAST_PERCENT, lastCeiling.value() - BELOW_THE_LAST);
    }
}
