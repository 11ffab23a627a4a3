package gradino.core.body;

import gradino.core.quantity.Centimetres;

/**
 * Segment lengths as shares of stature.
 *
 * <p>Source: Drillis &amp; Contini 1966, as in Winter's figure 4.1 (value from memory): shank 0.246 H.
 */
public final class Anthropometry {
    private static final double SHANK_PER_STATURE = 0.246;

    private Anthropometry() {}

    /** Knee to ankle, from stature; its standard uncertainty is 5 % of it (house rule). */
    public static Centimetres shankFromStature(Centimetres stature) {
        return Centimetres.of(SHANK_PER_STATURE * stature.value());
    }
}
