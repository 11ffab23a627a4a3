package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.look.Rehearsal;
import gradino.core.advance.look.Rehearsal.Cast;
import gradino.core.advance.look.Rehearsal.Week;
import gradino.core.advance.look.Trait;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Finding;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.program.LineCheck;
import gradino.core.quantity.OutOfBoundsException;
import java.time.Duration;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

/** Invented clients through a plan; over thousands of them what chapter 5 promises must hold at every single proposal. */
public class RehearsalTest {
    private static final Policy HOUSE = Policy.house();
    private static final int LIVES = 2000;

    private static Cast cast(Set<Trait> traits, long seed, int weeks) {
        return new Cast(traits, seed, 0.9, weeks, 3, 32, 35);
    }

    /** Every mixture of traits comes by in turn. */
    private static Set<Trait> traits(int seed) {
        var found = EnumSet.noneOf(Trait.class);
        for (var trait : Trait.values()) {
            if ((seed >> trait.ordinal() & 1) == 1) {
                found.add(trait);
            }
        }
        return found;
    }

    @Test
    public void theSameSeedLivesTheSameLife() {
        var once = Rehearsal.of(cast(Set.of(Trait.SORE), 7, 12), HOUSE);
        assertThat(Rehearsal.of(cast(Set.of(Trait.SORE), 7, 12), HOUSE)).isEqualTo(once);
        assertThat(Rehearsal.of(cast(Set.of(Trait.SORE), 8, 12), HOUSE)).isNotEqualTo(once);
        assertThat(once).hasSize(12).last().extracting(Week::number).isEqualTo(12);
    }

    private static double gained(List<Week> weeks) {
        var last = weeks.get(weeks.size() - 1).sides().left();
        return last.passive() - 32;
    }

    private static double mean(
            Set<Trait> traits, double adherence, java.util.function.ToDoubleFunction<List<Week>> of) {
        return IntStream.range(0, 30)
                .mapToObj(seed -> Rehearsal.of(new Cast(traits, seed, adherence, 16, 3, 32, 35), HOUSE))
                .mapToDouble(of)
                .average()
                .orElseThrow();
    }

    private static double pain(List<Week> weeks) {
        return weeks.stream()
                .mapToInt(w -> w.sides().left().worstPain())
                .average()
                .orElseThrow();
    }

    @Test
    public void traitsShowInWhatHappens() {
        double plain = mean(Set.of(), 0.95, RehearsalTest::gained);
        assertThat(mean(Set.of(Trait.STIFF), 0.95, RehearsalTest::gained)).isLessThan(plain);
        assertThat(mean(Set.of(), 0.3, RehearsalTest::gained)).isLessThan(plain);
        assertThat(mean(Set.of(Trait.OVER_EAGER), 0.95, RehearsalTest::pain))
                .isGreaterThan(mean(Set.of(), 0.95, RehearsalTest::pain));
        double held = mean(
                Set.of(Trait.IRREGULAR),
                0.95,
                w -> w.stream().mapToInt(Week::held).sum());
        assertThat(held)
                .isLessThan(mean(
                        Set.of(), 0.95, w -> w.stream().mapToInt(Week::held).sum()));
    }

    @Test
    public void someoneLooseIsGivenControlWorkAndNoAngle() {
        var weeks = Rehearsal.of(cast(Set.of(Trait.LOOSE), 3, 12), HOUSE);
        var levers = weeks.stream()
                .flatMap(w -> w.sides().left().steps().stream())
                .map(Rehearsal.TakenStep::lever)
                .toList();
        assertThat(levers)
                .startsWith(LeverId.HANDS_OFF_HOLD, LeverId.HANDS_OFF_HOLD)
                .doesNotContain(LeverId.ANGLE);
        assertThat(weeks)
                .anySatisfy(
                        w -> assertThat(w.sides().left().dose().hasHandsOff()).isTrue());
    }

    @Test
    public void aStricterPolicyTakesFewerSteps() {
        var strict = HOUSE.with("strict-1", Map.of(Threshold.SESSIONS_NEEDED, 4.0));
        java.util.function.ToIntFunction<Policy> ups = policy -> IntStream.range(0, 20)
                .map(seed -> (int) Rehearsal.of(cast(Set.of(), seed, 16), policy).stream()
                        .flatMap(w -> w.sides().left().steps().stream())
                        .filter(s -> s.verdict() == Verdict.STEP_UP)
                        .count())
                .sum();
        assertThat(ups.applyAsInt(strict)).isLessThan(ups.applyAsInt(HOUSE));
    }

    @Test
    public void whatThePromisesSayHoldsOverThousandsOfLives() {
        var verdicts = EnumSet.noneOf(Verdict.class);
        for (int seed = 0; seed < LIVES; seed++) {
            Rehearsal.of(cast(traits(seed), seed, 6), HOUSE, (state, proposal, moment) -> {
                verdicts.add(proposal.verdict());
                promised(state, proposal, moment);
            });
        }
        assertThat(verdicts).contains(Verdict.STEP_UP, Verdict.STAY, Verdict.STEP_DOWN);
    }

    private static void promised(LineState state, Proposal p, Moment moment) {
        var s = new Situation(state, p.side(), HOUSE, moment);
        double estimate = s.passive().orElseThrow().value().value();
        if (p.verdict() == Verdict.STEP_UP) {
            assertThat(raised(p)).as("big levers at once: %s", p).isLessThanOrEqualTo(1);
            assertThat(LineCheck.checkSide(
                            s.planWith(p.to()), p.side(), s.facts(Sided.both(Optional.empty())), s.method()))
                    .filteredOn(Finding::blocks)
                    .isEmpty();
            double deeper = p.to().angle().minus(p.from().angle());
            if (deeper > 0) {
                assertThat(p.to().angle().value()).isLessThanOrEqualTo(estimate - 2);
                assertThat(deeper + inSevenDays(state, p.side(), moment)).isLessThanOrEqualTo(5);
            }
        } else {
            assertThat(p.to().angle()).isLessThanOrEqualTo(p.from().angle());
            assertThat(p.to().ceiling()).isLessThanOrEqualTo(p.from().ceiling());
        }
        if (p.from().angle().value() > estimate) {
            assertThat(p.verdict()).as("range was lost").isEqualTo(Verdict.STEP_DOWN);
        }
    }

    private static int raised(Proposal p) {
        var from = p.from();
        var to = p.to();
        return more(to.angle().value(), from.angle().value())
                + more(to.ceiling().value(), from.ceiling().value())
                + more(to.sets(), from.sets())
                + more(to.topHoldSeconds(), from.topHoldSeconds())
                + more(to.supportedHoldSeconds(), from.supportedHoldSeconds())
                + more(to.handsOffSeconds(), from.handsOffSeconds());
    }

    private static int more(double to, double from) {
        return to > from ? 1 : 0;
    }

    private static double inSevenDays(LineState state, Side side, Moment moment) {
        var since = moment.instant().minus(Duration.ofDays(7));
        return state.side(side).decisions().stream()
                .filter(d -> d.happenedAt().isAfter(since))
                .mapToDouble(d -> Math.max(0, d.after().angle().minus(d.before().angle())))
                .sum();
    }

    @Test
    public void aCastOutsideTheModelIsRefused() {
        assertThatThrownBy(() -> cast(Set.of(), 1, 3)).isInstanceOf(OutOfBoundsException.class);
        assertThatThrownBy(() -> cast(Set.of(), 1, 27)).isInstanceOf(OutOfBoundsException.class);
        assertThatThrownBy(() -> new Cast(Set.of(), 1, 1.1, 8, 3, 30, 30)).isInstanceOf(OutOfBoundsException.class);
    }
}
