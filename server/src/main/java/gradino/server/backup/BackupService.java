package gradino.server.backup;

import gradino.server.backup.BackupFolder.Backup;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/** Makes a backup a day by itself, and says how old the newest is. */
@Service
public class BackupService {
    private static final Logger LOG = LoggerFactory.getLogger(BackupService.class);
    private static final Duration EACH = Duration.ofDays(1);
    private static final Duration TOO_OLD = Duration.ofDays(3);
    private static final int FIRST_LOOK_MINUTES = 2;
    private static final int LOOK_MINUTES = 15;

    private final BackupFolder folder;
    private final Clock clock;
    private final Instant started;
    private final boolean byItself;
    private @Nullable Future<?> watching;
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(run -> {
        var thread = new Thread(run, "backup");
        thread.setDaemon(true);
        return thread;
    });

    BackupService(
            @Value("${gradino.data}") Path data,
            @Value("${gradino.backups}") String place,
            @Value("${gradino.backup-daily}") boolean byItself,
            Clock clock) {
        this.byItself = byItself;
        this.folder = new BackupFolder(data, place);
        this.clock = clock;
        this.started = StudioClock.now(clock);
    }

    /**
     * How things stand.
     *
     * @param newest null for none yet
     * @param warning what the owner should know; null for nothing
     */
    public record BackupState(
            List<Made> all, @Nullable Made newest, @Nullable String warning) {}

    /** One backup. */
    public record Made(String file, Instant at, long bytes) {
        static Made of(Backup b) {
            return new Made(b.file().getFileName().toString(), b.at(), b.bytes());
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (byItself) {
            watching = timer.scheduleWithFixedDelay(this::look, FIRST_LOOK_MINUTES, LOOK_MINUTES, TimeUnit.MINUTES);
        }
    }

    @PreDestroy
    void end() {
        if (watching != null) {
            watching.cancel(true);
        }
        timer.shutdownNow();
    }

    /** Whatever goes wrong is said, and tried again a little later. */
    private void look() {
        try {
            daily();
        } catch (RuntimeException e) {
            LOG.error("the daily backup could not be made", e);
        }
    }

    /** Makes one where the newest is a day old. */
    public synchronized void daily() {
        var now = StudioClock.now(clock);
        boolean due = newest(now).filter(b -> b.at().plus(EACH).isAfter(now)).isEmpty();
        if (due) {
            make();
        }
    }

    /** Makes one now. */
    public synchronized Made make() {
        try {
            return Made.of(folder.make(StudioClock.now(clock), clock.getZone()));
        } catch (IOException e) {
            throw Problem.conflict("backup", "The backup could not be made: " + e.getMessage());
        }
    }

    public BackupState standing() {
        var now = StudioClock.now(clock);
        return new BackupState(
                all().stream().map(Made::of).toList(),
                newest(now).map(Made::of).orElse(null),
                warning().orElse(null));
    }

    /** For the owner: three days without a backup. */
    public Optional<String> warning() {
        var now = StudioClock.now(clock);
        var since = newest(now).map(Backup::at).orElse(started);
        var days = Duration.between(since, now).toDays();
        return days < TOO_OLD.toDays()
                ? Optional.empty()
                : Optional.of("No backup for " + days + " days: look under Studio, or run ./gradino doctor.");
    }

    /** The day from which none of the backups of today is kept any more; empty where there is none. */
    public Optional<LocalDate> lastDay() {
        return all().stream().findFirst().map(b -> Kept.lastDay(b.at(), clock.getZone()));
    }

    private Optional<Backup> newest(Instant now) {
        try {
            return folder.newest(now);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private List<Backup> all() {
        try {
            return folder.all();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
