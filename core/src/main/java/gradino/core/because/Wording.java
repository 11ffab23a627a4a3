package gradino.core.because;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.Objects;
import java.util.Properties;

/** The one place where reasons become words: {@code wording.properties}, a pattern for each {@link Reason}. */
public final class Wording {
    private static final Properties PATTERNS = load();

    private Wording() {}

    public static String of(Because because) {
        var pattern = PATTERNS.getProperty(because.reason().name());
        if (pattern == null) {
            throw new IllegalStateException("no wording for " + because.reason());
        }
        var texts = because.terms().stream().map(Term::text).toArray();
        return new MessageFormat(pattern, Locale.ROOT).format(texts);
    }

    public static String capital(String words) {
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static Properties load() {
        var properties = new Properties();
        try (var in = Objects.requireNonNull(Wording.class.getResourceAsStream("/gradino/wording.properties"));
                var reader = new InputStreamReader(in, StandardCharsets.UTF_8)) {
            properties.load(reader);
            return properties;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
