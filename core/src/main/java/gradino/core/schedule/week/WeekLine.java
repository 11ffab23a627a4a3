package gradino.core.schedule.week;

import gradino.core.body.Side;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.quantity.OutOfBoundsException;
import java.time.Duration;
import java.util.List;

/**
 * A line of the program as its week sees it.
 *
 * @param side the midline for a line of both sides, or of neither
 * @param spacing from the end of it to the next of the same joint: its class's, or its method's own
 * @param wanted days a week, 0 to 7
 * @param cap most days a week, 0 to 7
 * @param seconds of its own, without what it shares
 * @param shares keys of what it shares with other lines of a day
 * @param allowed days on which place, equipment, restrictions and whoever must be there allow it
 */
public record WeekLine(
        String id,
        String joint,
        Side side,
        EffortClass effort,
        Duration spacing,
        int wanted,
        int cap,
        Priority priority,
        int seconds,
        List<String> shares,
        DaySet allowed) {
    public WeekLine {
        OutOfBoundsException.require("wanted days", wanted, 0, DaySet.DAYS, "");
        OutOfBoundsException.require("most days", cap, 0, DaySet.DAYS, "");
        OutOfBoundsException.require("seconds of a line", seconds, 0, WeekDay.MOST_SECONDS, "s");
        OutOfBoundsException.require("spacing", (int) spacing.toHours(), 0, 24 * DaySet.DAYS, "h");
        shares = List.copyOf(shares);
    }

    /** Light work neither waits for other work nor keeps it waiting. */
    public boolean isLight() {
        return effort == EffortClass.LIGHT;
    }

    /** Whether the rest of one is the rest of the other: the same joint on a side that both have. */
    public boolean meets(WeekLine other) {
        return meets(other.joint, other.side);
    }

    public boolean meets(String otherJoint, Side otherSide) {
        return joint.equals(otherJoint) && (side == otherSide || !side.isPaired() || !otherSide.isPaired());
    }

    /** Days it may have: never more than are wanted, nor than its cap. */
    public int most() {
        return Math.min(wanted, cap);
    }

    public WeekLine withSeconds(int other) {
        return new WeekLine(id, joint, side, effort, spacing, wanted, cap, priority, other, shares, allowed);
    }

    public WeekLine withAllowed(DaySet other) {
        return new WeekLine(id, joint, side, effort, spacing, wanted, cap, priority, seconds, shares, other);
    }

    public WeekLine withWanted(int days) {
        return new WeekLine(id, joint, side, effort, spacing, days, cap, priority, seconds, shares, allowed);
    }
}
