package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Semaphore;
import java.util.concurrent.locks.Lock;
import java.util.concurrent.locks.ReentrantLock;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Nothing that was said yes to is lost, whatever happens to the server or to the device's clock. */
public class FaultTest {
    /** Each takes a start of the server: 20 in the long form of the test command. */
    private static final int KILLS = Integer.getInteger("gradino.kills", 3);
    /** The kill comes while the device, which never rests, sends what follows one of so many blocks. */
    private static final int MOST_BLOCKS_BEFORE_A_KILL = 60;

    /** A device that tries every block until the server has said yes, as the floor's queue does. */
    private static final class Device extends Thread {
        private final Caller caller;
        private final JsonNode phase;
        final Map<String, Integer> saidYes = new LinkedHashMap<>();
        /** Held while the server is away. */
        private final Lock away = new ReentrantLock();

        private final Semaphore yes = new Semaphore(0);
        private volatile boolean over;

        Device(Caller caller, JsonNode phase) {
            this.caller = caller;
            this.phase = phase;
        }

        @Override
        public void run() {
            for (int n = 0; !over; n++) {
                while (!sent(n) && !over) {
                    away.lock();
                    away.unlock();
                }
            }
        }

        private boolean sent(int n) {
            var phases = "{\"kind\":\"%s\",\"plannedSeconds\":60,\"doneSeconds\":%d}"
                    .formatted(phase.path("kind").asString(), n % 60);
            try {
                var answer = caller.post(
                        "/api/runs/killed/blocks",
                        Scene.block("k" + n, phase.path("blockId").asString(), phase, "", phases));
                if (answer.status() == 204) {
                    saidYes.put("k" + n, n % 60);
                    yes.release();
                } else if (answer.status() < 500) {
                    over = true;
                    yes.release(KILLS * MOST_BLOCKS_BEFORE_A_KILL);
                }
                return answer.status() == 204;
            } catch (RuntimeException noAnswer) {
                return false;
            }
        }
    }

    @Test
    public void killsOfTheServerAtRandomMomentsLoseNothingThatWasSaidYesTo() throws Exception {
        long seed = System.nanoTime();
        var random = new Random(seed);
        try (var server = new ServerProcess(TestServer.demoDirectory())) {
            var caller = new Caller(server.port);
            caller.signIn("maren", "lantern quay studio");
            var floor = caller.post("/api/lines/demo-waller-line/runs", "{\"id\":\"killed\"}")
                    .body();
            var phase = floor.at("/timeline/phases")
                    .valueStream()
                    .filter(p -> p.path("block").asString().equals("SUPPORTED_HOLD"))
                    .findFirst()
                    .orElseThrow();
            var device = new Device(caller, phase);
            device.start();
            for (int kill = 0; kill < KILLS; kill++) {
                device.yes.acquire(1 + random.nextInt(MOST_BLOCKS_BEFORE_A_KILL));
                device.away.lock();
                server.kill();
                server.startAgain();
                device.yes.drainPermits();
                device.away.unlock();
            }
            device.yes.acquire();
            device.over = true;
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
