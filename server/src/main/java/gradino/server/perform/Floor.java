package gradino.server.perform;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.prescribe.Plan;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.core.prescribe.Timeline;
import gradino.core.quantity.Degrees;
import gradino.server.intake.Client;
import gradino.server.prescribe.Props;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * All that a floor needs to run or resume, so that it needs no rule of its own.
 *
 * @param lineId null for something composed
 * @param title what is run: the motion, or the composed session's name
 * @param plan null for something composed
 * @param lines in the order in which they are done
 */
public record Floor(
        String id,
        @Nullable String lineId,
        String clientId,
        String clientName,
        String title,
        @Nullable Plan plan,
        Timeline timeline,
        List<FloorLine> lines,
        int painEndsBlockAbove,
        List<String> doneBlocks,
        boolean closed,
        Instant openedAt) {
    /**
     * One line as it is set up.
     *
     * @param line its id in the timeline's phases
     * @param position as the coach reads it
     * @param faults to watch for
     */
    public record FloorLine(
            String line, String position, Side firstSide, List<String> faults, Sided<Props.SetUp> props) {
        static FloorLine of(Client client, Plan plan) {
            var grid = Props.grid(client, plan.position());
            return of("", plan.position(), plan.firstSide(), plan.doses().map((s, d) -> Props.setUp(grid, d.angle())));
        }

        /** What cannot be an angle is a finding elsewhere and stands at the position's zero here. */
        static FloorLine of(Client client, LineDraft line) {
            var grid = Props.grid(client, line.position());
            return of(
                    line.id(),
                    line.position(),
                    line.firstSide(),
                    line.angles()
                            .map((s, angle) ->
                                    Props.setUp(grid, Degrees.of(angle >= -90 && angle <= 200 ? angle : 0))));
        }

        private static FloorLine of(String line, String position, Side first, Sided<Props.SetUp> props) {
            var known = Catalogue.position(position);
            return new FloorLine(
                    line,
                    known.map(p -> p.name()).orElse(position),
                    first,
                    known.map(p -> p.faults()).orElse(List.of()),
                    props);
        }
    }
}
