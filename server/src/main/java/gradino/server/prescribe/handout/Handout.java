package gradino.server.prescribe.handout;

import gradino.core.advance.state.Policy;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.body.Training;
import gradino.core.figure.Figure;
import gradino.core.perform.StopSignText;
import gradino.core.prescribe.block.Block;
import gradino.core.prescribe.timeline.Compiler;
import gradino.core.prescribe.timeline.Protocol;
import gradino.core.prescribe.timeline.SessionPlan;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Station;
import gradino.server.intake.Client;
import gradino.server.prescribe.compose.ComposeService.CurrentSession;
import gradino.server.prescribe.compose.LineSet;
import gradino.server.prescribe.compose.LineSets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A session in the client's words, the same for the page and the PDF.
 *
 * @param lowered why less is done than the doses in force
 * @param stopSigns what ends it at once
 * @param calm what is no stop sign by itself
 * @param footer who comes first
 */
record Handout(
        String title,
        String client,
        int minutes,
        List<String> lowered,
        List<String> stopSigns,
        String calm,
        List<String> warmUp,
        List<HandoutLine> lines,
        String footer) {
    private static final String DISCLAIMER =
            "Gradino supports a coach. It does not diagnose or treat; licensed practice and local rules come first.";
    private static final String CALM =
            "Shaking, a cramp that eases, and muscle soreness up to two days are not stop signs by themselves.";
    private static final int SECONDS_PER_MINUTE = 60;

    /**
     * A line of it, which stays on one page.
     *
     * @param rounds a sentence about rounds and what they are shared with; empty for one round alone
     * @param stops what ends this one beside the general signs
     */
    record HandoutLine(
            String title,
            String rounds,
            String setUp,
            List<HandoutDrawing> figures,
            List<HandoutDoses> doses,
            String watch,
            String stops) {}

    record HandoutDrawing(@Nullable Figure figure, String caption) {}

    /** @param head which side; empty where there is none to tell */
    record HandoutDoses(String head, List<String> blocks) {}

    static Handout of(Client client, CurrentSession session, SessionPlan plan, Policy policy) {
        var sets = LineSets.of(client, session.draft(), policy);
        var lines = new ArrayList<HandoutLine>();
        for (var station : plan.stations()) {
            station.lines().forEach(line -> lines.add(line(client, line, station, sets)));
        }
        int seconds = Compiler.compile(plan).seconds();
        return new Handout(
                session.name(),
                client.details().name(),
                (seconds + SECONDS_PER_MINUTE - 1) / SECONDS_PER_MINUTE,
                session.lowered(),
                StopSignText.all().stream().map(StopSignText::words).toList(),
                CALM,
                plan.warmUp().stream().map(Block::inWords).toList(),
                lines,
                DISCLAIMER);
    }

    private static HandoutLine line(Client client, Protocol line, Station station, List<LineSet> sets) {
        Position position = Catalogue.position(line.position()).orElseThrow();
        Training training = position.training();
        return new HandoutLine(
                position.name(),
                rounds(line, station),
                position.setup(),
                sets.stream()
                        .filter(s -> s.line().equals(line.line()))
                        .map(s -> figure(client, line, s))
                        .toList(),
                doses(line),
                training == null ? "" : watch(training),
                training == null ? "" : String.join("; ", training.stops()) + ".");
    }

    private static String rounds(Protocol line, Station station) {
        var others = station.lines().stream()
                .filter(l -> !l.line().equals(line.line()))
                .map(l -> Catalogue.position(l.position()).map(Position::name).orElse(""))
                .collect(Collectors.joining(", "));
        var with = others.isEmpty() ? "" : "In turn with: " + others + ". ";
        var rest = station.restSeconds() > 0 ? ", %d s rest between them".formatted(station.restSeconds()) : "";
        return station.rounds() > 1 ? "%s%d rounds%s.".formatted(with, station.rounds(), rest) : with.strip();
    }

    private static List<HandoutDoses> doses(Protocol line) {
        boolean same =
                line.on(Side.LEFT).equals(line.on(Side.RIGHT)) || !line.sides().both();
        var first = line.begins();
        if (same) {
            return List.of(new HandoutDoses(order(line), words(line.on(first))));
        }
        return List.of(
                new HandoutDoses("First the " + first.word() + " side", words(line.on(first))),
                new HandoutDoses(
                        line.sides() == SideOrder.FIRST_TWICE
                                ? "Then the other side, and the first once more"
                                : "Then the other side",
                        words(line.on(first.other()))));
    }

    private static String order(Protocol line) {
        var first = line.begins().word();
        return switch (line.sides()) {
            case LEFT, RIGHT, MIDLINE -> "";
            case TOGETHER -> "Both sides together";
            case ONE_AFTER_OTHER -> "Each side, the " + first + " first";
            case ALTERNATING -> "Block by block, the " + first + " side first";
            case FIRST_TWICE -> "The " + first + " side, the other, and the " + first + " once more";
        };
    }

    private static List<String> words(List<Block> blocks) {
        return blocks.stream().map(Block::inWords).toList();
    }

    private static String watch(Training training) {
        return training.fixes().stream()
                        .map(f -> f.what() + " (" + f.then() + ")")
                        .collect(Collectors.joining("; "))
                + ".";
    }

    private static HandoutDrawing figure(Client client, Protocol line, LineSet set) {
        var figure = LineSets.figure(client, line.position(), line.motion(), set.side(), set.reachedDegrees())
                .orElse(null);
        var side = set.side() == Side.MIDLINE ? "" : set.side().word() + " ";
        var stack = set.stackCm() == null ? "" : ", stack %.0f cm".formatted(set.stackCm());
        // An angle that was never measured stands at its zero, which would say the wrong thing.
        var angle = set.reachedDegrees() == 0 ? "" : "%.0f°%s".formatted(set.reachedDegrees(), stack);
        return new HandoutDrawing(figure, side + angle);
    }
}
