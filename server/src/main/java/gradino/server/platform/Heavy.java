package gradino.server.platform;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What takes long waits for its turn here, holding no connection to the database: so many at once that a core stays for everybody
 * else, and one for an account. Whoever asked sees how far it is and may end it.
 */
@Component
public class Heavy implements InMemory {
    private static final int LONGEST_WAIT_SECONDS = 120;

    private final Semaphore places =
            new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() - 1), true);
    private final Map<String, Semaphore> seats = new ConcurrentHashMap<>();
    private final Map<String, List<Work>> going = new ConcurrentHashMap<>();

    /**
     * How far it is.
     *
     * @param name of the kind of work
     * @param of how many pieces; 0 where that is not known yet
     */
    public record Standing(String name, int done, int of) {}

    /** Told by the work itself between two pieces of it. */
    public static final class Work implements AutoCloseable {
        private final String name;
        private final List<Work> among;
        private volatile int done;
        private volatile int of;
        private volatile boolean ended;
        /** Whose turn has not come yet. */
        private @Nullable Thread waiting;

        private Work(String name, List<Work> among) {
            this.name = name;
            this.among = among;
            among.add(this);
        }

        @Override
        public void close() {
            among.remove(this);
        }

        private synchronized void end() {
            ended = true;
            if (waiting != null) {
                waiting.interrupt();
            }
        }

        /** An end that came just as the turn did leaves no mark on a thread that others use after this. */
        private synchronized void waits(@Nullable Thread thread) {
            waiting = thread;
            if (ended && thread != null) {
                thread.interrupt();
            } else if (ended) {
                Thread.interrupted();
            }
        }

        /** @throws Problem when whoever asked has ended it */
        public void step(int piecesDone, int pieces) {
            done = piecesDone;
            of = pieces;
            goOn();
        }

        /** @throws Problem when whoever asked has ended it */
        public void goOn() {
            if (ended || Thread.currentThread().isInterrupted()) {
                throw Problem.conflict("ended", "Ended, as asked. Nothing was changed.");
            }
        }
    }

    /**
     * One at a time for an account.
     *
     * @param name of the kind of work, by which it is shown and ended
     * @throws Problem when there is no place for long, or it was ended
     */
    public <T> T run(String who, String name, Function<Work, T> work) {
        try (var mine = seen(who, name)) {
            return held(
                    seats.computeIfAbsent(who, w -> new Semaphore(1, true)),
                    mine,
                    () -> held(places, mine, () -> work.apply(mine)));
        }
    }

    /** The same; asked for again it begins anew, and the one before ends. */
    public <T> T runAnew(String who, String name, Function<Work, T> work) {
        end(who, name);
        return run(who, name, work);
    }

    /** Until it is closed shown and ended like the others, but without a place: what goes out as slowly as somebody takes it keeps nobody waiting. */
    public Work seen(String who, String name) {
        return new Work(name, going.computeIfAbsent(who, w -> new CopyOnWriteArrayList<>()));
    }

    private static <T> T held(Semaphore place, Work mine, Supplier<T> work) {
        waitFor(place, mine);
        try {
            return work.get();
        } finally {
            place.release();
        }
    }

    /** In the order of asking, until its turn comes or it is ended. */
    private static void waitFor(Semaphore place, Work mine) {
        mine.waits(Thread.currentThread());
        try {
            if (!place.tryAcquire(LONGEST_WAIT_SECONDS, TimeUnit.SECONDS)) {
                throw Problem.tooMany("Others are having something worked out: try again in a few minutes.");
            }
        } catch (InterruptedException e) {
            mine.step(0, 0);
            Thread.currentThread().interrupt();
            throw Problem.tooMany("The server is being stopped.");
        } finally {
            mine.waits(null);
        }
    }

    /** What somebody is having worked out, in the order of asking. */
    public List<Standing> of(String who) {
        return going.getOrDefault(who, List.of()).stream()
                .map(w -> new Standing(w.name, w.done, w.of))
                .toList();
    }

    /** Ends all of a name. */
    public void end(String who, String name) {
        going.getOrDefault(who, List.of()).stream()
                .filter(w -> w.name.equals(name))
                .forEach(Work::end);
    }

    @Override
    public void forget() {
        going.clear();
    }
}
