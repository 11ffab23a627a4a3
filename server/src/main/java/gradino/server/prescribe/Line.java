package gradino.server.prescribe;

import gradino.core.measure.Instrument;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One prescribed item for one client; its plan and doses come from {@link LineHistory}.
 *
 * @param composed which line of which composed session it is; null for a line with a plan of its own
 * @param endedAt when it was taken out of its session or went on in a harder position; null while it is trained
 */
public record Line(
        String id,
        String clientId,
        String motion,
        String position,
        Instrument instrument,
        Instant happenedAt,
        Instant recordedAt,
        @Nullable InSession composed,
        @Nullable Instant endedAt) {

    /**
     * Where a line stands in a composed session.
     *
     * @param key its id within the session
     */
    public record InSession(String compositionId, String key) {}

    public Line(
            String id,
            String clientId,
            String motion,
            String position,
            Instrument instrument,
            Instant happenedAt,
            Instant recordedAt) {
        this(id, clientId, motion, position, instrument, happenedAt, recordedAt, null, null);
    }
}
