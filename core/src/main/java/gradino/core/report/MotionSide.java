package gradino.core.report;

import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.SeriesKey;

/** One side of a motion in a position by an instrument: what passive and active ranges are compared within. */
public record MotionSide(String motion, Side side, String position, Instrument instrument)
        implements Comparable<MotionSide> {

    static MotionSide of(SeriesKey key) {
        return new MotionSide(key.motion(), key.side(), key.position(), key.instrument());
    }

    public SeriesKey series(Mode mode) {
        return new SeriesKey(motion, side, mode, position, instrument);
    }

    boolean sameMotion(MotionSide other) {
        return motion.equals(other.motion) && side == other.side;
    }

    @Override
    public int compareTo(MotionSide other) {
        return java.util.Comparator.comparing(MotionSide::motion)
                .thenComparing(MotionSide::position)
                .thenComparing(MotionSide::instrument)
                .thenComparing(MotionSide::side)
                .compare(this, other);
    }
}
