package gradino.core.prescribe.method;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a method says of staying in a stretch: a rule, not a sentence (common practice, no source). */
public enum Stretching {
    /** A long supported hold belongs to it. */
    HELD,
    /** Held, but never to the last of the stretch. */
    NOT_TO_THE_LAST,
    /** A short hold at most. */
    SHORT,
    NONE;

    static final int SHORT_SECONDS = 45;
    static final int BEFORE_THE_LAST = 9;

    /** As data files write it. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    static Optional<Stretching> byId(String id) {
        return Stream.of(values()).filter(r -> r.id().equals(id)).findFirst();
    }
}
