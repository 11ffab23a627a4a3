package gradino.server.account.people;

import gradino.server.platform.Problem;
import gradino.server.platform.Sql;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/**
 * TryRepository at a door: each is counted before it is looked at, so that many at once are no more tries. Owns sign_in_try.
 */
@Repository
public class TryRepository {
    static final Duration WINDOW = Duration.ofMinutes(15);

    private final Sql sql;
    private final Clock clock;

    TryRepository(Sql sql, Clock clock) {
        this.sql = sql;
        this.clock = clock;
    }

    /**
     * Takes one try under each key.
     *
     * @param most tries in a quarter of an hour, by key
     * @throws Problem when one of them has none left; then none is taken
     */
    @Transactional
    public void take(Map<String, Integer> most) {
        var now = StudioClock.now(clock);
        var since = now.minus(WINDOW);
        sql.update("DELETE FROM sign_in_try WHERE at <= ?", since);
        most.forEach((key, limit) -> {
            int made = sql.first("SELECT count(*) FROM sign_in_try WHERE key = ?", row -> row.getInt(1), key)
                    .orElse(0);
            if (made >= limit) {
                throw Problem.tooMany("Too many wrong tries: wait a quarter of an hour, or ask the owner.");
            }
        });
        most.keySet().forEach(key -> sql.update("INSERT INTO sign_in_try (key, at) VALUES (?, ?)", key, now));
    }

    /** A right answer makes good what was mistyped under a key. */
    @Transactional
    public void forgive(String key) {
        sql.update("DELETE FROM sign_in_try WHERE key = ?", key);
    }

    /** A right answer was no wrong try: the newest one under a key is given back. */
    @Transactional
    public void giveBack(String key) {
        sql.update("DELETE FROM sign_in_try WHERE id = (SELECT max(id) FROM sign_in_try WHERE key = ?)", key);
    }
}
