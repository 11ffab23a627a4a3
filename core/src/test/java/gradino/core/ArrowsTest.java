package gradino.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The arrows between the rooms: a package may use those before it in the order of the work, never one after it. */
public class ArrowsTest {
    private static final List<String> ORDER = List.of(
            "quantity",
            "because",
            "body",
            "figure",
            "intake",
            "measure",
            "prescribe",
            "effort",
            "perform",
            "advance",
            "schedule",
            "report");
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("gradino.core");

    /** The rooms within a room that has grown; a name that ends in a dot is the room's own package. */
    private static final List<List<String>> WITHIN = List.of(
            List.of("measure.noise", "measure.reading", "measure.limit"),
            List.of("prescribe.block", "prescribe.method", "prescribe.timeline", "prescribe.program"),
            List.of("advance.state", "advance.gate", "advance.lever", "advance.", "advance.look"),
            List.of("schedule.week", "schedule.calendar", "schedule.solve", "schedule."),
            List.of("report.", "report.studio"));

    @DataProvider
    public Object[][] rooms() {
        return Stream.concat(Stream.of(ORDER.stream().map(r -> r + "..").toList()), WITHIN.stream())
                .flatMap(order -> order.subList(0, order.size() - 1).stream().map(room -> new Object[] {room, order}))
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "rooms")
    public void noRoomUsesALaterOne(String room, List<String> order) {
        var later = order.subList(order.indexOf(room) + 1, order.size()).stream()
                .map(ArrowsTest::packages)
                .toArray(String[]::new);
        noClasses()
                .that()
                .resideInAPackage(packages(room))
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(later)
                .check(CORE);
    }

    private static String packages(String room) {
        return "gradino.core." + (room.endsWith("..") ? room : room.replaceFirst("\\.$", ""));
    }

    /** Every room that is there is named, so that none escapes its arrows. */
    @Test
    public void everyRoomIsNamed() {
        var known = Stream.concat(ORDER.stream(), WITHIN.stream().flatMap(List::stream))
                .map(ArrowsTest::packages)
                .toList();
        var there = CORE.stream().map(JavaClass::getPackageName).distinct().toList();
        assertThat(known).containsAll(there);
        assertThat(there)
                .containsAll(WITHIN.stream()
                        .flatMap(List::stream)
                        .map(ArrowsTest::packages)
                        .toList());
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

    /** The solver may be another one tomorrow. */
    @Test
    public void noTypeOfTheSolverLeavesItsRoom() {
        noClasses()
                .that()
                .resideOutsideOfPackage("gradino.core.schedule.solve..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.chocosolver..")
                .check(CORE);
    }
}
