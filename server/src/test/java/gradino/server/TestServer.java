package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.account.DemoPassword;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A real server over a real SQLite file on a free port, with a clock that tests move. */
public final class TestServer implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final ConfigurableApplicationContext context;
    public static final String PASSWORD = "a few plain words";
    private final Caller me;
    public final TestClock clock;
    public final int port;
    final @Nullable Safe keyStore;

    /** A key store and its password. */
    record Safe(Path keyStore, String password) {}

    private TestServer(Path data, boolean demo, Instant now) {
        this(data, demo, now, null);
    }

    private TestServer(Safe safe, String... more) {
        this(directory(), false, Instant.parse("2026-03-02T09:00:00Z"), safe, more);
    }

    private TestServer(Path data, boolean demo, Instant now, @Nullable Safe safe, String... more) {
        keyStore = safe;
        clock = new TestClock(now);
        context = new SpringApplicationBuilder(GradinoServer.class)
                .initializers((ApplicationContextInitializer<GenericApplicationContext>)
                        c -> c.registerBean(Clock.class, () -> clock))
                .run(Stream.concat(
                                Stream.of(
                                        "--gradino.data=" + data,
                                        "--gradino.demo=" + demo,
                                        "--server.port=0",
                                        "--gradino.hash-strength=4",
                                        "--logging.level.root=ERROR"),
                                Stream.of(more))
                        .toArray(String[]::new));
        port = ((WebServerApplicationContext) context).getWebServer().getPort();
        me = new Caller(this);
        var seated = demo
                ? me.signIn("maren", DemoPassword.WORDS)
                : me.post("/api/sign-in/owner", account("owner", "Hollis Wray", "hollis", "OWNER"));
        assertThat(seated.status()).as(seated.body().toString()).isEqualTo(200);
    }

    public static String account(String id, String name, String signIn, String role) {
        return "{\"id\":\"%s\",\"name\":\"%s\",\"signIn\":\"%s\",\"role\":\"%s\",\"password\":\"%s\"}"
                .formatted(id, name, signIn, role, PASSWORD);
    }

    public static TestServer empty() {
        return new TestServer(directory(), false, Instant.parse("2026-03-02T09:00:00Z"));
    }

    public static TestServer demo() {
        return demoIn(directory());
    }

    /** The demo in a directory where it may have been before. */
    public static TestServer demoIn(Path data) {
        return new TestServer(data, true, Instant.parse("2026-03-02T09:00:00Z"));
    }

    /** As somebody starts it with a key store; it is asked as localhost here. */
    public static TestServer safe(String host, Path keyStore, String password) {
        return new TestServer(
                new Safe(keyStore, password),
                "--gradino.host=" + host,
                "--server.ssl.key-store=" + keyStore,
                "--server.ssl.key-store-password=" + password);
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
        return context.getBean(type);
    }

    public <T> T bean(String name, Class<T> type) {
        return context.getBean(name, type);
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
        context.close();
    }
}
