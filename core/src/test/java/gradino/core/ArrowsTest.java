package gradino.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The arrows between the rooms: a package may use those before it in the order of the work, never one after it. */
public class ArrowsTest {
    private static final List<String> ORDER =
            List.of("quantity", "because", "body", "intake", "measure", "prescribe", "effort", "perform", "advance");
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("gradino.core");

    @DataProvider
    public Object[][] rooms() {
        return ORDER.subList(0, ORDER.size() - 1).stream()
                .map(r -> new Object[] {r})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "rooms")
    public void noRoomUsesALaterOne(String room) {
        var later = ORDER.subList(ORDER.indexOf(room) + 1, ORDER.size()).stream()
                .map(r -> "gradino.core." + r + "..")
                .toArray(String[]::new);
        noClasses()
                .that()
                .resideInAPackage("gradino.core." + room + "..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(later)
                .check(CORE);
    }

    @Test
    public void coreKnowsNoInterfaceNoDatabaseAndNoClock() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework..", "java.sql..", "tools.jackson..", "com.fasterxml..")
                .check(CORE);
        noClasses().should().callMethod(java.time.Instant.class, "now").check(CORE);
        noClasses().should().callMethod(System.class, "currentTimeMillis").check(CORE);
        noClasses()
                .should()
                .dependOnClassesThat()
                .haveFullyQualifiedName("java.time.Clock")
                .check(CORE);
    }
}
