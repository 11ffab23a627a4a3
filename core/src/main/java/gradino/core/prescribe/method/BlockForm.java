package gradino.core.prescribe.method;

import gradino.core.prescribe.block.BlockKind;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** The kinds of block that a coach can put into a protocol. */
public enum BlockForm {
    CONTROLLED_ROTATION("controlled rotation", BlockKind.ROTATION),
    RELEASE("release", BlockKind.RELEASE),
    SUPPORTED_HOLD("supported hold", BlockKind.SUPPORTED_HOLD),
    PRESS_RAMP("press ramp", BlockKind.PRESS),
    PULL_RAMP("pull ramp", BlockKind.PULL),
    GRADED_SET("graded set", BlockKind.PRESS, BlockKind.PULL),
    CONTRACT_RELAX("contract–relax", BlockKind.CONTRACT_RELAX),
    HANDS_OFF_HOLD("hands-off hold", BlockKind.HANDS_OFF),
    LIFT_OFF("lift-offs", BlockKind.LIFT_OFF),
    ECCENTRIC("eccentrics", BlockKind.ECCENTRIC),
    LOADED_STRETCH("loaded stretch", BlockKind.LOADED_STRETCH),
    PULSES("pulses in and out", BlockKind.PULSES),
    SIDESTEP_ROUNDS("sidestep rounds", BlockKind.SIDESTEP),
    TRANSITION("rocks or transition", BlockKind.TRANSITION),
    SETTLE("settle", BlockKind.SETTLE),
    REST("rest", BlockKind.REST),
    GROUP("rounds of several"),
    PROP("bench, incline, strap or band", BlockKind.PROP),
    RE_MEASURE("re-measure", BlockKind.RE_MEASURE),
    MOVEMENT_RETEST("movement re-test", BlockKind.MOVEMENT_RETEST);

    /** Without a copy each time. */
    static final List<BlockForm> ALL = List.of(values());

    private final String words;
    /** Made by Set.of, which nobody changes. */
    @SuppressWarnings("ImmutableEnumChecker")
    private final Set<BlockKind> kinds;

    BlockForm(String words, BlockKind... kinds) {
        this.words = words;
        this.kinds = Set.of(kinds);
    }

    public String words() {
        return words;
    }

    /** As data files write it: {@code supported-hold}. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public static Optional<BlockForm> byId(String id) {
        for (var form : values()) {
            if (form.id().equals(id)) {
                return Optional.of(form);
            }
        }
        return Optional.empty();
    }

    /** What its parts are in the timeline and in the record; none for what holds other blocks. */
    public Set<BlockKind> kinds() {
        return kinds;
    }

    /** Whether it has treads. */
    public boolean isRamp() {
        return this == PRESS_RAMP || this == PULL_RAMP || this == GRADED_SET;
    }

    /** Whether it wakes the area up again that a release let go. */
    public boolean activates() {
        return switch (this) {
            case PRESS_RAMP,
                    PULL_RAMP,
                    GRADED_SET,
                    CONTRACT_RELAX,
                    HANDS_OFF_HOLD,
                    LIFT_OFF,
                    ECCENTRIC,
                    LOADED_STRETCH,
                    PULSES,
                    SIDESTEP_ROUNDS -> true;
            default -> false;
        };
    }
}
