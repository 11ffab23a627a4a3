package gradino.core.prescribe.timeline;

import gradino.core.quantity.OutOfBoundsException;
import java.util.List;

/**
 * One line, or several done together in rounds.
 *
 * @param rounds 1 to 10
 * @param restSeconds between rounds, 0 to 600
 * @param oneSetUp one set-up serves all: while the first line works on a side, the second works on the other (front leg left,
 *     rear leg right)
 */
public record Station(List<Protocol> lines, int rounds, int restSeconds, boolean oneSetUp) {
    public Station {
        lines = List.copyOf(lines);
        OutOfBoundsException.require("rounds", rounds, 1, 10, "");
        OutOfBoundsException.require("restSeconds", restSeconds, 0, 600, "s");
    }

    public static Station of(Protocol line) {
        return new Station(List.of(line), 1, 0, false);
    }
}
