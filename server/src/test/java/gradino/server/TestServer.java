package gradino.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
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
import java.util.List;
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
    private final HttpClient http = HttpClient.newHttpClient();
    public final TestClock clock;
    public final int port;

    private TestServer(Path data, boolean demo, Instant now) {
        clock = new TestClock(now);
        context = new SpringApplicationBuilder(GradinoServer.class)
                .initializers((ApplicationContextInitializer<GenericApplicationContext>)
                        c -> c.registerBean(Clock.class, () -> clock))
                .run(
                        "--gradino.data=" + data,
                        "--gradino.demo=" + demo,
                        "--server.port=0",
                        "--logging.level.root=ERROR");
        port = ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    public static TestServer empty() {
        return new TestServer(directory(), false, Instant.parse("2026-03-02T09:00:00Z"));
    }

    public static TestServer demo() {
        return new TestServer(directory(), true, Instant.parse("2026-03-02T09:00:00Z"));
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
        return "http://localhost:" + port + path;
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
        return send(HttpRequest.newBuilder(URI.create(url(path))).GET());
    }

    public Answer post(String path, String json) {
        return send(body(path, json, "POST"));
    }

    public Answer put(String path, String json) {
        return send(body(path, json, "PUT"));
    }

    public byte[] bytes(String path) {
        try {
            return http.send(
                            HttpRequest.newBuilder(URI.create(url(path))).build(),
                            HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Uploads files as a browser's form does. */
    public Answer upload(String name, byte[] content) {
        var boundary = "----gradino";
        var head = "--%s\r\nContent-Disposition: form-data; name=\"file\"; filename=\"%s\"\r\n\r\n"
                .formatted(boundary, name);
        var parts = List.of(
                head.getBytes(StandardCharsets.UTF_8),
                content,
                ("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send(HttpRequest.newBuilder(URI.create(url("/api/exchange/import")))
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .POST(HttpRequest.BodyPublishers.ofByteArrays(parts)));
    }

    public static JsonNode json(String text) {
        return JSON.readTree(text);
    }

    private HttpRequest.Builder body(String path, String json, String method) {
        return HttpRequest.newBuilder(URI.create(url(path)))
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(json));
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            var response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            var text = response.body();
            return new Answer(response.statusCode(), JSON.readTree(text.isEmpty() ? "null" : text));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        context.close();
    }
}
