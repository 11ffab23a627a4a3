package gradino.server.perform.force;

import gradino.core.body.Side;
import gradino.core.prescribe.block.Block.Direction;
import org.jspecify.annotations.Nullable;

/**
 * What 100 % is for a contraction of this session.
 *
 * @param id null while none stands
 * @param newtons null while none stands
 * @param why none stands: never measured, void since, or what forbids it; empty when one does
 * @param allowed whether it may be measured now
 */
public record FloorReference(
        String line,
        Side side,
        Direction direction,
        double degrees,
        @Nullable String id,
        @Nullable Double newtons,
        String why,
        boolean allowed) {}
