package gradino.server.account.people;

/**
 * Somebody of the studio.
 *
 * @param signIn the name typed to sign in, lower case
 * @param disabled signs in no more; all that was done under it stays
 */
public record Account(String id, String name, String signIn, Role role, boolean disabled) {
    public boolean isOwner() {
        return role == Role.OWNER;
    }
}
