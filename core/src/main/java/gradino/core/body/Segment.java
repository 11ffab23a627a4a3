package gradino.core.body;

import gradino.core.quantity.Centimetres;
import java.util.Optional;

/** Lengths of a body that the tape formulas need. Where no published share of stature fits, only measuring helps. */
public enum Segment {
    SHANK("knee to ankle bone"),
    /** Outer hip bone to ankle bone: trochanter height less ankle height. */
    LEG("outer hip bone to ankle bone"),
    THIGH("outer hip bone to knee"),
    /** Between the hip joints' centres, well inside the body's width; no share of stature is published for it here. */
    HIP_CENTRES("between the hip joints"),
    TOE_TO_ANKLE("tip of the toes to ankle bone");

    private final String words;

    Segment(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** From stature (Drillis &amp; Contini 1966); its standard uncertainty is 5 % of it (house rule). */
    public Optional<Centimetres> fromStature(Centimetres stature) {
        return share().map(s -> Centimetres.of(s * stature.value()));
    }

    private Optional<Double> share() {
        return switch (this) {
            case SHANK -> Optional.of(Anthropometry.share("shank"));
            case THIGH -> Optional.of(Anthropometry.share("thigh"));
            case LEG -> Optional.of(Anthropometry.share("trochanter-height") - Anthropometry.share("ankle-height"));
            case HIP_CENTRES, TOE_TO_ANKLE -> Optional.empty();
        };
    }
}
