package gradino.core.advance;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.perform.Observer;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.Dose;
import gradino.core.quantity.Tenths;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A session as the fold keeps it, with what was answered the next morning. */
record SessionFacts(
        String id,
        Instant endedAt,
        Instant recordedAt,
        Observer observer,
        Sided<Dose> doses,
        Sided<SideFacts> sides,
        @Nullable Morning morning) {

    record Morning(boolean settled, @Nullable Tenths soreness, Instant recordedAt) {}

    static SessionFacts of(SessionRecord session, Instant recordedAt) {
        return new SessionFacts(
                session.id(),
                session.endedAt(),
                recordedAt,
                session.observer(),
                session.doses(),
                Sided.of(side -> SideFacts.of(session, side)),
                null);
    }

    SessionFacts with(Morning answer) {
        return new SessionFacts(id, endedAt, recordedAt, observer, doses, sides, answer);
    }

    SideFacts on(Side side) {
        return sides.on(side);
    }

    long secondsAfter(SessionFacts earlier) {
        return endedAt.getEpochSecond() - earlier.endedAt.getEpochSecond();
    }

    /** When the last word about this session came in. */
    Instant lastHeard() {
        return morning != null && morning.recordedAt().isAfter(recordedAt) ? morning.recordedAt() : recordedAt;
    }

    /** The next-morning questions were not answered. */
    boolean isUnknown() {
        return morning == null;
    }

    int sorenessOrZero() {
        return morning == null || morning.soreness() == null
                ? 0
                : morning.soreness().value();
    }
}
