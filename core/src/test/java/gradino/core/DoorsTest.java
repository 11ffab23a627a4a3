package gradino.core;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import gradino.core.advance.state.Policy;
import gradino.core.because.Source;
import gradino.core.body.Catalogue;
import gradino.core.body.Position.TapeFormulaId;
import gradino.core.body.Segment;
import gradino.core.body.Sided;
import gradino.core.effort.Gravity;
import gradino.core.figure.OwnPosition;
import gradino.core.intake.RestrictionKind;
import gradino.core.intake.Scope;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import java.lang.reflect.Executable;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Modifier;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.Type;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every public factory and record of core that takes a number refuses what is none: not a number, without end, far below zero. */
public class DoorsTest {
    private static final double[] NONSENSE = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, -1e9};

    private static final Map<Segment, BodyLength> LEG = Map.of(Segment.LEG, BodyLength.measured(Centimetres.of(85)));
    /** Whatever was typed is kept, so that it can be found and said beside its field. */
    private static final Set<String> DRAFTS = Set.of(
            "Arrangement$Place",
            "BlockDraft$Tread",
            "BlockDraft$Tread.cappedAt",
            "Clearance$Loosening",
            "Clearance$MotionLimit",
            "Finding",
            "Figure$Box",
            "Figure",
            "Hint",
            "Finding.advice",
            "Finding.blocking",
            "RoleNumber.with",
            "SessionDraft$LineDraft",
            "SessionDraft$StationDraft");

    /** Worked out in core, or read from its own data files, of which other tests hold every row. */
    private static final Set<String> TOLD = Set.of(
            "Agreement",
            "Agreement$Interval",
            "Anthropometry$Mass",
            "BlockParameter",
            "Change",
            "DoneRatio",
            "Figure",
            "Figure$Box",
            "Forecast$Shortfall",
            "Gate$Limit",
            "Gate.amount",
            "GateResult",
            "GateResult.decided",
            "GateResult.passed",
            "Gravity$Torque",
            "InclineLine",
            "LadderRung",
            "MethodBlock$Range",
            "Norm",
            "OutOfBoundsException.require",
            "OutOfBoundsException.requireIfAny",
            "Policy$Entry",
            "Priority",
            "Rehearsal$SideWeek",
            "Repeatability",
            "Retention",
            "SessionEvidence",
            "Shorten$Cut",
            "SideFacts",
            "SteadyWindow$Held",
            "Term$Amount",
            "Term.beside",
            "Term.of",
            "Timeline$Second",
            "Totals$SideTotals",
            "TraceAnalysis",
            "TraceAnalysis$Step",
            "WeekLoad",
            "WeeklyDose");

    @DataProvider
    public Object[][] doors() {
        return new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("gradino.core").stream()
                        .map(JavaClass::reflect)
                        .filter(DoorsTest::isPublic)
                        // A report is worked out throughout, of what other rooms let in.
                        .filter(type -> !type.getPackageName().startsWith("gradino.core.report"))
                        .flatMap(DoorsTest::doors)
                        .filter(d -> Arrays.stream(d.getParameterTypes()).anyMatch(DoorsTest::isNumber))
                        .filter(d -> !DRAFTS.contains(name(d)) && !TOLD.contains(name(d)))
                        .sorted(Comparator.comparing(DoorsTest::name))
                        .map(d -> new Object[] {name(d), d})
                        .toArray(Object[][]::new);
    }

    private static boolean isPublic(Class<?> type) {
        for (Class<?> c = type; c != null; c = c.getDeclaringClass()) {
            if (!Modifier.isPublic(c.getModifiers())) {
                return false;
            }
        }
        return true;
    }

    private static Stream<Executable> doors(Class<?> type) {
        var made = type.isRecord() ? Arrays.stream(type.getConstructors()) : Stream.<Executable>empty();
        var factories = Arrays.stream(type.getMethods())
                .filter(m -> Modifier.isStatic(m.getModifiers()) && m.getDeclaringClass() == type);
        return Stream.concat(made, factories);
    }

    private static boolean isNumber(Class<?> type) {
        return type == double.class || type == Double.class;
    }

    private static String name(Executable door) {
        var type = door.getDeclaringClass().getName().replaceAll(".*\\.", "");
        var what = door instanceof java.lang.reflect.Constructor ? "" : "." + door.getName();
        return type + what;
    }

    @Test(dataProvider = "doors")
    public void refusesWhatIsNoNumber(String name, Executable door) {
        var samples = samples(door);
        var types = door.getParameterTypes();
        var taken = new ArrayList<String>();
        for (int i = 0; i < types.length; i++) {
            for (double nonsense : NONSENSE) {
                if (isNumber(types[i])) {
                    var arguments = samples.clone();
                    arguments[i] = nonsense;
                    if (isTaken(door, arguments)) {
                        taken.add(door.getParameters()[i].getName() + " = " + nonsense);
                    }
                }
            }
        }
        assertThat(taken).as(name).isEmpty();
    }

    private static boolean isTaken(Executable door, @Nullable Object[] arguments) {
        try {
            call(door, arguments);
            return true;
        } catch (IllegalArgumentException refused) {
            return false;
        }
    }

    /** Whose parts must fit each other. */
    private static final Map<String, Object[]> SAMPLES = Map.of(
            "Drag.to",
                    new Object[] {
                        OwnPosition.of(Catalogue.position("standing-trunk").orElseThrow())
                                .orElseThrow()
                                .pose(),
                        "ballW",
                        0.0,
                        0.0
                    },
            "Build", new Object[] {170.0, 0.245, 0.246},
            "Gravity.of", new Object[] {"leg", 70.0, 43.0},
            "Band.through", new Object[] {20.0, 10.0, 40.0, 60.0},
            "LoadStep.next", new Object[] {Gravity.of("leg", 70, 43), 0.0, 12, 6, 12, Policy.house()},
            "Rehearsal$Cast", new Object[] {Set.of(), 1L, 0.9, 8, 3, 30.0, 30.0},
            "Tape", new Object[] {TapeFormulaId.HEEL_RISE, 20.0, 0.0, LEG},
            "Tape.solve", new Object[] {TapeFormulaId.HEEL_RISE, Degrees.of(20), 0.0, LEG, 1.0},
            "Tape.readingFor", new Object[] {TapeFormulaId.HEEL_RISE, Degrees.of(20), 0.0, LEG},
            "Restriction",
                    new Object[] {
                        "x",
                        RestrictionKind.EFFORT_CAP,
                        Scope.WHOLE_BODY,
                        50.0,
                        "x",
                        Source.parse("common practice"),
                        Instant.EPOCH,
                        null
                    });

    private static @Nullable Object[] samples(Executable door) {
        var own = SAMPLES.get(name(door));
        if (own != null) {
            return Arrays.copyOf(own, door.getParameterCount());
        }
        for (double number : new double[] {30, 1, 0.5, 10, 60, 0.0}) {
            var arguments = arguments(door, number);
            try {
                call(door, arguments);
                return arguments;
            } catch (RuntimeException next) {
                // Another number may do.
            }
        }
        throw new AssertionError("no sample for " + name(door));
    }

    private static @Nullable Object[] arguments(Executable door, double number) {
        return Arrays.stream(door.getGenericParameterTypes())
                .map(type -> sample(type, number))
                .toArray();
    }

    private static void call(Executable door, @Nullable Object[] arguments) {
        try {
            if (door instanceof java.lang.reflect.Constructor<?> made) {
                made.newInstance(arguments);
            } else {
                ((java.lang.reflect.Method) door).invoke(null, arguments);
            }
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof RuntimeException thrown) {
                throw thrown;
            }
            throw new IllegalStateException(e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static @Nullable Object sample(Type generic, double number) {
        if (generic instanceof ParameterizedType p) {
            return sampleOf((Class<?>) p.getRawType(), p, number);
        }
        return generic instanceof Class<?> type ? sampleOf(type, null, number) : null;
    }

    private static @Nullable Object sampleOf(Class<?> type, @Nullable ParameterizedType of, double number) {
        if (isNumber(type)) {
            return number;
        } else if (type == int.class || type == Integer.class) {
            return 1;
        } else if (type == long.class) {
            return 1L;
        } else if (type == boolean.class) {
            return false;
        } else if (type == String.class) {
            return "common practice";
        } else if (type == Instant.class) {
            return Instant.EPOCH;
        } else if (type == LocalDate.class) {
            return LocalDate.EPOCH;
        } else if (type == List.class) {
            return List.of();
        } else if (type == Set.class) {
            return Set.of();
        } else if (type == Map.class) {
            return Map.of();
        } else if (type == Sided.class && of != null) {
            var each = sample(of.getActualTypeArguments()[0], number);
            return new Sided<>(each, each);
        } else if (type.isEnum()) {
            return type.getEnumConstants()[0];
        } else if (type.isRecord()) {
            try {
                var door = type.getConstructors()[0];
                return door.newInstance(arguments(door, number));
            } catch (ReflectiveOperationException | RuntimeException e) {
                return null;
            }
        }
        return null;
    }
}
