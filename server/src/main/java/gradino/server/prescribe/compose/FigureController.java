package gradino.server.prescribe.compose;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.figure.Figure;
import gradino.core.figure.FigureMaker;
import gradino.core.figure.FigureMaker.Asked;
import gradino.core.figure.Moving;
import gradino.core.figure.Moving.Way;
import gradino.core.figure.Pose.View;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** A position drawn at any angle, from any direction, for anybody's lengths. */
@RestController
class FigureController {
    private final ClientService clients;

    FigureController(ClientService clients) {
        this.clients = clients;
    }

    /**
     * What of a position is drawn.
     *
     * @param motion the position's first unless it says otherwise
     * @param angle as the pose is written unless it says otherwise
     * @param landmarks whether the motion's are marked, numbered as it names them
     * @param azimuth with the elevation, from where; as the pose is written unless both say otherwise
     */
    record FigureAsk(
            @Nullable String motion,
            @Nullable Side side,
            @Nullable Double angle,
            @Nullable Double azimuth,
            @Nullable Double elevation,
            @Nullable Boolean landmarks) {
        Asked of(String positionId) {
            within("angle", angle, 360);
            within("azimuth", azimuth, 3600);
            within("elevation", elevation, 90);
            var asked = Catalogue.position(positionId)
                    .flatMap(p -> Asked.of(p, motion == null ? p.motions().get(0) : motion))
                    .orElseThrow(Problem::nothingHere)
                    .on(side == null ? Side.LEFT : side)
                    .at(angle)
                    .seenFrom(azimuth == null || elevation == null ? null : new View(azimuth, elevation));
            var range = asked.range();
            if (angle != null && range.isPresent() && !range.get().allows(angle)) {
                throw Problem.invalid(
                        "angle",
                        "out-of-bounds",
                        "In this position the angle goes from %.0f to %.0f°, not to %.0f°."
                                .formatted(range.get().least(), range.get().most(), angle));
            }
            return Boolean.TRUE.equals(landmarks) ? asked.withLandmarks() : asked;
        }

        private static void within(String path, @Nullable Double value, int most) {
            if (value != null && !(Math.abs(value) <= most)) {
                throw Problem.invalid(path, "out-of-bounds", "Between −%d and %d°.".formatted(most, most));
            }
        }
    }

    @GetMapping("/api/positions/{positionId}/figure")
    Figure figure(@PathVariable String positionId, FigureAsk ask) {
        return FigureMaker.draw(ask.of(positionId));
    }

    /** As long in its limbs as the client is. */
    @GetMapping("/api/clients/{clientId}/positions/{positionId}/figure")
    Figure figureOf(@PathVariable String clientId, @PathVariable String positionId, FigureAsk ask) {
        return FigureMaker.draw(ask.of(positionId).of(LineSets.build(clients.get(clientId))));
    }

    /**
     * A position in movement, as a block of it moves.
     *
     * @param joint that is circled by itself, as in a warm-up, instead of a position
     */
    record MovingAsk(@Nullable String position, @Nullable String joint, Way way) {
        String id() {
            return joint == null
                    ? position == null ? "" : position
                    : Catalogue.circles(joint).map(Position::id).orElse("");
        }
    }

    @GetMapping("/api/moving")
    Moving moving(MovingAsk what, FigureAsk ask) {
        return Moving.of(ask.of(what.id()), what.way()).orElseThrow(Problem::nothingHere);
    }
}
