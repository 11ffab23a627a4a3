package gradino.server.perform;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.Compiler;
import gradino.core.prescribe.Timeline;
import gradino.core.prescribe.Variants.Variant;
import gradino.core.quantity.Degrees;
import gradino.server.perform.Floor.FloorLine;
import gradino.server.perform.SessionRepository.Opened;
import gradino.server.perform.VisitRepository.Visit;
import gradino.server.prescribe.ComposeService;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What is being run: a line's plan, or something composed. */
record Running(
        String id,
        String clientId,
        Instant openedAt,
        Optional<Opened> line,
        Optional<Visit> visit,
        Timeline timeline,
        List<Variant> variants) {
    static Running of(Opened line, Optional<Timeline> timeline, List<Variant> variants) {
        return new Running(
                line.id(),
                line.clientId(),
                line.happenedAt(),
                Optional.of(line),
                Optional.empty(),
                timeline.orElseGet(() -> Compiler.compile(line.plan())),
                variants);
    }

    static Running of(Visit visit, Optional<Timeline> timeline, List<Variant> variants) {
        return new Running(
                visit.id(),
                visit.clientId(),
                visit.happenedAt(),
                Optional.empty(),
                Optional.of(visit),
                timeline.orElseGet(() -> ComposeService.timeline(visit.draft())),
                variants);
    }

    /**
     * Where something is trained.
     *
     * @param line as the timeline's phases name it
     */
    record Place(String line, String motion, String position, Side first, Sided<Degrees> angles) {
        Degrees angle(Side side) {
            return angles.on(side == Side.MIDLINE ? Side.LEFT : side);
        }
    }

    List<Place> places() {
        return line.map(l -> List.of(new Place(
                        "",
                        l.plan().motion(),
                        l.plan().position(),
                        l.plan().firstSide(),
                        l.plan().doses().map((s, d) -> d.angle()))))
                .orElseGet(() -> visit.orElseThrow().draft().lines().stream()
                        .map(l -> new Place(
                                l.id(),
                                l.motion(),
                                l.position(),
                                l.firstSide(),
                                l.angles().map((s, angle) -> FloorLine.angle(angle))))
                        .toList());
    }

    /** A block's phases, be it of the plan or of what may be done instead. */
    List<Timeline.Phase> phases(String blockId) {
        return Stream.concat(timeline.phases().stream(), variants.stream().flatMap(v -> v.phases().stream()))
                .filter(p -> p.blockId().equals(blockId))
                .toList();
    }
}
