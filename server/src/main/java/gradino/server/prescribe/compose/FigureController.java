package gradino.server.prescribe.compose;

import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.figure.Build;
import gradino.core.figure.Figure;
import gradino.core.figure.FigureMaker;
import gradino.core.figure.FigureMaker.Asked;
import gradino.core.figure.Pose.View;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A position drawn at any angle, from any direction, for anybody's lengths. */
@RestController
class FigureController {
    private final ClientService clients;

    FigureController(ClientService clients) {
        this.clients = clients;
    }

    @GetMapping("/api/positions/{positionId}/figure")
    Figure figure(
            @PathVariable String positionId,
            @RequestParam(required = false) @Nullable String motion,
            @RequestParam(required = false) @Nullable Side side,
            @RequestParam(required = false) @Nullable Double angle,
            @RequestParam(required = false) @Nullable Double azimuth,
            @RequestParam(required = false) @Nullable Double elevation) {
        return FigureMaker.draw(
                asked(positionId, motion, side, angle, view(azimuth, elevation)).of(Build.typical()));
    }

    /** As long in its limbs as the client is. */
    @GetMapping("/api/clients/{clientId}/positions/{positionId}/figure")
    Figure figureOf(
            @PathVariable String clientId,
            @PathVariable String positionId,
            @RequestParam(required = false) @Nullable String motion,
            @RequestParam(required = false) @Nullable Side side,
            @RequestParam(required = false) @Nullable Double angle,
            @RequestParam(required = false) @Nullable Double azimuth,
            @RequestParam(required = false) @Nullable Double elevation) {
        var build = LineSets.build(clients.get(clientId));
        return FigureMaker.draw(
                asked(positionId, motion, side, angle, view(azimuth, elevation)).of(build));
    }

    private static @Nullable View view(@Nullable Double azimuth, @Nullable Double elevation) {
        if (azimuth == null || elevation == null) {
            return null;
        }
        if (!Double.isFinite(azimuth) || !(Math.abs(elevation) <= 90)) {
            throw Problem.invalid("elevation", "out-of-bounds", "Between −90 and 90°.");
        }
        return new View(azimuth, elevation);
    }

    private static Asked asked(
            String positionId,
            @Nullable String motion,
            @Nullable Side side,
            @Nullable Double angle,
            @Nullable View view) {
        if (angle != null && !(Math.abs(angle) <= 360)) {
            throw Problem.invalid("angle", "out-of-bounds", "Between −360 and 360°.");
        }
        return Catalogue.position(positionId)
                .flatMap(p -> Asked.of(p, motion == null ? p.motions().get(0) : motion))
                .orElseThrow(Problem::nothingHere)
                .on(side == null ? Side.LEFT : side)
                .at(angle)
                .seenFrom(view);
    }
}
