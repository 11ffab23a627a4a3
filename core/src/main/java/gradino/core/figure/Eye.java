package gradino.core.figure;

/** From where a body is seen: parallel projection, so that lengths in one plane compare. A right side is the left one's mirror image. */
final class Eye {
    private final Vec right;
    private final Vec up;
    private final Vec towards;
    private final int mirror;
    private final Pose.View view;

    Eye(Pose.View view, boolean mirrored) {
        this.view = view;
        double a = Math.toRadians(view.azimuth());
        double e = Math.toRadians(view.elevation());
        towards = new Vec(Math.cos(e) * Math.cos(a), Math.cos(e) * Math.sin(a), Math.sin(e));
        right = new Vec(-Math.sin(a), Math.cos(a), 0);
        up = towards.cross(right);
        mirror = mirrored ? -1 : 1;
    }

    double x(Vec p) {
        return mirror * right.dot(p);
    }

    double y(Vec p) {
        return up.dot(p);
    }

    /** More is nearer. */
    double near(Vec p) {
        return towards.dot(p);
    }

    Outline.Circle circle(Vec p, double radius) {
        return new Outline.Circle(x(p), y(p), radius);
    }

    /** As the body lies or stands in its own data, x ahead. */
    String words() {
        if (view.elevation() > 60) {
            return "above";
        }
        double round = Math.abs(view.azimuth() - 360 * Math.rint(view.azimuth() / 360));
        var around = round < 25
                ? "the front"
                : round < 75
                        ? "the front and one side"
                        : round < 105 ? "the side" : round < 155 ? "the back and one side" : "the back";
        return view.elevation() > 12 ? around + ", a little above" : around;
    }
}
