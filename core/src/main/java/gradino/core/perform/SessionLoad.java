package gradino.core.perform;

import gradino.core.quantity.OutOfBoundsException;
import gradino.core.quantity.Tenths;

/**
 * How much a session was, by its rating: rating × minutes (Foster C 1998, Med Sci Sports Exerc 30:1164–1168; Foster et al. 2001, J
 * Strength Cond Res 15:109–115). Reference contractions measured before it are part of its minutes.
 *
 * @param rating of the whole session
 * @param minutes 0 to 600, what was really done
 */
public record SessionLoad(Tenths rating, double minutes) {
    public static final double MOST_MINUTES = 600;

    public SessionLoad {
        OutOfBoundsException.require("minutes", minutes, 0, MOST_MINUTES, "min");
    }

    public double points() {
        return rating.value() * minutes;
    }
}
