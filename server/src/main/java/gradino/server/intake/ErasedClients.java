package gradino.server.intake;

import gradino.server.platform.Problem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The ids of clients that were erased, and when. They stand in a file beside the database, so that a database put back from a
 * copy does not bring anybody back.
 */
@Component
public class ErasedClients {
    private static final String FILE = "erased-clients.txt";

    private final Path file;

    public ErasedClients(@Value("${gradino.data}") Path directory) {
        this.file = directory.resolve(FILE);
    }

    /** On disk when it returns. */
    public synchronized void add(String clientId, Instant at) {
        var line = clientId + "\t" + at + "\n";
        try (var out = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.APPEND)) {
            out.write(ByteBuffer.wrap(line.getBytes(StandardCharsets.UTF_8)));
            out.force(true);
        } catch (IOException e) {
            throw new UncheckedIOException("what was erased cannot be noted in " + file, e);
        }
    }

    public synchronized Set<String> all() {
        var ids = new LinkedHashSet<String>();
        try {
            if (Files.exists(file)) {
                Files.readAllLines(file).forEach(line -> ids.add(line.split("\t", 2)[0]));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("what was erased cannot be read from " + file, e);
        }
        return ids;
    }

    /** @throws Problem when this client was erased and must not come back by accident */
    void requireNot(String clientId) {
        if (all().contains(clientId)) {
            throw Problem.conflict("erased", "This client was erased. Somebody who comes back gets a new file.");
        }
    }
}
