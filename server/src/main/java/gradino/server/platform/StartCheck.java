package gradino.server.platform;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.Environment;

/** Ends a start that could only fail, before anything is touched: with one plain sentence, and the data as they were. */
public final class StartCheck implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {
    private static final String NEWEST =
            "SELECT max(CAST(version AS INTEGER)) FROM flyway_schema_history WHERE success = 1";

    @Override
    public void onApplicationEvent(ApplicationEnvironmentPreparedEvent event) {
        refusal(event.getEnvironment()).ifPresent(sentence -> {
            System.err.println("gradino: " + sentence);
            System.exit(1);
        });
    }

    private static Optional<String> refusal(Environment settings) {
        var directory = Path.of(settings.getRequiredProperty("gradino.data")).toAbsolutePath();
        int port = settings.getRequiredProperty("server.port", Integer.class);
        var database = directory.resolve(Database.FILE);
        // Each is looked at only when the one before has found nothing: nothing is touched where something stands
        // against it.
        return notWritable(directory)
                .or(() -> inUse(settings.getRequiredProperty("server.address"), port))
                .or(() -> newer(database))
                .or(() -> taken(directory))
                .or(() -> ownerless(settings.getProperty("gradino.host", ""), database));
    }

    private static Optional<String> notWritable(Path directory) {
        var there = directory;
        while (!Files.exists(there) && there.getParent() != null) {
            there = there.getParent();
        }
        var database = directory.resolve(Database.FILE);
        boolean writable = Files.isDirectory(there)
                && Files.isWritable(there)
                && (!Files.exists(database) || Files.isWritable(database));
        return writable ? Optional.empty() : Optional.of("the data directory " + directory + " cannot be written");
    }

    private static Optional<String> inUse(String address, int port) {
        try (var socket = new ServerSocket()) {
            socket.setReuseAddress(true);
            socket.bind(new InetSocketAddress(address, port));
            return Optional.empty();
        } catch (IOException e) {
            return Optional.of(
                    String.valueOf(e.getMessage()).contains("in use")
                            ? "port " + port + " is in use: is Gradino running already? --port N takes another"
                            : "port " + port + " cannot be taken (" + e.getMessage() + "): --port N takes another");
        }
    }

    private static Optional<String> taken(Path directory) {
        if (!Files.exists(directory.resolve(Database.FILE))) {
            return Optional.empty();
        }
        try {
            var lock = DataLock.of(directory);
            if (lock.isPresent()) {
                lock.get().close();
                return Optional.empty();
            }
            return Optional.of(DataLock.inUse(directory));
        } catch (IOException e) {
            return Optional.of("the data directory " + directory + " cannot be locked: " + e.getMessage());
        }
    }

    private static Optional<String> newer(Path database) {
        if (!Files.exists(database)) {
            return Optional.empty();
        }
        try (var connection = DriverManager.getConnection("jdbc:sqlite:file:" + database + "?mode=ro");
                var statement = connection.createStatement();
                var row = statement.executeQuery(NEWEST)) {
            int there = row.next() ? row.getInt(1) : 0;
            int known = DatabaseFile.newestKnown();
            return there <= known
                    ? Optional.empty()
                    : Optional.of(
                            "the database %s is of a newer version of Gradino (%d, this one knows %d): start that one"
                                    .formatted(database, there, known));
        } catch (SQLException e) {
            return Optional.of("the database " + database + " cannot be read: " + e.getMessage());
        }
    }

    /** Before others can reach it, somebody has to be its owner. */
    private static Optional<String> ownerless(String host, Path database) {
        if (host.isEmpty()) {
            return Optional.empty();
        }
        boolean owned = false;
        if (Files.exists(database)) {
            try (var connection = DriverManager.getConnection("jdbc:sqlite:file:" + database + "?mode=ro");
                    var statement = connection.createStatement();
                    var row = statement.executeQuery("SELECT count(*) FROM account WHERE role = 'OWNER'")) {
                owned = row.getInt(1) > 0;
            } catch (SQLException e) {
                return Optional.of("the database " + database + " cannot be read: " + e.getMessage());
            }
        }
        return owned
                ? Optional.empty()
                : Optional.of(
                        "nobody is its owner yet: start it without --host first, and make the owner on this machine");
    }
}
