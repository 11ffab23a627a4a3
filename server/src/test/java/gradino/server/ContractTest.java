package gradino.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The arrows between the server's steps, and the contract with the pages. */
public class ContractTest {
    private static final List<String> ORDER = List.of(
            "platform",
            "paper",
            "backup",
            "account",
            "device",
            "intake",
            "measure",
            "prescribe",
            "perform",
            "advance",
            "schedule",
            "today",
            "home",
            "report",
            "exchange",
            "demo");
    private static final JsonMapper SORTED = JsonMapper.builder()
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS, SerializationFeature.INDENT_OUTPUT)
            .build();
    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("gradino.server");

    /** The rooms within a step that has grown; a name that ends in a dot is the step's own package. */
    private static final List<List<String>> WITHIN = List.of(
            List.of("account.people", "account.link", "account.door"),
            List.of("prescribe.program", "prescribe.library", "prescribe.compose", "prescribe.handout"),
            List.of("perform.record", "perform.force", "perform.floor"),
            List.of("advance.line", "advance."),
            List.of("schedule.calendar", "schedule.plan", "schedule.feed"),
            List.of("report.read", "report.draw", "report.told", "report.format", "report.studio", "report."),
            List.of("exchange.table", "exchange."));

    @DataProvider
    public Object[][] steps() {
        return Stream.concat(Stream.of(ORDER.stream().map(s -> s + "..").toList()), WITHIN.stream())
                .flatMap(order -> order.subList(0, order.size() - 1).stream().map(step -> new Object[] {step, order}))
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "steps")
    public void noStepUsesALaterOne(String step, List<String> order) {
        var later = order.subList(order.indexOf(step) + 1, order.size()).stream()
                .map(ContractTest::packages)
                .toArray(String[]::new);
        noClasses()
                .that()
                .resideInAPackage(packages(step))
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(later)
                .check(SERVER);
    }

    private static String packages(String step) {
        return "gradino.server." + (step.endsWith("..") ? step : step.replaceFirst("\\.$", ""));
    }

    /** Every package that is there is named, so that none escapes its arrows. */
    @Test
    public void everyStepIsNamed() {
        var known = Stream.concat(ORDER.stream(), WITHIN.stream().flatMap(List::stream))
                .map(ContractTest::packages)
                .distinct()
                .toList();
        var there = SERVER.stream()
                .map(JavaClass::getPackageName)
                .filter(p -> !p.equals("gradino.server"))
                .distinct()
                .toList();
        assertThat(known).containsExactlyInAnyOrderElementsOf(there);
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
            var document = Path.of(System.getProperty("gradino.web.dir"), "openapi.json");
            var served = SORTED.writeValueAsString(SORTED.convertValue(
                    server.get("/api/openapi").body(), new TypeReference<TreeMap<String, Object>>() {}));
            if (Boolean.getBoolean("gradino.api.write")) {
                Files.writeString(document, served + "\n");
            }
            assertThat(Files.readString(document).strip())
                    .as("./gradino api writes it anew")
                    .isEqualTo(served);
        }
    }
}
