package gradino.server.account.people;

/** Only the demo has accounts whose password everybody may know. */
public final class DemoPassword {
    private static final String ID_PREFIX = "demo-";
    public static final String WORDS = "lantern quay studio";

    private DemoPassword() {}

    public static boolean isOf(Account account) {
        return account.id().startsWith(ID_PREFIX);
    }
}
