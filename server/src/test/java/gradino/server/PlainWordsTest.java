package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

/** What people read is in the words they know from every program; the pages' own are looked through as they are built. */
public class PlainWordsTest {
    private static final Path ROOT = Path.of(System.getProperty("gradino.root", ".."));
    private static final Pattern TEXT = Pattern.compile("\"((?:[^\"\\\\]|\\\\.)*)\"");
    /** A sentence or a label, not a key, a path or a statement. */
    private static final Pattern SAID =
            Pattern.compile("^(?!.*\\b(SELECT|INSERT|UPDATE|DELETE|FROM|WHERE)\\b).*[a-z] .*");

    private static final List<Pattern> ODD = odd();

    @Test
    public void noMessageUsesAWordThatNobodyUses() throws IOException {
        var found = new ArrayList<String>();
        for (var folder : List.of("core/src/main/java", "server/src/main/java")) {
            lines(folder, ".java")
                    .filter(line -> !line.contains("/demo/"))
                    .forEach(line -> TEXT.matcher(line.substring(line.indexOf(' ')))
                            .results()
                            .map(m -> m.group(1))
                            .filter(text -> SAID.matcher(text).matches())
                            .filter(PlainWordsTest::isOdd)
                            .forEach(text -> found.add(line.substring(0, line.indexOf(' ')) + " " + text)));
        }
        lines("core/src/main/resources/gradino", "wording.properties")
                .filter(PlainWordsTest::isOdd)
                .forEach(found::add);
        assertThat(found).isEmpty();
    }

    private static Stream<String> lines(String folder, String ending) throws IOException {
        try (var files = Files.walk(ROOT.resolve(folder))) {
            return files.filter(f -> f.toString().endsWith(ending)).flatMap(PlainWordsTest::lines).toList().stream();
        }
    }

    /** Each with where it is, but for comments. */
    private static Stream<String> lines(Path file) {
        try {
            return Files.readAllLines(file).stream()
                    .map(String::strip)
                    .filter(line -> !line.startsWith("*") && !line.startsWith("/") && !line.startsWith("#"))
                    .map(line -> file + " " + line);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<Pattern> odd() {
        try {
            var words = Files.readString(ROOT.resolve("web/words-not-to-use.json"));
            return Stream.of(new JsonMapper().readValue(words, String[].class))
                    .map(word -> Pattern.compile(word, Pattern.CASE_INSENSITIVE))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static boolean isOdd(String text) {
        return ODD.stream().anyMatch(p -> p.matcher(text).find());
    }
}
