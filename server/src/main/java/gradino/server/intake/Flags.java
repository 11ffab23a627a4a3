package gradino.server.intake;

import java.time.Instant;
import java.util.Collection;
import java.util.Map;

/** Tells of the newest stop sign of each client, so that the screening is asked again; implemented where sessions are kept. */
public interface Flags {
    Map<String, Instant> lastFlags(Collection<String> clientIds);
}
