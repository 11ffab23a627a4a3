package gradino.core.advance;

import gradino.core.measure.Limiter;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The order in which levers are tried: by what limits the motion, and where that is range by the method's own ladder. A composed
 * line whose method is for control keeps its own, which has no angle then.
 */
final class Ladder {
    /** As methods write it, for a line whose plan makes the blocks; what such a line has nothing of is not among them. */
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
            new SupportedHoldLever(),
            "next stage",
            new StageLever());

    /** Of a composed line: the rest moves a number of a block. */
    private static final Map<String, Lever> BY_WORDS_COMPOSED = Map.of(
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

    private static final List<Lever> CONTROL = List.of(new HandsOffLever(), new SetsLever(), new StageLever());
    private static final List<Lever> CONTROL_COMPOSED = List.of(
            new HandsOffLever(), new BlockLever("sets"), new BlockLever("height"), new LoadLever(), new StageLever());

    /** Asked for in every state that is looked at; there are only as many as methods. */
    private static final Map<List<String>, List<Lever>> KNOWN = new ConcurrentHashMap<>();

    private static final Map<List<String>, List<Lever>> KNOWN_COMPOSED = new ConcurrentHashMap<>();

    private Ladder() {}

    static List<Lever> of(Situation s) {
        var limiter = s.limiter();
        if (s.state().client().hypermobile() || limiter == Limiter.CONTROL || limiter == Limiter.BOTH) {
            return control(s);
        }
        return limiter == Limiter.NEITHER ? List.of() : ownOf(s);
    }

    private static List<Lever> control(Situation s) {
        if (!s.isComposed()) {
            return CONTROL;
        }
        return s.method().suits().contains("control") ? ownOf(s) : CONTROL_COMPOSED;
    }

    private static List<Lever> ownOf(Situation s) {
        var words = s.method().ladder();
        return s.isComposed()
                ? KNOWN_COMPOSED.computeIfAbsent(words, Ladder::readComposed)
                : KNOWN.computeIfAbsent(words, Ladder::read);
    }

    private static List<Lever> readComposed(List<String> words) {
        return words.stream().flatMap(word -> composed(word).stream()).toList();
    }

    /** A studio's own file may use a word that nothing here moves: the coach moves it. */
    private static Optional<Lever> composed(String word) {
        var known = BY_WORDS_COMPOSED.get(word);
        return known != null || LadderStep.of(word).isEmpty()
                ? Optional.ofNullable(known)
                : Optional.of(new BlockLever(word));
    }

    private static List<Lever> read(List<String> words) {
        return words.stream().map(BY_WORDS::get).filter(Objects::nonNull).toList();
    }
}
