package gradino.core.figure;

import gradino.core.figure.Figure.Mark;
import gradino.core.figure.Figure.Role;
import java.util.List;

/** What the body stands or lies on: the floor under everything, with a margin. */
record Mat(double back, double ahead, double right, double left) {
    private static final double MARGIN = 4;

    static Mat under(Body body) {
        double back = Double.MAX_VALUE;
        double ahead = -Double.MAX_VALUE;
        double right = Double.MAX_VALUE;
        double left = -Double.MAX_VALUE;
        for (var spot : Spot.every()) {
            var at = body.at(spot);
            back = Math.min(back, at.x());
            ahead = Math.max(ahead, at.x());
            right = Math.min(right, at.y());
            left = Math.max(left, at.y());
        }
        return new Mat(back - MARGIN, ahead + MARGIN, right - MARGIN, left + MARGIN);
    }

    Mat and(Mat other) {
        return new Mat(
                Math.min(back, other.back),
                Math.max(ahead, other.ahead),
                Math.min(right, other.right),
                Math.max(left, other.left));
    }

    Mark seen(Eye eye) {
        return Props.polygon(
                Role.FLOOR,
                eye,
                List.of(
                        new Vec(back, right, 0),
                        new Vec(ahead, right, 0),
                        new Vec(ahead, left, 0),
                        new Vec(back, left, 0)));
    }
}
