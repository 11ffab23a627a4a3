package gradino.core.prescribe.program;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Motion;
import gradino.core.body.Position;
import gradino.core.body.Sided;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockReader;
import gradino.core.prescribe.method.BlockReader.BlockWorld;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.timeline.Protocol;
import gradino.core.prescribe.timeline.SessionPlan;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Station;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;

/** Reads a composed session: what can be becomes a {@link SessionPlan}, what cannot becomes findings at their place. */
public final class SessionReader {
    private final List<Finding> findings = new ArrayList<>();

    private SessionReader() {}

    /**
     * What was read.
     *
     * @param plan without the blocks that could not be; empty when no line has a place
     */
    public record Read(Optional<SessionPlan> plan, List<Finding> findings) {}

    public static Read read(SessionDraft draft) {
        if (draft.blockCount() > SessionDraft.MOST_BLOCKS) {
            var most = (double) SessionDraft.MOST_BLOCKS;
            var words = "%d blocks are too many for a session: 150 at most. Use rounds for what repeats."
                    .formatted(draft.blockCount());
            return new Read(Optional.empty(), List.of(Finding.blocking("stations", "too-many", most, "", words)));
        }
        var reader = new SessionReader();
        var plan = reader.session(draft);
        return new Read(plan.stations().isEmpty() ? Optional.empty() : Optional.of(plan), List.copyOf(reader.findings));
    }

    /**
     * A line alone, without the blocks that cannot be read; empty for one that has no place.
     *
     * @param findings where what cannot be is told, with paths that begin with a dot
     */
    static Optional<Protocol> line(LineDraft draft, List<Finding> findings) {
        var reader = new SessionReader();
        var line = reader.line(draft, "");
        findings.addAll(reader.findings);
        return line;
    }

    private SessionPlan session(SessionDraft draft) {
        for (int i = 0; i < draft.warmUp().size(); i++) {
            if (draft.warmUp().get(i).form() != BlockForm.CONTROLLED_ROTATION) {
                say(
                        "warmUp[" + i + "]",
                        "rotations-only",
                        "A warm-up is made of controlled rotations: put this into a line.");
            }
        }
        twice(draft);
        var warmUp = new BlockReader(BlockWorld.NONE, findings).all(draft.warmUp(), "warmUp");
        var stations = new ArrayList<Station>();
        for (int i = 0; i < draft.stations().size(); i++) {
            station(draft.stations().get(i), "stations[" + i + "]").ifPresent(stations::add);
        }
        return new SessionPlan(warmUp, stations);
    }

    /** Findings, phases and totals tell lines by their ids. */
    private void twice(SessionDraft draft) {
        var seen = new HashSet<String>();
        for (int s = 0; s < draft.stations().size(); s++) {
            var lines = draft.stations().get(s).lines();
            for (int l = 0; l < lines.size(); l++) {
                if (!seen.add(lines.get(l).id())) {
                    say("stations[%d].lines[%d].id".formatted(s, l), "twice", "Two lines of a session have one id.");
                }
            }
        }
    }

    private Optional<Station> station(StationDraft draft, String path) {
        var lines = new ArrayList<Protocol>();
        for (int i = 0; i < draft.lines().size(); i++) {
            line(draft.lines().get(i), path + ".lines[" + i + "]").ifPresent(lines::add);
        }
        boolean rounds = bound(path + ".rounds", draft.rounds(), 1, 10, "");
        boolean rest = bound(path + ".restSeconds", draft.restSeconds(), 0, 600, "s");
        return lines.isEmpty() || !rounds || !rest
                ? Optional.empty()
                : Optional.of(new Station(lines, (int) draft.rounds(), (int) draft.restSeconds(), draft.oneSetUp()));
    }

    private Optional<Protocol> line(LineDraft draft, String path) {
        var motion = Catalogue.motion(draft.motion());
        var position = Catalogue.position(draft.position());
        place(draft, motion, position, path);
        var world = position.map(
                        p -> new BlockWorld(motion.map(Motion::joint).orElse("joint"), p.press(), p.pull(), p.lifts()))
                .orElse(BlockWorld.NONE);
        var reader = new BlockReader(world, findings);
        var left = reader.all(draft.left(), path + ".left");
        var right = reader.all(draft.right(), path + ".right");
        boolean setUp = bound(path + ".setUpSeconds", draft.setUpSeconds(), 0, 600, "s");
        boolean change = bound(path + ".sideChangeSeconds", draft.sideChangeSeconds(), 0, 600, "s");
        if (motion.isEmpty()
                || position.isEmpty()
                || !setUp
                || !change
                || !draft.firstSide().isPaired()) {
            return Optional.empty();
        }
        return Optional.of(new Protocol(
                draft.id(),
                draft.motion(),
                draft.position(),
                draft.method(),
                draft.sides(),
                draft.firstSide(),
                new Sided<>(left, right),
                (int) draft.setUpSeconds(),
                (int) draft.sideChangeSeconds()));
    }

    private void place(LineDraft draft, Optional<Motion> motion, Optional<Position> position, String path) {
        if (motion.isEmpty()) {
            say(path + ".motion", "unknown-motion", "No motion called '" + draft.motion() + "': pick one of the list.");
        }
        if (position.isEmpty()) {
            say(path + ".position", "unknown-position", "No position called '" + draft.position() + "': pick one.");
        } else if (!position.get().trains()) {
            say(path + ".position", "measuring-only", "This position is for measuring only: pick another.");
        } else if (!position.get().allows(draft.motion())) {
            say(path + ".position", "position-for-motion", "This position does not train this motion: pick another.");
        }
        boolean midline = motion.filter(Motion::midline).isPresent();
        if (motion.isPresent() && midline != (draft.sides() == SideOrder.MIDLINE)) {
            var words = midline ? "This motion has no sides." : "This motion has a left and a right.";
            say(path + ".sides", "side-for-motion", words);
        }
        if (draft.sides() == SideOrder.TOGETHER
                && position.filter(p -> !p.allowsTogether()).isPresent()) {
            say(
                    path + ".sides",
                    "together-in-position",
                    "Both sides cannot work at once in this position: do one after the other, or pick another position.");
        }
        if (!draft.firstSide().isPaired()) {
            say(path + ".firstSide", "side-for-motion", "Left or right goes first.");
        }
    }

    private boolean bound(String path, double value, double least, double most, String unit) {
        boolean fine = value >= least && value <= most;
        if (!fine) {
            var words = "Between %.0f and %.0f %s.".formatted(least, most, unit).replace(" .", ".");
            findings.add(Finding.blocking(path, "out-of-bounds", value > most ? most : least, unit, words));
        }
        return fine;
    }

    private void say(String path, String code, String message) {
        findings.add(Finding.blocking(path, code, null, "", message));
    }
}
