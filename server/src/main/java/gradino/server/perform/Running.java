package gradino.server.perform;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.BlockId;
import gradino.core.prescribe.Timeline;
import gradino.core.prescribe.Variants.Variant;
import gradino.core.quantity.Degrees;
import gradino.server.perform.Floor.FloorLine;
import gradino.server.perform.RunRepository.Run;
import gradino.server.platform.Problem;
import gradino.server.prescribe.ComposeService;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** A run with what it was compiled to. */
record Running(Run run, Timeline timeline, List<Variant> variants) {
    static Running find(RunRepository runs, String id) {
        var run = runs.find(id).orElseThrow(() -> Problem.notFound("session"));
        var timeline = runs.timeline(id).orElseGet(() -> ComposeService.timeline(run.draft()));
        return new Running(run, timeline, runs.variants(id));
    }

    String clientId() {
        return run.clientId();
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
        return run.draft().lines().stream()
                .map(l -> new Place(
                        l.id(),
                        l.motion(),
                        l.position(),
                        l.firstSide(),
                        l.angles().map((s, angle) -> FloorLine.angle(angle))))
                .toList();
    }

    private Stream<Timeline.Phase> everyPhase() {
        return Stream.concat(timeline.phases().stream(), variants.stream().flatMap(v -> v.phases().stream()));
    }

    /** A block's phases, be it of the plan or of what may be done instead. */
    List<Timeline.Phase> phases(BlockId block) {
        return everyPhase().filter(p -> p.blockId().equals(block)).toList();
    }

    /** What people call each block. */
    Map<String, String> labels() {
        var labels = new LinkedHashMap<String, String>();
        everyPhase().forEach(p -> labels.put(p.blockId().toString(), p.blockId().label()));
        return labels;
    }
}
