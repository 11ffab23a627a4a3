package gradino.core.advance.lever;

import gradino.core.advance.gate.DownCause;
import gradino.core.advance.gate.Gate;
import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.body.Catalogue;
import gradino.core.body.Hint;
import gradino.core.effort.Gravity;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.FirstDose;
import gradino.core.quantity.Degrees;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The way down, by cause: no number comes out above the dose in force. Where pain was felt in a block its holds go back too. */
public final class StepDown {
    private static final Set<BlockForm> LIFTS = Set.of(BlockForm.LIFT_OFF, BlockForm.ECCENTRIC);
    private static final Set<BlockForm> MOVES =
            Set.of(BlockForm.CONTROLLED_ROTATION, BlockForm.TRANSITION, BlockForm.LOADED_STRETCH);
    private static final Set<BlockForm> RAMPS = Set.of(BlockForm.GRADED_SET, BlockForm.PRESS_RAMP, BlockForm.PULL_RAMP);
    private static final String HEIGHT = "height";

    private final Situation s;
    private final Dose now;
    private final Lower lower;

    private StepDown(Situation s) {
        this.s = s;
        this.now = s.dose();
        this.lower = new Lower(s);
    }

    public record Down(Dose dose, Because why) {}

    /** One step for all that was found: of each number the smallest that is asked. It says why by the first that lowers something. */
    public static Down of(List<Gate.Cause> causes, Situation s) {
        var step = new StepDown(s);
        var lowest = s.dose();
        Because why = null;
        for (var cause : causes) {
            var down = step.by(cause.down(), forms(cause.felt()));
            lowest = Lower.of(down.dose(), lowest, s.state().plan().position());
            boolean says = !down.dose().equals(s.dose()) || down.why().reason() == Reason.DOWN_EASIER;
            why = why == null && says ? down.why() : why;
        }
        if (why != null) {
            return new Down(lowest, why);
        } else if (causes.stream().allMatch(c -> c.down().isGap())) {
            return new Down(lowest, Because.of(Reason.DOWN_NEWCOMER));
        }
        var hardest = step.hardest();
        return hardest.dose().equals(s.dose()) ? step.nothingLeft(Reason.DOWN_NOTHING_LEFT) : hardest;
    }

    private Down by(DownCause cause, Predicate<BlockForm> in) {
        return switch (cause) {
            case ANGLE_TOO_DEEP, PAIN_STRETCHED -> shallower(now.angle().plus(-s.value(Threshold.DOWN_ANGLE)), in);
            case RANGE_LOST ->
                shallower(s.passive().orElseThrow().value().plus(-s.value(Threshold.ANGLE_MARGIN)), form -> false);
            case PAIN_CONTRACTING -> softer(in);
            case PAIN_LIFTING -> lifting();
            case PAIN_MOVING -> moving();
            case UNDER_LOAD -> lighter();
            case UNKNOWN, AWAY -> undo();
            case AWAY_LONG -> newcomer();
            case EFFORT_CAPPED -> capped();
            case ANGLE_CAPPED -> shallower(Degrees.of(angleCap()), form -> false);
            case CONTRACTION_CAPPED -> shorter();
        };
    }

    /** Kinds of block in which it was felt; both ways of a ramp belong together. */
    private static Predicate<BlockForm> forms(@Nullable BlockKind felt) {
        if (felt == null) {
            return form -> false;
        }
        return switch (felt) {
            case PRESS, PULL -> RAMPS::contains;
            case CONTRACT_RELAX -> BlockForm.CONTRACT_RELAX::equals;
            case HANDS_OFF -> BlockForm.HANDS_OFF_HOLD::equals;
            case PULSES -> BlockForm.PULSES::equals;
            case SIDESTEP -> BlockForm.SIDESTEP_ROUNDS::equals;
            case LIFT_OFF, ECCENTRIC -> LIFTS::contains;
            case SUPPORTED_HOLD, SETTLE -> BlockForm.SUPPORTED_HOLD::equals;
            case ROTATION, TRANSITION, LOADED_STRETCH -> MOVES::contains;
            case SET_UP, RELEASE, REST, PROP, RE_MEASURE, MOVEMENT_RETEST, SIDE_CHANGE -> form -> false;
        };
    }

    private Down shallower(Degrees to, Predicate<BlockForm> held) {
        var notch = ApparatusNotch.of(now, s.state().plan().position());
        var lower = this.lower.holds(now, held);
        if (notch.isEmpty() && s.isWithoutAngle()) {
            return new Down(lower, nothingLeft(Reason.DOWN_EASIER).why());
        }
        var wanted = s.onProps(to);
        var angle = s.isWithoutAngle() || wanted.compareTo(now.angle()) >= 0 ? now.angle() : wanted;
        var why = Because.of(
                Reason.DOWN_ANGLE, Term.of(now.angle().value(), Unit.DEGREE), Term.of(angle.value(), Unit.DEGREE));
        var shallower = lower.withAngle(angle);
        if (notch.isEmpty()) {
            return new Down(shallower, why);
        }
        var easier = notch.get().easier(shallower);
        boolean same = angle.equals(now.angle());
        return new Down(easier, same ? notch.get().said(Reason.DOWN_APPARATUS, now, easier) : why);
    }

    private Dose lowerOf(Dose one, Dose other) {
        return Lower.of(one, other, s.state().plan().position());
    }

    /** Numbers can do no more: the position's easier options, in words. */
    private Down nothingLeft(Reason reason) {
        var options = Catalogue.position(s.state().plan().position())
                .flatMap(p -> Optional.ofNullable(p.training()))
                .map(t -> t.easier().stream().map(Hint::words).collect(Collectors.joining(", or ")))
                .filter(text -> !text.isBlank())
                .orElse("an easier position");
        return new Down(now, Because.of(reason, Term.of(options)));
    }

    private Down softer(Predicate<BlockForm> in) {
        int old = Lower.hardest(now, in);
        var softer = lower.softer(now, in, s.whole(Threshold.DOWN_CEILING), s.whole(Threshold.CEILING_LEAST));
        int then = Lower.hardest(softer, in);
        var why = old == then
                ? Because.of(Reason.DOWN_HOLDS)
                : Because.of(Reason.DOWN_CEILING, Term.of(old, Unit.PERCENT), Term.of(then, Unit.PERCENT));
        return new Down(lower.holds(softer, in), why);
    }

    /** A centimetre lower; on the floor already, as often as at the beginning. */
    private Down lifting() {
        var lifts = BlockNumbers.of(now.blocks(), BlockForm.LIFT_OFF).stream()
                .filter(place -> place.block().number(HEIGHT) > 0)
                .findFirst();
        if (lifts.isEmpty()) {
            return fewer(LIFTS::contains);
        }
        double old = lifts.get().block().number(HEIGHT);
        double to = Math.max(0, old - 1);
        var blocks = BlockNumbers.with(now.blocks(), lifts.get().path(), b -> b.with(HEIGHT, to));
        var why = Because.of(
                Reason.STEP_NUMBER,
                Term.of("Height of the lift"),
                Term.of(old, Unit.CENTIMETRE),
                Term.of(to, Unit.CENTIMETRE));
        return new Down(lower.holds(now.withBlocks(blocks), LIFTS::contains), why);
    }

    /** Not so far; where it is not so far already, as often as at the beginning. */
    private Down moving() {
        var nearer = lower.zones(now);
        return nearer.equals(now)
                ? fewer(MOVES::contains)
                : new Down(lower.holds(nearer, MOVES::contains), Because.of(Reason.DOWN_ZONE));
    }

    private Down fewer(Predicate<BlockForm> in) {
        return new Down(lower.holds(lower.repetitions(now, in), in), Because.of(Reason.DOWN_REPETITIONS));
    }

    /** Each load to the next lighter weight, the lightest to none; without a weight the band less far. */
    private Down lighter() {
        double old = now.loadKg();
        if (old == 0 && now.hasAddedLoad()) {
            return looser();
        }
        var lighter = now.lighter(Gravity::lighterPlate);
        var why = Because.of(Reason.DOWN_LOAD, Term.of(old, Unit.KILOGRAM), Term.of(lighter.loadKg(), Unit.KILOGRAM));
        return new Down(lower.holds(lighter, form -> LIFTS.contains(form) || form == BlockForm.LOADED_STRETCH), why);
    }

    private Down looser() {
        var band = BandStep.of(now).orElseThrow();
        var looser = band.looser(now);
        var why = Because.of(
                Reason.DOWN_BAND,
                Term.of(now.apparatus().bandCm(), Unit.CENTIMETRE),
                Term.of(looser.apparatus().bandCm(), Unit.CENTIMETRE));
        return new Down(lower.holds(looser, form -> LIFTS.contains(form) || form == BlockForm.LOADED_STRETCH), why);
    }

    /**
     * Takes the last step up back, number by number, and all holds; where that leaves nothing but holds, the row of the hardest
     * block.
     */
    private Down undo() {
        var held = lower.holds(now, Lower.EVERYWHERE);
        return s.me().lastStepUp(s.state().methodSince())
                .map(d -> lowerOf(d.before(), held))
                .filter(dose -> !dose.equals(held))
                .map(dose -> new Down(dose, Because.of(Reason.DOWN_UNDO)))
                .orElseGet(this::hardest);
    }

    private Down hardest() {
        int effort = Lower.hardest(now, Lower.EVERYWHERE);
        if (now.hasAddedLoad()) {
            return lighter();
        }
        for (var form : LIFTS) {
            if (!BlockNumbers.of(now.blocks(), form).isEmpty() && Lower.hardest(now, form::equals) == effort) {
                return lifting();
            }
        }
        var down = effort > s.whole(Threshold.CEILING_LEAST) ? softer(Lower.EVERYWHERE) : fewer(Lower.EVERYWHERE);
        return down.dose().equals(now)
                ? shallower(now.angle().plus(-s.value(Threshold.DOWN_ANGLE)), Lower.EVERYWHERE)
                : new Down(lower.holds(down.dose(), Lower.EVERYWHERE), down.why());
    }

    private Down newcomer() {
        var angle = s.onProps(
                s.angleBound().filter(b -> b.compareTo(now.angle()) < 0).orElse(now.angle()));
        var first = lowerOf(s.me().base().withAngle(angle), now);
        return new Down(FirstDose.newcomers(first), Because.of(Reason.DOWN_NEWCOMER));
    }

    private Down capped() {
        var cap = s.state().client().limits().highestEffort();
        var why = Because.of(
                Reason.DOWN_CEILING, Term.of(now.ceiling().value(), Unit.PERCENT), Term.of(cap.value(), Unit.PERCENT));
        return new Down(now.withCeiling(cap), why);
    }

    private double angleCap() {
        return s.state().client().limits().angleCap(s.reach()).orElseThrow().bound();
    }

    /** Seconds of the ramps, then holds, until each contraction fits. */
    private Down shorter() {
        var limits = s.state().client().limits();
        var shorter = FirstDose.within(now, limits);
        int before = s.planWith(now).longestContractionSeconds(s.side());
        int after = s.planWith(shorter).longestContractionSeconds(s.side());
        var why = Because.of(
                Reason.STEP_NUMBER,
                Term.of("Longest contraction"),
                Term.of(before, Unit.SECOND),
                Term.of(after, Unit.SECOND));
        return new Down(lowerOf(shorter, now), why);
    }
}
