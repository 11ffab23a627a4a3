package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.NoiseRules;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.BlockDraft;
import gradino.core.prescribe.BlockDraft.Tread;
import gradino.core.prescribe.BlockForm;
import gradino.core.prescribe.Compiler;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.Method;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.SessionDraft.LineDraft;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Guards the move to one kind of line: a line whose plan makes the blocks and its twin that is composed of the same blocks compile
 * alike and are judged alike. What is to change on purpose will stand here; goes when the plan that makes its blocks has gone.
 */
public class OneLineTest {
    private static final int LIVES = 1000;
    private static final int A_BATCH = 50;
    private static final int SESSIONS = 6;

    @DataProvider
    public Object[][] batches() {
        return IntStream.range(0, LIVES / A_BATCH)
                .mapToObj(n -> new Object[] {n * A_BATCH})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "batches")
    public void theTwinIsJudgedAndCompiledAlike(int first) {
        for (int seed = first; seed < first + A_BATCH; seed++) {
            LivedHistoryTest.live(seed, SESSIONS, OneLineTest::compare);
        }
    }

    private static void compare(LivedHistoryTest.Life life, Proposal own) {
        var plan = life.state().plan();
        var twin = twin(life).propose(own.side(), life.moment());
        assertThat(twin.verdict()).as("%s | %s", own, twin).isEqualTo(own.verdict());
        assertThat(twin.from()).isEqualTo(composed(plan, own.from()));
        assertThat(twin.lever()).as("%s | %s", own, twin).isEqualTo(own.lever());
        assertThat(twin.to()).as("%s | %s", own, twin).isEqualTo(composed(plan, own.to()));
        if (own.verdict() != Verdict.STAY) {
            var stepped = plan.withDose(own.side(), own.to());
            assertThat(Compiler.compile(twinPlan(stepped)).phases())
                    .isEqualTo(Compiler.compile(stepped).phases());
        }
    }

    private record Twin(LineState state) {
        Proposal propose(Side side, Moment moment) {
            return Advance.propose(state, side, Policy.house(), moment);
        }
    }

    private static Twin twin(LivedHistoryTest.Life life) {
        var plan = life.start.plan();
        UnaryOperator<Dose> map = dose -> composed(plan, dose);
        var start = LineState.open(twinPlan(plan), life.start.grid(), life.start.client());
        var events = life.events.stream().map(e -> twin(e, map)).toList();
        return new Twin(LineState.fold(start, events, NoiseRules.HOUSE));
    }

    private static Event twin(Event event, UnaryOperator<Dose> map) {
        if (event instanceof Event.SessionHeld held) {
            var s = held.session();
            return new Event.SessionHeld(
                    new SessionRecord(
                            s.id(),
                            s.startedAt(),
                            s.endedAt(),
                            s.observer(),
                            s.doses().map((side, dose) -> map.apply(dose)),
                            s.blocks(),
                            s.rating(),
                            s.stopSign(),
                            s.stopSide(),
                            s.note(),
                            s.efforts()),
                    held.recordedAt());
        } else if (event instanceof Event.DoseDecided d) {
            return new Event.DoseDecided(
                    d.id(),
                    d.side(),
                    d.answer(),
                    d.proposed(),
                    d.lever(),
                    map.apply(d.before()),
                    map.apply(d.after()),
                    d.happenedAt(),
                    d.recordedAt());
        }
        return event;
    }

    private static Plan twinPlan(Plan plan) {
        return Plan.composed(new LineDraft(
                "l",
                plan.motion(),
                plan.position(),
                plan.method(),
                plan.sides(),
                plan.firstSide(),
                new Sided<>(
                        plan.doses().left().angle().value(),
                        plan.doses().right().angle().value()),
                composed(plan, plan.doses().left()).blocks(),
                composed(plan, plan.doses().right()).blocks(),
                plan.setUpSeconds(),
                plan.sideChangeSeconds(),
                plan.sessionsPerWeek(),
                plan.unequalReason()));
    }

    /** The dose as the blocks that the plan would make of it. */
    private static Dose composed(Plan plan, Dose dose) {
        var blocks = Method.rampBothWays().firstBlocks(true).stream()
                .map(b -> block(b, plan, dose))
                .toList();
        var made = Dose.composed(dose.angle(), blocks);
        return dose.hasHandsOff() ? made.withHandsOff(dose.handsOffRepetitions(), dose.handsOffSeconds()) : made;
    }

    private static BlockDraft block(BlockDraft usual, Plan plan, Dose dose) {
        if (usual.form() == BlockForm.CONTROLLED_ROTATION) {
            return usual.with("repetitions", plan.rotationsEachWay()).with("seconds", plan.secondsPerCircle());
        } else if (usual.form() == BlockForm.SUPPORTED_HOLD) {
            return usual.with("seconds", dose.supportedHoldSeconds());
        }
        var numbers = usual.with("ceiling", dose.ceiling().value())
                .with("sets", dose.sets())
                .with("top-hold", dose.topHoldSeconds())
                .with("pull", plan.pullSeconds())
                .with("settle", plan.settleSeconds());
        var treads = plan.press().steps().stream()
                .map(s -> new Tread(s.effort().value(), s.seconds()))
                .toList();
        return new BlockDraft(numbers.form(), numbers.numbers(), numbers.words(), treads, List.of());
    }
}
