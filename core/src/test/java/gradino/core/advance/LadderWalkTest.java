package gradino.core.advance;

import static org.assertj.core.api.Assertions.assertThat;

import gradino.core.advance.state.ClientFacts;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.effort.Gravity;
import gradino.core.intake.Limits;
import gradino.core.perform.Observer;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.method.RoleNumber;
import gradino.core.prescribe.program.Experience;
import gradino.core.prescribe.program.FirstDose;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Every method's ladder from the first dose to its top, by what is accepted. Orders, steps and tops: the handbook's table of the
 * methods' own ladders (common practice, no source).
 */
public final class LadderWalkTest {
    private static final int MOST_STEPS = 80;
    private static final Degrees FIRST_ANGLE = Degrees.of(20);

    /** 70 kg, a load at the ankle, 43 cm. */
    private static final Gravity LIMB = Gravity.of("foot-and-shank", 70, 43);

    private static final ClientFacts CLIENT = new ClientFacts(Limits.NONE, false, null, 45.0, null, null, null);

    /** One walk: what was accepted, and where it ended. */
    private record Walk(List<Proposal> steps, Dose top) {
        /** Every value that a number of a role took, from the first. */
        List<Double> values(BlockForm form, int nth, String number) {
            var values = new ArrayList<Double>();
            for (var step : steps) {
                values.add(value(step.from(), form, nth, number));
            }
            values.add(value(top, form, nth, number));
            return values.stream().distinct().toList();
        }

        private static double value(Dose dose, BlockForm form, int nth, String number) {
            return RoleNumber.value(
                    BlockNumbers.of(dose.blocks(), form).get(nth).block(), number);
        }

        List<LeverId> levers() {
            return steps.stream().map(Proposal::lever).distinct().toList();
        }
    }

    private static final Map<String, Walk> KNOWN = new HashMap<>();

    private static Walk walk(String method) {
        return KNOWN.computeIfAbsent(method, m -> walk(m, "prone-knee-bent", CLIENT, 21));
    }

    private static Dose first(String method) {
        return new Dose(
                FIRST_ANGLE, FirstDose.blocks(Method.byId(method).orElseThrow(), Experience.NEWCOMER, Limits.NONE));
    }

    /** Five clean sessions at each dose, far enough apart for any class, seen by a coach. */
    private static Walk walk(String method, String position, ClientFacts client, double passive) {
        var steps = new ArrayList<Proposal>();
        var base = first(method);
        var dose = base;
        while (steps.size() < MOST_STEPS) {
            var p = Story.of(dose)
                    .startingFrom(base)
                    .by(method)
                    .in(position)
                    .client(client)
                    .observedBy(Observer.COACH)
                    .clean(15, 12, 9, 6, 3)
                    .passive(passive, 0.1)
                    .left();
            if (p.verdict() != Verdict.STEP_UP || p.stage() != null || dose.loadKg() > 1) {
                return new Walk(steps, dose);
            }
            steps.add(p);
            dose = p.to();
        }
        throw new AssertionError(
                method + " never comes to its top: " + steps.get(MOST_STEPS - 1).why());
    }

    @DataProvider
    public Object[][] everyPosition() {
        var pairs = new ArrayList<Object[]>();
        for (var position : Catalogue.positions()) {
            var training = position.training();
            if (training != null) {
                training.methods().forEach(method -> pairs.add(new Object[] {position, method}));
            }
        }
        return pairs.toArray(Object[][]::new);
    }

    @Test(dataProvider = "everyPosition")
    public void everyMethodClimbsInEveryPositionThatNamesIt(Position position, String method) {
        var own = Method.byId(method).orElseThrow();
        var walk = walk(method, position.id(), CLIENT, 28);
        assertThat(walk.steps()).as(method).isNotEmpty();
        for (var p : walk.steps()) {
            assertThat(timeline(method, position, p.from()))
                    .as("%s", p.why())
                    .isNotEqualTo(timeline(method, position, p.to()));
            inRange(own, p.to());
        }
    }

    /** What is heard and seen of a dose: its phases, its angle and what hangs on it. */
    private static Object timeline(String method, Position position, Dose dose) {
        var plan = Story.of(dose).by(method).in(position.id()).plan();
        return List.of(plan.timeline(), dose.angle(), dose.loadKg(), heights(dose));
    }

    private static List<Double> heights(Dose dose) {
        return BlockNumbers.of(dose.blocks(), BlockForm.LIFT_OFF).stream()
                .map(p -> p.block().number("height"))
                .toList();
    }

    private static void inRange(Method method, Dose dose) {
        for (var form : BlockForm.values()) {
            for (var place : BlockNumbers.of(dose.blocks(), form)) {
                new LinkedHashMap<>(place.block().numbers())
                        .forEach((name, value) -> inRange(method, form, name, value));
            }
        }
        assertThat(dose.ceiling().value()).isLessThanOrEqualTo(100);
    }

    private static void inRange(Method method, BlockForm form, String name, double value) {
        var ranges = method.ranges(form, name).toList();
        assertThat(ranges.isEmpty() || ranges.stream().anyMatch(r -> r.holds(value) || r.first() == value))
                .as("%s %s %s %s", method.id(), form, name, value)
                .isTrue();
    }

    @DataProvider
    public Object[][] numbers() {
        return new Object[][] {
            {"ramp-both-ways", BlockForm.GRADED_SET, 0, "top-hold", List.of(10.0, 15.0, 20.0)},
            {"ramp-both-ways", BlockForm.GRADED_SET, 0, "pull", List.of(10.0, 15.0, 20.0)},
            {"ramp-both-ways", BlockForm.GRADED_SET, 0, "ceiling", List.of(50.0, 60.0, 70.0, 80.0, 90.0, 100.0)},
            {"ramp-both-ways", BlockForm.GRADED_SET, 0, "sets", List.of(2.0, 3.0, 4.0)},
            {"ramp-both-ways", BlockForm.SUPPORTED_HOLD, 0, "seconds", List.of(60.0, 75.0, 90.0, 105.0, 120.0)},
            {"ramp-gentle", BlockForm.GRADED_SET, 0, "top-hold", List.of(5.0, 6.0, 7.0, 8.0, 9.0, 10.0)},
            {"ramp-gentle", BlockForm.GRADED_SET, 0, "ceiling", List.of(50.0, 60.0, 70.0, 75.0)},
            {"ramp-gentle", BlockForm.GRADED_SET, 1, "ceiling", List.of(50.0, 60.0, 70.0, 80.0, 90.0, 100.0)},
            {"ramp-ten-to-max", BlockForm.GRADED_SET, 0, "ceiling", List.of(50.0, 60.0, 70.0, 80.0, 90.0, 100.0)},
            {
                "ramp-ten-to-max",
                BlockForm.SUPPORTED_HOLD,
                0,
                "seconds",
                List.of(30.0, 45.0, 60.0, 75.0, 90.0, 105.0, 120.0)
            },
            {"ramp-ten-to-max", BlockForm.GRADED_SET, 0, "pull", List.of(15.0, 20.0)},
            {"ramp-ten-to-max", BlockForm.GRADED_SET, 0, "sets", List.of(1.0, 2.0, 3.0)},
            {"ramp-ten-scale", BlockForm.PRESS_RAMP, 1, "ceiling", List.of(50.0, 60.0, 70.0, 80.0, 90.0, 100.0)},
            {"ramp-ten-scale", BlockForm.PULL_RAMP, 1, "ceiling", List.of(50.0, 60.0, 70.0, 80.0, 90.0, 100.0)},
            {"ramp-ten-scale", BlockForm.PRESS_RAMP, 1, "tread", List.of(3.0, 4.0, 5.0)},
            {"ramp-ten-scale", BlockForm.PRESS_RAMP, 0, "ceiling", List.of(30.0)},
            {"ramp-ten-scale", BlockForm.ECCENTRIC, 0, "repetitions", List.of(1.0, 2.0, 3.0)},
            {"contract-relax-linger", BlockForm.CONTRACT_RELAX, 0, "contract", List.of(3.0, 4.0, 5.0, 6.0, 7.0, 8.0)},
            {"contract-relax-linger", BlockForm.CONTRACT_RELAX, 0, "effort", List.of(50.0, 60.0, 70.0, 75.0)},
            {"contract-relax-linger", BlockForm.CONTRACT_RELAX, 0, "cycles", List.of(4.0, 5.0)},
            {"contract-relax-linger", BlockForm.SUPPORTED_HOLD, 0, "seconds", List.of(60.0, 75.0, 90.0)},
            {"strength-first", BlockForm.GROUP, 0, "rounds", List.of(2.0, 3.0)},
            {"strength-first", BlockForm.GROUP, 1, "rounds", List.of(3.0)},
            {"strength-first", BlockForm.PULL_RAMP, 0, "tread", List.of(10.0, 15.0)},
            {"strength-first", BlockForm.PULL_RAMP, 0, "ceiling", List.of(50.0, 60.0, 70.0)},
            {"strength-first", BlockForm.SUPPORTED_HOLD, 0, "seconds", List.of(30.0, 45.0)},
            {"release-activate-load", BlockForm.PRESS_RAMP, 0, "tread", List.of(5.0, 6.0, 7.0, 8.0, 9.0, 10.0)},
            {"release-activate-load", BlockForm.PRESS_RAMP, 0, "ceiling", List.of(50.0, 60.0, 70.0)},
            {"release-activate-load", BlockForm.GROUP, 0, "rounds", List.of(4.0, 5.0, 6.0)},
            {"release-activate-load", BlockForm.GRADED_SET, 0, "ceiling", List.of(50.0, 60.0, 70.0)},
            {"release-activate-load", BlockForm.GRADED_SET, 0, "sets", List.of(2.0, 3.0, 4.0)},
            {"release-activate-load", BlockForm.GROUP, 1, "rounds", List.of(2.0, 3.0)},
            {
                "release-activate-load",
                BlockForm.LOADED_STRETCH,
                0,
                "repetitions",
                List.of(6.0, 7.0, 8.0, 9.0, 10.0, 11.0, 12.0)
            },
            {"light-breath", BlockForm.PRESS_RAMP, 0, "tread", List.of(12.0, 18.0)},
            {"light-breath", BlockForm.PULL_RAMP, 0, "tread", List.of(12.0, 18.0)},
            {"light-breath", BlockForm.PRESS_RAMP, 0, "ceiling", List.of(25.0)},
            {"light-breath", BlockForm.GROUP, 0, "rounds", List.of(1.0, 2.0, 3.0)},
            {"pulses", BlockForm.PULSES, 0, "repetitions", List.of(9.0, 10.0, 11.0, 12.0, 13.0, 14.0, 15.0)},
            {"pulses", BlockForm.GROUP, 0, "rounds", List.of(1.0, 2.0, 3.0)},
            {"hands-off", BlockForm.HANDS_OFF_HOLD, 0, "hold", List.of(10.0, 12.0, 14.0, 15.0)},
            {"hands-off", BlockForm.HANDS_OFF_HOLD, 0, "sets", List.of(3.0, 4.0, 5.0)},
            {"hands-off", BlockForm.HANDS_OFF_HOLD, 0, "repetitions", List.of(1.0)},
            {"sidestep", BlockForm.SIDESTEP_ROUNDS, 0, "rounds", List.of(2.0, 3.0)},
            {"sidestep", BlockForm.SIDESTEP_ROUNDS, 0, "attempts", List.of(2.0, 3.0)},
            {"sidestep-strap", BlockForm.GROUP, 0, "rounds", List.of(2.0, 3.0)},
            {"sidestep-strap", BlockForm.PRESS_RAMP, 0, "ceiling", List.of(50.0, 60.0)},
            {"loaded-lengthening", BlockForm.GROUP, 0, "rounds", List.of(3.0, 4.0, 5.0)},
            {"loaded-lengthening", BlockForm.LOADED_STRETCH, 0, "pause", List.of(0.0, 1.0, 2.0, 3.0)},
            {"controlled-movement", BlockForm.TRANSITION, 0, "repetitions", List.of(5.0, 6.0, 7.0, 8.0, 9.0, 10.0)},
            {"controlled-movement", BlockForm.TRANSITION, 0, "pause", List.of(0.0, 1.0, 2.0, 3.0)},
            {
                "controlled-circles",
                BlockForm.CONTROLLED_ROTATION,
                0,
                "repetitions",
                List.of(5.0, 6.0, 7.0, 8.0, 9.0, 10.0)
            },
            {"stage-ladder", BlockForm.LIFT_OFF, 0, "repetitions", List.of(3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0)},
            {"stage-ladder", BlockForm.LIFT_OFF, 0, "hold", List.of(2.0, 3.0, 4.0, 5.0)},
            {"stage-ladder", BlockForm.TRANSITION, 0, "repetitions", List.of(4.0, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0)},
            {"stage-ladder", BlockForm.TRANSITION, 0, "pause", List.of(0.0, 1.0, 2.0, 3.0)},
        };
    }

    @Test(dataProvider = "numbers")
    public void aNumberGoesByItsStepsToTheTopThatTheMethodNames(
            String method, BlockForm form, int nth, String number, List<Double> values) {
        assertThat(walk(method).values(form, nth, number)).isEqualTo(values);
    }

    @DataProvider
    public Object[][] orders() {
        return new Object[][] {
            {
                "ramp-both-ways",
                List.of(LeverId.TOP_HOLD, LeverId.CEILING, LeverId.SETS, LeverId.CEILING_TO_TOP, LeverId.SUPPORTED_HOLD)
            },
            {"ramp-ten-to-max", List.of(LeverId.CEILING, LeverId.SUPPORTED_HOLD, LeverId.HOLD, LeverId.SETS)},
            {"ramp-ten-scale", List.of(LeverId.CEILING, LeverId.HOLD, LeverId.REPETITIONS)},
            {"contract-relax-linger", List.of(LeverId.HOLD, LeverId.CEILING, LeverId.ROUNDS, LeverId.SUPPORTED_HOLD)},
            {"strength-first", List.of(LeverId.ROUNDS, LeverId.HOLD, LeverId.CEILING, LeverId.SUPPORTED_HOLD)},
            {
                "release-activate-load",
                List.of(LeverId.HOLD, LeverId.ROUNDS, LeverId.CEILING, LeverId.SETS, LeverId.REPETITIONS)
            },
            {"light-breath", List.of(LeverId.HOLD, LeverId.ROUNDS)},
            {"pulses", List.of(LeverId.REPETITIONS, LeverId.ROUNDS)},
            {"hands-off", List.of(LeverId.HANDS_OFF_HOLD, LeverId.SETS)},
            {"stage-ladder", List.of(LeverId.REPETITIONS, LeverId.HOLD)},
        };
    }

    @Test(dataProvider = "orders")
    public void theLadderIsWalkedInItsOrder(String method, List<LeverId> order) {
        assertThat(walk(method).levers()).isEqualTo(order);
    }

    /** As far as the estimate allows: a bench comes lower before anything is done longer. */
    @Test
    public void withRoomStrengthAtTheEndGoesDeeperFirst() {
        var roomy = walk("strength-first", "prone-knee-bent", CLIENT, 40);
        assertThat(roomy.steps().get(0).lever()).isEqualTo(LeverId.ANGLE);
        assertThat(roomy.top().angle().value()).isGreaterThan(30);
    }

    /** Middle to deep between the pause and the load, and an angle step: a fresh reading, a coach's eye, the range for it. */
    @Test
    public void theDeepEndComesAfterThePauseAndBeforeTheLoad() {
        var walk = walk("loaded-lengthening", "prone-knee-bent", CLIENT.withLimb(LIMB), 28);
        assertThat(walk.levers()).startsWith(LeverId.ROUNDS, LeverId.HOLD, LeverId.ANGLE, LeverId.LOAD);
        assertThat(walk.values(BlockForm.LOADED_STRETCH, 0, "zone")).containsExactly(1.0, 2.0);
        assertThat(walk.top().angle()).isEqualTo(FIRST_ANGLE);
        var paused = walk.steps().stream()
                .filter(p -> p.lever() == LeverId.ANGLE)
                .findFirst()
                .orElseThrow()
                .from();
        assertThat(deeper(paused, Observer.COACH, CLIENT, 28)
                        .passive(28, 0.1, 20)
                        .left()
                        .requests())
                .extracting(b -> b.reason())
                .contains(Reason.ASK_COLD);
        assertThat(deeper(paused, Observer.COACH, CLIENT, 21).left().lever()).isNotEqualTo(LeverId.ANGLE);
        assertThat(deeper(paused, Observer.NOBODY, CLIENT, 28).left().lever()).isNotEqualTo(LeverId.ANGLE);
        var loose = new ClientFacts(Limits.NONE, true, null, 45.0, null, null, null);
        assertThat(deeper(paused, Observer.COACH, loose, 28).left().lever()).isNotEqualTo(LeverId.ANGLE);
    }

    private static Story deeper(Dose dose, Observer observer, ClientFacts client, double passive) {
        return Story.of(dose)
                .startingFrom(first("loaded-lengthening"))
                .by("loaded-lengthening")
                .in("prone-knee-bent")
                .client(client)
                .observedBy(observer)
                .clean(15, 12, 9, 6, 3)
                .passive(passive, 0.1);
    }

    /** Of small movements a position has up to twenty; elsewhere ten are enough. */
    @Test
    public void aPositionMaySayThatItHasMoreRepetitions() {
        assertThat(walk("controlled-movement", "pelvic-tilts", CLIENT, 21)
                        .values(BlockForm.TRANSITION, 0, "repetitions"))
                .contains(10.0, 20.0)
                .allMatch(r -> r <= 20);
        assertThat(walk("controlled-movement", "lunge-rocks", CLIENT, 21)
                        .values(BlockForm.TRANSITION, 0, "repetitions"))
                .contains(10.0)
                .allMatch(r -> r <= 10);
    }

    /** The set-up says it, all else begins anew, and the ladder is climbed once more. */
    @Test
    public void theHarderOptionComesWhenAllElseIsAtItsTop() {
        var walk = walk("controlled-movement", "squat-rocks", CLIENT, 21);
        var options =
                walk.steps().stream().filter(p -> p.lever() == LeverId.OPTION).toList();
        assertThat(options).singleElement().satisfies(p -> {
            assertThat(p.why().text()).startsWith("Harder option: no hands");
            assertThat(Walk.value(p.from(), BlockForm.TRANSITION, 0, "seconds")).isEqualTo(6);
            assertThat(Walk.value(p.to(), BlockForm.TRANSITION, 0, "repetitions"))
                    .isEqualTo(5);
            assertThat(Walk.value(p.to(), BlockForm.TRANSITION, 0, "seconds")).isEqualTo(4);
            assertThat(timeline("controlled-movement", position("squat-rocks"), p.to())
                            .toString())
                    .contains("no hands");
        });
        assertThat(Walk.value(walk.top(), BlockForm.TRANSITION, 0, "seconds")).isEqualTo(6);
        assertThat(walk("controlled-circles", "neck-circles", CLIENT, 21).levers())
                .doesNotContain(LeverId.OPTION);
    }

    /** What goes deeper is barred to whom an angle is barred; only the method that says so keeps to the middle. */
    @Test
    public void anOptionThatGoesDeeperIsAnAngleStep() {
        assertThat(walk("controlled-movement", "calf-pedals", CLIENT, 28).levers())
                .contains(LeverId.OPTION);
        assertThat(walk("controlled-movement", "calf-pedals", CLIENT, 21).levers())
                .doesNotContain(LeverId.OPTION);
        var loose = new ClientFacts(Limits.NONE, true, null, 45.0, null, null, null);
        assertThat(walk("controlled-movement", "calf-pedals", loose, 28).levers())
                .doesNotContain(LeverId.OPTION);
        assertThat(Walk.value(first("release-activate-load"), BlockForm.LOADED_STRETCH, 0, "zone"))
                .isEqualTo(2);
        assertThat(Walk.value(first("loaded-lengthening"), BlockForm.LOADED_STRETCH, 0, "zone"))
                .isEqualTo(1);
    }

    private static Position position(String id) {
        return Catalogue.position(id).orElseThrow();
    }

    /** Pain, boredom or time: nothing that a light method does asks for more than it began with. */
    @Test
    public void lightStaysLight() {
        assertThat(walk("light-breath").steps()).allMatch(p -> p.to().ceiling().value() == 25);
    }

    @Test
    public void aLoadComesLastAndGoesBackToTheLowRepetitionsOrRounds() {
        var loaded = CLIENT.withLimb(LIMB);
        var lifted = walk("release-activate-load", "prone-knee-bent", loaded, 21);
        var first = lifted.steps().stream()
                .filter(p -> p.lever() == LeverId.LOAD)
                .findFirst()
                .orElseThrow();
        assertThat(repetitions(first.from())).isEqualTo(12);
        assertThat(repetitions(first.to())).isEqualTo(6);
        assertThat(first.to().loadKg()).isPositive();
        var rounds = walk("loaded-lengthening", "prone-knee-bent", loaded, 21).steps().stream()
                .filter(p -> p.lever() == LeverId.LOAD)
                .findFirst()
                .orElseThrow();
        assertThat(Walk.value(rounds.from(), BlockForm.GROUP, 0, "rounds")).isEqualTo(5);
        assertThat(Walk.value(rounds.to(), BlockForm.GROUP, 0, "rounds")).isEqualTo(3);
    }

    private static double repetitions(Dose dose) {
        return Walk.value(dose, BlockForm.LOADED_STRETCH, 0, "repetitions");
    }

    /** The block that a step moves was done itself: a hold that was cut short stays as long, though every ramp was done. */
    @Test
    public void aHoldThatWasCutShortIsNotLengthened() {
        var held = Story.of(first("ramp-ten-to-max").withCeiling(EffortPercent.of(100)))
                .by("ramp-ten-to-max")
                .client(CLIENT)
                .clean(9)
                .passive(21, 0.1);
        var whole = held.session(6, b -> b).morning(6, true, 0);
        assertThat(whole.left().lever()).isEqualTo(LeverId.SUPPORTED_HOLD);
        var cut = whole.session(
                        3,
                        b -> b.kind() == BlockKind.SUPPORTED_HOLD
                                ? Story.doneShare(Side.LEFT, 0.5).apply(b)
                                : b)
                .morning(3, true, 0)
                .left();
        assertThat(cut.lever()).isEqualTo(LeverId.HOLD);
        assertThat(cut.alternatives().get(1).why().text())
                .isEqualTo("Supported hold done: 0.50 of what was planned, below 0.95");
    }

    /** A coach's own block has no role: it stands for the method's block of its kind. */
    @Test
    public void aBlockWithoutARoleIsTheMethodsBlockOfItsKindAndOneOfAnotherKindIsLeftAlone() {
        var own = BlockDraft.usual(BlockForm.CONTRACT_RELAX).with("contract", 3);
        var foreign = BlockDraft.usual(BlockForm.PULSES);
        var p = Story.of(new Dose(FIRST_ANGLE, List.of(foreign, own)))
                .by("contract-relax-linger")
                .client(CLIENT)
                .clean(15, 12, 9, 6, 3)
                .passive(21, 0.1)
                .left();
        assertThat(p.to().blocks().get(0)).isEqualTo(foreign);
        assertThat(p.to().blocks().get(1).number("contract")).isEqualTo(4);
        var none = Story.of(new Dose(FIRST_ANGLE, List.of(foreign)))
                .by("contract-relax-linger")
                .client(CLIENT)
                .clean(15, 12, 9, 6, 3)
                .passive(21, 0.1)
                .left();
        assertThat(none.verdict()).isEqualTo(Verdict.STAY);
        assertThat(none.alternatives()).extracting(a -> a.why().reason()).contains(Reason.NOT_IN_LINE);
    }
}
