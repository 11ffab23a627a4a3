package gradino.server.backup;

import gradino.server.platform.Database;
import gradino.server.platform.DatabaseFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The directory of the backups that are made by themselves; each name says when. */
public final class BackupFolder {
    public static final String NAME = "backups";
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("'gradino-'yyyy-MM-dd'T'HHmmss'Z.db'").withZone(ZoneOffset.UTC);

    private final Path data;
    private final Path folder;

    /** @param folder where they are kept; beside the database where it is empty */
    public BackupFolder(Path data, String folder) {
        this.data = data;
        this.folder = folder.isEmpty() ? data.resolve(NAME) : Path.of(folder);
    }

    /** One backup. */
    public record Backup(Path file, Instant at, long bytes) {}

    /** Newest first. */
    public List<Backup> all() throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (var files = Files.list(folder)) {
            return files.flatMap(BackupFolder::read)
                    .sorted(Comparator.comparing(Backup::at).reversed())
                    .toList();
        }
    }

    private static Stream<Backup> read(Path file) {
        try {
            var at = Instant.from(STAMP.parse(file.getFileName().toString()));
            return Stream.of(new Backup(file, at, Files.size(file)));
        } catch (DateTimeParseException | IOException e) {
            return Stream.empty();
        }
    }

    /** The newest one that the clock has reached. */
    public Optional<Backup> newest(Instant now) throws IOException {
        return all().stream().filter(b -> !b.at().isAfter(now)).findFirst();
    }

    /** Makes one, and lets those go that are no longer kept. */
    public Backup make(Instant now, ZoneId zone) throws IOException {
        Files.createDirectories(folder);
        var file = folder.resolve(STAMP.format(now));
        DatabaseFile.copy(data.resolve(Database.FILE), file);
        thin(now, zone);
        return new Backup(file, Instant.from(STAMP.parse(file.getFileName().toString())), Files.size(file));
    }

    private void thin(Instant now, ZoneId zone) throws IOException {
        var all = all();
        var kept = Kept.of(all.stream().map(Backup::at).toList(), now, zone);
        for (var backup : all) {
            if (!kept.contains(backup.at())) {
                Files.deleteIfExists(backup.file());
            }
        }
        // What a power cut left half written.
        try (var files = Files.list(folder)) {
            for (var part : files.filter(f -> f.getFileName().toString().contains(DatabaseFile.PART))
                    .toList()) {
                Files.deleteIfExists(part);
            }
        }
    }
}
