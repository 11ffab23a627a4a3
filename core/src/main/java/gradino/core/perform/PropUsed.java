package gradino.core.perform;

import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import org.jspecify.annotations.Nullable;

/**
 * How a side really lay when it was another way than planned.
 *
 * @param angle of the joint, °
 * @param stack blocks under the limb, cm; null for a strap or a hand
 */
public record PropUsed(Degrees angle, @Nullable Centimetres stack) {}
