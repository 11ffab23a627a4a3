package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Wording;
import gradino.core.body.Repetitions;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.BlockNumbers.Place;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.LadderRung;
import gradino.core.prescribe.method.MethodBlock;
import gradino.core.prescribe.method.MethodBlock.Range;
import gradino.core.prescribe.method.RoleNumber;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Numbers of a line's blocks, moved together: each by its step, up to its top. */
final class NumberLever implements Lever {
    /** Seconds grow by one below it, by the policy's step from it on (common practice, no source). */
    private static final double LONG_SECONDS = 10;

    private static final String REPETITIONS = "repetitions";

    private final LadderRung rung;
    private final LeverId id;

    NumberLever(LadderRung rung, LeverId id) {
        this.rung = rung;
        this.id = id;
    }

    @Override
    public LeverId id() {
        return id;
    }

    /** A number where it stands, what it is next, and how far it may go. */
    private record Spot(Place place, @Nullable MethodBlock own, String number, double now, double next, double top) {
        BlockForm form() {
            return place.block().form();
        }
    }

    private record Move(List<Integer> path, String number, double to) {}

    @Override
    public Attempt attempt(Situation s) {
        if (rung.movesEffort() && s.plateau()) {
            return Attempt.blocked(Because.of(Reason.PLATEAU_FIRST));
        }
        if (rung.movesEffort() && s.isUnrated()) {
            return Attempt.blocked(Because.of(Reason.EFFORT_NOT_RATED), Because.of(Reason.ASK_RATING));
        }
        var spots = spots(s);
        if (spots.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.NOT_IN_LINE, Term.of(rung.words())));
        }
        for (var spot : spots) {
            if (spot.next() > spot.now()) {
                return s.cutShort(spot.form()).map(Attempt::blocked).orElseGet(() -> moved(s, spots, spot));
            }
        }
        return Attempt.blocked(atTop(s, spots.get(0)));
    }

    private List<Spot> spots(Situation s) {
        var spots = new ArrayList<Spot>();
        for (var found : s.places(rung)) {
            add(s, found.place(), found.own(), spots);
        }
        if (spots.isEmpty()) {
            rung.roles().forEach(role -> foreign(s, role, spots));
        }
        return spots;
    }

    /** What a line was given beyond its method grows as the method does that goes furthest with it. */
    private void foreign(Situation s, String role, List<Spot> spots) {
        BlockForm.byId(role)
                .filter(form ->
                        s.method().ranges(form, rung.numbers().get(0)).findAny().isEmpty())
                .ifPresent(
                        form -> BlockNumbers.of(s.dose().blocks(), form).forEach(place -> add(s, place, null, spots)));
    }

    private void add(Situation s, Place place, @Nullable MethodBlock own, List<Spot> spots) {
        for (var number : rung.numbers()) {
            if (RoleNumber.has(place.block().form(), number)) {
                spots.add(spot(s, place, own, number));
            }
        }
    }

    /** One set more for the side that is really behind; of some small movements the position has more repetitions. */
    private double top(Situation s, Place place, @Nullable MethodBlock own, String number) {
        var said = rung.top();
        if (said == null) {
            boolean behind = id == LeverId.SETS
                    && s.reallyBehind().filter(side -> side == s.side()).isPresent();
            return most(s, place, own, number) + (behind ? 1 : 0);
        } else if (LadderRung.POLICY_TOPS.contains(said)) {
            return s.value(Threshold.valueOf(said));
        }
        double top = Double.parseDouble(said);
        int more =
                number.equals(REPETITIONS) ? Repetitions.most(s.state().plan().position()) : 0;
        return more > top ? Math.min(more, most(s, place, own, number)) : top;
    }

    private static double most(Situation s, Place place, @Nullable MethodBlock own, String number) {
        return own == null
                ? BlockNumbers.range(s.method(), place.block().form(), number)
                        .map(Range::most)
                        .orElse(0.0)
                : RoleNumber.most(own, number).orElse(0.0);
    }

    private Spot spot(Situation s, Place place, @Nullable MethodBlock own, String number) {
        double now = RoleNumber.value(place.block(), number);
        double top = top(s, place, own, number);
        double most = Math.min(top, cap(s, number));
        double next = now < most ? Math.min(most, now + step(s, place.block().form(), number, now)) : now;
        return new Spot(place, own, number, now, next, top);
    }

    private static double cap(Situation s, String number) {
        return RoleNumber.isEffort(number)
                ? s.state().client().limits().highestEffort().value()
                : Double.MAX_VALUE;
    }

    private double step(Situation s, BlockForm form, String number, double now) {
        var said = rung.step();
        if (said != null) {
            return said;
        } else if (RoleNumber.isEffort(number)) {
            return s.value(Threshold.CEILING_STEP);
        }
        return switch (id) {
            case SUPPORTED_HOLD -> s.value(Threshold.SUPPORTED_HOLD_STEP);
            case HANDS_OFF_HOLD -> s.value(Threshold.HANDS_OFF_STEP);
            default -> isLong(form, number, now) ? s.value(Threshold.TOP_HOLD_STEP) : 1;
        };
    }

    private static boolean isLong(BlockForm form, String number, double now) {
        return now >= LONG_SECONDS && RoleNumber.unit(form, number) == Unit.SECOND;
    }

    private Attempt moved(Situation s, List<Spot> spots, Spot first) {
        var moves = spots.stream()
                .map(spot -> new Move(spot.place().path(), spot.number(), spot.next()))
                .toList();
        var dose = s.moved(moves, () -> with(s.dose(), spots, moves));
        var unit = RoleNumber.unit(first.form(), first.number());
        return Attempt.step(
                dose,
                Because.of(
                        Reason.STEP_NUMBER,
                        Term.of(Wording.capital(rung.words())),
                        Term.of(first.now(), unit),
                        Term.of(first.next(), unit)));
    }

    private static Dose with(Dose dose, List<Spot> spots, List<Move> moves) {
        var blocks = dose.blocks();
        for (int i = 0; i < moves.size(); i++) {
            var move = moves.get(i);
            var own = spots.get(i).own();
            if (move.to() > spots.get(i).now()) {
                blocks = BlockNumbers.with(blocks, move.path(), b -> RoleNumber.with(b, move.number(), move.to(), own));
            }
        }
        return dose.withBlocks(blocks);
    }

    private Because atTop(Situation s, Spot spot) {
        double cap = cap(s, spot.number());
        if (cap < spot.top()) {
            return Because.of(Reason.AT_EFFORT_CAP, Term.of(cap, Unit.PERCENT));
        }
        return Because.of(
                Reason.AT_TOP, Term.of(rung.words()), Term.of(spot.top(), RoleNumber.unit(spot.form(), spot.number())));
    }
}
