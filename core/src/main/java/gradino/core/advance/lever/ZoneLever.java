package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.prescribe.method.LadderRung;
import gradino.core.prescribe.method.RoleNumber;
import gradino.core.prescribe.method.Roles.Found;
import java.util.List;

/**
 * From the middle of the range to its end, at the same working angle: an angle step with all its needs, bars and consequences.
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
        return AngleLever.barred(s)
                .or(() -> s.cutShort(nearer.get(0).place().block().form()).map(Attempt::blocked))
                .orElseGet(() -> deeper(s, nearer));
    }

    private static double zone(Found found) {
        return found.place().block().number(RoleNumber.ZONE);
    }

    private static double deepest(Found found) {
        return RoleNumber.most(found.own(), RoleNumber.ZONE).orElse(zone(found));
    }

    private static Attempt deeper(Situation s, List<Found> nearer) {
        var moved = AngleLever.eased(s, s.whole(Threshold.ANGLE_CEILING_DROP));
        for (var found : nearer) {
            moved = moved.withNumber(found.place(), RoleNumber.ZONE, deepest(found));
        }
        return Attempt.step(moved, Because.of(Reason.STEP_ZONE));
    }
}
