package gradino.core.prescribe.timeline;

import gradino.core.because.Wording;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.prescribe.block.Quiet.Rest;
import gradino.core.prescribe.block.Quiet.SetUp;
import gradino.core.prescribe.block.Quiet.SideChange;
import gradino.core.prescribe.timeline.TimelineBuilder.Spot;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Unfolds a session into its {@link Timeline}: every second of both sides, set-up and side changes in it. */
public final class Compiler {
    private final TimelineBuilder into = new TimelineBuilder();
    /** Lines in the stations before this one. */
    private int before;

    private Compiler() {}

    /** @throws IllegalArgumentException for a position outside the catalogue */
    public static Timeline compile(SessionPlan session) {
        var compiler = new Compiler();
        for (int i = 0; i < session.warmUp().size(); i++) {
            var spot = new Spot(Side.MIDLINE, 0, "", "warmUp[" + i + "]");
            compiler.into.add(spot, session.warmUp().get(i));
        }
        for (int i = 0; i < session.stations().size(); i++) {
            compiler.station(session.stations().get(i), "stations[" + i + "]");
            compiler.before += session.stations().get(i).lines().size();
        }
        return compiler.into.timeline();
    }

    /** How long the compiled timeline would be, without making it. */
    public static int secondsOf(Protocol protocol) {
        int seconds = protocol.setUpSeconds();
        for (var side : turns(protocol)) {
            for (var block : protocol.on(side)) {
                seconds += TimelineBuilder.seconds(side, block);
            }
        }
        int pairs =
                Math.max(protocol.on(Side.LEFT).size(), protocol.on(Side.RIGHT).size());
        int changes = protocol.sides() == SideOrder.ALTERNATING
                ? Math.max(0, 2 * pairs - 1)
                : turns(protocol).size() - 1;
        return seconds + changes * protocol.sideChangeSeconds();
    }

    /** Whose turn it is, one after the other, where a side is done whole. */
    private static List<Side> turns(Protocol line) {
        var first = line.begins();
        return switch (line.sides()) {
            case LEFT, RIGHT, TOGETHER, MIDLINE -> List.of(first);
            case ONE_AFTER_OTHER, ALTERNATING -> List.of(first, first.other());
            case FIRST_TWICE -> List.of(first, first.other(), first);
        };
    }

    /**
     * A line where it stands.
     *
     * @param number in the session, 1-based
     */
    private record Placed(Protocol line, int number, String place) {
        Spot spot(Side side) {
            return new Spot(side, number, line.line(), place);
        }

        Spot spot(Side side, int n) {
            return new Spot(side, number, line.line(), "%s.%s[%d]".formatted(place, Protocol.list(side), n));
        }
    }

    private void station(Station station, String place) {
        var lines = new ArrayList<Placed>();
        for (int i = 0; i < station.lines().size(); i++) {
            lines.add(new Placed(station.lines().get(i), before + i + 1, place + ".lines[" + i + "]"));
        }
        for (int round = 1; round <= station.rounds(); round++) {
            if (station.oneSetUp()) {
                together(lines, round == 1);
            } else {
                lines.forEach(this::line);
            }
            if (round < station.rounds() && station.restSeconds() > 0) {
                into.add(new Spot(Side.MIDLINE, 0, "", place + ".restSeconds"), new Rest(station.restSeconds()));
            }
        }
    }

    private void line(Placed at) {
        var line = at.line();
        setUp(at, line.begins());
        if (line.sides() == SideOrder.ALTERNATING) {
            alternating(at);
            return;
        }
        var turns = turns(line);
        for (int turn = 0; turn < turns.size(); turn++) {
            if (turn > 0) {
                change(at, turns.get(turn));
            }
            side(at, turns.get(turn));
        }
    }

    private void alternating(Placed at) {
        var line = at.line();
        var side = line.begins();
        int pairs = Math.max(line.on(Side.LEFT).size(), line.on(Side.RIGHT).size());
        for (int turn = 0; turn < 2 * pairs; turn++) {
            if (turn > 0) {
                side = side.other();
                change(at, side);
            }
            int n = turn / 2;
            if (n < line.on(side).size()) {
                into.add(at.spot(side, n), line.on(side).get(n));
            }
        }
    }

    /** Every line on its own side, then every line on the other one. */
    private void together(List<Placed> lines, boolean firstRound) {
        var head = lines.get(0);
        if (firstRound) {
            oneSetUp(lines);
        } else {
            change(head, head.line().begins());
        }
        int passes = lines.stream().mapToInt(l -> turns(l.line()).size()).max().orElse(0);
        for (int pass = 0; pass < Math.max(2, passes); pass++) {
            for (int i = 0; i < lines.size(); i++) {
                var line = lines.get(i).line();
                var side = (i + pass) % 2 == 0 ? line.begins() : line.begins().other();
                if (pass > 0 && i == 0) {
                    change(head, side);
                }
                if (pass < turns(line).size()) {
                    side(lines.get(i), side);
                }
            }
        }
    }

    private void oneSetUp(List<Placed> lines) {
        var cue = lines.stream().map(l -> named(l.line())).distinct().collect(Collectors.joining("; "));
        int seconds =
                lines.stream().mapToInt(l -> l.line().setUpSeconds()).max().orElse(0);
        var head = lines.get(0);
        into.add(head.spot(head.line().begins()), new SetUp(seconds, cue));
    }

    private void setUp(Placed at, Side side) {
        into.add(at.spot(side), new SetUp(at.line().setUpSeconds(), cue(at.line(), side)));
    }

    private void change(Placed at, Side side) {
        into.add(at.spot(side), new SideChange(at.line().sideChangeSeconds(), cue(at.line(), side)));
    }

    private void side(Placed at, Side side) {
        for (int n = 0; n < at.line().on(side).size(); n++) {
            into.add(at.spot(side, n), at.line().on(side).get(n));
        }
    }

    private static String cue(Protocol line, Side side) {
        if (side == Side.MIDLINE) {
            return line.sides() == SideOrder.TOGETHER ? "Both sides together: " + named(line) : named(line);
        }
        var which = Wording.capital(side.word());
        return which + " side: " + named(line);
    }

    private static String named(Protocol line) {
        return Catalogue.position(line.position())
                .orElseThrow(() -> new IllegalArgumentException("unknown position " + line.position()))
                .name();
    }
}
