package gradino.core.intake;

import gradino.core.because.Source;
import gradino.core.quantity.OutOfBoundsException;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One thing that must not be done with a client, whoever asks.
 *
 * @param id stable for one finding of one client, so that a clearance can name it
 * @param limit in the kind's unit; null for kinds without one
 * @param reason why; shown wherever it bites
 * @param since when the finding was made, or the thing happened
 * @param until when it ends by itself; null when only a clearance or a new screening ends it
 */
public record Restriction(
        String id,
        RestrictionKind kind,
        Scope scope,
        @Nullable Double limit,
        String reason,
        Source source,
        Instant since,
        @Nullable Instant until) {

    public Restriction {
        if (kind.hasLimit() != (limit != null)) {
            throw new IllegalArgumentException(kind + " with limit " + limit);
        }
        if (limit != null) {
            OutOfBoundsException.require("limit", limit, kind.lowestLimit(), kind.highestLimit(), kind.unitText());
        }
    }

    public boolean stands(Instant now) {
        return until == null || now.isBefore(until);
    }

    public Restriction withLimit(double to, String because) {
        return new Restriction(id, kind, scope, to, because, source, since, until);
    }

    /** Its limit where the kind has one. */
    public double bound() {
        if (limit == null) {
            throw new IllegalStateException(kind + " has no limit");
        }
        return limit;
    }
}
