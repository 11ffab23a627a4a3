package gradino.server.perform.floor;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.figure.Figure;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.reading.PropGrid;
import gradino.core.prescribe.block.Apparatus;
import gradino.core.prescribe.method.BreathRule;
import gradino.core.prescribe.method.Cramp;
import gradino.core.prescribe.method.SchoolRules;
import gradino.core.prescribe.program.Variants.Variant;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline;
import gradino.server.intake.Client;
import gradino.server.perform.force.FloorReference;
import gradino.server.perform.record.Running.Place;
import gradino.server.prescribe.compose.LineSets;
import gradino.server.prescribe.program.Props;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * All that a floor needs to run or resume, so that it needs no rule of its own.
 *
 * @param title what is run: the session's name, or the motion of a line alone
 * @param lines in the order in which they are done
 * @param variants what may be done instead of the plan
 * @param labels what people call each block, by its id
 * @param coldBlocks in which whatever is measured is measured cold
 */
public record Floor(
        String id,
        String clientId,
        String clientName,
        String title,
        Timeline timeline,
        List<FloorLine> lines,
        List<FloorReference> references,
        List<Variant> variants,
        Map<String, String> labels,
        int painEndsBlockAbove,
        Set<BlockId> coldBlocks,
        List<BlockId> doneBlocks,
        boolean closed,
        Instant openedAt) {
    /**
     * One line as it is set up.
     *
     * @param line its id in the timeline's phases
     * @param position as the coach reads it
     * @param instrument its range is measured with
     * @param measuredSides on which its motion is measured
     * @param faults to watch for
     * @param cramp what its method makes of one
     * @param breath what its method makes of an uneven one
     * @param apparatus bench, incline, strap and band
     * @param risesCm by how much the prop goes up in all, from the first round to the last
     * @param otherProps that a side may lie on instead, none of them deeper
     */
    public record FloorLine(
            String line,
            String motion,
            String positionId,
            String position,
            Instrument instrument,
            SideOrder sides,
            Side firstSide,
            List<Side> measuredSides,
            List<String> faults,
            Cramp cramp,
            BreathRule breath,
            Sided<Props.SetUp> props,
            Sided<Apparatus> apparatus,
            Sided<Double> risesCm,
            Sided<List<Props.SetUp>> otherProps,
            @Nullable Sided<Figure> figures) {
        /** @param instrument by which its range is measured */
        static FloorLine of(Client client, Place place, SchoolRules rules, Instrument instrument) {
            var known = Catalogue.position(place.position());
            var grid = Props.grid(client, place.position());
            return new FloorLine(
                    place.line(),
                    place.motion(),
                    place.position(),
                    known.map(p -> p.name()).orElse(place.position()),
                    instrument,
                    place.sides(),
                    place.first(),
                    Catalogue.motion(place.motion()).map(Side::of).orElse(Side.PAIR),
                    known.map(p -> p.faults()).orElse(List.of()),
                    rules.cramp(),
                    rules.breath(),
                    place.angles().map((s, angle) -> Props.setUp(grid, angle)),
                    place.apparatus(),
                    place.risesCm(),
                    place.angles().map((s, angle) -> Props.easier(grid, angle)),
                    figures(client, place, grid));
        }

        /** So that props are placed by looking. */
        private static @Nullable Sided<Figure> figures(Client client, Place place, PropGrid grid) {
            var drawn = place.angles()
                    .map((s, angle) -> LineSets.figure(
                            client,
                            place.position(),
                            place.motion(),
                            s,
                            Props.setUp(grid, angle).reachedDegrees()));
            return drawn.left().isPresent() ? drawn.map((s, figure) -> figure.orElseThrow()) : null;
        }
    }
}
