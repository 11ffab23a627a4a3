package gradino.server.backup;

import gradino.server.platform.Database;
import gradino.server.platform.DatabaseFile;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;

/** {@code gradino backup [FILE]}, while it is running or not: a copy of that moment, looked through before it has its name. */
public final class BackupCommand {
    private static final long MB = 1024 * 1024;

    private BackupCommand() {}

    /** @param args data directory, directory of the backups or nothing, and the file where one is wanted elsewhere */
    public static void main(String[] args) {
        System.exit(run(args, System.out, System.err));
    }

    static int run(String[] args, PrintStream out, PrintStream err) {
        var data = Path.of(args[0]);
        var database = data.resolve(Database.FILE);
        if (!Files.exists(database)) {
            err.println("gradino: there is no database in " + data);
            return 1;
        }
        try {
            var clock = Clock.system(ZoneId.systemDefault());
            var file = args.length > 2
                    ? copied(database, Path.of(args[2]))
                    : new BackupFolder(data, args[1])
                            .make(clock.instant(), clock.getZone())
                            .file();
            out.printf("%s, %.1f MB, looked through and whole%n", file, (double) Files.size(file) / MB);
            return 0;
        } catch (IOException e) {
            err.println("gradino: the backup could not be made: " + e.getMessage());
            return 1;
        }
    }

    private static Path copied(Path database, Path file) throws IOException {
        if (Files.exists(file)) {
            throw new IOException(file + " is there already");
        }
        DatabaseFile.copy(database, file);
        return file;
    }
}
