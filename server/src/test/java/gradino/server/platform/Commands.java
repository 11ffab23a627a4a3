package gradino.server.platform;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.stream.Stream;

/** What the commands of the script print. */
public final class Commands {
    private Commands() {}

    public static String ownerReset(Path data, String... name) {
        var bytes = new ByteArrayOutputStream();
        var out = new PrintStream(bytes, true, StandardCharsets.UTF_8);
        OwnerCommand.run(
                Stream.concat(Stream.of(data.toString()), Stream.of(name)).toArray(String[]::new), out, out);
        return bytes.toString(StandardCharsets.UTF_8);
    }
}
