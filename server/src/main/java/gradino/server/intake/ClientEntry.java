package gradino.server.intake;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A client as they are found.
 *
 * @param archivedAt when they left; null while they come
 */
record ClientEntry(
        String id, String name, String goal, @Nullable Instant archivedAt) {}
