package gradino.core.perform;

import gradino.core.prescribe.block.Apparatus;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import org.jspecify.annotations.Nullable;

/**
 * How a side really lay when it was another way than planned.
 *
 * @param angle of the joint, °
 * @param stack blocks under the limb, cm; null for a strap or a hand
 * @param apparatus bench, incline, strap and band; null as prescribed
 */
public record PropUsed(
        Degrees angle,
        @Nullable Centimetres stack,
        @Nullable Apparatus apparatus) {}
