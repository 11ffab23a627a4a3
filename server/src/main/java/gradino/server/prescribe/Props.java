package gradino.server.prescribe;

import gradino.core.body.Catalogue;
import gradino.core.body.Position.TapeFormulaId;
import gradino.core.body.Segment;
import gradino.core.measure.PropGrid;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.server.intake.Client;
import org.jspecify.annotations.Nullable;

/** The client's props for a position: blocks where a shank lies flat and its length is known, else a strap's half degrees. */
public final class Props {
    private static final double STRAP_STEP_DEGREES = 0.5;

    private Props() {}

    /**
     * How a working angle is set up.
     *
     * @param stackCm blocks under the foot; null for a strap or hand
     * @param reachedDegrees the angle that the prop really gives
     */
    public record SetUp(@Nullable Double stackCm, double reachedDegrees) {}

    public static PropGrid grid(Client client, String position) {
        boolean blocks = Catalogue.position(position)
                .filter(p -> p.tape() == TapeFormulaId.FOOT_RISE)
                .isPresent();
        var shank = client.length(Segment.SHANK);
        return blocks && shank.isPresent()
                ? new PropGrid.Blocks(
                        shank.get().length(), Centimetres.of(client.details().blockStepCm()))
                : new PropGrid.AngleStep(STRAP_STEP_DEGREES);
    }

    public static SetUp setUp(PropGrid grid, Degrees angle) {
        var reached = grid.roundDown(angle).value();
        return grid instanceof PropGrid.Blocks blocks
                ? new SetUp(blocks.height(angle).value(), reached)
                : new SetUp(null, reached);
    }
}
