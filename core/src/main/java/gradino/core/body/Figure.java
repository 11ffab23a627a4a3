package gradino.core.body;

import java.util.List;

/**
 * A drawing of a position: a planar mannequin of plain marks, the same for screen and paper. Unit: one hundredth of stature;
 * x to the right, y up, the floor at 0.
 *
 * @param angleDegrees working angle as drawn; 0 where no segment works
 * @param seenFrom where that is not told by the drawing itself: "the feet", "above"; empty otherwise
 * @param propCm height of the first block or bench, when it is to scale; 0 without one
 */
public record Figure(List<Mark> marks, Box box, double angleDegrees, String seenFrom, double propCm) {
    public Figure {
        marks = List.copyOf(marks);
    }

    /** What a mark stands for, so that screen and paper choose their ink. */
    public enum Role {
        FLOOR,
        PROP,
        FAR,
        NEAR,
        TRUNK,
        WORKING,
        SECTOR,
        PRESS,
        PULL
    }

    public enum Kind {
        /** x1, y1, x2, y2. */
        LINE,
        /** x1, y1, x2, y2, with a head at its end. */
        ARROW,
        /** x, y, radius. */
        CIRCLE,
        /** x, y of the lower left corner, width, height. */
        RECTANGLE,
        /** x, y, radius, from and to in degrees, anticlockwise when to is greater. */
        SECTOR
    }

    /** One stroke; numbers as its kind says, rounded to hundredths of a unit. */
    public record Mark(Kind kind, Role role, List<Double> numbers) {
        static Mark of(Kind kind, Role role, double... numbers) {
            return new Mark(
                    kind,
                    role,
                    java.util.Arrays.stream(numbers)
                            .map(n -> Math.rint(n * 100) / 100)
                            .boxed()
                            .toList());
        }
    }

    /** Everything that is drawn lies inside. */
    public record Box(double left, double bottom, double right, double top) {}
}
