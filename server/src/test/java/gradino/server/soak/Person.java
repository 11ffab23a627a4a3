package gradino.server.soak;

import gradino.server.Caller;
import gradino.server.Scene;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;

/** Somebody who does one thing after the other, again and again. */
abstract class Person {
    private static final int HERTZ = 50;

    final Caller caller;
    final Asked asked;
    final String id;
    private final Deque<Runnable> next = new ArrayDeque<>();
    private int rounds;

    Person(String id, Caller caller, Asked asked) {
        this.id = id;
        this.caller = caller;
        this.asked = asked;
    }

    /** One thing; what goes wrong is noted, and the next one follows. */
    final void step() {
        try {
            if (next.isEmpty()) {
                rounds++;
                next.addAll(round(rounds));
            }
            next.remove().run();
        } catch (RuntimeException | AssertionError e) {
            asked.trouble(id + ": " + e);
        }
    }

    /** Everything of one round, in its order. */
    abstract Collection<Runnable> round(int number);

    /** Comes before whatever else is to be done. */
    final void first(Collection<Runnable> things) {
        var all = new ArrayDeque<>(things);
        while (!all.isEmpty()) {
            next.addFirst(all.removeLast());
        }
    }

    final void send(JsonNode floor, String block) {
        asked.post(caller, "block", "/api/runs/" + floor.path("id").asString() + "/blocks", block);
    }

    /** What a gauge saw of a press, at fifty samples a second. */
    static String trace(JsonNode floor, String record, String blockId) {
        var phases = Scene.phasesByBlock(floor).get(blockId);
        int samples = HERTZ * phases.stream().mapToInt(Scene::seconds).sum();
        return "{\"id\":\"%s\",\"blockId\":\"%s\",\"side\":\"%s\",\"phaseSeconds\":[%s],\"samples\":{\"millis\":[%s],\"tenths\":[%s]}}"
                .formatted(
                        record,
                        blockId,
                        phases.get(0).path("side").asString(),
                        phases.stream().map(p -> "" + Scene.seconds(p)).collect(Collectors.joining(",")),
                        numbers(samples, 1000 / HERTZ),
                        IntStream.range(0, samples)
                                .mapToObj(i -> "" + (900 + i % 40))
                                .collect(Collectors.joining(",")));
    }

    private static String numbers(int count, int step) {
        return IntStream.range(0, count).mapToObj(i -> "" + i * step).collect(Collectors.joining(","));
    }
}
