package gradino.server.prescribe.program;

import gradino.core.body.Catalogue;
import gradino.core.body.Position.TapeFormulaId;
import gradino.core.body.Segment;
import gradino.core.measure.reading.PropGrid;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.server.intake.Client;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The client's props for a position: blocks where a shank lies flat and its length is known, else a strap's half degrees. */
public final class Props {
    private static final double STRAP_STEP_DEGREES = 0.5;
    private static final double EASIER_DEGREES = 20;
    private static final double LEAST_EASIER_DEGREES = 1;
    private static final int MOST_EASIER = 8;

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

    /** What may be taken instead when a side does not go as deep that day: the next heights or angles down. */
    public static List<SetUp> easier(PropGrid grid, Degrees angle) {
        var planned = setUp(grid, angle);
        var found = new ArrayList<SetUp>();
        for (double down = STRAP_STEP_DEGREES;
                down <= EASIER_DEGREES && found.size() < MOST_EASIER;
                down += STRAP_STEP_DEGREES) {
            var other = setUp(grid, angle.plus(-down));
            var above = found.isEmpty() ? planned : found.get(found.size() - 1);
            boolean another = !other.equals(above)
                    && other.reachedDegrees() >= 0
                    && above.reachedDegrees() - other.reachedDegrees() >= LEAST_EASIER_DEGREES;
            if (another) {
                found.add(other);
            }
        }
        return List.copyOf(found);
    }

    public static SetUp setUp(PropGrid grid, Degrees angle) {
        var reached = grid.roundDown(angle).value();
        return grid instanceof PropGrid.Blocks blocks
                ? new SetUp(blocks.height(angle).value(), reached)
                : new SetUp(null, reached);
    }
}
