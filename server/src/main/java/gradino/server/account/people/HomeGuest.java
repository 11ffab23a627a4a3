package gradino.server.account.people;

/** A client who came in by a link of their own: sees nothing but theirs. */
public record HomeGuest(String linkId, String clientId) {
    public static final String AUTHORITY = "ROLE_HOME";
}
