package gradino.server.soak;

import gradino.server.Caller;
import gradino.server.TestServer.Answer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;

/** What everybody asked, by kind: how long each took, and what was not answered as it should be. */
final class Asked {
    private static final int FIRST_TROUBLES = 20;
    private final Map<String, Queue<Long>> nanos = new ConcurrentHashMap<>();
    private final Queue<String> troubles = new ConcurrentLinkedQueue<>();

    JsonNode get(Caller who, String kind, String path) {
        long before = System.nanoTime();
        return note(kind, path, before, who.get(path));
    }

    JsonNode post(Caller who, String kind, String path, String json) {
        long before = System.nanoTime();
        return note(kind, path, before, who.post(path, json));
    }

    JsonNode put(Caller who, String kind, String path, String json) {
        long before = System.nanoTime();
        return note(kind, path, before, who.put(path, json));
    }

    private JsonNode note(String kind, String path, long before, Answer answer) {
        nanos.computeIfAbsent(kind, k -> new ConcurrentLinkedQueue<>()).add(System.nanoTime() - before);
        if (answer.status() / 100 != 2) {
            trouble(path + ": " + answer.status() + " " + answer.body());
        }
        return answer.body();
    }

    void trouble(String what) {
        if (troubles.size() < FIRST_TROUBLES) {
            troubles.add(what);
        }
    }

    List<String> troubles() {
        return List.copyOf(troubles);
    }

    /** Each kind: how many, and half, 99 of 100 and the slowest in milliseconds. */
    String report() {
        return nanos.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(kind -> line(kind.getKey(), new ArrayList<>(kind.getValue())))
                .collect(Collectors.joining("\n"));
    }

    private static String line(String kind, List<Long> times) {
        times.sort(null);
        return String.format(
                Locale.ROOT,
                "%-10s %7d times, half within %6.1f ms, p99 %6.1f ms, slowest %6.1f ms",
                kind,
                times.size(),
                millis(times, 0.5),
                millis(times, 0.99),
                millis(times, 1));
    }

    private static double millis(List<Long> times, double share) {
        return times.get((int) Math.ceil(times.size() * share) - 1) / 1e6;
    }
}
