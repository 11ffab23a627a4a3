package gradino.core.figure;

/** A point or a direction in space, hundredths of stature: x ahead, y to the left, z up. */
record Vec(double x, double y, double z) {
    static final Vec ZERO = new Vec(0, 0, 0);

    Vec plus(Vec v) {
        return new Vec(x + v.x, y + v.y, z + v.z);
    }

    Vec minus(Vec v) {
        return new Vec(x - v.x, y - v.y, z - v.z);
    }

    Vec times(double by) {
        return new Vec(by * x, by * y, by * z);
    }

    double dot(Vec v) {
        return x * v.x + y * v.y + z * v.z;
    }

    Vec cross(Vec v) {
        return new Vec(y * v.z - z * v.y, z * v.x - x * v.z, x * v.y - y * v.x);
    }

    double length() {
        return Math.sqrt(dot(this));
    }

    /** Of length 1; nothing stays nothing. */
    Vec unit() {
        double length = length();
        return length == 0 ? this : times(1 / length);
    }
}
