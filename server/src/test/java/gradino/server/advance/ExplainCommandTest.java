package gradino.server.advance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import org.testng.annotations.Test;

/** A small history told on the command line. */
public class ExplainCommandTest {
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream err = new ByteArrayOutputStream();

    private int run(String... args) {
        return ExplainCommand.run(args, printer(out), printer(err));
    }

    private static PrintStream printer(ByteArrayOutputStream to) {
        return new PrintStream(to, true, StandardCharsets.UTF_8);
    }

    @Test
    public void tellsAHistoryAndNamesWhatCannotBeRead() throws IOException {
        var file = Files.createTempFile("history", ".csv");
        var line = "at,fact,side,value,detail\n2026-03-01T09:00:00Z,line,,prone-knee-bent,ramp-both-ways\n";
        Files.writeString(file, line + "2026-03-02T18:00:00Z,session,,,\n");
        assertThat(run(file.toString())).isZero();
        assertThat(out.toString(StandardCharsets.UTF_8))
                .contains("Session, a coach watching", "left: stay.", "too-much")
                .doesNotContain("null");
        Files.writeString(file, line + "2026-03-02T18:00:00Z,dance,,,\n");
        assertThat(run(file.toString())).isEqualTo(1);
        assertThat(err.toString(StandardCharsets.UTF_8)).contains("Row 2", "dance");
        Files.delete(file);
        assertThat(run(file.toString())).isEqualTo(1);
        assertThat(run()).isEqualTo(2);
    }
}
