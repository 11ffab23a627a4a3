package gradino.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.zip.ZipInputStream;

/** The studio's owner at a browser of their own. */
final class Visitor {
    static final String PASSWORD = "a few plain words";
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final int port;
    private final String code;

    Visitor(int port, String code) {
        this.code = code;
        this.port = port;
    }

    /** The first time the owner is made, later signs in. */
    void signIn() throws IOException, InterruptedException {
        var standing = new String(get("/api/sign-in").body(), StandardCharsets.UTF_8);
        if (!standing.contains("\"firstRun\":true")) {
            signIn("owner", PASSWORD);
            return;
        }
        var owner =
                "{\"id\":\"o\",\"name\":\"Invented Owner\",\"signIn\":\"owner\",\"code\":\"%s\",\"password\":\"%s\"}"
                        .formatted(code, PASSWORD);
        post("/api/sign-in/owner", "application/json", owner);
    }

    void signIn(String name, String password) throws IOException, InterruptedException {
        post("/api/sign-in", "application/json", "{\"signIn\":\"%s\",\"password\":\"%s\"}".formatted(name, password));
    }

    String cookie() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("gradino"))
                .findFirst()
                .orElseThrow()
                .getValue();
    }

    HttpResponse<byte[]> get(String path) throws IOException, InterruptedException {
        return http.send(
                request(path).header("Accept-Encoding", "gzip").build(), HttpResponse.BodyHandlers.ofByteArray());
    }

    HttpResponse<byte[]> plain(String path) throws IOException, InterruptedException {
        return http.send(request(path).build(), HttpResponse.BodyHandlers.ofByteArray());
    }

    /** How much an archive has, unpacked, without keeping it; it must have all its files to the last byte. */
    long unpacked(String path, int files) throws IOException, InterruptedException {
        var request = request(path).build();
        long bytes = 0;
        int found = 0;
        try (var zip = new ZipInputStream(
                http.send(request, HttpResponse.BodyHandlers.ofInputStream()).body())) {
            while (zip.getNextEntry() != null) {
                bytes += zip.transferTo(OutputStream.nullOutputStream());
                found++;
            }
        }
        if (found != files) {
            throw new IllegalStateException("the archive has " + found + " files of " + files);
        }
        return bytes;
    }

    void uploadFile(String name, Path file) throws IOException, InterruptedException {
        var head = "------gradino\r\nContent-Disposition: form-data; name=\"file\"; filename=\"%s\"\r\n\r\n"
                .formatted(name);
        var body = HttpRequest.BodyPublishers.concat(
                HttpRequest.BodyPublishers.ofString(head),
                HttpRequest.BodyPublishers.ofFile(file),
                HttpRequest.BodyPublishers.ofString("\r\n------gradino--\r\n"));
        var path = "/api/exchange/import";
        change(
                request(path)
                        .header("Content-Type", "multipart/form-data; boundary=----gradino")
                        .POST(body),
                path);
    }

    void post(String path, String type, String body) throws IOException, InterruptedException {
        change(request(path).header("Content-Type", type).POST(HttpRequest.BodyPublishers.ofString(body)), path);
    }

    void put(String path, String body) throws IOException, InterruptedException {
        change(
                request(path).header("Content-Type", "application/json").PUT(HttpRequest.BodyPublishers.ofString(body)),
                path);
    }

    private void change(HttpRequest.Builder request, String path) throws IOException, InterruptedException {
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .forEach(c -> request.header("X-XSRF-TOKEN", c.getValue()));
        var response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        if (response.statusCode() / 100 != 2) {
            throw new IllegalStateException(path + ": " + response.body());
        }
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://localhost:" + port + path));
    }
}
