package gradino.server.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.sqlite.SQLiteConnection;
import org.sqlite.SQLiteErrorCode;

/** A database as a file: copied while others write to it, looked through, put in another's place. Needs no running Gradino. */
public final class DatabaseFile {
    /** What is being written has this behind its name until it is whole. */
    public static final String PART = ".part";

    private static final Pattern MIGRATION = Pattern.compile("V(\\d+)__.*");
    private static final String NEWEST =
            "SELECT max(CAST(version AS INTEGER)) FROM flyway_schema_history WHERE success = 1";
    private static final String BUSY = "PRAGMA busy_timeout = 5000";
    /** A whole file is looked through page by page, and indexes in their own order. */
    private static final String MAPPED = "PRAGMA mmap_size = 1073741824";

    private static final int PAGES_AT_ONCE = 2_000;
    private static final int WAIT_MILLIS = 100;
    private static final int WAITS = 50;

    private DatabaseFile() {}

    /** What one row's first column says; for all the questions that are asked of a file. */
    @FunctionalInterface
    private interface Ask<T> {
        T of(Connection connection) throws SQLException;
    }

    private static <T> T open(Path file, boolean reading, Ask<T> ask) throws SQLException {
        var mode = reading ? "?mode=ro" : "";
        try (var connection = DriverManager.getConnection("jdbc:sqlite:file:" + file.toAbsolutePath() + mode)) {
            run(connection, BUSY);
            run(connection, MAPPED);
            return ask.of(connection);
        }
    }

    private static void run(Connection connection, String sql) throws SQLException {
        try (var statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    private static String first(Connection connection, String sql) throws SQLException {
        try (var statement = connection.createStatement();
                var row = statement.executeQuery(sql)) {
            return row.next() ? String.valueOf(row.getString(1)) : "";
        }
    }

    /**
     * Copies a database as it stands at one moment, while others write to it. Inside a transaction, or the copy would begin anew with
     * each write. It is looked through, forced to the disk and only then has its name.
     *
     * @throws IOException when it cannot be written, or is not whole
     */
    public static void copy(Path from, Path to) throws IOException {
        var part = beside(to, PART);
        try {
            Files.deleteIfExists(part);
            open(from, false, connection -> {
                run(connection, "PRAGMA query_only = 1");
                run(connection, "BEGIN");
                first(connection, "SELECT count(*) FROM sqlite_schema");
                pages(connection, part);
                run(connection, "COMMIT");
                return true;
            });
            // One file alone, with no log beside it.
            open(part, false, connection -> first(connection, "PRAGMA journal_mode = DELETE"));
            var trouble = trouble(part);
            if (trouble.isPresent()) {
                throw new IOException("the copy is not whole: " + trouble.get());
            }
            force(part);
            Files.move(part, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            forceDirectory(to);
        } catch (SQLException e) {
            throw new IOException(e.getMessage(), e);
        } finally {
            for (var left : List.of(part, beside(part, "-journal"), beside(part, "-wal"), beside(part, "-shm"))) {
                Files.deleteIfExists(left);
            }
        }
    }

    private static Path beside(Path file, String ending) {
        return file.resolveSibling(file.getFileName() + ending);
    }

    /** Forced to the disk piece by piece: all at once at the end, and whoever saves meanwhile waits for the whole of it. */
    private static void pages(Connection from, Path to) throws SQLException {
        var database = from.unwrap(SQLiteConnection.class).getDatabase();
        int code = database.backup(
                "main", to.toAbsolutePath().toString(), (left, all) -> forced(to), WAIT_MILLIS, WAITS, PAGES_AT_ONCE);
        if (code != SQLiteErrorCode.SQLITE_OK.code) {
            throw new SQLException("the copy ended with " + SQLiteErrorCode.getErrorCode(code));
        }
    }

    private static void forced(Path file) {
        try {
            force(file);
        } catch (IOException e) {
            // What cannot be forced now cannot be forced at the end, and is said there.
        }
    }

    /** What is wrong with a database of Gradino's, in words; empty when nothing is. */
    public static Optional<String> trouble(Path file) {
        if (!Files.isRegularFile(file)) {
            return Optional.of("there is no file " + file);
        }
        // Two long readings of the whole file, beside each other.
        var pages = CompletableFuture.supplyAsync(() -> found(file, DatabaseFile::damage));
        var rows = found(file, DatabaseFile::looseRows);
        return pages.join().or(() -> rows);
    }

    private static Optional<String> found(Path file, Ask<Optional<String>> ask) {
        try {
            return open(file, true, ask);
        } catch (SQLException e) {
            return Optional.of("it cannot be read: " + e.getMessage());
        }
    }

    private static Optional<String> damage(Connection connection) throws SQLException {
        var integrity = first(connection, "PRAGMA integrity_check(1)");
        return integrity.equals("ok") ? Optional.empty() : Optional.of("its pages are damaged: " + integrity);
    }

    private static Optional<String> looseRows(Connection connection) throws SQLException {
        var loose = first(connection, "SELECT \"table\" FROM pragma_foreign_key_check LIMIT 1");
        if (!loose.isEmpty()) {
            return Optional.of("rows of " + loose + " belong to nothing");
        }
        return first(connection, "SELECT count(*) FROM client").isEmpty()
                ? Optional.of("it is none of Gradino's")
                : Optional.empty();
    }

    /** Number of the newest change of the schema in it. */
    public static int version(Path file) throws IOException {
        try {
            return open(file, true, connection -> {
                var version = first(connection, NEWEST);
                return version.isEmpty() || version.equals("null") ? 0 : Integer.parseInt(version);
            });
        } catch (SQLException e) {
            throw new IOException(e.getMessage(), e);
        }
    }

    /** The newest change of the schema that this Gradino knows. */
    public static int newestKnown() {
        try {
            var files = new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/V*.sql");
            return Arrays.stream(files)
                    .map(file -> MIGRATION.matcher(String.valueOf(file.getFilename())))
                    .filter(Matcher::matches)
                    .mapToInt(found -> Integer.parseInt(found.group(1)))
                    .max()
                    .orElse(0);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One answer of one row; empty where there is none, or no such table. */
    public static Optional<String> answer(Path file, String sql) {
        try {
            return open(
                    file,
                    true,
                    connection -> Optional.of(first(connection, sql)).filter(a -> !a.isEmpty() && !a.equals("null")));
        } catch (SQLException e) {
            return Optional.empty();
        }
    }

    /** Changes all in one step, written over and with nothing left in a log beside it. */
    public static void change(Path file, List<String> statements, @Nullable String value) throws IOException {
        try {
            open(file, false, connection -> {
                run(connection, "PRAGMA secure_delete = 1");
                connection.setAutoCommit(false);
                for (var sql : statements) {
                    try (var statement = connection.prepareStatement(sql)) {
                        if (value != null && statement.getParameterMetaData().getParameterCount() > 0) {
                            statement.setString(1, value);
                        }
                        statement.executeUpdate();
                    }
                }
                connection.commit();
                connection.setAutoCommit(true);
                first(connection, "PRAGMA wal_checkpoint(TRUNCATE)");
                return true;
            });
        } catch (SQLException e) {
            throw new IOException(e.getMessage(), e);
        }
    }

    private static void force(Path file) throws IOException {
        try (var channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    /** The name of a file is safe once its directory is. */
    private static void forceDirectory(Path file) {
        var directory = file.toAbsolutePath().getParent();
        if (directory == null) {
            return;
        }
        try (var channel = FileChannel.open(directory, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException e) {
            // Some file systems do not open directories; the name is safe a moment later then.
        }
    }

    /** Puts one file in another's place in one step; what was there goes aside whole. */
    public static void replace(Path file, Path with, Path aside) throws IOException {
        force(with);
        if (Files.exists(file)) {
            Files.createDirectories(
                    Objects.requireNonNull(aside.toAbsolutePath().getParent()));
            copy(file, aside);
        }
        Files.move(with, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        forceDirectory(file);
    }
}
