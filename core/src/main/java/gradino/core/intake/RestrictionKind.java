package gradino.core.intake;

import gradino.core.because.Unit;
import org.jspecify.annotations.Nullable;

/** Everything that a restriction can say, and the unit of its limit. */
public enum RestrictionKind {
    /** Nothing is trained. */
    STOPPED(null),
    /** No isometric contraction. */
    NO_ISOMETRICS(null),
    /** No load at the end of the range. */
    NO_LOADED_END_RANGE(null),
    /** Effort at most. */
    EFFORT_CAP(Unit.PERCENT),
    /** No single contraction longer than. */
    CONTRACTION_CAP(Unit.SECOND),
    /** The working angle is never set higher than. */
    ANGLE_CAP(Unit.DEGREE),
    /** The working angle does not rise. */
    NO_DEEPENING(null),
    /** Nothing is trained lying flat. */
    NOT_LYING(null),
    /** Told to whoever leads the session: nothing here holds the breath. */
    MOVING_BREATH(null),
    /** No release with pressure. */
    NO_RELEASE_PRESSURE(null);

    private final @Nullable Unit unit;

    RestrictionKind(@Nullable Unit unit) {
        this.unit = unit;
    }

    public boolean hasLimit() {
        return unit != null;
    }

    /** @throws IllegalStateException for a kind without a limit */
    public Unit unit() {
        if (unit == null) {
            throw new IllegalStateException(this + " has no limit");
        }
        return unit;
    }

    public String unitText() {
        return unit == null ? "" : unit.suffix().strip();
    }

    /** Whether it forbids training a line at all. */
    public boolean forbids() {
        return this == STOPPED || this == NO_ISOMETRICS || this == NO_LOADED_END_RANGE;
    }

    public double lowestLimit() {
        return this == ANGLE_CAP ? -30 : 1;
    }

    public double highestLimit() {
        return this == ANGLE_CAP ? 200 : this == EFFORT_CAP ? 100 : 600;
    }
}
