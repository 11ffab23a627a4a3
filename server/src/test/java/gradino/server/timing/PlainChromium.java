package gradino.server.timing;

import gradino.server.TestServer;
import gradino.server.browser.Browser;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Chromium over its own protocol. Needed where a tab must really be hidden: the test driver keeps every page visible. */
final class PlainChromium implements AutoCloseable, WebSocket.Listener {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String LISTENING = "DevTools listening on ";

    private final Process process;
    private final WebSocket socket;
    private final AtomicInteger ids = new AtomicInteger();
    private final Map<Integer, CompletableFuture<JsonNode>> waiting = new ConcurrentHashMap<>();
    private final StringBuilder message = new StringBuilder();

    PlainChromium() throws IOException {
        var command = new ArrayList<>(List.of(Browser.found("CHROMIUM_PATH", "chromium"), "--headless=new"));
        command.addAll(Browser.ARGS);
        command.add("--remote-debugging-port=0");
        command.add("--user-data-dir=" + Files.createTempDirectory("gradino-chromium"));
        command.add("about:blank");
        process = new ProcessBuilder(command).redirectErrorStream(true).start();
        socket = HttpClient.newHttpClient()
                .newWebSocketBuilder()
                .buildAsync(URI.create(address()), this)
                .join();
    }

    private String address() throws IOException {
        var lines = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        for (var line = lines.readLine(); line != null; line = lines.readLine()) {
            if (line.startsWith(LISTENING)) {
                return line.substring(LISTENING.length());
            }
        }
        throw new IllegalStateException("Chromium did not start");
    }

    @Override
    public CompletionStage<?> onText(WebSocket from, CharSequence data, boolean last) {
        message.append(data);
        if (last) {
            var node = TestServer.json(message.toString());
            message.setLength(0);
            var future = waiting.remove(node.path("id").asInt(-1));
            if (future != null) {
                future.complete(node.path("result"));
            }
        }
        from.request(1);
        return CompletableFuture.completedFuture(null);
    }

    private JsonNode send(String session, String method, Map<String, Object> params) {
        int id = ids.incrementAndGet();
        var future = new CompletableFuture<JsonNode>();
        waiting.put(id, future);
        var request = session.isEmpty()
                ? Map.of("id", id, "method", method, "params", params)
                : Map.of("id", id, "method", method, "params", params, "sessionId", session);
        socket.sendText(JSON.writeValueAsString(request), true);
        return future.orTimeout(120, TimeUnit.SECONDS).join();
    }

    /** A tab and its session. */
    record Tab(String target, String session) {}

    Tab open() {
        var target = send("", "Target.createTarget", Map.of("url", "about:blank"))
                .path("targetId")
                .asString();
        var attached = send("", "Target.attachToTarget", Map.of("targetId", target, "flatten", true));
        var session = attached.path("sessionId").asString();
        send(session, "Page.enable", Map.of());
        return new Tab(target, session);
    }

    void front(Tab tab) {
        send("", "Target.activateTarget", Map.of("targetId", tab.target()));
    }

    void beforeEachPage(Tab tab, String script) {
        send(tab.session(), "Page.addScriptToEvaluateOnNewDocument", Map.of("source", script));
    }

    void cookie(Tab tab, String url, String name, String value) {
        send(tab.session(), "Network.setCookie", Map.of("url", url, "name", name, "value", value));
    }

    void navigate(Tab tab, String url) {
        send(tab.session(), "Page.navigate", Map.of("url", url));
    }

    /** Waits for a promise; {@code script} is an expression. */
    JsonNode evaluate(Tab tab, String script) {
        var result = send(
                tab.session(),
                "Runtime.evaluate",
                Map.of("expression", script, "returnByValue", true, "awaitPromise", true, "userGesture", true));
        return result.path("result").path("value");
    }

    @Override
    public void close() {
        socket.abort();
        process.destroy();
    }
}
