package gradino.core.because;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.Properties;
import java.util.stream.IntStream;

/** What the wording file asks for, reason by reason. */
public final class Words {
    private static final Properties PATTERNS = load();

    private Words() {}

    /** How many terms the words of a reason have room for. */
    private static int places(Reason reason) {
        return new MessageFormat(PATTERNS.getProperty(reason.name()), Locale.ROOT).getFormatsByArgumentIndex().length;
    }

    /** As many terms as there are places, so that nothing is said with a hole in it and nothing is left unsaid. */
    public static void requireComplete(Because because) {
        assertThat(because.terms()).as("terms of %s", because.reason()).hasSize(places(because.reason()));
    }

    /** A reason with a number of its own in each place. */
    static Because filled(Reason reason) {
        return Because.of(
                reason,
                IntStream.range(0, places(reason))
                        .mapToObj(n -> Term.of("term" + n))
                        .toArray(Term[]::new));
    }

    private static Properties load() {
        var properties = new Properties();
        try (var reader = new InputStreamReader(
                Words.class.getResourceAsStream("/gradino/wording.properties"), StandardCharsets.UTF_8)) {
            properties.load(reader);
            return properties;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
