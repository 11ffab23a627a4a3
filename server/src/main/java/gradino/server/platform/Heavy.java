package gradino.server.platform;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
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
    private final Map<String, Work> going = new ConcurrentHashMap<>();

    /**
     * How far it is.
     *
     * @param of how many pieces; 0 where that is not known yet
     */
    public record Standing(String name, int done, int of) {}

    /** Told by the work itself between two pieces of it. */
    public static final class Work {
        private final String name;
        private volatile int done;
        private volatile int of;
        private volatile boolean ended;
        /** Whose turn has not come yet. */
        private @Nullable Thread waiting;

        private Work(String name) {
            this.name = name;
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
            if (ended || Thread.currentThread().isInterrupted()) {
                throw Problem.conflict("ended", "Ended, as asked. Nothing was changed.");
            }
        }
    }

    /**
     * One at a time for an account; asked for again, the same begins anew and the one before ends.
     *
     * @throws Problem when there is no place for long
     */
    public <T> T run(String who, String name, Function<Work, T> work) {
        var before = going.get(who);
        if (before != null && before.name.equals(name)) {
            before.end();
        }
        var mine = new Work(name);
        return held(seats.computeIfAbsent(who, w -> new Semaphore(1, true)), mine, () -> {
            going.put(who, mine);
            try {
                return held(places, mine, () -> work.apply(mine));
            } finally {
                going.remove(who, mine);
            }
        });
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

    public Optional<Standing> of(String who) {
        return Optional.ofNullable(going.get(who)).map(w -> new Standing(w.name, w.done, w.of));
    }

    public void end(String who) {
        var work = going.get(who);
        if (work != null) {
            work.end();
        }
    }

    @Override
    public void forget() {
        going.clear();
    }
}
