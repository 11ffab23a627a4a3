package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.measure.limit.Limiter;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The order in which levers are tried: by what limits the motion, and where that is range by the method's own ladder. A line whose
 * method is for control keeps its own, which has no angle then.
 */
public final class Ladder {
    /** As methods write it; every other word moves a number of a block. */
    private static final Map<String, Lever> BY_WORDS = Map.of(
            "angle",
            new AngleLever(),
            "prop lower",
            new AngleLever(),
            "strap mark",
            new AngleLever(),
            "range zone",
            new AngleLever(),
            "ceiling",
            new CeilingLever(LeverId.CEILING),
            "ceiling to the top",
            new CeilingLever(LeverId.CEILING_TO_TOP),
            "load",
            new LoadLever(),
            "position",
            new StageLever(),
            "next stage",
            new StageLever());

    private static final List<Lever> CONTROL = List.of(
            new HandsOffLever(), new BlockLever("sets"), new BlockLever("height"), new LoadLever(), new StageLever());

    /** Asked for in every state that is looked at; there are only as many as methods. */
    private static final Map<List<String>, List<Lever>> KNOWN = new ConcurrentHashMap<>();

    private Ladder() {}

    public static List<Lever> of(Situation s) {
        var limiter = s.limiter();
        if (s.state().client().hypermobile() || limiter == Limiter.CONTROL || limiter == Limiter.BOTH) {
            return s.method().suits().contains("control") ? ownOf(s) : CONTROL;
        }
        return limiter == Limiter.NEITHER ? List.of() : ownOf(s);
    }

    private static List<Lever> ownOf(Situation s) {
        return KNOWN.computeIfAbsent(s.method().ladder(), Ladder::read);
    }

    private static List<Lever> read(List<String> words) {
        return words.stream().flatMap(word -> lever(word).stream()).toList();
    }

    /** A studio's own file may use a word that nothing here moves: the coach moves it. */
    private static Optional<Lever> lever(String word) {
        var known = BY_WORDS.get(word);
        return known != null || LadderStep.of(word).isEmpty()
                ? Optional.ofNullable(known)
                : Optional.of(new BlockLever(word));
    }
}
