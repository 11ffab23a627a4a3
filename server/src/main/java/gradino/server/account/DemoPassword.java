package gradino.server.account;

/** Only the demo has accounts whose password everybody may know. */
public final class DemoPassword {
    static final String ID_PREFIX = "demo-";
    public static final String WORDS = "lantern quay studio";

    private DemoPassword() {}
}
