package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.look.Backtest;
import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.Event;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.LineState;
import gradino.core.advance.state.Moment;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Finding;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.because.Words;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.intake.AnyLimits;
import gradino.core.intake.Limits;
import gradino.core.intake.RestrictionKind;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.reading.PropGrid;
import gradino.core.measure.reading.RangeReading;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.House;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.LineCheck;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Whole invented histories, lived session by session with every proposal accepted: what handbook chapter 5 promises must
 * hold at each one, whatever happened.
 */
public class LivedHistoryTest {
    private static final Instant START = Instant.parse("2026-01-05T09:00:00Z");
    private static final Policy POLICY = Policy.house();
    private static final int SESSIONS = 24;
    private static final List<Life> LIVES =
            IntStream.range(0, 6).mapToObj(seed -> live(seed, (l, p) -> {})).toList();

    @DataProvider
    public Object[][] seeds() {
        return IntStream.range(0, 50).mapToObj(n -> new Object[] {n}).toArray(Object[][]::new);
    }

    /** A life: the line's start, and every event so far in the order it was recorded. */
    static final class Life {
        final Random random;
        final LineState start;
        final List<Event> events = new ArrayList<>();
        /** Everything is recorded as it happens: stepping comes to what folding does. */
        private LineState state;

        final double range;
        Instant now = START;
        int sessions;

        Life(int seed) {
            random = new Random(seed);
            range = 30 + random.nextInt(16);
            var cap = random.nextInt(3) == 0 ? EffortPercent.of(40 + 10 * random.nextInt(5)) : null;
            var limits = AnyLimits.of(cap == null ? null : cap.value(), random.nextInt(6) == 0, false);
            var client = new ClientFacts(
                    limits,
                    random.nextInt(6) == 0,
                    random.nextBoolean() ? 14 + random.nextInt(14) : null,
                    50.0,
                    null,
                    null,
                    null);
            var dose = House.newcomers(range - 6);
            var first = dose.withCeiling(dose.ceiling().atMost(limits.highestEffort()));
            start = LineState.open(
                    House.line(Method.RAMP_BOTH_WAYS, Sided.both(first)), new PropGrid.AngleStep(0.5), client);
            state = start;
        }

        LineState state() {
            return state;
        }

        private void add(Event event) {
            events.add(event);
            state = state.step(event, NoiseRules.HOUSE);
        }

        void measure() {
            for (var side : Side.PAIR) {
                for (var mode : List.of(Mode.PASSIVE, Mode.ACTIVE)) {
                    double gap = mode == Mode.ACTIVE ? 4 : 0;
                    double seen = range - gap + 0.2 * sessions + random.nextGaussian();
                    add(new Event.MeasuredCold(side, mode, new RangeReading(now, seen, 9), EndFeel.STRETCH, now));
                }
            }
        }

        void train() {
            var state = state();
            var doses = Sided.of(side -> state.side(side).dose());
            var blocks = new ArrayList<BlockRecord>();
            for (var side : Side.PAIR) {
                for (int set = 1; set <= doses.on(side).sets(); set++) {
                    blocks.add(press(side, set, doses.on(side)));
                }
            }
            var id = "s" + ++sessions;
            var session = new SessionRecord(
                    id, now, now.plusSeconds(900), observer(), doses, blocks, Tenths.of(5), null, null, "", List.of());
            add(new Event.SessionHeld(session, session.endedAt()));
            if (random.nextInt(12) > 0) {
                var morning = now.plus(Duration.ofHours(18));
                add(Event.MorningAnswered.first(
                        id, random.nextInt(10) > 0, Tenths.of(random.nextInt(5)), morning, morning));
            }
        }

        private Observer observer() {
            return random.nextInt(3) == 0 ? Observer.NOBODY : Observer.COACH;
        }

        private BlockRecord press(Side side, int set, Dose dose) {
            double done = random.nextInt(10) == 0 ? 0.7 : 1;
            var pains = random.nextInt(12) == 0
                    ? List.of(new Pain(PainScore.of(random.nextInt(9)), kind(), "hip"))
                    : List.<Pain>of();
            return new BlockRecord(
                    new BlockId(1, side, set, BlockKind.PRESS, 1, BlockId.Way.PLANNED),
                    side,
                    BlockKind.PRESS,
                    List.of(
                            new PhaseDone(PhaseKind.STEP, 10, 10 * done),
                            new PhaseDone(PhaseKind.TOP_HOLD, dose.topHoldSeconds(), dose.topHoldSeconds())),
                    Tenths.of((int) Math.round(dose.ceiling().tenths())),
                    List.of(),
                    pains,
                    random.nextInt(8) == 0 ? 2 : 0,
                    false,
                    null,
                    "",
                    null);
        }

        private PainKind kind() {
            var kinds = PainKind.values();
            return kinds[random.nextInt(kinds.length)];
        }

        /** A coach's own change, up or down. */
        void edit(Side side) {
            var before = state().side(side).dose();
            double by = random.nextInt(7) - 3;
            int ceiling = Math.max(20, Math.min(100, before.ceiling().value() + 10 * (random.nextInt(5) - 2)));
            var after =
                    before.withAngle(Degrees.of(before.angle().value() + by)).withCeiling(EffortPercent.of(ceiling));
            add(new Event.DoseDecided(
                    "e" + events.size(), side, Event.Answer.EDITED, Verdict.STAY, null, before, after, now, now));
        }

        Proposal propose(Side side) {
            return Advance.propose(state(), side, POLICY, moment());
        }

        Moment moment() {
            return new Moment(now, ZoneOffset.UTC);
        }

        void accept(Proposal p) {
            add(new Event.DoseDecided(
                    "d" + events.size(),
                    p.side(),
                    Event.Answer.ACCEPTED,
                    p.verdict(),
                    p.lever(),
                    p.from(),
                    p.to(),
                    now,
                    now));
        }

        void pass() {
            now = now.plus(Duration.ofDays(random.nextInt(14) == 0 ? 20 : 2 + random.nextInt(3)));
        }
    }

    interface Look {
        void at(Life life, Proposal proposal);
    }

    private static Life live(int seed, Look look) {
        return live(seed, SESSIONS, look);
    }

    static Life live(int seed, int sessions, Look look) {
        return live(seed, sessions, false, look);
    }

    private static Life live(int seed, int sessions, boolean edits, Look look) {
        var life = new Life(seed);
        life.measure();
        while (life.sessions < sessions) {
            life.train();
            life.pass();
            if (life.sessions % 3 == 0) {
                life.measure();
            }
            for (var side : Side.PAIR) {
                var proposal = life.propose(side);
                look.at(life, proposal);
                if (edits && life.random.nextInt(12) == 0) {
                    life.edit(side);
                } else if (proposal.verdict() != Verdict.STAY) {
                    life.accept(proposal);
                }
            }
        }
        return life;
    }

    /** Without this the promises below could hold because nothing happens. */
    @Test
    public void theLivesGoEveryWay() {
        var verdicts = EnumSet.noneOf(Verdict.class);
        var levers = EnumSet.noneOf(LeverId.class);
        for (int seed = 0; seed < 50; seed++) {
            live(seed, (life, p) -> {
                verdicts.add(p.verdict());
                Optional.ofNullable(p.lever()).ifPresent(levers::add);
            });
        }
        assertThat(verdicts).contains(Verdict.STEP_UP, Verdict.STAY, Verdict.STEP_DOWN);
        assertThat(levers).contains(LeverId.ANGLE, LeverId.TOP_HOLD, LeverId.CEILING, LeverId.SETS);
    }

    @Test(dataProvider = "seeds")
    public void neverTwoLoadsAreRaisedAtOnce(int seed) {
        live(seed, (life, p) -> {
            if (p.verdict() == Verdict.STEP_UP) {
                int raised = raised(p.from().angle().value(), p.to().angle().value())
                        + raised(p.from().ceiling().value(), p.to().ceiling().value())
                        + raised(p.from().sets(), p.to().sets())
                        + raised(p.from().topHoldSeconds(), p.to().topHoldSeconds())
                        + raised(p.from().supportedHoldSeconds(), p.to().supportedHoldSeconds());
                assertThat(raised).as("%s", p).isLessThanOrEqualTo(1);
            }
        });
    }

    private static int raised(double from, double to) {
        return to > from ? 1 : 0;
    }

    private static final List<Limits> RESTRICTED = List.of(
            Limits.NONE,
            AnyLimits.of(RestrictionKind.EFFORT_CAP, 40.0),
            AnyLimits.of(RestrictionKind.CONTRACTION_CAP, 12.0),
            AnyLimits.of(RestrictionKind.ANGLE_CAP, 15.0),
            AnyLimits.of(RestrictionKind.NO_DEEPENING, null),
            AnyLimits.of(RestrictionKind.NOT_LYING, null));

    /** Whatever a coach changed in between, whatever was felt, and whatever the client comes under. */
    @Test(dataProvider = "seeds")
    public void noStepDownRaisesAnythingNorPassesABound(int seed) {
        live(seed, SESSIONS, true, (life, proposal) -> {
            for (var limits : RESTRICTED) {
                var state = life.state();
                state = state.with(state.client().withLimits(limits));
                var p = Advance.propose(state, proposal.side(), POLICY, life.moment());
                if (p.verdict() == Verdict.STEP_DOWN) {
                    lower(state, p, life.moment());
                }
                var led = Advance.effectiveDose(state, p.side(), POLICY, life.moment());
                var unled = Advance.unledDose(state, p.proposed(), led);
                assertThat(Change.isMore(led, unled)).as("%s", p).isFalse();
            }
        });
    }

    private static void lower(LineState state, Proposal p, Moment moment) {
        var limits = state.client().limits();
        assertThat(Change.isMore(p.from(), p.to())).as("%s", p).isFalse();
        assertThat(p.to().angle().compareTo(p.from().angle())).isNotPositive();
        assertThat(p.to().ceiling()).isLessThanOrEqualTo(limits.highestEffort());
        limits.angleCap(p.side())
                .ifPresent(cap -> assertThat(p.to().angle().value()).isLessThanOrEqualTo(cap.bound()));
        var s = new Situation(state, p.side(), POLICY, moment);
        s.passive()
                .ifPresent(range -> assertThat(p.to().angle().value())
                        .isLessThanOrEqualTo(range.value().value()));
        limits.contractionCap()
                .ifPresent(cap -> assertThat(s.planWith(p.to()).longestContractionSeconds(p.side()))
                        .isLessThanOrEqualTo((int) cap.bound()));
        assertThat(p.changesDose() || p.why().reason() == Reason.DOWN_NOTHING_LEFT)
                .as("%s", p)
                .isTrue();
    }

    @Test(dataProvider = "seeds")
    public void noStepUpBreaksWhatAPlanMayHold(int seed) {
        live(seed, (life, p) -> {
            if (p.verdict() == Verdict.STEP_UP) {
                var s = new Situation(life.state(), p.side(), POLICY, life.moment());
                assertThat(LineCheck.checkSide(s.planWith(p.to()), p.side(), unmeasured(s), s.method()))
                        .filteredOn(Finding::blocks)
                        .isEmpty();
                assertThat(p.to().angle().value())
                        .isLessThanOrEqualTo(
                                Math.max(deepest(s), p.from().angle().value()));
            }
        });
    }

    private static LineFacts unmeasured(Situation s) {
        return s.facts(Sided.both(Optional.empty()));
    }

    private static double deepest(Situation s) {
        return s.angleBound().map(Degrees::value).orElse(Double.NEGATIVE_INFINITY);
    }

    @Test(dataProvider = "seeds")
    public void neverMoreThanFiveDegreesInSevenDays(int seed) {
        var life = live(seed, (l, p) -> {});
        for (var side : Side.PAIR) {
            var steps = life.state().side(side).decisions();
            for (var last : steps) {
                double gained = steps.stream()
                        .filter(d -> !d.happenedAt().isAfter(last.happenedAt()))
                        .filter(d -> d.happenedAt().isAfter(last.happenedAt().minus(Duration.ofDays(7))))
                        .mapToDouble(d ->
                                Math.max(0, d.after().angle().minus(d.before().angle())))
                        .sum();
                assertThat(gained).isLessThanOrEqualTo(5);
            }
        }
    }

    @Test(dataProvider = "seeds")
    public void theSameHistoryInAnyOrderGivesTheSameProposals(int seed) {
        var life = live(seed, (l, p) -> {});
        var shuffled = new ArrayList<>(life.events);
        Collections.shuffle(shuffled, new Random(seed + 1));
        var again = LineState.fold(life.start, shuffled, NoiseRules.HOUSE);
        for (var side : Side.PAIR) {
            assertThat(Advance.propose(again, side, POLICY, life.moment())).isEqualTo(life.propose(side));
        }
    }

    @Test(dataProvider = "seeds")
    public void everyReasonHasAllThatItsWordsAskFor(int seed) {
        live(seed, (life, p) -> {
            p.reasons().forEach(Words::requireComplete);
            p.gates().forEach(g -> Words.requireComplete(g.because()));
        });
    }

    @Test(dataProvider = "seeds")
    public void whatIsMeasuredOnOneSideChangesNothingOnTheOther(int seed) {
        var life = live(seed, (l, p) -> {});
        var before = life.propose(Side.RIGHT);
        life.add(new Event.MeasuredCold(
                Side.LEFT, Mode.PASSIVE, new RangeReading(life.now, 20, 9), EndFeel.PINCH, life.now));
        assertThat(life.propose(Side.RIGHT)).isEqualTo(before);
    }

    @Test(dataProvider = "seeds")
    public void askingTwiceChangesNothingAndOneSideIsCheckedAsTheWholePlanIs(int seed) {
        live(seed, (life, p) -> {
            assertThat(life.propose(p.side())).isEqualTo(p);
            var s = new Situation(life.state(), p.side(), POLICY, life.moment());
            var plan = s.planWith(p.to().withSets(0));
            var whole = LineCheck.check(plan, unmeasured(s), s.method()).stream()
                    .filter(f -> f.path().contains(p.side().word()))
                    .toList();
            assertThat(LineCheck.checkSide(plan, p.side(), unmeasured(s), s.method()))
                    .isEqualTo(whole)
                    .isNotEmpty();
        });
    }

    @DataProvider
    public Object[][] thresholds() {
        return Arrays.stream(Threshold.values()).map(t -> new Object[] {t}).toArray(Object[][]::new);
    }

    /** Gates that asked for nothing that differs are not judged twice: the outcome must be that of judging everything twice. */
    @Test(dataProvider = "thresholds")
    public void anotherPolicyOverALifeComesToWhatJudgingTwiceDoes(Threshold threshold) {
        var entry = POLICY.entry(threshold);
        for (var life : LIVES) {
            for (double value : new double[] {entry.min(), entry.max()}) {
                var other = POLICY.with("other", Map.of(threshold, value));
                var found = Backtest.of(life.start, life.events, life.moment(), POLICY, other)
                        .differences();
                assertThat(found.stream().map(d -> d.side() + " " + d.at() + d.one() + d.other()))
                        .containsExactlyElementsOf(judgedTwice(life, other));
            }
        }
    }

    private static List<String> judgedTwice(Life life, Policy other) {
        var found = new ArrayList<String>();
        var state = life.start;
        for (var event : LineState.inOrder(life.events)) {
            if (event instanceof Event.SessionHeld held && !state.sessions().isEmpty()) {
                for (var side : Side.PAIR) {
                    part(state, side, held.session().startedAt(), other, found);
                }
            } else if (event instanceof Event.DoseDecided decided) {
                part(state, decided.side(), decided.happenedAt(), other, found);
            }
            state = state.step(event, POLICY.noise());
        }
        for (var side : Side.PAIR) {
            part(state, side, life.now, other, found);
        }
        return found;
    }

    private static void part(LineState state, Side side, Instant at, Policy other, List<String> found) {
        var moment = new Moment(at, ZoneOffset.UTC);
        var a = Advance.step(new Situation(state, side, POLICY, moment), 0, gate -> {});
        var b = Advance.step(new Situation(state, side, other, moment), 0, gate -> {});
        if (a.verdict() != b.verdict() || !a.to().equals(b.to())) {
            found.add(side + " " + at + a + b);
        }
    }
}
