package gradino.core.figure;

import java.util.Arrays;
import java.util.List;

/**
 * A drawing of a body in space as it is seen from a direction, the same for screen and paper: flat marks, the far ones first.
 * Unit: one hundredth of stature; x to the right, y up.
 *
 * @param angleDegrees working angle as drawn; 0 where nothing works
 * @param view from where, for turning it further
 * @param seenFrom the same in words
 * @param propCm height of the first block or bench, to scale; 0 without one
 */
public record Figure(List<Mark> marks, Box box, double angleDegrees, Pose.View view, String seenFrom, double propCm) {
    public Figure {
        marks = List.copyOf(marks);
    }

    /** In a box that others are drawn in too. */
    Figure in(Box other) {
        return new Figure(marks, other, angleDegrees, view, seenFrom, propCm);
    }

    /** What a mark stands for, so that screen and paper choose their ink. */
    public enum Role {
        FLOOR,
        PROP,
        PROP_TOP,
        FAR,
        NEAR,
        TRUNK,
        WORKING,
        SECTOR,
        PRESS,
        PULL,
        LANDMARK
    }

    public enum Kind {
        /** x1, y1, x2, y2. */
        LINE,
        /** x1, y1, x2, y2, with a head at its end. */
        ARROW,
        /** x, y of each corner. */
        POLYGON,
        /** x, y and a number to be read. */
        DOT,
        /** Arcs joined by straight lines, anticlockwise: centre x, y, radius, from and to in degrees, of each. */
        OUTLINE
    }

    /** One mark; numbers as its kind says, rounded to hundredths of a unit. */
    public record Mark(Kind kind, Role role, List<Double> numbers) {
        static Mark of(Kind kind, Role role, double... numbers) {
            return new Mark(
                    kind,
                    role,
                    Arrays.stream(numbers)
                            .map(n -> Math.rint(n * 100) / 100)
                            .boxed()
                            .toList());
        }
    }

    /** Everything that is drawn lies inside. */
    public record Box(double left, double bottom, double right, double top) {}
}
