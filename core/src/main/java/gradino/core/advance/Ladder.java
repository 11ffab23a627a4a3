package gradino.core.advance;

import gradino.core.measure.Limiter;
import gradino.core.prescribe.Method;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;

/** The order in which levers are tried: by what limits the motion, and where that is range by the method's own ladder. */
final class Ladder {
    /** As methods write it; what a line with a ramp has nothing of is not among them. */
    private static final Map<String, Lever> BY_WORDS = Map.of(
            "angle",
            new AngleLever(),
            "prop lower",
            new AngleLever(),
            "top hold",
            new TopHoldLever(),
            "ceiling",
            new CeilingLever(LeverId.CEILING),
            "sets",
            new SetsLever(),
            "ceiling to the top",
            new CeilingLever(LeverId.CEILING_TO_TOP),
            "supported hold",
            new SupportedHoldLever());

    private static final List<Lever> CONTROL = List.of(new HandsOffLever(), new SetsLever());

    /** Asked for in every state that is looked at; there are only as many as methods. */
    private static final Map<List<String>, List<Lever>> KNOWN = new ConcurrentHashMap<>();

    private Ladder() {}

    static List<Lever> of(Situation s) {
        var limiter = s.limiter();
        if (s.state().client().hypermobile() || limiter == Limiter.CONTROL || limiter == Limiter.BOTH) {
            return CONTROL;
        }
        return limiter == Limiter.NEITHER ? List.of() : of(s.method());
    }

    private static List<Lever> of(Method method) {
        return KNOWN.computeIfAbsent(method.ladder(), Ladder::read);
    }

    private static List<Lever> read(List<String> words) {
        return words.stream().map(BY_WORDS::get).filter(Objects::nonNull).toList();
    }
}
