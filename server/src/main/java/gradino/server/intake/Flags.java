package gradino.server.intake;

import java.time.Instant;
import java.util.Optional;

/** Tells of the newest stop sign of a client, so that the screening is asked again; implemented where sessions are kept. */
public interface Flags {
    Optional<Instant> lastFlag(String clientId);
}
