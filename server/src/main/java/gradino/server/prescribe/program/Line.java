package gradino.server.prescribe.program;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * One motion in one position as it is prescribed, run, judged and advanced; what it does stands in its versions.
 *
 * @param follows the line that it goes on from, a stage before; null for none
 * @param endedAt when no session had it any more, or it went on in another line; null while it is trained
 */
public record Line(
        String id,
        String clientId,
        String motion,
        String position,
        Instant happenedAt,
        Instant recordedAt,
        @Nullable String follows,
        @Nullable Instant endedAt) {}
