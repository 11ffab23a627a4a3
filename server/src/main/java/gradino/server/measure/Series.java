package gradino.server.measure;

import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseBook;
import gradino.core.measure.noise.Warmth;
import gradino.core.measure.reading.RangeReading;
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
