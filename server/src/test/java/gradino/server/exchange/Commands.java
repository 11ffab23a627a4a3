package gradino.server.exchange;

import gradino.server.platform.DatabaseFile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.function.Consumer;

/** What the commands of the script print. */
public final class Commands {
    private Commands() {}

    private static String said(Consumer<PrintStream> command) {
        var bytes = new ByteArrayOutputStream();
        command.accept(new PrintStream(bytes, true, StandardCharsets.UTF_8));
        return bytes.toString(StandardCharsets.UTF_8);
    }

    public static String restore(Path data, Path backup) {
        return said(out ->
                RestoreCommand.run(new String[] {data.toString(), backup.toString()}, Clock.systemUTC(), out, out));
    }

    public static String doctor(Path data, Instant now) {
        return said(
                out -> DoctorCommand.run(new String[] {data.toString(), ""}, Clock.fixed(now, ZoneOffset.UTC), out));
    }

    public static void makeNewer(Path database) throws IOException {
        DatabaseFile.change(database, List.of("UPDATE flyway_schema_history SET version = '99'"), null);
    }
}
