package gradino.core.advance.state;

import gradino.core.effort.Gravity;
import gradino.core.intake.Limits;
import gradino.core.measure.limit.GapLimit;
import gradino.core.quantity.OutOfBoundsException;
import org.jspecify.annotations.Nullable;

/**
 * What of the client bears on a line.
 *
 * @param limits restrictions that the motion comes under
 * @param hypermobile never deepen, build control
 * @param minutes for a session; null when not said
 * @param wantedDegrees what the passive range is held against: the greater of goal and usual lower edge; null for none
 * @param goalDegrees what the goal needs; null for none
 * @param flagAboveDegrees usual mean + 2 SD: beyond it the motion is flagged as very mobile; null without a table
 * @param limb what a load hangs on in the line's position; null while the client's mass is unknown
 * @param beside sessions in other lines, within the days after which somebody is a newcomer again
 * @param plannedDays of this week that the client's plan gives the line; null where no week is planned
 * @param studioGapLimit largest control gap in order; null for the house rule
 */
public record ClientFacts(
        Limits limits,
        boolean hypermobile,
        @Nullable Integer minutes,
        @Nullable Double wantedDegrees,
        @Nullable Double goalDegrees,
        @Nullable Double flagAboveDegrees,
        @Nullable GapLimit studioGapLimit,
        @Nullable Gravity limb,
        Beside beside,
        @Nullable Integer plannedDays) {
    public ClientFacts {
        OutOfBoundsException.require("planned days", plannedDays == null ? 0 : plannedDays, 0, 7, "");
        OutOfBoundsException.requireIfAny("wanted range", wantedDegrees, -180, 360, "°");
        OutOfBoundsException.requireIfAny("goal", goalDegrees, -180, 360, "°");
        OutOfBoundsException.requireIfAny("very mobile from", flagAboveDegrees, -180, 360, "°");
    }

    public static final ClientFacts PLAIN = new ClientFacts(Limits.NONE, false, null, null, null, null, null);

    /** Of a line that nothing hangs on. */
    public ClientFacts(
            Limits limits,
            boolean hypermobile,
            @Nullable Integer minutes,
            @Nullable Double wantedDegrees,
            @Nullable Double goalDegrees,
            @Nullable Double flagAboveDegrees,
            @Nullable GapLimit studioGapLimit) {
        this(
                limits,
                hypermobile,
                minutes,
                wantedDegrees,
                goalDegrees,
                flagAboveDegrees,
                studioGapLimit,
                null,
                Beside.NONE,
                null);
    }

    public ClientFacts withLimits(Limits to) {
        return new ClientFacts(
                to,
                hypermobile,
                minutes,
                wantedDegrees,
                goalDegrees,
                flagAboveDegrees,
                studioGapLimit,
                limb,
                beside,
                plannedDays);
    }

    public ClientFacts withLimb(@Nullable Gravity to) {
        return new ClientFacts(
                limits,
                hypermobile,
                minutes,
                wantedDegrees,
                goalDegrees,
                flagAboveDegrees,
                studioGapLimit,
                to,
                beside,
                plannedDays);
    }

    public ClientFacts withBeside(Beside to) {
        return new ClientFacts(
                limits,
                hypermobile,
                minutes,
                wantedDegrees,
                goalDegrees,
                flagAboveDegrees,
                studioGapLimit,
                limb,
                to,
                plannedDays);
    }

    public ClientFacts withPlannedDays(@Nullable Integer to) {
        return new ClientFacts(
                limits,
                hypermobile,
                minutes,
                wantedDegrees,
                goalDegrees,
                flagAboveDegrees,
                studioGapLimit,
                limb,
                beside,
                to);
    }

    public ClientFacts withWanted(double degrees) {
        return new ClientFacts(
                limits,
                hypermobile,
                minutes,
                degrees,
                goalDegrees,
                flagAboveDegrees,
                studioGapLimit,
                limb,
                beside,
                plannedDays);
    }

    public GapLimit gapLimit() {
        return studioGapLimit == null ? GapLimit.HOUSE : studioGapLimit;
    }
}
