package gradino.server.exchange;

import gradino.server.intake.ErasedClients;
import gradino.server.platform.DataLock;
import gradino.server.platform.Database;
import gradino.server.platform.DatabaseFile;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;

/**
 * {@code gradino restore FILE}, while Gradino is not running: puts a backup in the place of the database. Whoever was erased since stays
 * erased, everybody signs in anew, and what is replaced is kept aside.
 */
public final class RestoreCommand {
    private static final List<String> SIGNED_OUT = List.of("DELETE FROM sign_in_token", "DELETE FROM home_visit");

    private RestoreCommand() {}

    /** @param args data directory and backup */
    public static void main(String[] args) {
        System.exit(run(args, Clock.systemUTC(), System.out, System.err));
    }

    static int run(String[] args, Clock clock, PrintStream out, PrintStream err) {
        var data = Path.of(args[0]);
        var backup = Path.of(args[1]);
        try {
            var lock = DataLock.of(data).orElseThrow(() -> new IOException("Gradino is running: stop it first"));
            try {
                requireGood(backup);
                var aside = putBack(data, backup, clock.instant());
                out.println(backup + " is restored. What was there was moved to " + aside);
            } finally {
                lock.close();
            }
            return 0;
        } catch (IOException e) {
            err.println("gradino: " + e.getMessage());
            return 1;
        }
    }

    private static void requireGood(Path backup) throws IOException {
        var trouble = DatabaseFile.trouble(backup);
        if (trouble.isPresent()) {
            throw new IOException(backup + " is not put back: " + trouble.get());
        }
        int version = DatabaseFile.version(backup);
        if (version > DatabaseFile.newestKnown()) {
            throw new IOException("%s is of a newer version of Gradino (%d, this one knows %d): start that one"
                    .formatted(backup, version, DatabaseFile.newestKnown()));
        }
    }

    private static Path putBack(Path data, Path backup, Instant now) throws IOException {
        var coming = data.resolve("gradino-coming.db");
        DatabaseFile.copy(backup, coming);
        DatabaseFile.change(coming, SIGNED_OUT, null);
        for (var id : new ErasedClients(data).all()) {
            DatabaseFile.change(coming, ErasureRepository.deletions(), id);
        }
        var database = data.resolve(Database.FILE);
        if (database.toFile().exists()) {
            // Whatever stood in the log beside it goes into it, or it would be read with the other.
            DatabaseFile.change(database, List.of(), null);
        }
        var aside = SetAside.next(data, now);
        DatabaseFile.replace(database, coming, aside);
        return aside;
    }
}
