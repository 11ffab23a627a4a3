package gradino.core.prescribe;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.prescribe.Quiet.Rest;
import gradino.core.prescribe.Quiet.SetUp;
import gradino.core.prescribe.Quiet.SideChange;
import gradino.core.prescribe.TimelineBuilder.Spot;
import java.util.List;
import java.util.stream.Collectors;

/** Unfolds a session into its {@link Timeline}: every second of both sides, set-up and side changes in it. */
public final class Compiler {
    private final TimelineBuilder into = new TimelineBuilder();

    private Compiler() {}

    /** @throws IllegalArgumentException for a position outside the catalogue */
    public static Timeline compile(SessionPlan session) {
        var compiler = new Compiler();
        for (int i = 0; i < session.warmUp().size(); i++) {
            var spot = new Spot(Side.MIDLINE, "", "warmUp[" + i + "]");
            compiler.into.add(spot, session.warmUp().get(i));
        }
        for (int i = 0; i < session.stations().size(); i++) {
            compiler.station(session.stations().get(i), "stations[" + i + "]");
        }
        return compiler.into.timeline();
    }

    /** @throws IllegalArgumentException for a motion or position outside the catalogue */
    public static Timeline compile(Plan plan) {
        return compile(SessionPlan.of(PlanBlocks.protocol(plan)));
    }

    /** How long the compiled timeline would be, without making it. */
    public static int secondsOf(Plan plan) {
        return secondsOf(PlanBlocks.protocol(plan));
    }

    static int secondsOf(Protocol protocol) {
        int seconds = protocol.setUpSeconds();
        for (var side : sides(protocol)) {
            for (var block : protocol.on(side)) {
                seconds += block.seconds();
            }
        }
        int pairs =
                Math.max(protocol.on(Side.LEFT).size(), protocol.on(Side.RIGHT).size());
        int changes = protocol.sides() == SidePlan.ALTERNATING ? Math.max(0, 2 * pairs - 1) : 1;
        return seconds + (protocol.sides().both() ? changes * protocol.sideChangeSeconds() : 0);
    }

    private static List<Side> sides(Protocol protocol) {
        var first = protocol.begins();
        return protocol.sides().both() ? List.of(first, first.other()) : List.of(first);
    }

    private void station(Station station, String place) {
        for (int round = 1; round <= station.rounds(); round++) {
            if (station.oneSetUp()) {
                together(station, place, round == 1);
            } else {
                for (int i = 0; i < station.lines().size(); i++) {
                    line(station.lines().get(i), place + ".lines[" + i + "]");
                }
            }
            if (round < station.rounds() && station.restSeconds() > 0) {
                into.add(new Spot(Side.MIDLINE, "", place + ".restSeconds"), new Rest(station.restSeconds()));
            }
        }
    }

    private void line(Protocol line, String place) {
        var first = line.begins();
        setUp(line, first, place);
        if (line.sides() == SidePlan.ALTERNATING) {
            alternating(line, place);
            return;
        }
        side(line, first, place);
        if (line.sides().both()) {
            change(line, first.other(), place);
            side(line, first.other(), place);
        }
    }

    private void alternating(Protocol line, String place) {
        var side = line.begins();
        int pairs = Math.max(line.on(Side.LEFT).size(), line.on(Side.RIGHT).size());
        for (int turn = 0; turn < 2 * pairs; turn++) {
            if (turn > 0) {
                side = side.other();
                change(line, side, place);
            }
            int n = turn / 2;
            if (n < line.on(side).size()) {
                block(line, side, n, place);
            }
        }
    }

    /** Every line on its own side, then every line on the other one. */
    private void together(Station station, String place, boolean firstRound) {
        var lines = station.lines();
        if (firstRound) {
            oneSetUp(lines, place + ".lines[0]");
        } else {
            change(lines.get(0), lines.get(0).begins(), place + ".lines[0]");
        }
        for (int pass = 0; pass < 2; pass++) {
            for (int i = 0; i < lines.size(); i++) {
                var line = lines.get(i);
                var side = (i + pass) % 2 == 0 ? line.begins() : line.begins().other();
                if (pass == 1 && i == 0) {
                    change(line, side, place + ".lines[0]");
                }
                if (pass == 0 || line.sides().both()) {
                    side(line, side, place + ".lines[" + i + "]");
                }
            }
        }
    }

    private void oneSetUp(List<Protocol> lines, String place) {
        var cue = lines.stream().map(Compiler::named).distinct().collect(Collectors.joining("; "));
        int seconds = lines.stream().mapToInt(Protocol::setUpSeconds).max().orElse(0);
        into.add(new Spot(lines.get(0).begins(), lines.get(0).line(), place), new SetUp(seconds, cue));
    }

    private void setUp(Protocol line, Side side, String place) {
        into.add(new Spot(side, line.line(), place), new SetUp(line.setUpSeconds(), cue(line, side)));
    }

    private void change(Protocol line, Side side, String place) {
        into.add(new Spot(side, line.line(), place), new SideChange(line.sideChangeSeconds(), cue(line, side)));
    }

    private void side(Protocol line, Side side, String place) {
        for (int n = 0; n < line.on(side).size(); n++) {
            block(line, side, n, place);
        }
    }

    private void block(Protocol line, Side side, int n, String place) {
        var spot = new Spot(side, line.line(), "%s.%s[%d]".formatted(place, Protocol.list(side), n));
        into.add(spot, line.on(side).get(n));
    }

    private static String cue(Protocol line, Side side) {
        if (side == Side.MIDLINE) {
            return named(line);
        }
        var which = Character.toUpperCase(side.word().charAt(0)) + side.word().substring(1);
        return which + " side: " + named(line);
    }

    private static String named(Protocol line) {
        return Catalogue.position(line.position())
                .orElseThrow(() -> new IllegalArgumentException("unknown position " + line.position()))
                .name();
    }
}
