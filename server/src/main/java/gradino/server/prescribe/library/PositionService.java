package gradino.server.prescribe.library;

import gradino.core.because.Finding;
import gradino.core.because.Source;
import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Training;
import gradino.core.figure.Drag;
import gradino.core.figure.Drag.Handle;
import gradino.core.figure.Figure;
import gradino.core.figure.OwnCheck;
import gradino.core.figure.OwnPosition;
import gradino.core.figure.PoseCheck;
import gradino.core.figure.PoseDraft;
import gradino.core.prescribe.method.Method;
import gradino.server.account.people.SignedIn;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.prescribe.library.PositionRepository.StudioPosition;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The studio's own positions: tried, posed, kept, taken from files and given to others. */
@Service
class PositionService {
    /** First word of a file: what it is and how it is written. */
    static final String FORMAT = "gradino-positions-1";

    private static final Source OWN = new Source(Source.Kind.HOUSE_RULE, "the studio's own");

    private final PositionRepository positions;
    private final PositionShelf shelf;
    private final MethodService methods;
    private final SignedIn signedIn;
    private final Clock clock;

    PositionService(
            PositionRepository positions, PositionShelf shelf, MethodService methods, SignedIn signedIn, Clock clock) {
        this.positions = positions;
        this.shelf = shelf;
        this.methods = methods;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /** @param format must be {@value PositionService#FORMAT} */
    record PositionFile(String format, List<OwnPosition> positions) {
        PositionFile {
            positions = List.copyOf(positions);
        }
    }

    /**
     * What a position looks like as it is typed.
     *
     * @param figure null while no body can take the pose
     */
    record Tried(@Nullable Figure figure, List<Handle> handles, List<Finding> findings) {}

    /** The pose after a point of it was pulled, and how it looks then. */
    record Pulled(PoseDraft pose, Tried tried) {}

    @Transactional(readOnly = true)
    List<OwnPosition> own() {
        return positions.now();
    }

    /** One's own, or one that ships, to be copied and changed. */
    @Transactional(readOnly = true)
    OwnPosition one(String id) {
        return positions.now().stream()
                .filter(o -> o.position().id().equals(id))
                .findFirst()
                .or(() -> Catalogue.position(id).flatMap(OwnPosition::of))
                .orElseThrow(Problem::nothingHere);
    }

    @Transactional(readOnly = true)
    Tried tried(OwnPosition own) {
        var findings = OwnCheck.of(own, methodIds(), "", List.of());
        return PoseCheck.of(own.pose(), "pose").isEmpty()
                ? new Tried(own.drawn(), Drag.handles(own.pose()), findings)
                : new Tried(null, List.of(), findings);
    }

    /** @throws Problem for a point that there is not, and for a pose that no body can take */
    @Transactional(readOnly = true)
    Pulled pulled(OwnPosition own, String spot, double x, double y) {
        Problem.throwIfBlocking(PoseCheck.of(own.pose(), "pose"));
        if (Drag.handles(own.pose()).stream().noneMatch(h -> h.spot().equals(spot))) {
            throw Problem.invalid("spot", "unknown-segment", "There is no point called “" + spot + "” to pull.");
        }
        var pose = Drag.to(own.pose(), spot, x, y);
        var moved = new OwnPosition(own.position(), pose);
        return PoseCheck.of(pose, "pose").isEmpty()
                ? new Pulled(pose, new Tried(moved.drawn(), Drag.handles(pose), List.of()))
                : new Pulled(own.pose(), new Tried(own.drawn(), Drag.handles(own.pose()), List.of()));
    }

    @Transactional
    OwnPosition save(String id, OwnPosition own) {
        var named = named(id, own);
        Problem.throwIfBlocking(OwnCheck.of(named, methodIds(), "", List.of()));
        keep(id, named);
        return named;
    }

    private static OwnPosition named(String id, OwnPosition own) {
        var p = own.position();
        var t = p.training();
        var training = t == null
                ? null
                : new Training(
                        t.tissue(),
                        t.press(),
                        t.pull(),
                        t.lifts().isBlank() ? Training.LIFTS : t.lifts(),
                        t.props(),
                        t.easier(),
                        t.harder(),
                        t.fixes(),
                        t.stops().stream().filter(s -> !s.isBlank()).toList(),
                        t.equipment(),
                        t.methods(),
                        t.together(),
                        OWN);
        var faults = t == null
                ? List.<String>of()
                : t.fixes().stream().map(Training.Pair::what).toList();
        return new OwnPosition(
                new Position(
                        id,
                        p.name().strip(),
                        p.view(),
                        p.lying(),
                        p.motions(),
                        p.table(),
                        p.tape(),
                        p.zero(),
                        p.setup(),
                        faults,
                        training,
                        OWN),
                own.pose());
    }

    private void keep(String id, @Nullable OwnPosition own) {
        var me = signedIn.account().orElseThrow(Problem::nothingHere);
        positions.insert(new StudioPosition(id, own, me.id(), StudioClock.now(clock)));
        shelf.changed();
    }

    /** One in which a line was ever done stays: what was done in it is told by its name. */
    @Transactional
    void remove(String id) {
        if (positions.now().stream().noneMatch(o -> o.position().id().equals(id))) {
            throw Problem.nothingHere();
        }
        int lines = positions.lines(id);
        if (lines > 0) {
            throw Problem.invalid(
                    "position",
                    "in-use",
                    lines == 1
                            ? "It cannot be removed: a line of a program has used this position."
                            : "It cannot be removed: %d lines of programs have used this position.".formatted(lines));
        }
        keep(id, null);
    }

    @Transactional(readOnly = true)
    PositionFile file(List<String> ids) {
        return new PositionFile(FORMAT, ids.stream().map(this::one).toList());
    }

    /** All of a file or nothing; what leads to another position of the file counts as leading somewhere. */
    @Transactional
    List<OwnPosition> take(PositionFile file) {
        if (!file.format().equals(FORMAT)) {
            throw Problem.invalid(
                    "format", "unknown-format", "This is no file of positions: it must say “" + FORMAT + "”.");
        }
        var findings = new ArrayList<Finding>();
        var beside = file.positions().stream().map(OwnPosition::position).toList();
        for (int i = 0; i < file.positions().size(); i++) {
            findings.addAll(OwnCheck.of(file.positions().get(i), methodIds(), "positions[" + i + "].", beside));
        }
        Problem.throwIfBlocking(findings);
        file.positions()
                .forEach(own -> keep(own.position().id(), named(own.position().id(), own)));
        return positions.now();
    }

    private Set<String> methodIds() {
        return methods.methods().stream().map(Method::id).collect(Collectors.toSet());
    }
}
