package gradino.server.account;

/** What an account may do: owners all, coaches their own and shared clients, assistants read what is shared with them. */
public enum Role {
    OWNER,
    COACH,
    ASSISTANT;

    String authority() {
        return "ROLE_" + name();
    }
}
