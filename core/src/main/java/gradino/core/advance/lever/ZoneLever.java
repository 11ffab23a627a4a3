package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.LadderRung;
import gradino.core.prescribe.method.RoleNumber;
import gradino.core.prescribe.method.Roles.Found;
import java.util.ArrayList;
import java.util.List;

/**
 * From the middle of the range to its end: an angle step with all its needs and bars. The working angle stays, so there is room when
 * it lies within today's estimate; a line without degrees needs a coach's eye instead.
 */
final class ZoneLever implements Lever {
    private final LadderRung rung;

    ZoneLever(LadderRung rung) {
        this.rung = rung;
    }

    @Override
    public LeverId id() {
        return LeverId.ANGLE;
    }

    @Override
    public Attempt attempt(Situation s) {
        var all = s.places(rung);
        if (all.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.NOT_IN_LINE, Term.of(rung.words())));
        }
        var nearer = all.stream().filter(f -> zone(f) < deepest(f)).toList();
        if (nearer.isEmpty()) {
            return Attempt.blocked(Because.of(Reason.ZONE_AT_END));
        }
        return AngleLever.forbidden(s)
                .or(() -> s.cutShort(nearer.get(0).place().block().form()).map(Attempt::blocked))
                .orElseGet(() -> proven(s, nearer));
    }

    private static double zone(Found found) {
        return found.place().block().number(RoleNumber.ZONE);
    }

    private static double deepest(Found found) {
        return RoleNumber.most(found.own(), RoleNumber.ZONE).orElse(zone(found));
    }

    private static Attempt proven(Situation s, List<Found> nearer) {
        if (s.isWithoutAngle()) {
            return s.rung().isObserved()
                    ? deeper(s, nearer)
                    : Attempt.blocked(AngleLever.notObserved(s), Because.of(Reason.ASK_OBSERVE));
        }
        return AngleLever.unproven(s).orElseGet(() -> within(s, nearer));
    }

    private static Attempt within(Situation s, List<Found> nearer) {
        var bound = s.angleBound().orElseThrow();
        return s.dose().angle().compareTo(bound) > 0
                ? Attempt.blocked(Because.of(
                        Reason.ZONE_BEYOND_RANGE,
                        Term.of(s.dose().angle().value(), Unit.DEGREE),
                        Term.of(bound.value(), Unit.DEGREE)))
                : deeper(s, nearer);
    }

    private static Attempt deeper(Situation s, List<Found> nearer) {
        var zones = new ArrayList<Double>();
        nearer.forEach(f -> zones.add(deepest(f)));
        var dose = s.moved(new Move(zones), () -> {
            Dose moved = s.dose();
            for (var found : nearer) {
                moved = moved.withNumber(found.place(), RoleNumber.ZONE, deepest(found));
            }
            return moved;
        });
        return Attempt.step(dose, Because.of(Reason.STEP_ZONE));
    }

    private record Move(List<Double> zones) {
        Move {
            zones = List.copyOf(zones);
        }
    }
}
