package gradino.core.advance.state;

import gradino.core.body.Side;
import gradino.core.perform.StopSign;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Stop signs of a line, by when they were recorded: one that is told of after a clearance was written is new, unless the clearance
 * names it.
 *
 * @param open those that no clearance reaches
 * @param clearances whatever order they and the signs came in
 */
public record Signs(List<StopFact> open, List<Event.Cleared> clearances) {
    static final Signs NONE = new Signs(List.of(), List.of());

    public Signs {
        open = List.copyOf(open);
        clearances = List.copyOf(clearances);
    }

    /** A stop sign in force for this line. */
    public record StopFact(
            String sessionId, StopSign sign, @Nullable Side side, Instant recordedAt) {
        /** Whether it suspends this side: systemic and joint-wide signs reach both, and any reaches what both do together. */
        public boolean reaches(Side other) {
            return sign.scope() != StopSign.Scope.JOINT_SIDE
                    || side == null
                    || side == other
                    || !side.isPaired()
                    || !other.isPaired();
        }
    }

    /** Whether no clearance reaches a sign. */
    public static boolean isOpen(StopFact stop, List<Event.Cleared> clearances) {
        return clearances.stream().noneMatch(c -> c.clears(stop));
    }

    Signs with(StopFact stop) {
        if (!isOpen(stop, clearances)) {
            return this;
        }
        var all = new ArrayList<>(open);
        all.add(stop);
        return new Signs(all, clearances);
    }

    Signs cleared(Event.Cleared by) {
        var all = new ArrayList<>(clearances);
        all.add(by);
        return new Signs(open.stream().filter(stop -> !by.clears(stop)).toList(), all);
    }

    /** Without a sign that turned out to be none. */
    Signs without(String sessionId, StopSign sign) {
        return new Signs(
                open.stream()
                        .filter(s -> s.sign() != sign || !s.sessionId().equals(sessionId))
                        .toList(),
                clearances);
    }
}
