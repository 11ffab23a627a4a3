package gradino.core.figure;

import gradino.core.figure.Angles.Freedom;
import gradino.core.figure.Figure.Box;
import gradino.core.figure.FigureMaker.Asked;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A position in movement: drawn at each of its frames, in one box and on one floor, with what touches it where it was.
 *
 * @param frames a whole circle; else from one end to the other, to be gone back the same way
 */
public record Moving(List<Figure> frames) {
    private static final int FRAMES = 12;
    private static final double ON_FLOOR = 0.01;

    public Moving {
        frames = List.copyOf(frames);
    }

    /** How a block moves. */
    public enum Way {
        /** Round and round. */
        CIRCLE,
        /** From end to end of the movement. */
        BETWEEN,
        /** A little further than where it lies. */
        LIFT
    }

    /** Empty where this body has no joint for it. */
    public static Optional<Moving> of(Asked asked, Way way) {
        return Course.of(asked, way).map(course -> new Moving(frames(asked, course)));
    }

    private static List<Figure> frames(Asked asked, Course course) {
        var makers = new ArrayList<FigureMaker>();
        for (int n = 0; n < FRAMES; n++) {
            double place = course.isRound() ? n / (double) FRAMES : n / (FRAMES - 1.0);
            var maker = FigureMaker.settled(asked, course.at(place), course.moved());
            makers.add(makers.isEmpty() ? maker : maker.moved(stays(makers.get(0), maker, course)));
        }
        var mat = makers.stream().map(m -> Mat.under(m.body())).reduce(Mat::and).orElseThrow();
        var drawn = makers.stream().map(m -> m.figure(mat)).toList();
        var box = drawn.stream().map(Figure::box).reduce(Moving::around).orElseThrow();
        return drawn.stream().map(f -> f.in(box)).toList();
    }

    /** By how much it is to be moved so that what lies on the floor stays where it was. */
    private static Vec stays(FigureMaker first, FigureMaker now, Course course) {
        var by = Vec.ZERO;
        int count = 0;
        for (var contact : course.contacts()) {
            if (contact.height() < ON_FLOOR && !hangs(contact.spot(), course.moved())) {
                by = by.plus(first.body().at(contact.spot()).minus(now.body().at(contact.spot())));
                count++;
            }
        }
        return count == 0 ? Vec.ZERO : new Vec(by.x() / count, by.y() / count, 0);
    }

    /** A foot that swings with its leg is no anchor; all feet are, where the trunk moves. */
    private static boolean hangs(Spot spot, Set<Freedom> moved) {
        return moved.stream()
                        .anyMatch(f -> f.bone().isSided()
                                && f.bone().side == spot.bone().side
                                && spot.bone().hangsOn(f.bone()))
                && moved.stream().map(f -> f.bone().side).distinct().count() == 1;
    }

    private static Box around(Box a, Box b) {
        return new Box(
                Math.min(a.left(), b.left()),
                Math.min(a.bottom(), b.bottom()),
                Math.max(a.right(), b.right()),
                Math.max(a.top(), b.top()));
    }
}
