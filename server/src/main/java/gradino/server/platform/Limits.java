package gradino.server.platform;

import java.util.Locale;

/** How much a request may bring where it says nothing narrower: for the doors that hold it, and for the API's own description. */
public final class Limits {
    public static final long KB = 1024;

    /** Of a body, from whoever is not known, and from an account or a home link. */
    public static final long STRANGER_BYTES = 16 * KB;

    public static final long KNOWN_BYTES = 256 * KB;

    /** Of a text, in UTF-16 units; of a list or a map, in parts; of a list of numbers: what a gauge gives in an hour. */
    public static final int TEXT = 4_000;

    public static final int LIST = 1_000;
    public static final int NUMBERS = 200_000;

    private Limits() {}

    public static String words() {
        return String.format(Locale.ROOT, """
                Where a part says nothing narrower, a text has up to %,d letters, a list up to %,d parts, a list of numbers up to %,d, \
                and an id 1 to 64 letters, digits and dashes. A body has up to %d KB, up to %d KB from whoever is not signed in, \
                and more only where a file is meant.""", TEXT, LIST, NUMBERS, KNOWN_BYTES / KB, STRANGER_BYTES / KB);
    }
}
