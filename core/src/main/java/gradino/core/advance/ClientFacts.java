package gradino.core.advance;

import gradino.core.intake.Restriction;
import org.jspecify.annotations.Nullable;

/**
 * What of the client bears on a line.
 *
 * @param hypermobile never deepen, build control
 * @param minutes for a session; null when not said
 * @param wantedDegrees what the passive range is held against: the greater of goal and usual lower edge; null for none
 */
public record ClientFacts(
        Restriction restriction,
        boolean hypermobile,
        @Nullable Integer minutes,
        @Nullable Double wantedDegrees) {
    public static final ClientFacts PLAIN = new ClientFacts(Restriction.NONE, false, null, null);
}
