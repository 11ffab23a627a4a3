package gradino.server.platform;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;

/** One Gradino at a time has a data directory; whoever puts a backup back has it too. Let go when the process ends, however it ends. */
@Component
public class DataLock implements AutoCloseable {
    private static final String FILE = "gradino.lock";
    /** What is written for a moment only, where the script starts it. */
    private static final Path MOMENT = Path.of(System.getProperty("java.io.tmpdir"));

    private static final String MOMENT_NAME = "gradino-tmp";
    private final FileChannel channel;

    @Autowired
    DataLock(@Value("${gradino.data}") Path directory) throws IOException {
        this(taken(directory).orElseThrow(() -> new IllegalStateException(inUse(directory))));
        clearMoment();
    }

    /** At a start, what a process that is no more left behind: it is older than this one. */
    private static void clearMoment() throws IOException {
        var started = ProcessHandle.current().info().startInstant().orElse(Instant.MIN);
        if (!MOMENT.endsWith(MOMENT_NAME)) {
            return;
        }
        try (var all = Files.list(MOMENT)) {
            for (var left : all.toList()) {
                if (Files.getLastModifiedTime(left).toInstant().isBefore(started)) {
                    FileSystemUtils.deleteRecursively(left);
                }
            }
        }
    }

    static String inUse(Path directory) {
        return "the data directory " + directory + " is in use: is Gradino running already?";
    }

    private DataLock(FileChannel channel) {
        this.channel = channel;
    }

    /** Empty where somebody has it. */
    public static Optional<DataLock> of(Path directory) throws IOException {
        return taken(directory).map(DataLock::new);
    }

    private static Optional<FileChannel> taken(Path directory) throws IOException {
        Files.createDirectories(directory);
        var channel = FileChannel.open(directory.resolve(FILE), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        try {
            if (channel.tryLock() != null) {
                return Optional.of(channel);
            }
        } catch (OverlappingFileLockException e) {
            // Somebody in this very process has it.
        }
        channel.close();
        return Optional.empty();
    }

    @Override
    @PreDestroy
    public void close() throws IOException {
        channel.close();
    }
}
