package gradino.server.platform;

/** What a part of the running server remembers besides the database. */
public interface InMemory {
    /** Other data have been put under the running server: nothing that was remembered is true any more. */
    void forget();
}
