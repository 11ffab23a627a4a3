package gradino.core.advance.lever;

import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Source;
import gradino.core.measure.limit.Limiter;
import gradino.core.prescribe.method.LadderRung;
import gradino.core.prescribe.method.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The order in which levers are tried: by what limits the motion, and where that is range by the method's own ladder. A line whose
 * method is for control keeps its own, which has no angle then.
 */
public final class Ladder {
    private static final List<Lever> CONTROL = control();

    private static final Map<String, LeverId> BY_NUMBER = Map.ofEntries(
            Map.entry("effort", LeverId.CEILING),
            Map.entry("sets", LeverId.SETS),
            Map.entry("repetitions", LeverId.REPETITIONS),
            Map.entry("rounds", LeverId.ROUNDS),
            Map.entry("cycles", LeverId.ROUNDS),
            Map.entry("attempts", LeverId.ROUNDS),
            Map.entry("height", LeverId.HEIGHT));

    /** Of the methods that ship: asked for in every state that is looked at. */
    private static final Map<String, List<Lever>> SHIPPED = Method.shipped().stream()
            .collect(Collectors.toUnmodifiableMap(Method::id, method -> read(method.ladder())));

    private Ladder() {}

    private static LadderRung number(String words, List<String> roles, String number) {
        var source = Source.parse("common practice, no source");
        return new LadderRung(words, LadderRung.What.NUMBER, roles, List.of(number), null, null, source);
    }

    /** Of what is held or lifted by own strength, whatever the method (common practice, no source). */
    private static List<Lever> control() {
        var sets = new NumberLever(number("sets", List.of("hands-off-hold"), "sets"), LeverId.SETS);
        var levers = List.of(new HandsOffLever(), sets, new HeightLever(), new LoadLever());
        return Stream.concat(levers.stream(), Stream.of(new StageLever(levers))).toList();
    }

    public static List<Lever> of(Situation s) {
        var limiter = s.limiter();
        if (s.state().client().hypermobile() || limiter == Limiter.CONTROL || limiter == Limiter.BOTH) {
            return s.method().suits().contains("control") ? ownOf(s) : CONTROL;
        }
        return isMaintained(s) ? List.of() : ownOf(s);
    }

    /** Nothing limits the motion on any side, and the method would take it deeper: once a week keeps it. */
    public static boolean isMaintained(Situation s) {
        boolean deepens = s.method().ladder().stream().anyMatch(LadderRung::deepens);
        return deepens
                && s.limiter() == Limiter.NEITHER
                && (s.state().plan().trained().size() < 2 || s.ofOtherSide().limiter() == Limiter.NEITHER);
    }

    private static List<Lever> ownOf(Situation s) {
        // An id that ships cannot be taken by another.
        var known = SHIPPED.get(s.method().id());
        return known != null ? known : read(s.method().ladder());
    }

    private static List<Lever> read(List<LadderRung> rungs) {
        var levers = new ArrayList<Lever>();
        for (var rung : rungs) {
            levers.add(
                    switch (rung.what()) {
                        case ANGLE -> new AngleLever();
                        case LOAD -> new LoadLever();
                        case OPTION -> new OptionLever();
                        case STAGE -> new StageLever(levers);
                        case NUMBER -> rung.movesZone() ? new ZoneLever(rung) : new NumberLever(rung, id(rung, levers));
                    });
        }
        return List.copyOf(levers);
    }

    private static LeverId id(LadderRung rung, List<Lever> before) {
        var number = rung.numbers().get(0);
        var role = rung.roles().get(0);
        if (number.equals("ceiling")) {
            boolean again = before.stream().anyMatch(l -> l.id() == LeverId.CEILING);
            return again && rung.top() == null ? LeverId.CEILING_TO_TOP : LeverId.CEILING;
        } else if (number.equals("seconds") && role.equals("supported-hold")) {
            return LeverId.SUPPORTED_HOLD;
        } else if (number.equals("hold") && role.equals("hands-off-hold")) {
            return LeverId.HANDS_OFF_HOLD;
        } else if (number.equals("top-hold")) {
            return LeverId.TOP_HOLD;
        }
        return BY_NUMBER.getOrDefault(number, LeverId.HOLD);
    }
}
