package gradino.server.perform.record;

import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.noise.Instrument;
import gradino.core.prescribe.block.Apparatus;
import gradino.core.prescribe.method.Apparatuses;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.program.Variants.Variant;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.quantity.Degrees;
import gradino.server.perform.record.RunRepository.Run;
import gradino.server.platform.Problem;
import gradino.server.prescribe.compose.ComposeService;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A run with what it was compiled to. */
public record Running(Run run, Timeline timeline, List<Variant> variants) {
    public static Running find(RunRepository runs, String id) {
        var run = runs.find(id).orElseThrow(() -> Problem.notFound("session"));
        var timeline = runs.timeline(id).orElseGet(() -> ComposeService.timeline(run.draft()));
        return new Running(run, timeline, runs.variants(id));
    }

    public String clientId() {
        return run.clientId();
    }

    /**
     * Where something is trained.
     *
     * @param line as the timeline's phases name it
     */
    public record Place(
            String line,
            String motion,
            String position,
            String method,
            SideOrder sides,
            Side first,
            @Nullable Instrument instrument,
            Sided<Degrees> angles,
            Sided<Apparatus> apparatus,
            Sided<Double> risesCm) {
        public Degrees angle(Side side) {
            return angles.on(side == Side.MIDLINE ? Side.LEFT : side);
        }
    }

    public List<Place> places() {
        return run.draft().lines().stream()
                .map(l -> new Place(
                        l.id(),
                        l.motion(),
                        l.position(),
                        l.method(),
                        l.sides(),
                        l.firstSide(),
                        l.instrument(),
                        l.angles().map((s, angle) -> angle(angle)),
                        Sided.of(s -> Apparatuses.of(l.on(s))),
                        Sided.of(s -> BlockNumbers.riseCm(l.on(s)))))
                .toList();
    }

    /** What cannot be an angle is a finding elsewhere and stands at the position's zero here. */
    private static Degrees angle(double degrees) {
        return Degrees.of(degrees >= -90 && degrees <= 200 ? degrees : 0);
    }

    private Stream<Timeline.Phase> everyPhase() {
        return Stream.concat(timeline.phases().stream(), variants.stream().flatMap(v -> v.phases().stream()));
    }

    /** A block's phases, be it of the plan or of what may be done instead. */
    public List<Timeline.Phase> phases(BlockId block) {
        return everyPhase().filter(p -> p.blockId().equals(block)).toList();
    }

    /** What people call each block. */
    public Map<String, String> labels() {
        var labels = new LinkedHashMap<String, String>();
        everyPhase().forEach(p -> labels.put(p.blockId().toString(), p.blockId().label()));
        return labels;
    }
}
