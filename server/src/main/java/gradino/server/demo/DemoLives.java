package gradino.server.demo;

import gradino.core.advance.state.Moment;
import gradino.core.body.Sided;
import gradino.core.effort.SimulatedPerson.Manner;
import gradino.core.measure.noise.Instrument;
import gradino.server.demo.DemoLife.Besides;
import gradino.server.demo.DemoLife.Course;
import gradino.server.intake.Client.Details;
import gradino.server.intake.Client.Lengths;
import gradino.server.intake.Client.MotionGoal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The cast of the demo; all of it invented. */
@Component
class DemoLives {
    private static final String INWARD = "hip-internal-rotation";

    private final DemoTeller teller;

    DemoLives(DemoTeller teller) {
        this.teller = teller;
    }

    void tell(Moment now) {
        for (var life : lives(now.day(now.instant()))) {
            teller.tell(life, now);
        }
    }

    static List<DemoLife> lives(LocalDate today) {
        return Stream.concat(
                        Stream.of(rower(today), bellRinger(today), waller(today), puppeteer(today)),
                        DemoCast.lives(today))
                .toList();
    }

    /** New: taken in this morning, nothing measured. */
    private static DemoLife puppeteer(LocalDate today) {
        var details = details(
                "Odalys Marrick",
                today.minusYears(34),
                "Puppeteer: kneel behind the playboard for a whole show",
                20,
                168.0,
                null,
                3,
                40);
        return life(
                "demo-puppeteer",
                details,
                DemoIntake.NOT_YET,
                "prone-knee-bent",
                Instrument.GONIOMETER,
                31,
                33,
                6,
                0,
                1,
                0,
                0,
                true,
                11);
    }

    /** Two clean sessions wait for a decision. */
    private static DemoLife rower(LocalDate today) {
        var details = details(
                "Tamsin Hale",
                today.minusYears(29),
                "Gig rower: sit deep at the catch without the low back rounding",
                25,
                174.0,
                42.5,
                2,
                42);
        return life(
                        "demo-rower",
                        details,
                        DemoIntake.clean(),
                        "prone-knee-bent",
                        Instrument.GONIOMETER,
                        24,
                        28,
                        6,
                        0.75,
                        0.8,
                        10,
                        0,
                        false,
                        23)
                .with(new Besides(false, Manner.GOOD));
    }

    /** Pain was reported in the last session. */
    private static DemoLife bellRinger(LocalDate today) {
        var details = details(
                "Corwin Aske",
                today.minusYears(58),
                "Bell-ringer: stand through a full peal with the feet turned in",
                30,
                181.0,
                44.0,
                1,
                38);
        return life(
                "demo-bell-ringer",
                details,
                DemoIntake.clearedTo70(),
                "prone-knee-bent",
                Instrument.GONIOMETER,
                26,
                23,
                7,
                0.5,
                0.6,
                10,
                6,
                true,
                37);
    }

    /** A wide gap between what the hand can reach and what the muscle can. */
    private static DemoLife waller(LocalDate today) {
        var details = details(
                "Bryn Tolliver",
                today.minusYears(41),
                "Dry-stone waller: squat and twist low on the slope all day",
                25,
                178.0,
                43.0,
                4,
                35);
        return life(
                        "demo-waller",
                        details,
                        DemoIntake.brokenWrist(today.minusDays(150)),
                        "seated-90-90-rear",
                        Instrument.TAPE,
                        37,
                        35,
                        21,
                        0.2,
                        0.5,
                        10,
                        0,
                        false,
                        53)
                .with(new Besides(true, null));
    }

    private static Details details(
            String name,
            LocalDate birth,
            String goal,
            int minutes,
            double stature,
            @Nullable Double shank,
            int beighton,
            double needs) {
        return new Details(
                name,
                birth,
                null,
                goal,
                "",
                minutes,
                List.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.SATURDAY),
                List.of("block", "strap", "wall", "bench"),
                stature,
                Math.rint(22.5 * stature * stature / 10_000),
                Lengths.ofShank(shank),
                beighton,
                1,
                List.of(new MotionGoal(INWARD, needs, false)));
    }

    private static DemoLife life(
            String id,
            Details details,
            DemoIntake intake,
            String position,
            Instrument instrument,
            double left,
            double right,
            double gap,
            double gain,
            double diligence,
            int weeks,
            int pain,
            boolean decide,
            long seed) {
        return new DemoLife(
                id,
                details,
                intake,
                INWARD,
                position,
                instrument,
                new Sided<>(left, right),
                gap,
                gain,
                diligence,
                weeks,
                pain,
                decide,
                seed,
                Besides.NOTHING,
                Course.USUAL);
    }
}
