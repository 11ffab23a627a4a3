package gradino.core.intake;

import gradino.core.body.Side;
import gradino.core.quantity.EffortPercent;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The restrictions that one motion comes under. Of several of a kind the strictest holds. A side that is stopped stops
 * the whole line: sides are kept equal.
 */
public record Limits(String motion, List<Restriction> restrictions) {
    public static final Limits NONE = new Limits("", List.of());

    public Limits {
        restrictions = List.copyOf(restrictions);
    }

    /** Those of a client's restrictions that bear on a motion. */
    public static Limits of(String motion, List<Restriction> all) {
        return new Limits(
                motion, all.stream().filter(r -> r.scope().covers(motion)).toList());
    }

    /** As they stood at an instant: what came later or had ended is left out. */
    public Limits at(Instant instant) {
        return new Limits(
                motion,
                restrictions.stream()
                        .filter(r -> !r.since().isAfter(instant) && r.stands(instant))
                        .toList());
    }

    public boolean isNone() {
        return restrictions.isEmpty();
    }

    /** What forbids the line as a whole. */
    public Optional<Restriction> stopped() {
        return isNone()
                ? Optional.empty()
                : restrictions.stream().filter(r -> r.kind().forbids()).findFirst();
    }

    public Optional<Restriction> noDeepening() {
        return isNone() ? Optional.empty() : of(RestrictionKind.NO_DEEPENING).findFirst();
    }

    public Optional<Restriction> notLying() {
        return of(RestrictionKind.NOT_LYING).findFirst();
    }

    public Optional<Restriction> noReleasePressure() {
        return of(RestrictionKind.NO_RELEASE_PRESSURE).findFirst();
    }

    public Optional<Restriction> effortCap() {
        return isNone() ? Optional.empty() : strictest(of(RestrictionKind.EFFORT_CAP));
    }

    public Optional<Restriction> contractionCap() {
        return isNone() ? Optional.empty() : strictest(of(RestrictionKind.CONTRACTION_CAP));
    }

    /** @param side the midline for what both sides do together: the stricter of them */
    public Optional<Restriction> angleCap(Side side) {
        if (isNone()) {
            return Optional.empty();
        }
        return strictest(of(RestrictionKind.ANGLE_CAP)
                .filter(r -> side == Side.MIDLINE
                        || r.scope().side() == null
                        || r.scope().side() == side));
    }

    /** Highest effort allowed, 100 % when there is no cap. */
    public EffortPercent highestEffort() {
        return EffortPercent.of(effortCap().map(r -> (int) r.bound()).orElse(100));
    }

    private Stream<Restriction> of(RestrictionKind kind) {
        return restrictions.stream().filter(r -> r.kind() == kind);
    }

    private static Optional<Restriction> strictest(Stream<Restriction> some) {
        return some.min(Comparator.comparingDouble(Restriction::bound));
    }
}
