package gradino.server.exchange;

import gradino.server.platform.Database;
import gradino.server.platform.DatabaseFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Databases that were replaced by a backup, each in a directory of its own beside the one in use. No backups: they stay until somebody removes them. */
@Component
class SetAside {
    private static final String NAME = "replaced-";

    private final Path data;

    SetAside(@Value("${gradino.data}") Path data) {
        this.data = data;
    }

    static Path next(Path data, Instant now) {
        var stamp = now.truncatedTo(ChronoUnit.SECONDS).toString().replace(":", "");
        return data.resolve(NAME + stamp).resolve(Database.FILE);
    }

    /**
     * Takes all that is a client's out of every one of them.
     *
     * @throws IOException with the file that cannot be changed: an older version's, or on a full disk
     */
    void erase(String clientId) throws IOException {
        for (var file : all()) {
            try {
                DatabaseFile.change(file, ErasureRepository.deletions(), clientId);
            } catch (IOException e) {
                throw new IOException("%s cannot be changed (%s)".formatted(file, e.getMessage()), e);
            }
        }
    }

    private List<Path> all() throws IOException {
        try (var beside = Files.list(data)) {
            return beside.filter(f -> f.getFileName().toString().startsWith(NAME))
                    .map(f -> f.resolve(Database.FILE))
                    .filter(Files::isRegularFile)
                    .sorted()
                    .toList();
        }
    }
}
