package gradino.server.soak;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.server.Caller;
import gradino.server.ServerProcess;
import gradino.server.TestServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.IntStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * A studio's busiest hour in 256 MB: eight coaches with gauges and twenty phones at home, all at work at once, far quicker than
 * people are. Nothing is refused, and what the process holds does not grow. How long things took is told and judges nothing.
 */
public class SoakTest {
    static final String SESSION = "daily";
    static final String AT_HOME = "home";
    private static final int MINUTES = Integer.getInteger("gradino.soak.minutes", 60);
    private static final int LOOKS = 6;
    private static final int COACHES = 8;
    private static final int CLIENTS_A_COACH = 3;
    private static final int PHONES = 20;
    private static final long COACH_MILLIS = 1_000;
    private static final long PHONE_MILLIS = 2_000;
    /** As the script starts it. */
    private static final List<String> FLAGS = List.of("-Xmx256m", "-XX:+ExitOnOutOfMemoryError");

    private static final long MOST_MORE_FILES = 10;
    /** A pool grows to as many threads as ask at the same moment, and no further. */
    private static final long MOST_MORE_THREADS = COACHES + PHONES;
    /** What the sessions of an hour, kept ready for the pages, may come to. */
    private static final long MOST_MORE_MEGABYTES = 24;

    private final Asked asked = new Asked();
    private final AtomicLong messages = new AtomicLong();
    private final List<Coach> coaches = new ArrayList<>();
    private final List<Phone> phones = new ArrayList<>();
    private final List<Held> held = new ArrayList<>();
    private ServerProcess server;

    @BeforeClass
    public void start() throws IOException, InterruptedException {
        server = ServerProcess.asRun(TestServer.directory(), FLAGS);
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    @Test
    public void anHourOfWorkLeavesNothingBehindInTheProcess() throws Exception {
        var readers = Executors.newCachedThreadPool();
        var pace = Executors.newScheduledThreadPool(COACHES + PHONES);
        try {
            gather(readers);
            begin(pace, coaches, COACH_MILLIS);
            begin(pace, phones, PHONE_MILLIS);
            for (int look = 1; look <= LOOKS; look++) {
                var stretch = Duration.ofMinutes(MINUTES).dividedBy(LOOKS);
                assertThat(pace.awaitTermination(stretch.toMillis(), TimeUnit.MILLISECONDS))
                        .isFalse();
                held.add(Held.now(stretch.multipliedBy(look), server.handle()));
            }
        } finally {
            pace.shutdown();
            pace.awaitTermination(1, TimeUnit.MINUTES);
            coaches.forEach(Coach::putAway);
            readers.shutdownNow();
        }
        tell();
        judge();
    }

    /** Each at their own moment, as people do. */
    private static void begin(ScheduledExecutorService pace, List<? extends Person> people, long millis) {
        for (int n = 0; n < people.size(); n++) {
            pace.scheduleAtFixedRate(people.get(n)::step, millis * n / people.size(), millis, TimeUnit.MILLISECONDS);
        }
    }

    private void gather(Executor readers) {
        for (int n = 0; n < COACHES; n++) {
            int coach = n;
            var clients = IntStream.range(0, CLIENTS_A_COACH)
                    .mapToObj(c -> "soak-" + coach + "-" + c)
                    .toList();
            coaches.add(new Coach("coach-" + n, signedIn(n), asked, clients, readers, messages));
        }
        for (int n = 0; n < PHONES; n++) {
            var coach = coaches.get(n % COACHES);
            var client = coach.clients.get(n / COACHES);
            phones.add(new Phone(client, new Caller(server.port), coach.link(client), asked));
        }
    }

    /** The first is the owner, who takes the others on. */
    private Caller signedIn(int n) {
        var caller = new Caller(server.port);
        if (n == 0) {
            asked.post(
                    caller, "sign-in", "/api/sign-in", "{\"signIn\":\"maren\",\"password\":\"lantern quay studio\"}");
        } else {
            var name = "soak" + n;
            asked.post(
                    coaches.get(0).caller,
                    "write",
                    "/api/accounts",
                    TestServer.account("soak-coach-" + n, "Coach " + n, name, "COACH"));
            asked.post(
                    caller,
                    "sign-in",
                    "/api/sign-in",
                    "{\"signIn\":\"%s\",\"password\":\"%s\"}".formatted(name, TestServer.PASSWORD));
        }
        return caller;
    }

    private void tell() throws IOException {
        var report = asked.report() + "\n" + messages + " lines of the gauges' streams\n"
                + String.join("\n", held.stream().map(Held::toString).toList()) + "\n";
        System.out.println(report);
        Files.writeString(Files.createDirectories(Path.of("target")).resolve("soak.txt"), report);
    }

    private void judge() {
        assertThat(asked.troubles()).isEmpty();
        assertThat(server.complaints()).isEmpty();
        assertThat(messages.get()).isPositive();
        // The first stretch fills caches and pools.
        var first = held.get(0);
        var last = held.get(held.size() - 1);
        assertThat(last.files()).as(held.toString()).isLessThanOrEqualTo(first.files() + MOST_MORE_FILES);
        assertThat(last.threads()).as(held.toString()).isLessThanOrEqualTo(first.threads() + MOST_MORE_THREADS);
        assertThat(last.live()).as(held.toString()).isLessThanOrEqualTo(first.live() + MOST_MORE_MEGABYTES);
    }
}
