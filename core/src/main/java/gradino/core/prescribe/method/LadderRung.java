package gradino.core.prescribe.method;

import gradino.core.because.Source;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One step of a method's ladder, from its file: which number of which block grows, by how much and up to where; or what of the
 * whole line.
 *
 * @param words for a reader
 * @param roles of the blocks that are moved together; empty where it is of the whole line
 * @param numbers of those blocks that are moved together; empty where it is of the whole line
 * @param step null for the usual one: counts by 1, seconds by 1 below ten and by the policy's from ten on, efforts by the policy's
 * @param top a number, or the name of one that the policy sets; null for the most that the method allows
 */
public record LadderRung(
        String words,
        What what,
        List<String> roles,
        List<String> numbers,
        @Nullable Double step,
        @Nullable String top,
        Source source) {
    /** Numbers of the policy that a ladder may name as a top. */
    public static final Set<String> POLICY_TOPS = Set.of("CEILING_FIRST_TOP");

    /** What a step moves. */
    public enum What {
        ANGLE,
        LOAD,
        /** The position's next harder option. */
        OPTION,
        STAGE,
        NUMBER;

        /** As data files write it. */
        String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public LadderRung {
        roles = List.copyOf(roles);
        numbers = List.copyOf(numbers);
    }

    static LadderRung ofLine(What what, Source source) {
        var words = switch (what) {
            case ANGLE -> "deeper";
            case LOAD -> "load";
            case OPTION -> "harder option";
            case STAGE -> "next position";
            case NUMBER -> throw new IllegalArgumentException("a number belongs to a block");
        };
        return new LadderRung(words, what, List.of(), List.of(), null, null, source);
    }

    /** Whether it goes further into the range. */
    public boolean deepens() {
        return what == What.ANGLE || movesZone();
    }

    public boolean movesZone() {
        return numbers.contains(RoleNumber.ZONE);
    }

    public boolean movesEffort() {
        return numbers.stream().anyMatch(RoleNumber::isEffort);
    }
}
