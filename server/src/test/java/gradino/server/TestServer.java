package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.RunningServer.Data;
import gradino.server.account.people.DemoPassword;
import gradino.server.account.people.OwnerCode;
import gradino.server.platform.InMemory;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A real server over a real SQLite file on a free port, with a clock that tests move. */
public final class TestServer implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    public static final String PASSWORD = "a few plain words";
    private final RunningServer running;
    private final Runnable end;
    private final Caller me;
    public final TestClock clock;
    public final int port;
    final @Nullable Safe keyStore;

    /** A key store and its password. */
    record Safe(Path keyStore, String password) {}

    private TestServer(RunningServer running, Data data, @Nullable Safe safe, Runnable end) {
        this.running = running;
        this.end = end;
        keyStore = safe;
        clock = running.clock;
        port = running.port;
        me = new Caller(this);
        var seated = data == Data.DEMO
                ? me.signIn("maren", DemoPassword.WORDS)
                : me.get("/api/sign-in").body().path("firstRun").asBoolean()
                        ? me.post("/api/sign-in/owner", firstOwner("owner", "hollis"))
                        : me.signIn("hollis", PASSWORD);
        assertThat(seated.status()).as(seated.body().toString()).isEqualTo(200);
    }

    /** Where nobody is yet; a start of its own. */
    static TestServer ownerless() {
        return new TestServer(new RunningServer(directory(), Data.NONE));
    }

    private TestServer(RunningServer running) {
        this.running = running;
        this.end = running::close;
        keyStore = null;
        clock = running.clock;
        port = running.port;
        me = new Caller(this);
    }

    private static TestServer shared(Data data) {
        var running = RunningServer.take(data);
        return new TestServer(running, data, null, () -> RunningServer.giveBack(running, data));
    }

    public static String account(String id, String name, String signIn, String role) {
        return "{\"id\":\"%s\",\"name\":\"%s\",\"signIn\":\"%s\",\"role\":\"%s\",\"password\":\"%s\"}"
                .formatted(id, name, signIn, role, PASSWORD);
    }

    /** The owner, with the code that the console says. */
    String firstOwner(String id, String signIn) {
        return "{\"id\":\"%s\",\"name\":\"Hollis Wray\",\"signIn\":\"%s\",\"password\":\"%s\",\"code\":\"%s\"}"
                .formatted(id, signIn, PASSWORD, bean(OwnerCode.class).words());
    }

    public static TestServer empty() {
        return shared(Data.NONE);
    }

    public static TestServer demo() {
        return shared(Data.DEMO);
    }

    /** The demo in a directory where it may have been before; a start of its own. */
    public static TestServer demoIn(Path data) {
        var running = new RunningServer(data, Data.DEMO);
        return new TestServer(running, Data.DEMO, null, running::close);
    }

    /** Over data that are there, with the owner signed in; a start of its own. */
    static TestServer on(Path data) {
        var running = new RunningServer(data, Data.NONE);
        return new TestServer(running, Data.NONE, null, running::close);
    }

    /** As somebody starts it with a key store; it is asked as localhost here. */
    public static TestServer safe(String host, Path keyStore, String password) {
        var running = new RunningServer(
                directory(),
                Data.NONE,
                "--gradino.host=" + host,
                "--server.ssl.key-store=" + keyStore,
                "--server.ssl.key-store-password=" + password);
        return new TestServer(running, Data.NONE, new Safe(keyStore, password), running::close);
    }

    /** Where its data are. */
    public Path data() {
        return running.directory;
    }

    /** With the demo's data in it; nobody works there yet. */
    public static Path demoDirectory() {
        return RunningServer.directory(Data.DEMO);
    }

    public static Path directory() {
        try {
            return Files.createTempDirectory("gradino-test");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A clock that stands still until it is moved. */
    public static final class TestClock extends Clock {
        private volatile Instant now;

        TestClock(Instant now) {
            this.now = now;
        }

        public void move(Duration by) {
            now = now.plus(by);
        }

        void set(Instant moment) {
            now = moment;
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    public <T> T bean(Class<T> type) {
        return running.context.getBean(type);
    }

    public <T> T bean(String name, Class<T> type) {
        return running.context.getBean(name, type);
    }

    /** As after another database was put under it. */
    void forget() {
        running.context.getBeansOfType(InMemory.class).values().forEach(InMemory::forget);
    }

    /** The texts of all files of the archive, by their names. */
    Map<String, String> archive() throws IOException {
        var files = new LinkedHashMap<String, String>();
        try (var zip = new ZipInputStream(new ByteArrayInputStream(bytes("/api/exchange/gradino.zip")))) {
            for (var entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return files;
    }

    public String url(String path) {
        return (keyStore == null ? "http" : "https") + "://localhost:" + port + path;
    }

    /** An answer of the server. */
    public record Answer(int status, JsonNode body) {
        public List<String> codes() {
            return body.path("findings")
                    .valueStream()
                    .map(f -> f.path("code").asString())
                    .toList();
        }

        public List<String> paths() {
            return body.path("findings")
                    .valueStream()
                    .map(f -> f.path("path").asString())
                    .toList();
        }
    }

    public Answer get(String path) {
        return me.get(path);
    }

    public Answer post(String path, String json) {
        return me.post(path, json);
    }

    public Answer delete(String path) {
        return me.delete(path);
    }

    public Answer put(String path, String json) {
        return me.put(path, json);
    }

    public Answer upload(String name, byte[] content) {
        return me.upload(name, content);
    }

    public byte[] bytes(String path) {
        return me.send(HttpRequest.newBuilder(URI.create(url(path))), HttpResponse.BodyHandlers.ofByteArray())
                .body();
    }

    /** The owner, who plays in every test that says nothing else. */
    public Caller me() {
        return me;
    }

    /** Somebody who is not signed in yet. */
    public Caller visitor() {
        return new Caller(this);
    }

    public Caller signedIn(String name) {
        var caller = visitor();
        assertThat(caller.signIn(name, PASSWORD).status()).isEqualTo(200);
        return caller;
    }

    public static JsonNode json(String text) {
        return JSON.readTree(text);
    }

    @Override
    public void close() {
        end.run();
    }
}
