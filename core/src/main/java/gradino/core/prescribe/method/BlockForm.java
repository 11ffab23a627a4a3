package gradino.core.prescribe.method;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The kinds of block that a coach can put into a protocol. */
public enum BlockForm {
    CONTROLLED_ROTATION("controlled rotation"),
    RELEASE("release"),
    SUPPORTED_HOLD("supported hold"),
    PRESS_RAMP("press ramp"),
    PULL_RAMP("pull ramp"),
    GRADED_SET("graded set"),
    CONTRACT_RELAX("contract–relax"),
    HANDS_OFF_HOLD("hands-off hold"),
    LIFT_OFF("lift-offs"),
    ECCENTRIC("eccentrics"),
    LOADED_STRETCH("loaded stretch"),
    PULSES("pulses in and out"),
    SIDESTEP_ROUNDS("sidestep rounds"),
    TRANSITION("rocks or transition"),
    SETTLE("settle"),
    REST("rest"),
    GROUP("rounds of several"),
    RE_MEASURE("re-measure"),
    MOVEMENT_RETEST("movement re-test");

    /** Without a copy each time. */
    static final List<BlockForm> ALL = List.of(values());

    private final String words;

    BlockForm(String words) {
        this.words = words;
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
