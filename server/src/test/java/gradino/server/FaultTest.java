package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Nothing that was said yes to is lost, whatever happens to the server or to the device's clock. */
public class FaultTest {
    /** Each takes a start of the server: all of them in the long form of the test command. */
    private static final int KILLS = 20;
    /** A cold server takes half a second for its first answer. */
    private static final int LONGEST_MILLIS = 1500;

    private static final long AGAIN_NANOS = 40_000_000;

    /** A device that tries every block until the server has said yes, as the floor's queue does. */
    private static final class Device extends Thread {
        private final Caller caller;
        private final JsonNode phase;
        final Map<String, Integer> saidYes = new LinkedHashMap<>();
        private final AtomicBoolean over = new AtomicBoolean();

        Device(Caller caller, JsonNode phase) {
            this.caller = caller;
            this.phase = phase;
        }

        @Override
        public void run() {
            for (int n = 0; !over.get(); n++) {
                while (!sent(n) && !over.get()) {
                    LockSupport.parkNanos(AGAIN_NANOS);
                }
            }
        }

        private boolean sent(int n) {
            var phases = "{\"kind\":\"%s\",\"plannedSeconds\":60,\"doneSeconds\":%d}"
                    .formatted(phase.path("kind").asString(), n % 60);
            try {
                var answer = caller.post(
                        "/api/sessions/killed/blocks",
                        Scene.block("k" + n, phase.path("blockId").asString(), phase, "", phases));
                if (answer.status() == 204) {
                    saidYes.put("k" + n, n % 60);
                }
                return answer.status() == 204;
            } catch (RuntimeException away) {
                return false;
            }
        }
    }

    @Test
    public void killsOfTheServerAtRandomMomentsLoseNothingThatWasSaidYesTo() throws Exception {
        long seed = System.nanoTime();
        var random = new Random(seed);
        try (var server = new ServerProcess()) {
            var caller = new Caller(server.port);
            caller.signIn("maren", "lantern quay studio");
            var floor = caller.post("/api/lines/demo-waller-line/sessions", "{\"id\":\"killed\"}")
                    .body();
            var phase = floor.at("/timeline/phases")
                    .valueStream()
                    .filter(p -> p.path("block").asString().equals("SUPPORTED_HOLD"))
                    .findFirst()
                    .orElseThrow();
            var device = new Device(caller, phase);
            device.start();
            for (int kill = 0; kill < KILLS; kill++) {
                LockSupport.parkNanos(1_000_000L * random.nextInt(LONGEST_MILLIS));
                server.kill();
                server.startAgain();
            }
            device.over.set(true);
            device.join();
            var kept = new LinkedHashMap<String, Integer>();
            for (var line : new String(
                            caller.send(
                                            caller.request("/api/exchange/files/blocks.csv"),
                                            java.net.http.HttpResponse.BodyHandlers.ofByteArray())
                                    .body(),
                            java.nio.charset.StandardCharsets.UTF_8)
                    .split("\r\n")) {
                var cells = line.split(",");
                if (cells[1].equals("killed")) {
                    assertThat(kept.put(cells[0], doneOf(cells[7])))
                            .as("stored twice")
                            .isNull();
                }
            }
            assertThat(device.saidYes).as("seed %d", seed).hasSizeGreaterThanOrEqualTo(KILLS);
            assertThat(kept).as("seed %d", seed).containsAllEntriesOf(device.saidYes);
            assertThat(kept.size() - device.saidYes.size()).isBetween(0, 1);
        }
    }

    /** A phase as the file writes it: kind:planned:done. */
    private static int doneOf(String phases) {
        var parts = phases.split(":");
        return (int) Double.parseDouble(parts[2]);
    }
}
