package gradino.server.demo;

import gradino.core.body.Sided;
import gradino.core.measure.noise.Instrument;
import gradino.core.perform.StopSign;
import gradino.server.demo.DemoLife.AtHome;
import gradino.server.demo.DemoLife.Away;
import gradino.server.demo.DemoLife.Besides;
import gradino.server.demo.DemoLife.Blocked;
import gradino.server.demo.DemoLife.Borrowed;
import gradino.server.demo.DemoLife.Course;
import gradino.server.demo.DemoLife.Steady;
import gradino.server.demo.DemoLife.Stopped;
import gradino.server.intake.Client.Details;
import gradino.server.intake.Client.Lengths;
import gradino.server.intake.Client.MotionGoal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The rest of the demo's cast, by schools of their own and with something that a coach meets; all of it invented. */
final class DemoCast {
    private static final int WEEKS = 10;

    /** With these the coach has decided up to the last session; the others wait. */
    private static final Set<String> DECIDED = Set.of("piper", "sailmaker", "clog-dancer", "potter", "swimmer");

    private final LocalDate today;

    private DemoCast(LocalDate today) {
        this.today = today;
    }

    static Stream<DemoLife> lives(LocalDate today) {
        var cast = new DemoCast(today);
        return Stream.of(
                cast.lighthouseKeeper(),
                cast.piper(),
                cast.fiddler(),
                cast.sailmaker(),
                cast.ferryman(),
                cast.clogDancer(),
                cast.beekeeper(),
                cast.potter(),
                cast.cooper(),
                cast.swimmer(),
                cast.baker());
    }

    /**
     * A client's first day.
     *
     * @param needs degrees of the motion that the goal needs
     */
    private record Person(
            String id, String name, int years, @Nullable String sex, String goal, double needs, int beighton) {}

    /** What is trained: true range at the start on both sides, gap and gain a week, degrees. */
    private record Work(
            String motion, String position, double left, double right, double gap, double gain, double diligence) {}

    /** Climbs step by step. */
    private DemoLife lighthouseKeeper() {
        return life(
                new Person(
                        "lighthouse-keeper",
                        "Keziah Trounce",
                        52,
                        "female",
                        "Climb the tower stairs without the heels lifting",
                        25,
                        2),
                new Work("ankle-dorsiflexion", "wall-lunge", 12, 15, 6, 0.6, 0.9),
                DemoIntake.clean(),
                Course.of("contract-relax-linger", "Ankles for the stairs", new Steady()),
                101);
    }

    /** Very mobile: never deeper, control only. */
    private DemoLife piper() {
        return life(
                new Person("piper", "Rohan Tregear", 24, "male", "Hold the pipes up for a whole parade", 170, 8),
                new Work("shoulder-flexion", "wall-arm-overhead", 176, 178, 14, 0.1, 0.9),
                DemoIntake.veryMobile(),
                Course.of("hands-off", "Arms overhead", new Steady())
                        .and("controlled-circles", "shoulder-flexion", "shoulder-circles"),
                102);
    }

    /** Under eighteen: a guardian agreed. */
    private DemoLife fiddler() {
        return life(
                new Person(
                        "fiddler",
                        "Elowen Pascoe",
                        15,
                        "female",
                        "Stand straight through a barn dance, fiddle in hand",
                        85,
                        3),
                new Work("hip-flexion", "supine-strap-raise", 68, 66, 9, 0.8, 0.85),
                DemoIntake.agreedBy("Tamara Pascoe", today.minusDays(WEEKS * 7L)),
                Course.of("light-breath", "Legs up, light", new Steady())
                        .and("stage-ladder", "hip-flexion", "seated-knee-hug"),
                103);
    }

    /** Ill for two weeks, back since last week. */
    private DemoLife sailmaker() {
        return life(
                new Person("sailmaker", "Nessa Quick", 61, "female", "Kneel low on the loft floor all day", 145, 1),
                new Work("knee-flexion", "prone-heel-to-buttock", 124, 121, 10, 0.6, 0.8),
                DemoIntake.clean(),
                Course.of("ramp-ten-scale", "Knees to fold", new Away(20, 13, true)),
                104);
    }

    /** Was away for five weeks and has come once since. */
    private DemoLife ferryman() {
        return life(
                new Person("ferryman", "Davy Roskelly", 47, "male", "Sit cross-legged with the grandchildren", 45, 2),
                new Work("hip-external-rotation", "seated-90-90-front", 34, 31, 9, 0.5, 0.8),
                DemoIntake.clean(),
                Course.of("ramp-ten-to-max", "Hips, outward", new Away(37, 35, false)),
                105);
    }

    /** Lengthens under load. */
    private DemoLife clogDancer() {
        return life(
                new Person("clog-dancer", "Ines Corve", 33, "female", "A wider straddle for the jumps", 55, 3),
                new Work("hip-abduction", "wide-stance", 36, 37, 8, 0.7, 0.95),
                DemoIntake.clean(),
                Course.of("loaded-lengthening", "Wide stance", new Steady())
                        .and("controlled-movement", "ankle-dorsiflexion", "squat-rocks"),
                106);
    }

    /** Trains at home, where nobody watches. */
    private DemoLife beekeeper() {
        return life(
                new Person("beekeeper", "Tobin Wray", 66, "male", "Turn in the feet to step between the hives", 38, 0),
                new Work("hip-internal-rotation", "seated-edge", 24, 26, 8, 0.5, 0.85),
                DemoIntake.clean(),
                Course.of("pulses", "Hips, small pulses", new AtHome()),
                107);
    }

    /** Fourteen weeks, and no step for long: a plateau. */
    private DemoLife potter() {
        var plateau = life(
                new Person("potter", "Morwenna Lisle", 38, null, "Lean on flat hands at the wheel", 75, 2),
                new Work("wrist-extension", "wrist-extension-floor", 58, 60, 7, 0, 0.35),
                DemoIntake.clean(),
                Course.of("ramp-gentle", "Wrists for the wheel", new Steady()),
                108);
        return plateau.through(14);
    }

    /** The end feels like a block: the angle is never pushed. */
    private DemoLife cooper() {
        return life(
                new Person("cooper", "Alban Fyfe", 55, "male", "Bend to the barrel without the back rounding", 100, 1),
                new Work("hip-flexion", "supine-strap-raise", 62, 70, 12, 0.1, 0.9),
                DemoIntake.clean(),
                Course.of("strength-first", "Bend to the barrel", new Blocked()),
                109);
    }

    /** What a session gains is gone by the next: borrowed. */
    private DemoLife swimmer() {
        return life(
                        new Person("swimmer", "Sela Marsh", 27, "female", "A longer kick behind, back quiet", 20, 4),
                        new Work("hip-extension", "half-kneeling-lunge", 9, 10, 5, 0, 0.9),
                        DemoIntake.clean(),
                        Course.of("sidestep", "Hips, behind", new Borrowed(11))
                                .and("sidestep-strap", "knee-flexion", "prone-strap-turned-out"),
                        110)
                .with(new Besides(true, null));
    }

    /** A stop sign ended the last session. */
    private DemoLife baker() {
        return life(
                new Person("baker", "Wilf Tolland", 58, "male", "Lift trays from the low oven", 20, 1),
                new Work("hip-extension", "side-lying-hip-extension", 8, 7, 5, 0.4, 0.8),
                DemoIntake.clean(),
                Course.of("release-activate-load", "Back of the hips", new Stopped(StopSign.PINCH_THAT_STAYS)),
                111);
    }

    private DemoLife life(Person who, Work work, DemoIntake intake, Course course, long seed) {
        return new DemoLife(
                "demo-" + who.id(),
                details(who, work),
                intake,
                work.motion(),
                work.position(),
                Instrument.GONIOMETER,
                new Sided<>(work.left(), work.right()),
                work.gap(),
                work.gain(),
                work.diligence(),
                WEEKS,
                0,
                DECIDED.contains(who.id()),
                seed,
                Besides.NOTHING,
                course);
    }

    private Details details(Person who, Work work) {
        double stature = 160 + who.years() % 20;
        return new Details(
                who.name(),
                who.sex() == null ? null : today.minusYears(who.years()).minusDays(who.years()),
                who.sex(),
                who.goal(),
                "",
                20,
                List.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.SATURDAY),
                List.of("block", "strap", "wall", "bench", "dumbbell", "ankle-weight"),
                stature,
                Math.rint(23 * stature * stature / 10_000),
                Lengths.NONE,
                who.beighton(),
                1,
                List.of(new MotionGoal(work.motion(), who.needs(), false)));
    }
}
