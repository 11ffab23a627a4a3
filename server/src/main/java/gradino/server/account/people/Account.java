package gradino.server.account.people;

/**
 * Somebody of the studio.
 *
 * @param signIn the name typed to sign in, lower case
 * @param units in which lengths and weights are shown and typed
 * @param disabled signs in no more; all that was done under it stays
 */
public record Account(String id, String name, String signIn, Role role, Units units, boolean disabled) {
    /** Centimetres and kilograms, or inches and pounds; what is stored is metric always. */
    public enum Units {
        METRIC,
        IMPERIAL
    }

    public boolean isOwner() {
        return role == Role.OWNER;
    }
}
