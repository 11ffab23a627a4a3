package gradino.core.prescribe.method;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a method says of the breath: a rule, not a sentence (common practice, no source). */
public enum BreathRule {
    /** By the pacer; above 50 % small breaths, never held. */
    SMALL_WHEN_HARD,
    /** In one way, out the other: the movement is the pacer. */
    EACH_WAY,
    /** Nothing is so hard that the breath would not flow. */
    FLOWING,
    /** Uneven breath means that it is too hard: said with a tap, it bars the step as an effort that was missed does. */
    GAUGE;

    /** Up to here a breath can flow (house rule: the effort from which breaths are small). */
    public static final int FLOWS_UP_TO_PERCENT = 50;

    /** As data files write it. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    static Optional<BreathRule> byId(String id) {
        return Stream.of(values()).filter(r -> r.id().equals(id)).findFirst();
    }

    /** Whether an effort leaves the breath as the method wants it. */
    boolean allows(double percent) {
        return percent <= FLOWS_UP_TO_PERCENT || this == SMALL_WHEN_HARD || this == EACH_WAY;
    }
}
