package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** The one script, as far as it can be asked without building anything. */
public class ScriptTest {
    private static final Path SCRIPT = Path.of(System.getProperty("gradino.web.dir"), "..", "gradino");

    private record Said(int exit, String text) {}

    private static Said run(Map<String, String> environment, String... arguments) throws Exception {
        var command = new ArrayList<>(List.of("/bin/bash", SCRIPT.toString()));
        command.addAll(List.of(arguments));
        var builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().putAll(environment);
        var process = builder.start();
        process.getOutputStream().close();
        var text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Said(process.waitFor(), text);
    }

    /** A path with only what the script itself is written with, and pretended versions of the rest. */
    private static Path tools(Map<String, String> versions) throws IOException {
        var bin = Files.createTempDirectory("gradino-bin");
        for (var tool : List.of("dirname", "cat", "sed", "head", "id", "env", "bash")) {
            var real = List.of("/usr/bin/" + tool, "/bin/" + tool).stream()
                    .map(Path::of)
                    .filter(Files::isExecutable)
                    .findFirst()
                    .orElseThrow();
            Files.createSymbolicLink(bin.resolve(tool), real);
        }
        for (var entry : versions.entrySet()) {
            var pretended = bin.resolve(entry.getKey());
            Files.writeString(pretended, "#!/bin/bash\necho '" + entry.getValue() + "'\n");
            assertThat(pretended.toFile().setExecutable(true)).isTrue();
        }
        return bin;
    }

    @Test
    public void missingToolsAreNamedInPlainWords() throws Exception {
        var said = run(Map.of("PATH", tools(Map.of()).toString()), "run");
        assertThat(said.exit()).isEqualTo(1);
        assertThat(said.text())
                .contains("a JDK, version 17 or newer")
                .contains("Maven (the command 'mvn' is not there)")
                .contains("Node, version 20 or newer")
                .contains("npm");
    }

    @Test
    public void oldToolsAreNamedWithTheirVersion() throws Exception {
        var old = Map.of("javac", "javac 1.8.0_402", "mvn", "Apache Maven 3.8.7", "node", "v18.20.4", "npm", "10");
        var said = run(Map.of("PATH", tools(old).toString()), "demo");
        assertThat(said.exit()).isEqualTo(1);
        assertThat(said.text())
                .contains("a JDK, version 17 or newer (this one is 8)")
                .contains("Node, version 20 or newer (this one is 18)")
                .doesNotContain("Maven");
    }

    @Test
    public void aTestThatIsNotThereIsSaid() throws Exception {
        var there = Map.of("javac", "javac 17.0.1", "mvn", "x", "node", "v20.20.2", "npm", "10");
        var path = Map.of("PATH", tools(there) + ":/usr/bin:/bin");
        var said = run(path, "test", "NoSuchTest");
        assertThat(said.exit()).isEqualTo(1);
        assertThat(said.text()).isEqualTo("gradino: there is no test called NoSuchTest\n");
        assertThat(run(path, "test", "--fast").text()).contains("unknown option --fast");
        assertThat(run(path, "test", "core", "BeightonTest").exit()).isEqualTo(1);
    }

    @Test
    public void wrongOptionsAreSaid() throws Exception {
        assertThat(run(Map.of(), "run", "--port", "many").text())
                .contains("--port needs a number up to 65535, was 'many'");
        assertThat(run(Map.of(), "run", "--port", "70000").exit()).isEqualTo(1);
        assertThat(run(Map.of(), "run", "--colour", "red").text()).contains("unknown option --colour");
        assertThat(run(Map.of(), "run", "--data").text()).contains("--data needs a directory");
        assertThat(run(Map.of(), "dance").exit()).isEqualTo(2);
        assertThat(run(Map.of()).text()).contains("./gradino demo").contains("./gradino test");
    }
}
