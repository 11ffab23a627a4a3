package gradino.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The arrows between the server's steps, and the contract with the pages. */
public class ContractTest {
    private static final List<String> ORDER = List.of(
            "platform",
            "account",
            "device",
            "intake",
            "measure",
            "prescribe",
            "perform",
            "advance",
            "today",
            "home",
            "exchange",
            "demo");
    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("gradino.server");

    @DataProvider
    public Object[][] steps() {
        return ORDER.subList(0, ORDER.size() - 1).stream()
                .map(s -> new Object[] {s})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "steps")
    public void noStepUsesALaterOne(String step) {
        var later = ORDER.subList(ORDER.indexOf(step) + 1, ORDER.size()).stream()
                .map(s -> "gradino.server." + s + "..")
                .toArray(String[]::new);
        noClasses()
                .that()
                .resideInAPackage("gradino.server." + step + "..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(later)
                .check(SERVER);
    }

    @Test
    public void onlyTheApiDocumentTouchesTheOldJackson() {
        noClasses()
                .that()
                .haveNameNotMatching(".*OpenApiSetup.*")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("com.fasterxml.jackson.databind..")
                .check(SERVER);
    }

    @Test
    public void onlyRepositoriesAndThePlatformKnowSql() {
        noClasses()
                .that()
                .haveNameNotMatching(".*Repository.*")
                .and()
                .resideOutsideOfPackage("gradino.server.platform..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("java.sql..")
                .check(SERVER);
    }

    @Test
    public void thePagesTypesAreMadeFromTheDocumentThatIsServed() throws IOException {
        try (var server = TestServer.empty()) {
            var served = server.get("/api/openapi").body();
            var target = Path.of("target", "openapi.json");
            Files.createDirectories(target.getParent());
            Files.writeString(target, served.toPrettyString());
            var checkedIn =
                    TestServer.json(Files.readString(Path.of(System.getProperty("gradino.web.dir"), "openapi.json")));
            assertThat(served)
                    .as("copy server/target/openapi.json to web/openapi.json")
                    .isEqualTo(checkedIn);
        }
    }
}
