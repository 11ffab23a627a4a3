package gradino.server.exchange;

import gradino.server.backup.BackupFolder;
import gradino.server.platform.Database;
import gradino.server.platform.DatabaseFile;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;

/** {@code gradino doctor}: looks whether all is well with database, backups, clock, disk and Java, and says what to do. */
public final class DoctorCommand {
    private static final long MB = 1024 * 1024;
    private static final long LEAST_MB = 1024;
    private static final int LEAST_JAVA = 17;
    private static final Duration OLD = Duration.ofDays(3);
    private static final Duration AHEAD = Duration.ofMinutes(10);

    private final Path data;
    private final Path database;
    private final BackupFolder backups;
    private final Instant now;
    private final PrintStream out;
    private boolean well = true;

    private DoctorCommand(Path data, String backups, Instant now, PrintStream out) {
        this.data = data;
        this.database = data.resolve(Database.FILE);
        this.backups = new BackupFolder(data, backups);
        this.now = now;
        this.out = out;
    }

    /** @param args data directory and directory of the backups, or nothing */
    public static void main(String[] args) {
        System.exit(run(args, Clock.systemUTC(), System.out));
    }

    static int run(String[] args, Clock clock, PrintStream out) {
        var doctor = new DoctorCommand(Path.of(args[0]), args[1], clock.instant(), out);
        doctor.java();
        doctor.disk();
        if (doctor.database()) {
            doctor.clock();
            doctor.backups();
        }
        return doctor.well ? 0 : 1;
    }

    private void say(boolean good, String what, String todo) {
        well = well && good;
        out.println((good ? "  fine  " : "  LOOK  ") + what + (good ? "" : ". " + todo));
    }

    private void java() {
        int version = Runtime.version().feature();
        say(version >= LEAST_JAVA, "Java " + version, "Install a JDK, version 17 or newer");
    }

    private void disk() {
        long free = data.toAbsolutePath().toFile().getUsableSpace() / MB;
        long size = database.toFile().length() / MB;
        say(
                free >= Math.max(LEAST_MB, 3 * size),
                "Disk: %,d MB free, the database has %,d MB".formatted(free, size),
                "Make room: a backup needs as much again, and a full disk stores nothing");
        try {
            var open = Files.getPosixFilePermissions(data);
            say(
                    !open.contains(PosixFilePermission.OTHERS_READ)
                            && !open.contains(PosixFilePermission.OTHERS_EXECUTE),
                    "Directory " + data + ": for whoever runs Gradino only",
                    "Others on this machine can read it: chmod 700 " + data);
        } catch (IOException | UnsupportedOperationException e) {
            say(false, "Directory " + data, "It cannot be read: " + e.getMessage());
        }
    }

    private boolean database() {
        if (!Files.exists(database)) {
            say(false, "Database: none in " + data, "Start Gradino once, or name another directory with --data");
            return false;
        }
        var trouble = DatabaseFile.trouble(database);
        say(
                trouble.isEmpty(),
                "Database: " + trouble.orElse("whole"),
                "Put the newest backup back: ./gradino restore FILE");
        return trouble.isEmpty();
    }

    private void clock() {
        var newest = DatabaseFile.answer(database, "SELECT max(at) FROM audit").map(Long::parseLong);
        boolean behind = newest.filter(at -> Instant.ofEpochMilli(at).isAfter(now.plus(AHEAD)))
                .isPresent();
        say(
                !behind,
                "Clock: " + now,
                "It is behind what was recorded last (%s): set it, or days will be counted wrongly"
                        .formatted(newest.map(Instant::ofEpochMilli).orElse(now)));
    }

    private void backups() {
        try {
            var newest = backups.newest(now);
            if (newest.isEmpty()) {
                say(false, "Backups: none yet", "Gradino makes one a day while it runs; one now: ./gradino backup");
                return;
            }
            var b = newest.get();
            var age = Duration.between(b.at(), now);
            say(
                    age.compareTo(OLD) < 0,
                    "Backups: %d, the newest %d h old, %,d MB"
                            .formatted(backups.all().size(), age.toHours(), b.bytes() / MB),
                    "Let Gradino run, or make one: ./gradino backup");
            var trouble = DatabaseFile.trouble(b.file());
            say(
                    trouble.isEmpty(),
                    "Newest backup: " + trouble.orElse("can be opened and is whole"),
                    "Make another: ./gradino backup");
        } catch (IOException e) {
            say(false, "Backups", "They cannot be read: " + e.getMessage());
        }
    }
}
