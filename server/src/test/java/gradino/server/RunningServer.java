package gradino.server;

import gradino.server.platform.InMemory;
import gradino.server.prescribe.library.PositionShelf;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;

/**
 * A server that goes on running from one test to the next, because a start takes seconds: each gets the data of a first
 * start put under it. A test that needs two at once gets two.
 */
final class RunningServer implements AutoCloseable {
    static final Instant BEGIN = Instant.parse("2026-03-02T09:00:00Z");

    /** With whose data. */
    enum Data {
        NONE,
        DEMO
    }

    private static final Map<Data, Deque<RunningServer>> IDLE = new EnumMap<>(Data.class);

    final Path directory;
    private final Path first;
    final ConfigurableApplicationContext context;
    final TestServer.TestClock clock = new TestServer.TestClock(BEGIN);
    final int port;

    RunningServer(Path directory, Data data, String... more) {
        this.directory = directory;
        context = new SpringApplicationBuilder(GradinoServer.class)
                .initializers((ApplicationContextInitializer<GenericApplicationContext>)
                        c -> c.registerBean(Clock.class, () -> clock))
                .run(Stream.concat(
                                Stream.of(
                                        "--gradino.data=" + directory,
                                        "--gradino.demo=" + (data == Data.DEMO),
                                        "--server.port=0",
                                        "--gradino.hash-strength=4",
                                        // Whoever asks for a week has it planned: two tests share a file otherwise.
                                        "--gradino.plan-ahead=false",
                                        // Two minutes of real time would make one in the middle of some test.
                                        "--gradino.backup-daily=false",
                                        "--logging.level.root=ERROR"),
                                Stream.of(more))
                        .toArray(String[]::new));
        port = ((WebServerApplicationContext) context).getWebServer().getPort();
        first = TestServer.directory().resolve("first.db");
        onWriter("backup to '" + first + "'");
    }

    /** One that nobody uses now, as a first start leaves it. */
    static synchronized RunningServer take(Data data) {
        var idle = IDLE.computeIfAbsent(data, k -> new ArrayDeque<>()).poll();
        if (idle == null) {
            return new RunningServer(directory(data), data);
        }
        idle.putFirstDataBack();
        idle.context.getBean(PositionShelf.class).fill();
        return idle;
    }

    /** With the data in it that a first start would write. */
    static Path directory(Data data) {
        var directory = TestServer.directory();
        if (data == Data.DEMO) {
            ToldDemo.into(directory, RunningServer::tell);
        }
        return directory;
    }

    private static void tell(Path file) {
        try (var first = new RunningServer(TestServer.directory(), Data.DEMO)) {
            first.onWriter("backup to '" + file + "'");
        }
    }

    static synchronized void giveBack(RunningServer server, Data data) {
        IDLE.get(data).push(server);
    }

    private void putFirstDataBack() {
        clock.set(BEGIN);
        onWriter("restore from '" + first + "'");
        for (var file : besidesTheDatabase()) {
            delete(file);
        }
        context.getBeansOfType(InMemory.class).values().forEach(InMemory::forget);
    }

    private List<Path> besidesTheDatabase() {
        try (var files = Files.list(directory)) {
            return files.filter(f -> !f.getFileName().toString().startsWith("gradino."))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void delete(Path file) {
        try (var within = Files.walk(file)) {
            for (var one : within.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(one);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void onWriter(String command) {
        try (var connection = context.getBean("writer", DataSource.class).getConnection();
                var statement = connection.createStatement()) {
            statement.executeUpdate(command);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        context.close();
    }
}
