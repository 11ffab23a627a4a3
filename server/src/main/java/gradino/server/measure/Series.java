package gradino.server.measure;

import gradino.core.measure.Mode;
import gradino.core.measure.NoiseBook;
import gradino.core.measure.RangeReading;
import gradino.core.measure.Warmth;
import java.util.List;

/** Picks one series' readings out of measurements of the same motion, side, position and instrument. */
final class Series {
    private Series() {}

    static List<RangeReading> readings(List<Measurement> side, Mode mode, Warmth warmth, NoiseBook noise) {
        return side.stream()
                .filter(m -> m.mode() == mode && m.warmth() == warmth)
                .map(m -> m.reading(noise))
                .toList();
    }
}
