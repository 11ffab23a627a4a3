package gradino.core.effort;

import gradino.core.body.Anthropometry;
import gradino.core.quantity.OutOfBoundsException;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What gravity pulls on when a segment is held up: the segment with all that hangs on it.
 *
 * @param words as the coach reads them
 */
public record Limb(String words, Gravity gravity) {
    /**
     * A client's body as far as it is known; what is missing is taken from the published shares of stature.
     *
     * @param massKg 20 to 250
     */
    public record Body(
            double massKg,
            @Nullable Double statureCm,
            @Nullable Double shankCm,
            @Nullable Double thighCm) {
        public Body {
            OutOfBoundsException.require("body mass", massKg, 20, 250, "kg");
            OutOfBoundsException.requireIfAny("stature", statureCm, 50, 250, "cm");
            OutOfBoundsException.requireIfAny("shank", shankCm, 5, 150, "cm");
            OutOfBoundsException.requireIfAny("thigh", thighCm, 5, 150, "cm");
        }

        double stature() {
            return statureCm == null ? Anthropometry.TYPICAL_STATURE_CM : statureCm;
        }

        double share(String id) {
            return Anthropometry.share(id) * stature();
        }

        double shank() {
            return shankCm == null ? share("shank") : shankCm;
        }

        double thigh() {
            return thighCm == null ? share("thigh") : thighCm;
        }
    }

    /** @param segment the one that works in a position: thigh, shank, foot, arm, forearm or trunk; else nothing is held up */
    public static List<Limb> heldUp(String segment, Body body) {
        return switch (segment) {
            case "thigh" ->
                List.of(
                        limb("straight leg", "leg", body, body.shank() + body.thigh()),
                        new Limb("knee bent", Gravity.bentLeg(body.massKg(), body.thigh())));
            case "shank" -> List.of(limb("shank and foot", "foot-and-shank", body, body.shank()));
            case "foot" -> List.of(limb("foot", "foot", body, body.share("foot-length")));
            case "arm" -> List.of(limb("straight arm", "arm", body, body.share("upper-arm") + body.share("forearm")));
            case "forearm" -> List.of(limb("forearm and hand", "forearm-and-hand", body, body.share("forearm")));
            case "trunk" ->
                List.of(limb(
                        "trunk, head and arms",
                        "head-arms-trunk",
                        body,
                        body.share("shoulder-height") - body.share("trochanter-height")));
            default -> List.of();
        };
    }

    private static Limb limb(String words, String id, Body body, double lengthCm) {
        return new Limb(words, Gravity.of(id, body.massKg(), lengthCm));
    }
}
