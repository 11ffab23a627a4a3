package gradino.core.prescribe.method;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a method says of cramp: a rule, not a sentence (common practice, no source). */
public enum Cramp {
    /** It belongs to it and counts for nothing. */
    EXPECTED,
    /** Noted; three in a set do not qualify. */
    ALLOWED,
    /** Ease off once, then the set ends; two in a set do not qualify. */
    EASE_OFF;

    /** As data files write it. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    static Optional<Cramp> byId(String id) {
        return Stream.of(values()).filter(c -> c.id().equals(id)).findFirst();
    }
}
