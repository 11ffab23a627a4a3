package gradino.server.account.people;

import java.util.Optional;

/** Tells whose data an id in an address is. Implemented by the repository that owns the thing. */
public interface ClientOwned {
    /** The variable's name in addresses, as in {@code /api/lines/{lineId}}. */
    String variable();

    /** Id of the client; empty when there is no such thing. */
    Optional<String> clientOf(String id);
}
