package gradino.server.soak;

import gradino.server.Caller;
import gradino.server.Scene;
import gradino.server.TestServer;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicLong;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** A coach with three clients, two gauges and all the pages. */
final class Coach extends Person {
    private static final List<String> OF_A_CLIENT =
            List.of("", "/day", "/lines", "/sessions", "/runs", "/ranges", "/load", "/batteries", "/library");
    private static final List<String> OF_ALL =
            List.of("/api/today", "/api/decisions", "/api/clients", "/api/library", "/api/notes", "/api/methods");

    private static final String SESSION = """
            {"name":"%s","draft":{"warmUp":[],"stations":[{"lines":[%s],"rounds":1,"restSeconds":0,"oneSetUp":false}]}}
            """;

    final List<String> clients;
    private final Executor readers;
    private final AtomicLong messages;
    private @Nullable InputStream stream;

    /** @param messages of the gauges, counted */
    Coach(String id, Caller caller, Asked asked, List<String> clients, Executor readers, AtomicLong messages) {
        super(id, caller, asked);
        this.clients = clients;
        this.readers = readers;
        this.messages = messages;
        clients.forEach(this::takeOn);
    }

    private void takeOn(String client) {
        asked.post(caller, "write", "/api/clients", "{\"id\":\"%s\",\"details\":%s}".formatted(client, Scene.DETAILS));
        int n = 0;
        for (var side : List.of("LEFT", "RIGHT")) {
            for (var mode : List.of("PASSIVE", "ACTIVE")) {
                asked.post(
                        caller,
                        "write",
                        "/api/clients/" + client + "/measurements",
                        Scene.measurement(
                                client + "-m" + n++, side, mode, mode.equals("PASSIVE") ? "36,37,35" : "30,31,29"));
            }
        }
        var line = asked.get(
                caller,
                "page",
                "/api/clients/%s/score/line?motion=hip-internal-rotation&position=prone-knee-bent&id=%s&method=ramp-both-ways"
                        .formatted(client, client + "-line"));
        for (var session : List.of(SoakTest.SESSION, SoakTest.AT_HOME)) {
            asked.put(
                    caller,
                    "write",
                    "/api/clients/%s/sessions/%s".formatted(client, session),
                    SESSION.formatted(session, line));
        }
    }

    String link(String client) {
        return asked.post(
                        caller,
                        "write",
                        "/api/clients/" + client + "/home-links",
                        "{\"id\":\"link-%s\",\"days\":30}".formatted(client))
                .path("token")
                .asString();
    }

    @Override
    Collection<Runnable> round(int number) {
        var client = clients.get(number % clients.size());
        var things = new ArrayList<Runnable>();
        OF_ALL.forEach(page -> things.add(() -> asked.get(caller, "page", page)));
        OF_A_CLIENT.forEach(page -> things.add(() -> asked.get(caller, "page", "/api/clients/" + client + page)));
        things.add(() -> asked.get(caller, "page", "/api/lines/" + client + "-line/proposals"));
        things.add(() -> preview(client));
        things.add(() -> open(client, id + "-" + number));
        things.add(() -> asked.post(caller, "write", "/api/clients/" + client + "/notes/read", "{}"));
        return things;
    }

    private void preview(String client) {
        var draft = asked.get(caller, "page", "/api/clients/" + client + "/sessions")
                .path(0)
                .path("draft");
        asked.post(caller, "preview", "/api/clients/" + client + "/score/preview", draft.toString());
    }

    private void open(String client, String run) {
        var floor = asked.post(
                caller,
                "open",
                "/api/clients/%s/sessions/%s/runs".formatted(client, SoakTest.SESSION),
                "{\"id\":\"" + run + "\"}");
        connect();
        first(List.of(() -> close(run)));
        first(Scene.blocks(floor, run).stream()
                .<Runnable>map(block -> () -> {
                    press(floor, run, block);
                    send(floor, block);
                })
                .toList());
    }

    /** Before a press is sent, its gauge follows what is asked and what it saw is kept. */
    private void press(JsonNode floor, String run, String block) {
        var sent = TestServer.json(block).path("block");
        if (!sent.path("kind").asString().equals("PRESS")) {
            return;
        }
        asked.post(
                caller,
                "gauge",
                "/api/devices/%s/%s/ask".formatted(id, sent.path("side").asString()),
                "{\"fromPercent\":20,\"toPercent\":50,\"seconds\":5,\"leftAfter\":0,\"contraction\":5}");
        var blockId = sent.path("blockId").asString();
        asked.post(caller, "trace", "/api/runs/" + run + "/traces", trace(floor, run + "-t-" + blockId, blockId));
    }

    private void connect() {
        for (var side : List.of("LEFT", "RIGHT")) {
            asked.post(
                    caller,
                    "gauge",
                    "/api/devices/" + id,
                    "{\"id\":\"%s\",\"gauge\":{\"side\":\"%s\",\"manner\":\"GOOD\",\"strengthNewtons\":200,\"seed\":5}}"
                            .formatted(side, side));
        }
        var opened = caller.send(caller.request("/api/devices/" + id + "/stream"), BodyHandlers.ofInputStream())
                .body();
        stream = opened;
        readers.execute(() -> listen(opened));
    }

    private void listen(InputStream from) {
        try (var lines = new BufferedReader(new InputStreamReader(from, StandardCharsets.UTF_8))) {
            while (lines.readLine() != null) {
                messages.incrementAndGet();
            }
        } catch (IOException closed) {
            // The session is over and its gauges are put away.
        }
    }

    private void close(String run) {
        asked.post(
                caller, "close", "/api/runs/" + run + "/close", "{\"observer\":\"COACH\",\"rating\":5,\"note\":\"\"}");
        putAway();
    }

    void putAway() {
        try {
            if (stream != null) {
                stream.close();
            }
        } catch (IOException e) {
            asked.trouble(id + ": " + e);
        }
    }
}
