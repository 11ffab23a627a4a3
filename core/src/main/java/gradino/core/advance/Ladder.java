package gradino.core.advance;

import gradino.core.measure.Limiter;
import java.util.List;

/** The order in which levers are tried, by what limits the motion. */
final class Ladder {
    private static final List<Lever> RANGE = List.of(
            new AngleLever(),
            new TopHoldLever(),
            new CeilingLever(LeverId.CEILING),
            new SetsLever(),
            new CeilingLever(LeverId.CEILING_TO_TOP),
            new SupportedHoldLever());
    private static final List<Lever> CONTROL = List.of(new HandsOffLever(), new SetsLever());

    private Ladder() {}

    static List<Lever> of(Situation s) {
        var limiter = s.limiter();
        if (s.state().client().hypermobile() || limiter == Limiter.CONTROL || limiter == Limiter.BOTH) {
            return CONTROL;
        }
        return limiter == Limiter.NEITHER ? List.of() : RANGE;
    }
}
