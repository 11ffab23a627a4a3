package gradino.server;

import gradino.server.TestServer.Answer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.util.List;
import java.util.function.UnaryOperator;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.jspecify.annotations.Nullable;

/** Somebody who asks, with cookies of their own, as a browser has them. */
public final class Caller {
    private final UnaryOperator<String> address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http;
    private boolean home;

    Caller(TestServer server) {
        this(server::url, server.keyStore);
    }

    /** Somebody who asks a server in a process of its own. */
    public Caller(int port) {
        this(path -> "http://localhost:" + port + path, null);
    }

    private Caller(UnaryOperator<String> address, TestServer.@Nullable Safe safe) {
        this.address = address;
        var builder = HttpClient.newBuilder().cookieHandler(cookies);
        http = (safe == null ? builder : builder.sslContext(trusting(safe))).build();
        get("/api/sign-in");
    }

    /** Trusts the certificate that the test made, and no other. */
    private static SSLContext trusting(TestServer.Safe safe) {
        try {
            var trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
            trust.init(KeyStore.getInstance(
                    safe.keyStore().toFile(), safe.password().toCharArray()));
            var context = SSLContext.getInstance("TLS");
            context.init(null, trust.getTrustManagers(), null);
            return context;
        } catch (GeneralSecurityException | IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** From now on as the pages of home ask. */
    public Caller atHome() {
        home = true;
        return this;
    }

    public Answer delete(String path) {
        return answer(request(path).DELETE());
    }

    public Answer send(String method, String path, String json) {
        return answer(method.equals("GET") ? request(path) : json(path).method(method, BodyPublishers.ofString(json)));
    }

    public Answer signIn(String name, String password) {
        return post("/api/sign-in", "{\"signIn\":\"%s\",\"password\":\"%s\"}".formatted(name, password));
    }

    /** The value of a cookie; empty when there is none. */
    public String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals(name) || c.getName().equals("__Host-" + name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    public Answer get(String path) {
        return answer(request(path).GET());
    }

    public Answer post(String path, String json) {
        return answer(json(path).POST(BodyPublishers.ofString(json)));
    }

    public Answer put(String path, String json) {
        return answer(json(path).PUT(BodyPublishers.ofString(json)));
    }

    /** As above, of another kind than JSON. */
    public Answer sendText(String method, String path, String type, String text) {
        return answer(request(path).header("Content-Type", type).method(method, BodyPublishers.ofString(text)));
    }

    /** What is answered, as it is. */
    public String text(String path) {
        return send(request(path).GET(), BodyHandlers.ofString()).body();
    }

    /** Uploads a file as a browser's form does. */
    public Answer upload(String name, byte[] content) {
        var boundary = "----gradino";
        var head = "--%s\r\nContent-Disposition: form-data; name=\"file\"; filename=\"%s\"\r\n\r\n"
                .formatted(boundary, name);
        var parts = List.of(
                head.getBytes(StandardCharsets.UTF_8),
                content,
                ("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return answer(request("/api/exchange/import")
                .header("Content-Type", "multipart/form-data; boundary=" + boundary)
                .POST(BodyPublishers.ofByteArrays(parts)));
    }

    public HttpRequest.Builder request(String path) {
        var request = HttpRequest.newBuilder(URI.create(address.apply(path)));
        return home ? request.header("X-Gradino-Home", "1") : request;
    }

    private HttpRequest.Builder json(String path) {
        return request(path).header("Content-Type", "application/json");
    }

    private Answer answer(HttpRequest.Builder request) {
        var response = send(request, BodyHandlers.ofString());
        var text = response.body();
        boolean json = response.headers().firstValue("Content-Type").orElse("").contains("json");
        return new Answer(response.statusCode(), TestServer.json(json && !text.isEmpty() ? text : "null"));
    }

    public <T> HttpResponse<T> send(HttpRequest.Builder request, HttpResponse.BodyHandler<T> reader) {
        try {
            return http.send(
                    request.header("X-XSRF-TOKEN", cookie(home ? "XSRF-HOME" : "XSRF-TOKEN"))
                            .build(),
                    reader);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
