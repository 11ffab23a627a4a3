package gradino.core.report;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.look.Flight;
import gradino.core.advance.look.Flight.Rung;
import gradino.core.advance.look.Flight.Turned;
import gradino.core.advance.state.Event.Answer;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.reading.RangeReading;
import gradino.core.prescribe.House;
import gradino.core.prescribe.method.Dose;
import gradino.core.report.MovementChange.Tested;
import gradino.core.report.MovementChange.Unit;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;

/** Did it stay, and how did it climb? */
public class StayedAndClimbTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");
    private static final LocalDate START = LocalDate.of(2026, 3, 2);
    private static final Period PERIOD = new Period(START, START.plusDays(70));
    private static final Dose LOW = House.dose(30, 60, 2, 50, 10);
    private static final Dose HIGH = House.dose(30, 60, 2, 60, 10);

    private static Instant at(int day, int hour) {
        return START.plusDays(day).atTime(hour, 0).atZone(ZONE).toInstant();
    }

    /** Each week 8° are gained in a session, of which so many are there the next time. */
    private static Series weekly(int weeks, double keptEachTime) {
        var cold = new ArrayList<RangeReading>();
        var warm = new ArrayList<RangeReading>();
        for (int w = 0; w < weeks; w++) {
            cold.add(new RangeReading(at(w * 7, 9), 30 + w * keptEachTime, 1));
            warm.add(new RangeReading(at(w * 7, 10), 38 + w * keptEachTime, 1));
        }
        var key = new SeriesKey("hip", Side.LEFT, Mode.PASSIVE, "prone", Instrument.TAPE);
        return new Series(key, cold, warm, 0);
    }

    @Test
    public void tellsTheShareKeptOfThePeriodAndOfEachBlockThatIsLongEnough() {
        var blocks = List.of(new Period(START, START.plusDays(34)), new Period(START.plusDays(35), START.plusDays(55)));

        var stayed = Stayed.of(List.of(weekly(9, 4)), blocks, PERIOD, ZONE);

        // Four of eight degrees each time (closed form); the second block has two pairs only.
        assertThat(stayed.kept()).hasSize(2).allSatisfy(k -> {
            assertThat(k.retention().ratio()).isEqualTo(0.5);
            assertThat(k.retention().lower95()).isLessThan(0.5);
            assertThat(k.retention().upper95()).isGreaterThan(0.5);
        });
        assertThat(stayed.kept().stream().map(k -> k.weeks().to())).containsExactly(PERIOD.to(), START.plusDays(34));
    }

    @Test
    public void tooFewVisitsAreCountedAndNotTold() {
        var stayed = Stayed.of(List.of(weekly(3, 4)), List.of(), PERIOD, ZONE);

        assertThat(stayed).isEqualTo(new Stayed(List.of(), 1));
    }

    @Test
    public void withNothingGainedThereIsNoShare() {
        var flat = new ArrayList<RangeReading>();
        var same = new ArrayList<RangeReading>();
        for (int w = 0; w < 8; w++) {
            flat.add(new RangeReading(at(w * 7, 9), 30, 9));
            same.add(new RangeReading(at(w * 7, 10), 30, 9));
        }
        var key = new SeriesKey("hip", Side.LEFT, Mode.PASSIVE, "prone", Instrument.TAPE);

        assertThat(Stayed.of(List.of(new Series(key, flat, same, 0)), List.of(), PERIOD, ZONE))
                .isEqualTo(new Stayed(List.of(), 1));
    }

    private static Rung rung(int day, int level, Dose before, Dose after, Answer answer) {
        return new Rung(
                answer == null ? null : "d" + day,
                at(day, 12),
                answer,
                answer == null ? null : Verdict.STEP_UP,
                answer == null ? null : LeverId.CEILING,
                before,
                after,
                level,
                answer == Answer.CHANGED,
                3,
                0,
                Turned.HELD);
    }

    @Test
    public void countsStepsOfThePeriodFromTheLevelItBeganWith() {
        List<Flight.Rung> rungs = List.of(
                rung(-90, 0, LOW, LOW, null),
                rung(-60, 1, LOW, HIGH, Answer.ACCEPTED),
                rung(10, 2, HIGH, LOW, Answer.CHANGED),
                rung(20, 2, LOW, LOW, Answer.DECLINED),
                rung(30, 1, HIGH, LOW, Answer.ACCEPTED),
                rung(90, 2, LOW, HIGH, Answer.ACCEPTED));
        var known = new LineClimb.Known("l", "hip", "prone", "ramp", Side.LEFT, rungs, true, at(40, 8));

        var climb = LineClimb.of(known, PERIOD, ZONE);

        assertThat(climb.started()).isEqualTo(1);
        assertThat(climb.ended()).isEqualTo(1);
        assertThat(climb.up()).isEqualTo(1);
        assertThat(climb.down()).isEqualTo(1);
        assertThat(climb.steps()).hasSize(3);
        assertThat(climb.steps().stream().filter(LineClimb.Step::override)).hasSize(1);
        assertThat(climb.methodSince()).isEqualTo(at(40, 8));
    }

    @Test
    public void aMethodThatWasNeverChangedIsNotSaidToBe() {
        var known = new LineClimb.Known("l", "hip", "prone", "ramp", Side.LEFT, List.of(), false, Instant.MIN);

        assertThat(LineClimb.of(known, PERIOD, ZONE).methodSince()).isNull();
    }

    @Test
    public void aLengthIsJudgedByTheTapesOwnNoiseAndAGradeByNone() {
        var far = MovementChange.of(
                "toe to wall",
                Unit.CENTIMETRE,
                true,
                List.of(new Tested(at(0, 9), 6), new Tested(at(40, 9), 8)),
                PERIOD,
                ZONE);
        var near = MovementChange.of(
                "toe to wall",
                Unit.CENTIMETRE,
                true,
                List.of(new Tested(at(0, 9), 6), new Tested(at(40, 9), 7)),
                PERIOD,
                ZONE);
        var grade = MovementChange.of(
                "squat", Unit.GRADE, true, List.of(new Tested(at(0, 9), 6), new Tested(at(40, 9), 5)), PERIOD, ZONE);
        var heel = MovementChange.of(
                "heel",
                Unit.CENTIMETRE,
                false,
                List.of(new Tested(at(0, 9), 9), new Tested(at(40, 9), 4)),
                PERIOD,
                ZONE);

        // Two readings of a tape, 0.5 cm each: 1.96·√2·0.5 = 1.39 cm (JCGM 100:2008).
        assertThat(far.judged()).isEqualTo(Judged.MORE);
        assertThat(near.judged()).isEqualTo(Judged.WITHIN_NOISE);
        assertThat(grade.judged()).isEqualTo(Judged.LESS);
        assertThat(heel.judged()).isEqualTo(Judged.MORE);
    }

    @Test
    public void aMovementTestedOnceIsNoChange() {
        var once = MovementChange.of("squat", Unit.GRADE, true, List.of(new Tested(at(3, 9), 6)), PERIOD, ZONE);

        assertThat(once.from()).isNotNull();
        assertThat(once.to()).isNull();
        assertThat(once.judged()).isNull();
    }
}
