package gradino.core.prescribe.block;

import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;

/**
 * What a side lies on or pulls against, beside its angle. 0 where a thing is not used.
 *
 * @param benchCm height of the bench; a higher one is easier
 * @param inclineDegrees of the bench; a steeper one is easier
 * @param strapMark counted from the longest strap: each next one is shorter and deeper
 * @param band what it is called; empty for none
 * @param bandCm length to which the band is stretched
 */
public record Apparatus(double benchCm, double inclineDegrees, double strapMark, String band, double bandCm) {
    public static final Apparatus NONE = new Apparatus(0, 0, 0, "", 0);

    public Apparatus {
        OutOfBoundsException.require("benchCm", benchCm, 0, 150, "cm");
        OutOfBoundsException.require("inclineDegrees", inclineDegrees, 0, 90, "°");
        OutOfBoundsException.require("strapMark", strapMark, 0, 60, "");
        OutOfBoundsException.require("bandCm", bandCm, 0, 500, "cm");
    }

    public boolean namesNothing() {
        return equals(NONE);
    }

    /** Bench 45 cm, strap at mark 3. */
    public String words() {
        var parts = new ArrayList<String>();
        if (benchCm > 0) {
            parts.add("bench " + Efforts.plain(benchCm) + " cm");
        }
        if (inclineDegrees > 0) {
            parts.add("incline " + Efforts.plain(inclineDegrees) + "°");
        }
        if (strapMark > 0) {
            parts.add("strap at mark " + Efforts.plain(strapMark));
        }
        if (bandCm > 0) {
            var name = band.isBlank() ? "band" : band + " band";
            parts.add(name + " stretched to " + Efforts.plain(bandCm) + " cm");
        }
        return String.join(", ", parts);
    }
}
