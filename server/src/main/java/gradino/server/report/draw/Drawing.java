package gradino.server.report.draw;

import java.util.List;

/**
 * A chart as marks on a sheet, x to the right and y down; page and PDF ink it alike.
 *
 * @param words what it shows, for whoever does not see it
 */
public record Drawing(double width, double height, String words, List<Stroke> strokes) {
    public Drawing {
        strokes = List.copyOf(strokes);
    }

    /** What a mark is, and what its numbers are. */
    public enum Shape {
        /** Points x, y one after the other. */
        PATH,
        DASHED,
        /** A filled outline: points. */
        AREA,
        /** x, y, radius. */
        DOT,
        RING,
        /** x, y, width, height. */
        BAR,
        FRAME,
        /** x, y of the base line, size, and 0 for its beginning, 0.5 for its middle or 1 for its end there. */
        TEXT
    }

    /** What a mark means; how that looks is said by whoever inks it. */
    public enum Ink {
        INK,
        SOFT,
        FAINT,
        BAND,
        BEFORE,
        NOW,
        GOAL,
        PRESS,
        PULL,
        WARN
    }

    /** @param text of a text; empty otherwise */
    public record Stroke(Shape shape, Ink ink, List<Double> at, String text) {
        public Stroke {
            at = List.copyOf(at);
        }
    }
}
