package gradino.server.account.people;

/** What an account may do: owners all, coaches their own and shared clients, assistants read what is shared with them. */
public enum Role {
    OWNER,
    COACH,
    ASSISTANT;

    public String authority() {
        return "ROLE_" + name();
    }
}
