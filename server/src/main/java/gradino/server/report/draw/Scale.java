package gradino.server.report.draw;

/** Numbers onto a length of the sheet, by straight proportion. */
record Scale(double from, double to, double start, double end) {
    double at(double value) {
        double clipped = Math.max(Math.min(from, to), Math.min(Math.max(from, to), value));
        return to == from ? start : start + (clipped - from) / (to - from) * (end - start);
    }

    /** Up to the next whole step. */
    static double up(double value, double step) {
        return Math.ceil(value / step) * step;
    }

    static double down(double value, double step) {
        return Math.floor(value / step) * step;
    }
}
