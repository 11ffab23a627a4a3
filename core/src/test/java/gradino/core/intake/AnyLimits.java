package gradino.core.intake;

import gradino.core.because.Source;
import gradino.core.body.Side;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Restrictions for tests, all invented. */
public final class AnyLimits {
    private static final Source INVENTED = new Source(Source.Kind.HOUSE_RULE, "invented");

    private AnyLimits() {}

    public static Limits of(@Nullable Integer effortCap, boolean noDeepening, boolean stopped) {
        var all = new ArrayList<Restriction>();
        if (effortCap != null) {
            all.add(one(RestrictionKind.EFFORT_CAP, (double) effortCap));
        }
        if (noDeepening) {
            all.add(one(RestrictionKind.NO_DEEPENING, null));
        }
        if (stopped) {
            all.add(one(RestrictionKind.STOPPED, null));
        }
        return new Limits("hip-internal-rotation", all);
    }

    public static Limits of(RestrictionKind kind, @Nullable Double limit) {
        return new Limits("hip-internal-rotation", List.of(one(kind, limit)));
    }

    /** Of one side. */
    public static Limits of(RestrictionKind kind, double limit, Side side) {
        var motion = "hip-internal-rotation";
        return new Limits(motion, List.of(one(kind, limit, Scope.motion(motion, side))));
    }

    public static Restriction one(RestrictionKind kind, @Nullable Double limit) {
        return one(kind, limit, Scope.WHOLE_BODY);
    }

    private static Restriction one(RestrictionKind kind, @Nullable Double limit, Scope scope) {
        return new Restriction(
                "invented/" + kind, kind, scope, limit, "invented reason", INVENTED, Instant.EPOCH, null);
    }
}
