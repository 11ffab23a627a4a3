package gradino.core.figure;

/**
 * A rotation in space: what becomes of the three axes.
 *
 * @param x where the axis ahead points to afterwards
 */
record Turn(Vec x, Vec y, Vec z) {
    static final Turn NONE = new Turn(Axis.X.vec(), Axis.Y.vec(), Axis.Z.vec());

    enum Axis {
        X,
        Y,
        Z;

        Vec vec() {
            return new Vec(this == X ? 1 : 0, this == Y ? 1 : 0, this == Z ? 1 : 0);
        }
    }

    /** Right-handed about an axis, degrees. */
    static Turn about(Axis axis, double degrees) {
        if (degrees == 0) {
            return NONE;
        }
        double c = Math.cos(Math.toRadians(degrees));
        double s = Math.sin(Math.toRadians(degrees));
        return switch (axis) {
            case X -> new Turn(Axis.X.vec(), new Vec(0, c, s), new Vec(0, -s, c));
            case Y -> new Turn(new Vec(c, 0, -s), Axis.Y.vec(), new Vec(s, 0, c));
            case Z -> new Turn(new Vec(c, s, 0), new Vec(-s, c, 0), Axis.Z.vec());
        };
    }

    Vec of(Vec v) {
        return x.times(v.x()).plus(y.times(v.y())).plus(z.times(v.z()));
    }

    /** First the other, in this one's own axes. */
    Turn with(Turn inner) {
        return inner.equals(NONE) ? this : new Turn(of(inner.x), of(inner.y), of(inner.z));
    }
}
