package gradino.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.function.Consumer;

/** The demo's data, told once in a run of the tests: telling them takes longer than a start. */
final class ToldDemo {
    private static final Path TOLD = Path.of("target", "demo-" + System.getProperty("gradino.run") + ".db");

    private ToldDemo() {}

    /** Puts the data into an empty directory; {@code tell} writes them to a file where nobody has yet. */
    static void into(Path directory, Consumer<Path> tell) {
        try (var lock = FileChannel.open(
                        TOLD.resolveSibling("demo.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                var unused = lock.lock()) {
            if (!Files.exists(TOLD)) {
                var being = TOLD.resolveSibling("demo-being-told.db");
                Files.deleteIfExists(being);
                tell.accept(being);
                Files.move(being, TOLD, StandardCopyOption.ATOMIC_MOVE);
            }
            Files.copy(TOLD, directory.resolve("gradino.db"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
