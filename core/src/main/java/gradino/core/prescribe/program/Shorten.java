package gradino.core.prescribe.program;

import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Position;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockParameter;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.timeline.Compiler;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Fits a session into the minutes there are: last rounds go first, then last lines, then sets, then settles, then what is left of
 * rests and holds (house rule). Each side the same, so that sides stay equal. What cannot fit is cut to the shortest it can be.
 */
public final class Shorten {
    private static final String ROUNDS = "rounds";

    /** A number of a block that may shrink, by steps down to its least; the order in which kinds of numbers go. */
    private record Knob(BlockForm form, String name, double step, double least, int order) {}

    private static final List<Knob> KNOBS = List.of(
            new Knob(BlockForm.GRADED_SET, "sets", 1, 1, 1),
            new Knob(BlockForm.HANDS_OFF_HOLD, "sets", 1, 1, 1),
            new Knob(BlockForm.CONTRACT_RELAX, "cycles", 1, 2, 1),
            new Knob(BlockForm.GRADED_SET, "settle", 12, 12, 2),
            new Knob(BlockForm.SETTLE, "seconds", 12, 12, 2),
            new Knob(BlockForm.GROUP, "rest", 10, 0, 3),
            new Knob(BlockForm.SUPPORTED_HOLD, "seconds", 15, 30, 4),
            new Knob(BlockForm.RELEASE, "seconds", 15, 45, 4),
            new Knob(BlockForm.CONTROLLED_ROTATION, "repetitions", 1, 2, 5));

    private static final Knob GROUP_ROUNDS = new Knob(BlockForm.GROUP, ROUNDS, 1, 1, 0);

    private static final int LAST_ORDER = 5;

    private Shorten() {}

    /**
     * One thing to shorten.
     *
     * @param place of the station, the line or the block on its first side, as findings name it
     * @param what it is: the block's kind, or the line's position
     * @param label of the number; empty where a whole line is left out
     * @param saves seconds, on both sides
     */
    public record Cut(String place, String what, String label, double from, double to, int saves) {}

    /**
     * The cuts in their order, and the session after them.
     *
     * @param fits whether it is within the limit; else it is the shortest that it can be
     */
    public record Shorter(List<Cut> cuts, SessionDraft draft, int seconds, boolean fits) {}

    /** @param limitSeconds what there is, 60 and more */
    public static Shorter toFit(SessionDraft draft, int limitSeconds) {
        var cuts = new ArrayList<Cut>();
        var now = draft;
        int seconds = seconds(now);
        while (seconds > limitSeconds) {
            var next = next(now, seconds);
            if (next.isEmpty()) {
                break;
            }
            now = next.get().draft();
            seconds -= next.get().cut().saves();
            merge(cuts, next.get().cut());
        }
        return new Shorter(List.copyOf(cuts), now, seconds, seconds <= limitSeconds);
    }

    private record Step(Cut cut, SessionDraft draft) {}

    /** Steps on the same number are told as one. */
    private static void merge(List<Cut> cuts, Cut cut) {
        for (int i = 0; i < cuts.size(); i++) {
            var old = cuts.get(i);
            if (old.place().equals(cut.place()) && old.label().equals(cut.label())) {
                cuts.set(
                        i,
                        new Cut(old.place(), old.what(), old.label(), old.from(), cut.to(), old.saves() + cut.saves()));
                return;
            }
        }
        cuts.add(cut);
    }

    private static Optional<Step> next(SessionDraft draft, int seconds) {
        var step = lastRound(draft, seconds).or(() -> lastLine(draft, seconds));
        for (int order = 1; order <= LAST_ORDER && step.isEmpty(); order++) {
            step = dearest(draft, seconds, order);
        }
        return step;
    }

    /** The last station's, or within it the last line's last group. */
    private static Optional<Step> lastRound(SessionDraft draft, int seconds) {
        for (int s = draft.stations().size() - 1; s >= 0; s--) {
            var station = draft.stations().get(s);
            if (station.rounds() > 1) {
                var stations = new ArrayList<>(draft.stations());
                stations.set(
                        s,
                        new StationDraft(
                                station.lines(), station.rounds() - 1, station.restSeconds(), station.oneSetUp()));
                var fewer = new SessionDraft(draft.warmUp(), stations);
                return saved(
                        "stations[%d]".formatted(s),
                        ROUNDS,
                        ROUNDS,
                        station.rounds(),
                        station.rounds() - 1,
                        fewer,
                        seconds);
            }
            var inLine = lastRoundOfALine(draft, s, seconds);
            if (inLine.isPresent()) {
                return inLine;
            }
        }
        return Optional.empty();
    }

    private static Optional<Step> lastRoundOfALine(SessionDraft draft, int s, int seconds) {
        var lines = draft.stations().get(s).lines();
        for (int l = lines.size() - 1; l >= 0; l--) {
            for (int b = longest(lines.get(l)) - 1; b >= 0; b--) {
                var fewer = turned(draft, s, l, b, GROUP_ROUNDS, seconds);
                if (fewer.isPresent()) {
                    return fewer;
                }
            }
        }
        return Optional.empty();
    }

    /** One line always stays. */
    private static Optional<Step> lastLine(SessionDraft draft, int seconds) {
        if (draft.lines().size() < 2) {
            return Optional.empty();
        }
        int s = draft.stations().size() - 1;
        while (draft.stations().get(s).lines().isEmpty()) {
            s--;
        }
        var station = draft.stations().get(s);
        int l = station.lines().size() - 1;
        var stations = new ArrayList<>(draft.stations().subList(0, s));
        if (l > 0) {
            stations.add(new StationDraft(
                    station.lines().subList(0, l), station.rounds(), station.restSeconds(), station.oneSetUp()));
        }
        var line = station.lines().get(l);
        var name = Catalogue.position(line.position()).map(Position::name).orElse(line.position());
        return saved(
                "stations[%d].lines[%d]".formatted(s, l),
                name,
                "",
                1,
                0,
                new SessionDraft(warmUpWithout(line, draft.warmUp(), stations), stations),
                seconds);
    }

    /** The rotations of a joint go with the last line that trains it; a coach's other ones stay. */
    private static List<BlockDraft> warmUpWithout(
            LineDraft gone, List<BlockDraft> warmUp, List<StationDraft> stations) {
        var joint = joint(gone);
        boolean still = stations.stream().flatMap(s -> s.lines().stream()).anyMatch(l -> joint(l).equals(joint));
        return still
                ? warmUp
                : warmUp.stream()
                        .filter(b -> !joint.equals(b.words().get("joint")))
                        .toList();
    }

    private static String joint(LineDraft line) {
        return Catalogue.motion(line.motion()).map(Motion::joint).orElse("");
    }

    /** Of the numbers of one order the step that saves most. */
    private static Optional<Step> dearest(SessionDraft draft, int seconds, int order) {
        var steps = new ArrayList<Step>();
        for (int s = 0; s < draft.stations().size(); s++) {
            var lines = draft.stations().get(s).lines();
            for (int l = 0; l < lines.size(); l++) {
                for (int b = 0; b < longest(lines.get(l)); b++) {
                    for (var knob : KNOBS) {
                        if (knob.order() == order) {
                            turned(draft, s, l, b, knob, seconds).ifPresent(steps::add);
                        }
                    }
                }
            }
        }
        return steps.stream().max(Comparator.comparingInt(step -> step.cut().saves()));
    }

    private static Optional<Step> turned(SessionDraft draft, int s, int l, int b, Knob knob, int seconds) {
        var line = draft.stations().get(s).lines().get(l);
        var block = at(line, b);
        double from = block.form() == knob.form() ? block.number(knob.name()) : 0;
        double to = Math.max(knob.least(), from - knob.step());
        if (to >= from) {
            return Optional.empty();
        }
        var shorter = draft.withBlocks(
                s,
                l,
                b,
                one -> one.form() == knob.form() && one.number(knob.name()) > to ? one.with(knob.name(), to) : one);
        var side = b < line.left().size() ? "left" : "right";
        var label = BlockParameter.find(knob.form(), knob.name())
                .map(BlockParameter::label)
                .orElse(knob.name());
        return saved(
                "stations[%d].lines[%d].%s[%d]".formatted(s, l, side, b),
                knob.form().id(),
                label,
                from,
                to,
                shorter,
                seconds);
    }

    /** Empty where nothing is saved. */
    private static Optional<Step> saved(
            String place, String what, String label, double from, double to, SessionDraft shorter, int seconds) {
        int saves = seconds - seconds(shorter);
        return saves > 0
                ? Optional.of(new Step(new Cut(place, what, label, from, to, saves), shorter))
                : Optional.empty();
    }

    private static int longest(LineDraft line) {
        return Math.max(line.left().size(), line.right().size());
    }

    private static BlockDraft at(LineDraft line, int b) {
        return b < line.left().size() ? line.left().get(b) : line.right().get(b);
    }

    private static int seconds(SessionDraft draft) {
        return SessionReader.read(draft)
                .plan()
                .map(p -> Compiler.compile(p).seconds())
                .orElse(0);
    }
}
