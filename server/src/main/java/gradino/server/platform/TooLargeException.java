package gradino.server.platform;

import java.io.IOException;

/** A body that goes on longer than it may. */
public final class TooLargeException extends IOException {
    private static final long serialVersionUID = 1L;
    private static final long KB = 1024;

    public TooLargeException(long mostBytes) {
        super(words(mostBytes));
    }

    public static String words(long mostBytes) {
        return "At most %d KB may be sent here. Nothing was stored.".formatted(mostBytes / KB);
    }
}
